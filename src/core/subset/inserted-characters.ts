// CSS Text 3, CSS Overflow 3, CSS Values 4: characters that browsers draw or measure without their being in the text

import type { CodePointSet } from '../text/code-point-set.js';

const space = 0x20;
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

/** Characters for private use are pictures, which nobody writes a line of. */
const isText = (character: number) => character < 0xe000 || (character > 0xf8ff && character < 0xf0000);

/**
 * Hyphens at the end of a line, the ellipsis of text that overflows, and what units are measured by. Browsers take all
 * but the first from the first font of the list that has the space, which stays for that and for text that will have one.
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
  // A page that sets one word with the font will set two, and without the space browsers measure by another font.
  if (wanted.has(space) || wanted.ranges().some(([first]) => isText(first)))
    found.push(space, zero, ellipsis, available.has(hyphen) ? hyphen : hyphenMinus);
  const hasIdeographs = wanted.ranges().some(([first, last]) => isIdeographic(first) || isIdeographic(last));
  if (hasIdeographs && available.has(water) && advanceOf(water) !== 1) found.push(water);
  return found;
}
