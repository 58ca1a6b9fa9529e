// CSS Lists 3, section 3.2

import { asWritten, longhand } from './property.js';

export const listStyleType = longhand({
  name: 'list-style-type',
  key: 'listStyle',
  initial: 'disc',
  isInherited: true,
  read: asWritten(),
});
