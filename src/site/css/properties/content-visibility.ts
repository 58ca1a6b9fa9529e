// CSS Containment 2, section 4

import { textOf } from '../tokens.js';
import { longhand } from './property.js';

export const contentVisibility = longhand({
  name: 'content-visibility',
  key: 'isContentHidden',
  initial: false,
  // What is in a hidden element is hidden.
  isInherited: true,
  read: (tokens) => textOf(tokens).toLowerCase() === 'hidden',
});
