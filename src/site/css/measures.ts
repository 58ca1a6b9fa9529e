import { lengthIn, type LengthContext } from './lengths.js';
import { textOf, type Token } from './tokens.js';

/** How wide a box is: CSS pixels, zeros of its face, percent of what is around, or what comes of the layout. */
export type Measure = 'auto' | number | `${number}ch` | `${number}%`;

/** Sums of several of these are left to the layout. */
export function measureIn(
  tokens: readonly Token[],
  _inherited: Measure,
  context?: LengthContext,
): Measure | undefined {
  const text = textOf(tokens).toLowerCase();
  if (/^(?:auto|none|(?:min|max|fit)-content(?:\(.*\))?|stretch|-webkit-fill-available)$/.test(text))
    return 'auto';
  const length = context && lengthIn(tokens, context);
  if (!length) return /\(/.test(text) ? 'auto' : undefined;
  const { px, ch, percent } = length;
  if (ch === 0 && percent === 0) return px;
  if (px === 0 && percent === 0) return `${ch}ch`;
  return px === 0 && ch === 0 ? `${percent}%` : 'auto';
}
