// CSS 2, section 9.5.1

import { asWritten, longhand } from './property.js';

export const float = longhand({
  name: 'float',
  key: 'float',
  initial: 'none',
  isInherited: false,
  read: asWritten(/^(?:none|left|right|inline-start|inline-end)$/),
});
