// CSS Inline Layout 3, section 4.2

import { lengthIn, type LengthContext } from '../lengths.js';
import { textOf, type Token } from '../tokens.js';
import { longhand } from './property.js';

/** CSS pixels; `×1.5` for a factor of the font size, which inherits as it is. */
type LineHeight = 'normal' | number | `×${number}`;

export const lineHeight = longhand({
  name: 'line-height',
  key: 'lineHeight',
  initial: 'normal',
  isInherited: true,
  read: (
    tokens: readonly Token[],
    _inherited: LineHeight,
    context?: LengthContext,
  ): LineHeight | undefined => {
    const text = textOf(tokens).toLowerCase();
    if (text === 'normal') return 'normal';
    if (/^\+?(?:\d+\.?\d*|\.\d+)$/.test(text)) return `×${Number(text)}`;
    const length = context && lengthIn(tokens, context);
    if (!length || !context) return undefined;
    const height = length.px + (length.percent / 100) * context.fontSize + (length.ch * context.fontSize) / 2;
    return height >= 0 ? height : undefined;
  },
});
