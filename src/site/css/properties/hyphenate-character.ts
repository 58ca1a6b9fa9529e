// CSS Text 4, section 5.3

import { asWritten, longhand } from './property.js';

export const hyphenateCharacter = longhand({
  name: 'hyphenate-character',
  key: 'hyphenCharacter',
  initial: 'auto',
  isInherited: true,
  read: asWritten(),
});
