import type { Font } from '../sfnt/font.js';
import { cmap, glyf } from '../tables/index.js';
import type { CodePointSet } from '../text/code-point-set.js';

interface Alphabet {
  /** Code points whose glyphs are fitted by the letters, the last included. */
  ranges: readonly (readonly [first: number, last: number])[];
  letters: string;
}

/**
 * What is measured of each alphabet: flat and round capitals, small letters of all heights and depths, and digits, which are
 * made equally wide where all of them are. Signs are fitted as Latin letters are.
 */
const alphabets: readonly Alphabet[] = [
  { ranges: [[0x21, 0x10ffff]], letters: 'THEZOCQSLUfijkdbhuvxzoescnrpqgy0123456789' },
  {
    ranges: [
      [0xb2, 0xb3],
      [0xb9, 0xb9],
      [0x2b0, 0x2b8],
      [0x1d2c, 0x1dbf],
      [0x2070, 0x209c],
    ],
    letters: '⁰¹²³⁴⁵⁶⁷⁸⁹ⁱⁿ₀₁₂₃₄₅₆₇₈₉',
  },
  {
    ranges: [
      [0x370, 0x3ff],
      [0x1f00, 0x1fff],
    ],
    letters: 'ΓΒΕΖΘΟΩΔΞβθδζλξαειοπστωγημρφχψ',
  },
  { ranges: [[0x400, 0x52f]], letters: 'БВЕПЗОСЭШхпншезосруф' },
  { ranges: [[0x5d0, 0x5ea]], letters: 'בדהחךכםסטצקןףץ' },
];

/**
 * Letters by which WebKitGTK, and other browsers on Linux at some settings, fit all glyphs of a font to the pixel grid
 * where it has no instructions for that, and other characters of the same glyphs. Without them edges and advances move
 * by fractions of a pixel.
 *
 * @param wanted what will be drawn
 */
export function fittedLetters(font: Font, wanted: CodePointSet): number[] {
  if (!font.has(glyf.tag) || font.has('fpgm') || font.has('prep')) return [];
  const table = font.table(cmap);
  const glyphs = new Set<number>();
  // A glyph is fitted by the alphabets of all characters that have it: a semicolon is Greek where it asks questions too.
  for (const [character, glyphId] of cmap.mappingsOf(table)) if (wanted.has(character)) glyphs.add(glyphId);
  const alike: number[] = [];
  for (const [character, glyphId] of cmap.mappingsOf(table)) if (glyphs.has(glyphId)) alike.push(character);
  const measured = alphabets.filter(({ ranges }) =>
    ranges.some(([first, last]) => wanted.countIn(first, last) > 0),
  );
  return [
    ...alike,
    ...measured.flatMap(({ letters }) => Array.from(letters, (letter) => letter.codePointAt(0)!)),
  ];
}
