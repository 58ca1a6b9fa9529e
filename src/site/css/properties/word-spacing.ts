// CSS Text 3, section 8

import { spacingIn } from '../spacing.js';
import { longhand } from './property.js';

export const wordSpacing = longhand({
  name: 'word-spacing',
  /** CSS pixels. */
  key: 'wordSpacing',
  initial: 0,
  isInherited: true,
  read: spacingIn,
});
