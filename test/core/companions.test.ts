import { expect, test } from '@jest/globals';
import { openFont } from '#src/core/containers/index.js';
import { fontOf, type Font } from '#src/core/sfnt/font.js';
import { subsetFont } from '#src/core/subset/index.js';
import { cmap } from '#src/core/tables/index.js';
import { CodePointSet } from '#src/core/text/code-point-set.js';
import { words } from '../../test-support/fonts.js';
import { readSample } from '../../test-support/paths.js';

const sans = openFont(readSample('FerrywakeSans-Regular.ttf')).font;

const companionsIn = (font: Font, text: string) =>
  subsetFont(font, { characters: CodePointSet.ofText(text) }).characters.companions;

/** A cmap that gives characters the glyphs from 1 on, or those named. */
function mapping(codePoints: readonly number[], glyphs = codePoints.map((_, i) => i + 1)): Uint8Array {
  const groups = Uint32Array.from(codePoints.flatMap((c, i) => [c, c, glyphs[i]]));
  const subtable = { format: 12, language: 0, groups } as const;
  return cmap.serialise({ version: 0, encodingRecords: [{ platformID: 3, encodingID: 10, subtable }] });
}

test.each<[string, mapped: number[], text: string, companions: number[]]>([
  [
    'letters that text shaping composes, though Unicode does not',
    [0x5d9, 0x5b4, 0x9af, 0x9bc, 0x9df, 0xfb1d, 0xfb2a],
    '\u05d9\u05b4\u09af\u09bc',
    [0x9df, 0xfb1d],
  ],
  [
    'Hangul syllables of letters',
    [0x1100, 0x1161, 0x11a8, 0xac00, 0xac01, 0xac1c],
    '\u1100\u1161\u11a8',
    [0xac00, 0xac01],
  ],
  ['a Hangul syllable that a letter ends', [0x11a8, 0xac00, 0xac01], '\uac00\u11a8', [0xac01]],
  ['letters in their joined forms', [0x641, 0xfb56, 0xfed1, 0xfed2, 0xfed5], '\u0641', [0xfed1, 0xfed2]],
  ['the joined form of a letter with a mark', [0x622, 0xfe81, 0xfe82, 0xfe83], '\u0622', [0xfe81, 0xfe82]],
  [
    'an eta with its accent, as WebKit makes capitals of text',
    [0x301, 0x302, 0x389, 0x397],
    'Ή',
    [0x301, 0x397],
  ],
  ['what is mirrored beside letters from right to left', [0x28, 0x29, 0x5d0], '\u05d0(', [0x29]],
  ['beside those of any script that is written so', [0x28, 0x29, 0x109b5], '\u{109b5}(', [0x29]],
  ['after a control that turns text', [0x28, 0x29, 0x61, 0x202e], 'a(\u202e', [0x29]],
  ['not beside letters from left to right', [0x28, 0x29, 0x61], 'a(', []],
  ['what WebKit draws soft hyphens and joiners with', [0x61, 0xad, 0x200b, 0x200d], 'a\u00ad', [0x200b]],
  ['all joined forms where U+0000 is mapped', [0, 0x641, 0xfed2, 0xfed5], '\u0641', [0, 0xfed2, 0xfed5]],
])('%s', (_, mapped, text, companions) => {
  const font = fontOf('truetype', sans.tables().set('cmap', mapping(mapped)));
  expect(companionsIn(font, text)).toEqual(companions);
});

test.each<[string, Font, 'keep' | 'drop', string]>([
  ['fonts without instructions keep with the fit to the pixel grid', sans, 'keep', 'HOovg079Ωπ'],
  // Zero is what `ch` is measured by.
  ['are not kept without it', sans, 'drop', '0'],
  ['fonts with instructions need not', fontOf('truetype', sans.tables().set('prep', words(0))), 'keep', '0'],
])('letters that others are fitted by: %s', (_, font, hinting, letters) => {
  const { companions } = subsetFont(font, { characters: CodePointSet.ofText('1ώ'), hinting }).characters;
  const kept = Array.from('HOovg079ΩπБ').filter((letter) => companions.includes(letter.codePointAt(0)!));
  expect(kept.join('')).toBe(letters);
});

test('a glyph of several characters is fitted as all of them', () => {
  const font = fontOf('truetype', sans.tables().set('cmap', mapping([0x3b, 0x37e, 0x4d1], [1, 1, 2])));
  const characters = CodePointSet.ofText(';');
  expect(subsetFont(font, { characters, hinting: 'keep' }).characters.companions).toEqual([0x37e]);
});

/** A GSUB of one feature, without lookups, for Arabic. */
const arabicWith = (feature: string) =>
  words(
    ...[1, 0, 10, 30, 42],
    ...[1, 0x6172, 0x6162, 8, 4, 0, 0, 0xffff, 1, 0],
    ...[1, ...[0, 2].map((i) => (feature.charCodeAt(i) << 8) | feature.charCodeAt(i + 1)), 8, 0, 0],
    0,
  );

test.each([
  ['liga', [0xfed1, 0xfed2]],
  ['init', []],
  ['isol', []],
])('joined forms of a font whose GSUB has %s', (feature, companions) => {
  const tables = sans.tables().set('cmap', mapping([0x641, 0xfed1, 0xfed2]));
  const font = fontOf('truetype', tables.set('GSUB', arabicWith(feature)));
  expect(companionsIn(font, '\u0641')).toEqual(companions);
});

test.each<[string, string, string]>([
  ['a space, and what lines end with and are measured by', 'Ahoy', ' 0‐…'],
  ['what lines end with, with the space', 'Ahoy there', '0‐…'],
  ['a hyphen where a word may be cut', 'Ahoy\u00ad', ' 0‐…'],
  ['letters that browsers compose', 'aeo\u0308', ' 0äëö‐…'],
  ['letters and marks that a composed letter is taken apart to', 'ä\u0308', ' 0a‐…'],
])('companions: %s', (_, text, expected) => {
  expect(String.fromCodePoint(...companionsIn(sans, text))).toBe(expected);
});
