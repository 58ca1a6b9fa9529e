import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { Reader } from '#src/core/bytes/reader.js';
import { overlongKernPairs } from '#src/core/layout/kern.js';
import { cmap, head, maxp } from '#src/core/tables/index.js';
import { parseUnicodeRanges } from '#src/core/text/parse-ranges.js';
import { buildFont, overlongKern, words } from '../../test-support/fonts.js';
import { fontOf } from '#src/core/sfnt/font.js';
import { openFont } from '#src/core/containers/index.js';
import { subsetFont } from '#src/core/subset/index.js';
import { tableTreatments } from '#src/core/subset/tables.js';
import { tableModules } from '#src/core/tables/index.js';
import { CodePointSet } from '#src/core/text/code-point-set.js';
import { readSample } from '../../test-support/paths.js';

const { font } = openFont(readSample('TidelogMono-Regular.ttf'));
const characters = CodePointSet.ofText('Tide');

/** The font with one more table. */
const withTable = (tag: string) => fontOf(font.flavour, font.tables().set(tag, Uint8Array.of(0, 1, 0, 0)));

test('each table has one treatment, and those that are read field by field have one at all', () => {
  const tags = tableTreatments.map(({ tag }) => tag);
  expect(tags).toEqual([...new Set(tags)]);
  expect(tableModules.map(({ tag }) => tag).filter((tag) => !tags.includes(tag))).toEqual([]);
});

test.each(tableTreatments.filter(({ treatment }) => treatment === 'refused').map(({ tag }) => [tag]))(
  'a font with %s is refused',
  (tag) => {
    expect(() => subsetFont(withTable(tag), { characters })).toThrow('cannot be cut down yet');
  },
);

test.each(
  tableTreatments.flatMap((entry) =>
    entry.treatment === 'dropped' && entry.tag !== 'EBDT'
      ? [[entry.tag, entry.silent === true] as const]
      : [],
  ),
)('%s is dropped; without a word: %s', (tag, silent) => {
  const { font: cut, dropped } = subsetFont(withTable(tag), { characters });
  expect(cut.has(tag)).toBe(false);
  expect(dropped).toHaveLength(silent ? 0 : 1);
});

test('a table that nobody knows is dropped with a word', () => {
  const { font: cut, dropped } = subsetFont(withTable('tide'), { characters });
  expect([cut.has('tide'), dropped]).toEqual([false, ['tide: not known to be read by a browser']]);
});

const sans = openFont(readSample('FerrywakeSans-Regular.ttf')).font;

describe('cmap', () => {
  test('maps the wanted characters and no other, whatever their order', () => {
    const glyphs = Array.from({ length: 300 }, () => undefined);
    const base = buildFont({ glyphs: [...glyphs] });
    const codePoint = fc.oneof(
      fc.integer({ min: 0x20, max: 0x200 }),
      fc.constantFrom(0xfffd, 0xffff, 0x1f600, 0x1f601, 0x10fffd),
    );
    const mapping = fc.dictionary(codePoint.map(String), fc.integer({ min: 1, max: 299 }), {
      minKeys: 1,
      maxKeys: 80,
    });
    fc.assert(
      fc.property(mapping, (wanted) => {
        const entries = Object.entries(wanted)
          .map(([c, g]) => [Number(c), g])
          .sort(([a], [b]) => a - b);
        const groups = Uint32Array.from(entries.flatMap(([c, g]) => [c, c, g]));
        const table = cmap.serialise({
          version: 0,
          encodingRecords: [{ platformID: 3, encodingID: 10, subtable: { format: 12, language: 0, groups } }],
        });
        const font = fontOf('truetype', base.tables().set('cmap', table));
        const characters = new CodePointSet(entries.map(([c]) => c));
        const made = subsetFont(font, { characters }).font;
        const order = [...new Set(entries.map(([, g]) => g))].sort((a, b) => a - b);
        const expected = entries.map(([c, g]) => [c, order.indexOf(g) + 1]);
        expect([...cmap.mappingsOf(made.table(cmap))]).toEqual(expected);
      }),
      { numRuns: 60 },
    );
  });
});

test('kerning pairs that are too many for a subtable are spread over several', () => {
  const { numGlyphs } = sans.table(maxp);
  const tables = sans.tables().set('kern', overlongKern(numGlyphs));
  tables.delete('GPOS');
  const font = fontOf('truetype', tables);
  const everything = subsetFont(font, { characters: parseUnicodeRanges('U+0-10FFFF'), features: 'all' });
  expect(everything.glyphs.after).toBe(numGlyphs);
  const kern = new Reader(everything.font.bytesOf('kern'), 'kern').seek(2);
  const [count, length] = [kern.uint16(), kern.skip(2).uint16()];
  expect([count, length]).toEqual([2, 14 + 10_920 * 6]);
  expect(kern.seek(4 + length + 6).uint16()).toBe(80);
  expect(overlongKernPairs(font)).toBe(11_000);
  expect(overlongKernPairs(everything.font)).toBeUndefined();
});

test('vertical metrics, kern and BASE follow the glyphs', () => {
  const { numGlyphs } = sans.table(maxp);
  const vmtx = new Uint8Array(numGlyphs * 4);
  const view = new DataView(vmtx.buffer);
  for (let i = 0; i < numGlyphs; i++) view.setUint16(i * 4, 1000 + i);
  const vhea = new Uint8Array(36);
  new DataView(vhea.buffer).setUint16(34, numGlyphs);
  const [a, b] = [...'ab'].map((c) => cmap.glyphIdOf(sans.table(cmap), c.codePointAt(0)!));
  const kern = words(0, 1, 0, 26, 1, 2, 12, 1, 0, a, b, -10, a, a + 9, 5);
  const base = words(1, 0, 8, 0, 0, 4, 1, 0x4446, 0x4c54, 8, 6, 0, 0, 0, 1, 6, 2, 100, a, 3);
  const tables = sans.tables().set('vmtx', vmtx).set('vhea', vhea).set('kern', kern).set('BASE', base);
  tables.delete('GPOS');
  const made = subsetFont(fontOf('truetype', tables), { characters: CodePointSet.ofText('ab') }).font;
  const now = [...'ab'].map((c) => cmap.glyphIdOf(made.table(cmap), c.codePointAt(0)!));
  const heights = new Reader(made.bytesOf('vmtx'), 'vmtx');
  expect(now.map((glyphId) => heights.seek(glyphId * 4).uint16())).toEqual([1000 + a, 1000 + b]);
  expect(made.bytesOf('kern').subarray(10)).toEqual(words(1, 6, 0, 0, now[0], now[1], -10));
  expect(new Reader(made.bytesOf('BASE'), 'BASE').seek(32).uint16()).toBe(1);
  expect(made.table(head).unitsPerEm).toBe(1000);
});
