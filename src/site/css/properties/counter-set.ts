// CSS Lists 3, section 4.2

import { asWritten, longhand } from './property.js';

export const counterSet = longhand({
  name: 'counter-set',
  key: 'counterSet',
  initial: 'none',
  isInherited: false,
  read: asWritten(),
});
