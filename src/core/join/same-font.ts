// What tells that files are cuts of one font: the tables that a cut leaves as they are

import { bytesKey } from '../bytes/key.js';
import { textKindsOf } from '../subset/companions.js';
import type { Font } from '../sfnt/font.js';
import { cmap, head, hhea, os2, post } from '../tables/index.js';
import { isSymbolOnly } from '../subset/character-map.js';
import { tableTreatments } from '../subset/tables.js';
import { Hindrance, type PartialFont } from './partial-font.js';

/** Tables that hold no glyph numbers, and what differs where they do. */
export const wholeTables: Readonly<Record<string, string>> = {
  fvar: 'their axes differ',
  avar: 'their axes are bent in different ways',
  STAT: 'their styles have different names',
  MVAR: 'their metrics vary in different ways',
  fpgm: 'their instructions differ',
  prep: 'their instructions differ',
  'cvt ': 'the values of their instructions differ',
  cvar: 'the values of their instructions vary in different ways',
  gasp: 'they are smoothed in different ways',
  BASE: 'their baselines differ',
};

/** Tables that speak of glyphs: a font has them for all of its glyphs, or not at all. */
const tablesOfGlyphs = ['gvar', 'HVAR', 'VVAR', 'vmtx', 'VORG'] as const;

/** Fields of OS/2 with a bit for each block or code page that a font is for. */
export const coverageFields = [
  'ulUnicodeRange1',
  'ulUnicodeRange2',
  'ulUnicodeRange3',
  'ulUnicodeRange4',
  'ulCodePageRange1',
  'ulCodePageRange2',
] as const satisfies (keyof os2.Os2)[];

/** Fields of OS/2 that a cut may count anew; all others tell what lines look like. */
const countedAnew: ReadonlySet<string> = new Set<keyof os2.Os2>([
  'xAvgCharWidth',
  ...coverageFields,
  'usFirstCharIndex',
  'usLastCharIndex',
  'usDefaultChar',
  'usBreakChar',
  'usMaxContext',
]);

/** In font units, and what else decides where lines and strokes are. */
function lineMetrics(font: Font): string {
  const { unitsPerEm, macStyle } = font.table(head);
  const { ascender, descender, lineGap } = font.table(hhea);
  const own = font.optional(os2);
  const fields = Object.entries<unknown>({ ...own }).filter(([name]) => !countedAnew.has(name));
  const { italicAngle, underlinePosition, underlineThickness, isFixedPitch } = font.table(post);
  return JSON.stringify([
    [unitsPerEm, macStyle, ascender, descender, lineGap],
    fields.map(([name, value]) => [name, value instanceof Uint8Array ? [...value] : value]),
    [italicAngle, underlinePosition, underlineThickness, isFixedPitch],
  ]);
}

/** @throws Hindrance where files aren't cuts of one font, or of one that can't be put together again yet */
export function refuseOthers(parts: readonly PartialFont[]): void {
  const fonts = parts.map(({ font }) => font);
  for (const { tag, treatment, why } of tableTreatments)
    if (treatment === 'refused' && fonts.some((font) => font.has(tag))) throw new Hindrance(why);
  if (!fonts.every((font) => font.has('glyf')) && !fonts.every((font) => font.has('CFF ')))
    throw new Hindrance('their outlines are of different kinds');
  if (fonts.some((font) => isSymbolOnly(font.table(cmap))))
    throw new Hindrance('they map signs without Unicode');
  refuseDifferent(fonts, lineMetrics, 'their metrics differ');
  for (const [tag, words] of Object.entries(wholeTables))
    refuseDifferent(fonts, (font) => (font.has(tag) ? bytesKey(font.bytesOf(tag)) : undefined), words);
  for (const tag of tablesOfGlyphs)
    refuseDifferent(fonts, (font) => font.has(tag), `some of them have no ${tag} table`);
  for (const tag of ['GSUB', 'GPOS', 'GDEF']) refuseMissing(parts, tag);
  if (parts.some(({ font }) => font.has('kern') && !font.has('GPOS')))
    throw new Hindrance('they kern by a kern table');
}

function refuseDifferent(fonts: readonly Font[], valueOf: (font: Font) => unknown, words: string): void {
  const first = valueOf(fonts[0]);
  if (fonts.some((font) => valueOf(font) !== first)) throw new Hindrance(words);
}

/** Shaping of marks and syllables goes by whether a layout table is there; a cut may have lost an empty one. */
function refuseMissing(parts: readonly PartialFont[], tag: string): void {
  if (!parts.some(({ font }) => font.has(tag))) return;
  for (const { font, characters } of parts) {
    if (font.has(tag)) continue;
    const kinds = textKindsOf(characters);
    if (kinds.marks || kinds.complex || kinds.rightToLeft)
      throw new Hindrance(`one of them that has marks has no ${tag} table`);
  }
}
