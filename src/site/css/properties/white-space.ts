// CSS Text 4, section 3

import { textOf, type Token } from '../tokens.js';
import { longhand } from './property.js';

type WhiteSpace = 'normal' | 'nowrap' | 'pre' | 'pre-wrap' | 'pre-line' | 'break-spaces';

const values: ReadonlySet<string> = new Set([
  'normal',
  'nowrap',
  'pre',
  'pre-wrap',
  'pre-line',
  'break-spaces',
]);

export const whiteSpace = longhand({
  name: 'white-space',
  key: 'whiteSpace',
  initial: 'normal',
  isInherited: true,
  read: (tokens: readonly Token[]): WhiteSpace | undefined => {
    const text = textOf(tokens).toLowerCase();
    return values.has(text) ? (text as WhiteSpace) : undefined;
  },
});
