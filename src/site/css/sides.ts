// CSS Box 4, Backgrounds 3, section 4; Logical 1, section 4: what stands to the left and to the right of a box, which lines ask for

import type { LengthContext } from './lengths.js';
import { measureIn, type Measure } from './measures.js';
import { longhand, type Longhand, type Shorthand } from './properties/property.js';
import { componentsOf, textOf, type Token } from './tokens.js';

type Side = Longhand<string, string, Measure>;
type ReadMeasure = typeof measureIn;

/** A property of one side. @param logical its name where text runs from left to right */
export const sideLonghand = <const Name extends string, const Key extends string>(
  name: Name,
  logical: string,
  key: Key,
  read: ReadMeasure = measureIn,
): Longhand<Name, Key, Measure> =>
  longhand({ name, aliases: [logical], key, initial: 0, isInherited: false, read });

/** A property that says all four sides: one to four values, of which the second and the fourth are right and left. */
export const sidesShorthand = (name: string, left: Side, right: Side, read = measureIn): Shorthand =>
  shorthandOf(name, left, right, (tokens, context) => {
    const [all, onRight = all, , onLeft = onRight] = valuesIn(tokens, 4, read, context);
    return [onLeft, onRight];
  });

/** One that says these two: one or two values. */
export const inlineShorthand = (name: string, left: Side, right: Side, read = measureIn): Shorthand =>
  shorthandOf(name, left, right, (tokens, context) => {
    const [onLeft, onRight = onLeft] = valuesIn(tokens, 2, read, context);
    return [onLeft, onRight];
  });

const shorthandOf = (
  name: string,
  left: Side,
  right: Side,
  read: (tokens: readonly Token[], context?: LengthContext) => (Measure | undefined)[],
): Shorthand => ({
  name,
  longhands: [left, right],
  read: (tokens, _inheritedOf, context) => {
    const [onLeft, onRight] = read(tokens, context);
    return onLeft === undefined || onRight === undefined
      ? undefined
      : { [left.key]: onLeft, [right.key]: onRight };
  },
});

/** @returns none where one of them is no value, or there are too many */
function valuesIn(
  tokens: readonly Token[],
  most: number,
  read: ReadMeasure,
  context?: LengthContext,
): (Measure | undefined)[] {
  const values = componentsOf(tokens).map((part) => read(part, 0, context));
  return values.length > most || values.includes(undefined) ? [] : values;
}

const lineWidths: Readonly<Record<string, number | undefined>> = { thin: 1, medium: 3, thick: 5 };

export const borderWidthIn: ReadMeasure = (tokens, inherited, context) =>
  lineWidths[textOf(tokens).toLowerCase()] ?? measureIn(tokens, inherited, context);

const lineStyles = /^(?:dotted|dashed|solid|double|groove|ridge|inset|outset)$/i;

/** A property that says width, style and colour of borders; one without a style isn't drawn. */
export const borderShorthand = (
  name: string,
  aliases: readonly string[],
  ...longhands: readonly Side[]
): Shorthand => ({
  name,
  aliases,
  longhands,
  read: (tokens, _inheritedOf, context) => {
    const parts = componentsOf(tokens);
    const stated = parts
      .map((part) => borderWidthIn(part, 0, context))
      .find((one) => typeof one === 'number');
    const isDrawn = parts.some((part) => lineStyles.test(textOf(part)));
    const width = isDrawn ? (stated ?? lineWidths.medium) : 0;
    return Object.fromEntries(longhands.map(({ key }) => [key, width]));
  },
});
