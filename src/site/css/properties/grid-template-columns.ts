// CSS Grid 2, section 7.2

import { asWritten, longhand } from './property.js';

export const gridTemplateColumns = longhand({
  name: 'grid-template-columns',
  key: 'gridTemplateColumns',
  initial: 'none',
  isInherited: false,
  read: asWritten(),
});
