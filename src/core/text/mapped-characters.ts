import type { Font } from '../sfnt/font.js';
import * as cmap from '../tables/cmap.js';
import { CodePointSet } from './code-point-set.js';

/** The characters that a font maps; none without a cmap. */
export function mappedCharacters(font: Font): CodePointSet {
  const characters = new CodePointSet();
  const table = font.optional(cmap);
  if (table) cmap.eachRangeOf(table, (first, last) => characters.addRange(first, last));
  return characters;
}
