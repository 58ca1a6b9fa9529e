// CSS Backgrounds 3, section 4: how wide borders are, to the left and to the right

import type { LengthContext } from '../lengths.js';
import { inlineSidesIn, measureIn, sidesIn, type Measure } from '../measures.js';
import { componentsOf, textOf, type Token } from '../tokens.js';
import { longhand, type Shorthand } from './property.js';

const widths: Readonly<Record<string, number | undefined>> = { thin: 1, medium: 3, thick: 5 };

const widthIn = (tokens: readonly Token[], inherited: Measure, context?: LengthContext) =>
  widths[textOf(tokens).toLowerCase()] ?? measureIn(tokens, inherited, context);

const isStyle = (text: string) => /^(?:dotted|dashed|solid|double|groove|ridge|inset|outset)$/i.test(text);

/** One without a style isn't drawn. */
function drawnWidth(tokens: readonly Token[], context?: LengthContext): Measure {
  const parts = componentsOf(tokens);
  if (!parts.some((part) => isStyle(textOf(part)))) return 0;
  const found = parts.map((part) => widthIn(part, 0, context)).find((one) => typeof one === 'number');
  return found ?? widths.medium!;
}

export const borderLeftWidth = longhand({
  name: 'border-left-width',
  aliases: ['border-inline-start-width'],
  key: 'borderLeftWidth',
  initial: 0,
  isInherited: false,
  read: widthIn,
});

export const borderRightWidth = longhand({
  name: 'border-right-width',
  aliases: ['border-inline-end-width'],
  key: 'borderRightWidth',
  initial: 0,
  isInherited: false,
  read: widthIn,
});

const one = (
  name: string,
  ...longhands: (typeof borderLeftWidth | typeof borderRightWidth)[]
): Shorthand => ({
  name,
  longhands,
  read: (tokens, _inheritedOf, context) => {
    const width = drawnWidth(tokens, context);
    return Object.fromEntries(longhands.map(({ key }) => [key, width]));
  },
});

const widthsOf = (name: string, read: typeof sidesIn): Shorthand => ({
  name,
  longhands: [borderLeftWidth, borderRightWidth],
  read: (tokens, _inheritedOf, context) => {
    const sides = read(tokens, context);
    return sides && { borderLeftWidth: sides.left, borderRightWidth: sides.right };
  },
});

export const borderShorthands: readonly Shorthand[] = [
  one('border', borderLeftWidth, borderRightWidth),
  one('border-inline', borderLeftWidth, borderRightWidth),
  one('border-left', borderLeftWidth),
  one('border-inline-start', borderLeftWidth),
  one('border-right', borderRightWidth),
  one('border-inline-end', borderRightWidth),
  widthsOf('border-width', sidesIn),
  widthsOf('border-inline-width', inlineSidesIn),
];
