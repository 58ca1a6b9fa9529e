import type { Font } from '../sfnt/font.js';
import { cmap, glyf } from '../tables/index.js';
import type { CodePointSet } from '../text/code-point-set.js';

interface Alphabet {
  letters: string;
  /** First and last of each range of code points whose glyphs are fitted by the letters. */
  ranges: readonly number[];
}

/**
 * What is measured of each alphabet: flat and round capitals, small letters of all heights and depths, a letter for the
 * width of stems, and digits, which are made equally wide where all of them are. Signs are fitted as Latin letters are,
 * Thaana and N’Ko as Arabic ones. They were found by drawing: handfuls of characters of fonts that have their
 * instructions taken away, with other characters of the font and without them.
 */
const alphabets: readonly Alphabet[] = [
  { letters: 'THEZOCQSLUfijkdbhuvxzoescnrpqgy0123456789', ranges: [0x21, 0x10ffff] },
  {
    letters: '⁰¹²³⁴⁵⁶⁷⁸⁹ⁱⁿʳᵒᶜᶻˣ₀₁₂₃₄₅₆₇₈₉ₐₙₒᵣₛᵥₓ',
    ranges: [0xaa, 0xaa, 0xb2, 0xb3, 0xb9, 0xba, 0x2b0, 0x2b8, 0x2e0, 0x2e4, 0x1d2c, 0x1dbf, 0x2070, 0x209c],
  },
  { letters: 'ΓΒΕΖΘΟΩΔΞβθδζλξαειοπστωγημρφχψ', ranges: [0x370, 0x3ff, 0x1f00, 0x1fff] },
  { letters: 'БВЕПЗОСЭШхпншезосруф', ranges: [0x400, 0x52f] },
  { letters: 'בדהחךכםנסטצקןףץ', ranges: [0x590, 0x5ff, 0xfb1d, 0xfb4f] },
  { letters: 'Ոսրօ', ranges: [0x530, 0x58f, 0xfb13, 0xfb17] },
  {
    letters: 'اكل',
    ranges: [0x600, 0x6ff, 0x750, 0x7ff, 0x870, 0x8ff, 0xfb50, 0xfdff, 0xfe70, 0xfeff, 0x1ee00, 0x1eeff],
  },
  { letters: 'ठुौ', ranges: [0x900, 0x97f, 0xa8e0, 0xa8ff] },
  { letters: 'ঁলড়০', ranges: [0x980, 0x9ff] },
  { letters: 'ਗਠਰ੦', ranges: [0xa00, 0xa7f] },
  { letters: 'અઆઋછટનરાુ૦', ranges: [0xa80, 0xaff] },
  { letters: 'ୃ', ranges: [0xb00, 0xb7f] },
  { letters: 'ஐபாுேொ௦', ranges: [0xb80, 0xbff] },
  { letters: 'ర౦', ranges: [0xc00, 0xc7f] },
  { letters: '೦', ranges: [0xc80, 0xcff] },
  { letters: 'ഠലീ', ranges: [0xd00, 0xd7f] },
  { letters: 'ටද', ranges: [0xd80, 0xdff] },
  { letters: 'กบปอาำเไ๐', ranges: [0xe00, 0xe7f] },
  { letters: 'ງດຢວ໐', ranges: [0xe80, 0xeff] },
  { letters: 'ဂငဒဗဝ၂၊။ၪ', ranges: [0x1000, 0x109f, 0xa9e0, 0xa9ff, 0xaa60, 0xaa7f] },
  { letters: 'ႶႹეიⴂⴑ', ranges: [0x10a0, 0x10ff, 0x1c90, 0x1cbf, 0x2d00, 0x2d2f] },
  { letters: 'ዐ', ranges: [0x1200, 0x139f, 0x2d80, 0x2ddf, 0xab00, 0xab2f] },
  { letters: 'Ꭴꮥꮻ', ranges: [0x13a0, 0x13ff, 0xab70, 0xabbf] },
  { letters: 'ᑌᓓᕄᕆ', ranges: [0x1400, 0x167f, 0x18b0, 0x18ff] },
  { letters: 'ទា០᧡᧪᧹', ranges: [0x1780, 0x17ff, 0x19e0, 0x19ff] },
  { letters: 'ᡂ', ranges: [0x1800, 0x18af] },
  { letters: 'ᭃ', ranges: [0x1b00, 0x1b7f] },
  { letters: '᮰', ranges: [0x1b80, 0x1bbf] },
  { letters: 'ᱛ', ranges: [0x1c50, 0x1c7f] },
  { letters: 'Ⱅⰲⰵⱄⱚⱛ', ranges: [0x2c00, 0x2c5f] },
  { letters: 'ⲍⲏⲞⲥⳟ', ranges: [0x2c80, 0x2cff] },
  { letters: 'ⵔ', ranges: [0x2d30, 0x2d7f] },
  { letters: 'ꓳ', ranges: [0xa4d0, 0xa4ff] },
  { letters: 'ꔅꘓ', ranges: [0xa500, 0xa63f] },
  { letters: 'ꛁꛯ', ranges: [0xa6a0, 0xa6ff, 0x16800, 0x16a3f] },
  { letters: 'ꢜ꣐', ranges: [0xa880, 0xa8df] },
  { letters: '꤀ꤍ', ranges: [0xa900, 0xa92f] },
  { letters: 'ꪒ', ranges: [0xaa80, 0xaadf] },
  { letters: '𐊫', ranges: [0x102a0, 0x102df] },
  { letters: '𐌴', ranges: [0x10330, 0x1034f] },
  { letters: '𐐄𐐹', ranges: [0x10400, 0x1044f] },
  { letters: '𐑴𐑹𐑺', ranges: [0x10450, 0x1047f] },
  { letters: '𐒀𐒆', ranges: [0x10480, 0x104af] },
  { letters: '𐓂', ranges: [0x104b0, 0x104ff] },
  { letters: '𐠅', ranges: [0x10800, 0x1083f] },
  { letters: '𐬁𐬚', ranges: [0x10b00, 0x10b3f] },
  { letters: '𐰉𐰗', ranges: [0x10c00, 0x10c4f] },
  { letters: '𐴖𐴰', ranges: [0x10d00, 0x10d3f] },
  { letters: '𑄛', ranges: [0x11100, 0x1114f] },
  { letters: '𖹡', ranges: [0x16e40, 0x16e9f] },
  { letters: '𞤌𞤬𞤮', ranges: [0x1e900, 0x1e95f] },
];

/** Whether WebKitGTK, and other browsers on Linux at some settings, fit the glyphs to the pixel grid by letters. */
export const isFittedByLetters = (font: Font): boolean =>
  font.has(glyf.tag) && !font.has('fpgm') && !font.has('prep');

/**
 * Letters by which glyphs without instructions are fitted to the pixel grid. Without them edges and advances move by
 * fractions of a pixel.
 *
 * @param wanted what will be drawn
 */
export function fittedLetters(wanted: CodePointSet): number[] {
  const measured = alphabets.filter(({ ranges }) =>
    ranges.some((first, i) => i % 2 === 0 && wanted.countIn(first, ranges[i + 1]) > 0),
  );
  return measured.flatMap(({ letters }) => Array.from(letters, (letter) => letter.codePointAt(0)!));
}

/** All characters of these glyphs. One may have several: a semicolon is Greek where it asks questions too. */
export function charactersOfGlyphs(font: Font, glyphs: readonly number[]): number[] {
  const wanted = new Set(glyphs);
  const characters: number[] = [];
  for (const [character, glyphId] of cmap.mappingsOf(font.table(cmap))) {
    if (glyphId !== 0 && wanted.has(glyphId)) characters.push(character);
  }
  return characters;
}
