import { lengthIn, type LengthContext } from './lengths.js';
import { textOf, type Token } from './tokens.js';

/** CSS pixels (CSS Text 4, section 8: a percentage is of the font size). */
export function spacingIn(
  tokens: readonly Token[],
  _inherited: number,
  context?: LengthContext,
): number | undefined {
  if (textOf(tokens).toLowerCase() === 'normal') return 0;
  const length = context && lengthIn(tokens, context);
  return length && length.px + (length.percent / 100 + length.ch / 2) * context.fontSize;
}
