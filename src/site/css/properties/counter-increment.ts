// CSS Lists 3, section 4.2

import { asWritten, longhand } from './property.js';

export const counterIncrement = longhand({
  name: 'counter-increment',
  key: 'counterIncrement',
  initial: 'none',
  isInherited: false,
  read: asWritten(),
});
