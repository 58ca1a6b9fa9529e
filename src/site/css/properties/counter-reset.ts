// CSS Lists 3, section 4.1

import { asWritten, longhand } from './property.js';

export const counterReset = longhand({
  name: 'counter-reset',
  key: 'counterReset',
  initial: 'none',
  isInherited: false,
  read: asWritten(),
});
