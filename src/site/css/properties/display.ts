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
 * and whether all that stands in it has lines of its own.
 */
export interface BoxKind {
  outer: 'inline' | 'block' | 'atomic';
  isFlex: boolean;
}

const kind = (outer: BoxKind['outer'], isFlex: boolean): BoxKind => ({ outer, isFlex });
/** One object each, as styles are compared by what they hold. */
const kinds = {
  inline: kind('inline', false),
  block: kind('block', false),
  atomic: kind('atomic', false),
  flex: kind('block', true),
  'inline-flex': kind('atomic', true),
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
    if (/(?:flex|grid)$/.test(text)) return isInline ? kinds['inline-flex'] : kinds.flex;
    return isInline ? kinds.atomic : kinds.block;
  },
});
