// CSS Sizing 3, section 3.1

import { measureIn } from '../measures.js';
import { longhand } from './property.js';

export const maxWidth = longhand({
  name: 'max-width',
  aliases: ['max-inline-size'],
  key: 'maxWidth',
  initial: 'auto',
  isInherited: false,
  read: measureIn,
});
