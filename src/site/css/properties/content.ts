// CSS Generated Content 3, section 2

import { asWritten, longhand } from './property.js';

export const content = longhand({
  name: 'content',
  key: 'content',
  initial: 'normal',
  isInherited: false,
  read: asWritten(),
});
