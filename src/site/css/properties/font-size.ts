// CSS Fonts 4, section 2.5

import { lengthIn, type LengthContext } from '../lengths.js';
import { textOf, type Token } from '../tokens.js';
import { longhand } from './property.js';

/** Where `medium` is what browsers start with. */
const words: Readonly<Record<string, number>> = {
  'xx-small': 9,
  'x-small': 10,
  small: 13,
  medium: 16,
  large: 18,
  'x-large': 24,
  'xx-large': 32,
  'xxx-large': 48,
};

export const fontSize = longhand({
  name: 'font-size',
  /** CSS pixels. */
  key: 'fontSize',
  initial: 16,
  isInherited: true,
  read: (tokens: readonly Token[], inherited: number, context?: LengthContext): number | undefined => {
    const text = textOf(tokens).toLowerCase();
    if (Object.hasOwn(words, text)) return words[text];
    if (text === 'smaller') return inherited / 1.2;
    if (text === 'larger') return inherited * 1.2;
    const length = context && lengthIn(tokens, { ...context, fontSize: inherited });
    if (!length) return undefined;
    const size = length.px + (length.ch * inherited) / 2 + (length.percent / 100) * inherited;
    return size >= 0 ? size : undefined;
  },
});
