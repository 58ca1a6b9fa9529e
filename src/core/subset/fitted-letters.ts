import type { Font } from '../sfnt/font.js';
import { glyf } from '../tables/index.js';
import type { CodePointSet } from '../text/code-point-set.js';

interface Alphabet {
  /** Code points whose glyphs are fitted by the letters, the last included. */
  first: number;
  last: number;
  letters: string;
}

/**
 * What is measured of each alphabet: flat and round capitals, small letters of all heights and depths, and digits, which are
 * made equally wide where all of them are. Signs are fitted as Latin letters are.
 */
const alphabets: readonly Alphabet[] = [
  { first: 0x21, last: 0x10ffff, letters: 'THEZOCQSLUfijkdbhuvxzoescnrpqgy0123456789' },
  { first: 0x370, last: 0x3ff, letters: 'ΓΒΕΖΘΟΩΔΞβθδζλξαειοπστωγημρφχψ' },
  { first: 0x400, last: 0x52f, letters: 'БВЕПЗОСЭШхпншезосруф' },
  { first: 0x5d0, last: 0x5ea, letters: 'בדהחךכםסטצקןףץ' },
];

/**
 * Letters by which WebKitGTK, and other browsers on Linux at some settings, fit all glyphs of a font to the pixel grid
 * where it has no instructions for that. Without them edges and advances move by fractions of a pixel.
 *
 * @param wanted what will be drawn
 */
export function fittedLetters(font: Font, wanted: CodePointSet): number[] {
  if (!font.has(glyf.tag) || font.has('fpgm') || font.has('prep')) return [];
  const measured = alphabets.filter(({ first, last }) => wanted.countIn(first, last) > 0);
  return measured.flatMap(({ letters }) => Array.from(letters, (letter) => letter.codePointAt(0)!));
}
