// CSS Text 3, section 8

import { spacingIn } from '../spacing.js';
import { longhand } from './property.js';

export const letterSpacing = longhand({
  name: 'letter-spacing',
  /** CSS pixels. */
  key: 'letterSpacing',
  initial: 0,
  isInherited: true,
  read: spacingIn,
});
