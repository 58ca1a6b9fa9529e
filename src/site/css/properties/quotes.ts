// CSS Generated Content 3, section 3.1

import { asWritten, longhand } from './property.js';

export const quotes = longhand({
  name: 'quotes',
  key: 'quotes',
  initial: 'auto',
  isInherited: true,
  read: asWritten(),
});
