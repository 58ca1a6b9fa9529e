// CSS Text 3, CSS Overflow 3, CSS Values 4: characters that browsers draw or measure without their being in the text

import type { CodePointSet } from '../text/code-point-set.js';

const space = 0x20;
const softHyphen = 0xad;
const hyphen = 0x2010;
const hyphenMinus = 0x2d;
/** Where `text-overflow` cuts text off. */
const ellipsis = 0x2026;
/** Its advance is the unit `ch`. */
const zero = 0x30;
/** Its advance is the unit `ic`; an em where the font lacks it. */
const water = 0x6c34;

const isIdeographic = (character: number) =>
  (character >= 0x3040 && character <= 0x30ff) || (character >= 0x3400 && character <= 0x9fff);

/**
 * Hyphens at the end of a line, the ellipsis of text that overflows, and what units are measured by. Browsers take all
 * but the first from the first font of the list that has the space, so they go with it.
 *
 * @param wanted what the text has
 * @param available what the font maps
 * @param advanceOf the advance of a character of the font, in em
 * @returns some of them may be wanted already, or missing in the font
 */
export function insertedCharacters(
  wanted: CodePointSet,
  available: CodePointSet,
  advanceOf: (character: number) => number,
): number[] {
  const found: number[] = [];
  if (wanted.has(space)) found.push(zero, ellipsis);
  if (wanted.has(space) || wanted.has(softHyphen)) found.push(available.has(hyphen) ? hyphen : hyphenMinus);
  const hasIdeographs = wanted.ranges().some(([first, last]) => isIdeographic(first) || isIdeographic(last));
  if (hasIdeographs && available.has(water) && advanceOf(water) !== 1) found.push(water);
  return found;
}
