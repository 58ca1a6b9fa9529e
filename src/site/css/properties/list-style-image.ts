// CSS Lists 3, section 3.1

import { textOf } from '../tokens.js';
import { longhand } from './property.js';

export const listStyleImage = longhand({
  name: 'list-style-image',
  key: 'isListImage',
  initial: false,
  isInherited: true,
  read: (tokens) => textOf(tokens).toLowerCase() !== 'none',
});
