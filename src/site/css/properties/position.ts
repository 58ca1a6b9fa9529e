// CSS Positioned Layout 3, section 3

import { asWritten, longhand } from './property.js';

export const position = longhand({
  name: 'position',
  key: 'position',
  initial: 'static',
  isInherited: false,
  read: asWritten(/^(?:static|relative|absolute|fixed|sticky|-webkit-sticky)$/),
});
