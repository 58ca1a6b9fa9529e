// CSS Display 4, section 2

import { textOf, type Token } from '../tokens.js';
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

/**
 * How a box stands among others (sections 2.1 and 2.2): in the lines around, with lines of its own, in a box that stands in a line;
 * and how what stands in it is laid out: in `flex` and `grid` all of it has lines of its own.
 */
export interface BoxKind {
  outer: 'inline' | 'block' | 'atomic';
  inner: 'flow' | 'flex' | 'grid' | 'table';
}

const kind = (outer: BoxKind['outer'], inner: BoxKind['inner'] = 'flow'): BoxKind => ({ outer, inner });
/** One object each, as styles are compared by what they hold. */
const kinds = {
  inline: kind('inline'),
  block: kind('block'),
  atomic: kind('atomic'),
  flex: kind('block', 'flex'),
  grid: kind('block', 'grid'),
  table: kind('block', 'table'),
  'inline-flex': kind('atomic', 'flex'),
  'inline-grid': kind('atomic', 'grid'),
} as const;

export const boxKind = longhand({
  name: 'display',
  key: 'boxKind',
  initial: kinds.inline,
  isInherited: false,
  read: (tokens: readonly Token[]): BoxKind | undefined => {
    const text = textOf(tokens).toLowerCase();
    if (!/^[a-z -]+$/.test(text)) return undefined;
    if (/^(?:inline|contents|ruby|inline flow|none)$/.test(text)) return kinds.inline;
    const isInline = /^inline[- ]/.test(text);
    const inner = /(?:flex|grid)$/.exec(text)?.[0] as 'flex' | 'grid' | undefined;
    if (inner) return isInline ? kinds[`inline-${inner}`] : kinds[inner];
    return isInline ? kinds.atomic : /^table/.test(text) ? kinds.table : kinds.block;
  },
});
