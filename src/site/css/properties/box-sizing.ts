// CSS Sizing 3, section 3.3

import { asWritten, longhand } from './property.js';

export const boxSizing = longhand({
  name: 'box-sizing',
  key: 'boxSizing',
  initial: 'content-box',
  isInherited: false,
  read: asWritten(/^(?:content|border)-box$/),
});
