// CSS Box Alignment 3, section 6.1

import { asWritten, longhand } from './property.js';

export const alignItems = longhand({
  name: 'align-items',
  key: 'alignItems',
  initial: 'normal',
  isInherited: false,
  read: asWritten(/^[a-z -]+$/),
});
