import { expect, test } from '@jest/globals';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { openFont } from '#src/core/containers/index.js';
import { readLayoutTable } from '#src/core/layout/layout-table.js';
import { fontOf, type Font } from '#src/core/sfnt/font.js';
import { isWantedFeature } from '#src/core/subset/features.js';
import { glyphsFor, mappingsFor } from '#src/core/subset/glyphs.js';
import { subsetFont } from '#src/core/subset/index.js';
import { cmap } from '#src/core/tables/index.js';
import { CodePointSet } from '#src/core/text/code-point-set.js';
import { readSample, vendorFonts } from '../../test-support/paths.js';

const sans = openFont(readSample('FerrywakeSans-Regular.ttf')).font;
const mapped = new Map(cmap.mappingsOf(sans.table(cmap)));

/** The font with characters beside its own. */
function withCharacters(more: readonly [codePoint: number, glyphId: number][]): Font {
  const groups = [...mapped, ...more].sort(([a], [b]) => a - b).flatMap(([c, glyphId]) => [c, c, glyphId]);
  const subtable = { format: 12, language: 0, groups: Uint32Array.from(groups) } as const;
  const table = { version: 0, encodingRecords: [{ platformID: 3, encodingID: 10, subtable }] };
  return fontOf('truetype', sans.tables().set('cmap', cmap.serialise(table)));
}

function ligatureOf(text: string): number {
  const characters = CodePointSet.ofText(text);
  const own = [...mapped.values()];
  return glyphsFor(
    sans,
    mappingsFor(sans, characters),
    characters,
    readLayoutTable(sans, 'GSUB'),
    isWantedFeature(undefined, characters),
  ).find((glyph) => glyph !== 0 && !own.includes(glyph))!;
}

/** What is kept beside the text. */
const besides = (font: Font, text: string, hinting: 'keep' | 'drop') =>
  String.fromCodePoint(
    ...subsetFont(font, { characters: CodePointSet.ofText(text), hinting }).characters.companions,
  ).trim();

test('in a font without instructions the letters that are measured stay, and all characters of its glyphs', () => {
  const omega = mapped.get(0x3c9)!;
  const font = withCharacters([
    [0xfb01, ligatureOf('fi')],
    [0x1d6da, omega],
    [0x1d6db, mapped.get(0x3be)!],
  ]);
  expect(besides(font, 'fi', 'drop')).toBe('0‐…'); // which any text may have
  expect(besides(font, 'fi', 'keep')).toMatch(/^-0123456789C.*z.*ﬁ$/); // which tells that its glyph is Latin
  expect(besides(font, 'ω', 'keep')).toMatch(/^-0.*z.*ΒΓΔ.*χψ.*\u{1d6da}\u{1d6db}$/u);
});

test('in a font with instructions nothing is measured', () => {
  const katex = openFont(readFileSync(join(vendorFonts, 'KaTeX_Main-Regular.ttf'))).font;
  expect(besides(katex, 'fi', 'keep')).toBe(besides(katex, 'fi', 'drop'));
});

test.each([
  ['Arabic', 'ج', 'ل'],
  ['a joined form of Arabic', 'ﺞ', 'ل'],
  ['Bengali', 'ক', '০'],
  ['Adlam, beyond 16 bits', '\u{1e900}', '\u{1e90c}'],
])('%s is measured by letters of its own', (_, text, letter) => {
  const font = withCharacters(Array.from(text + letter, (c, i) => [c.codePointAt(0)!, i + 1]));
  expect(besides(font, text, 'keep')).toContain(letter);
  expect(besides(font, 'a', 'keep')).not.toContain(letter);
});
