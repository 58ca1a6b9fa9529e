import { lengthIn, type Length, type LengthContext } from './lengths.js';
import { textOf, type Token } from './tokens.js';

/** How wide something is: CSS pixels, a sum of these, of zeros of its face and of what is around; or what comes of the layout. */
export type Measure = 'auto' | number | `${number}px ${number}ch ${number}%`;

/** What a measure is the sum of. */
export function sumOf(measure: Exclude<Measure, 'auto'>): Length {
  if (typeof measure === 'number') return { px: measure, ch: 0, percent: 0 };
  const [px, ch, percent] = measure.split(' ').map(parseFloat);
  return { px, ch, percent };
}

export function measureIn(
  tokens: readonly Token[],
  _inherited: Measure,
  context?: LengthContext,
): Measure | undefined {
  const text = textOf(tokens).toLowerCase();
  if (/^(?:auto|none|content|(?:min|max|fit)-content(?:\(.*\))?|stretch|-webkit-fill-available)$/.test(text))
    return 'auto';
  const length = context && lengthIn(tokens, context);
  if (!length) return /\(/.test(text) ? 'auto' : undefined;
  const { px, ch, percent } = length;
  return ch === 0 && percent === 0 ? px : `${px}px ${ch}ch ${percent}%`;
}
