// CSS Display 4, section 4

import { textOf } from '../tokens.js';
import { longhand } from './property.js';

export const visibility = longhand({
  name: 'visibility',
  key: 'isVisible',
  initial: true,
  isInherited: true,
  read: (tokens) => textOf(tokens).toLowerCase() === 'visible',
});
