// CSS Sizing 3, section 3.1

import { measureIn } from '../measures.js';
import { longhand } from './property.js';

export const width = longhand({
  name: 'width',
  aliases: ['inline-size'],
  key: 'width',
  initial: 'auto',
  isInherited: false,
  read: measureIn,
});
