// CSS Text 4, section 2.1

import { asWritten, longhand } from './property.js';

export const textTransform = longhand({
  name: 'text-transform',
  key: 'transform',
  initial: 'none',
  isInherited: true,
  read: asWritten(/^[a-z -]+$/i),
});
