// CSS Overflow 4, section 5.1

import { asWritten, longhand } from './property.js';

export const textOverflow = longhand({
  name: 'text-overflow',
  key: 'textOverflow',
  initial: 'clip',
  isInherited: false,
  read: asWritten(),
});
