// CSS Display 4, section 2

import { textOf } from '../tokens.js';
import { longhand } from './property.js';

/** `boxless`: it draws no line of its own, as `contents`, flex and grid containers. */
type Display = 'none' | 'list-item' | 'boxless' | 'box';

export const display = longhand({
  name: 'display',
  key: 'display',
  initial: 'box',
  isInherited: false,
  read: (tokens): Display | undefined => {
    const text = textOf(tokens).toLowerCase();
    if (!/^[a-z -]+$/.test(text)) return undefined;
    if (text === 'none') return 'none';
    if (/\blist-item\b/.test(text)) return 'list-item';
    return /\b(?:contents|flex|grid|table-row|table)$|-group$/.test(text) ? 'boxless' : 'box';
  },
});
