// CSS Text 4, section 5.2

import { asWritten, longhand } from './property.js';

export const hyphens = longhand({
  name: 'hyphens',
  key: 'hyphens',
  initial: 'manual',
  isInherited: true,
  read: asWritten(),
});
