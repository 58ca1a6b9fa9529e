import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { brotliCompressSync, constants } from 'node:zlib';
import { Reader } from '#src/core/bytes/reader.js';
import { Writer } from '#src/core/bytes/writer.js';
import { openFont, writeFont, type FontFormat } from '#src/core/containers/index.js';
import * as numbers from '#src/core/containers/woff2/numbers.js';
import type { Font } from '#src/core/sfnt/font.js';
import { subsetFont } from '#src/core/subset/index.js';
import { glyf, head, hmtx } from '#src/core/tables/index.js';
import { CodePointSet } from '#src/core/text/code-point-set.js';
import { differing, glyphsOf } from '../../test-support/comparison.js';
import { buildFont, simpleGlyph } from '../../test-support/fonts.js';
import { readSample } from '../../test-support/paths.js';
import { streamOf } from '../../test-support/woff2.js';

const written = async (font: Font, format: FontFormat) => (await writeFont(font, format)).bytes;
const reopened = async (font: Font, format: FontFormat) => openFont(await written(font, format));

describe('the WOFF2 transforms', () => {
  const coordinate = fc.oneof(
    fc.integer({ min: -70, max: 70 }),
    fc.integer({ min: -1300, max: 1300 }),
    fc.integer({ min: -16000, max: 16000 }),
  );
  const contour = fc.array(fc.tuple(coordinate, coordinate, fc.boolean()), { minLength: 1, maxLength: 40 });
  const simple = fc
    .tuple(
      fc.array(contour, { minLength: 1, maxLength: 6 }),
      fc.uint8Array({ maxLength: 300 }),
      fc.boolean(),
      fc.boolean(),
    )
    .map(([contours, instructions, overlapSimple, shifted]): glyf.Glyph => {
      const glyph = simpleGlyph(contours, { instructions, overlapSimple });
      return shifted ? { ...glyph, yMax: glyph.yMax + 1 } : glyph; // bounds that don't follow from the points
    });
  const composite = fc
    .tuple(fc.integer({ min: -200, max: 200 }), fc.uint8Array({ minLength: 1, maxLength: 20 }), fc.boolean())
    .map(([offset, instructions, instructed]): glyf.Glyph => ({
      kind: 'composite',
      xMin: -5,
      yMin: -6,
      xMax: 7,
      yMax: 8,
      components: glyf.serialiseComponents([
        { flags: 0x0023, glyphIndex: 0, argument1: offset, argument2: -offset, transform: new Int16Array(0) },
        {
          flags: instructed ? 0x0108 | 2 : 0x0008 | 2,
          glyphIndex: 1,
          argument1: -3,
          argument2: 3,
          transform: Int16Array.of(8192),
        },
      ]),
      ...(instructed ? { instructions } : {}),
    }));
  const glyphs = fc.array(fc.option(fc.oneof(simple, composite), { nil: undefined }), {
    minLength: 1,
    maxLength: 12,
  });

  test('any glyphs and side bearings come back', async () => {
    await fc.assert(
      fc.asyncProperty(
        glyphs,
        fc.array(fc.integer({ min: -500, max: 500 }), { minLength: 12, maxLength: 12 }),
        fc.boolean(),
        async (list, bearings, odd) => {
          for (const glyph of list) {
            if (glyph) expect(glyf.serialisedSize(glyph)).toBe(glyf.serialiseGlyph(glyph).length);
          }
          const font = buildFont({
            glyphs: list,
            ...(odd ? { leftSideBearing: bearings.slice(0, list.length) } : {}),
          });
          const { font: again } = await reopened(font, 'woff2');
          expect(glyphsOf(again)).toEqual(glyphsOf(font));
          expect(again.table(hmtx)).toEqual(font.table(hmtx));
          expect(differing(font, again)).toEqual(['head']);
        },
      ),
      { numRuns: 200 },
    );
  });

  test('side bearings that follow from the outlines are left out', async () => {
    const list = Array.from({ length: 40 }, (_, i) =>
      simpleGlyph([
        [
          [i * 37, 0, true],
          [900, 7, true],
          [900, 300 + i, true],
        ],
      ]),
    );
    const follows = await written(buildFont({ glyphs: list }), 'woff2');
    const differs = await written(
      buildFont({ glyphs: list, leftSideBearing: list.map((_, i) => i * 31 - 4) }),
      'woff2',
    );
    expect(follows.length).toBeLessThan(differs.length - 20);
  });

  test('glyphs too large for short offsets once they are aligned get long ones', async () => {
    const points = Array.from({ length: 12 }, (_, i): [number, number, boolean] => [
      i * 61,
      (i * 97) % 800,
      true,
    ]);
    const glyph = simpleGlyph([points]);
    const short = 4 - ((glyf.serialiseGlyph(glyph).length + 2) % 4);
    const list = Array.from({ length: 9000 }, () => ({ ...glyph, instructions: new Uint8Array(short) }));
    const length = glyf.serialiseGlyph(list[0]).length;
    expect(length % 4).toBe(2);
    // On even offsets all of them fit into 131070 bytes; on multiples of four they don't.
    const font = buildFont({ glyphs: list.slice(0, Math.floor(131070 / length)), alignment: 2 });
    const { font: again } = await reopened(font, 'woff2');
    expect([font.table(head).indexToLocFormat, again.table(head).indexToLocFormat]).toEqual([0, 1]);
    expect(glyphsOf(again)).toEqual(glyphsOf(font));
  });

  test.each([
    ['FerrywakeSans-Regular.ttf', 3, 0],
    ['FerrywakeSans-Regular.ttf', 20, 0],
    ['FerrywakeSans-Regular.ttf', 60, 3],
    ['FerrywakeSans-Variable.ttf', 1000, 0],
  ])(
    'the stream of %s with %d characters comes within %d percent of what Brotli makes of it at its best',
    async (file, count, percent) => {
      const { font } = openFont(readSample(file));
      const characters = new CodePointSet(Array.from({ length: count }, (_, i) => 0x41 + i));
      const { font: small } = subsetFont(font, { characters, hinting: 'drop' });
      const { compressed, stream } = streamOf(await written(small, 'woff2'));
      const params = { [constants.BROTLI_PARAM_QUALITY]: constants.BROTLI_MAX_QUALITY };
      expect(compressed.length).toBeLessThanOrEqual(
        brotliCompressSync(stream, { params }).length * (1 + percent / 100),
      );
    },
  );

  test.each([0, 1, 127, 128, 16383, 16384, 0xffffffff])('UIntBase128 %d', (value) => {
    const writer = new Writer();
    numbers.writeUIntBase128(writer, value);
    expect(numbers.readUIntBase128(new Reader(writer.bytes(), 'test'))).toBe(value);
  });

  test('255UInt16 takes one byte for most numbers, and all come back', () => {
    for (let value = 0; value <= 0xffff; value += value < 1100 ? 1 : 97) {
      const writer = new Writer();
      numbers.write255UInt16(writer, value);
      expect(writer.length).toBe(value < 253 ? 1 : value < 762 ? 2 : 3);
      expect(numbers.read255UInt16(new Reader(writer.bytes(), 'test'))).toBe(value);
    }
  });
});

test('a digital signature is left out of WOFF2 and the report says so', async () => {
  const font = buildFont({
    extra: [
      ['DSIG', new Uint8Array(8)],
      ['ZZZZ', Uint8Array.of(1, 2, 3)],
    ],
  });
  const { bytes, dropped } = await writeFont(font, 'woff2');
  expect(dropped).toEqual([expect.stringContaining('DSIG')]);
  expect(openFont(bytes).font.has('DSIG')).toBe(false);
  expect(openFont(bytes).font.bytesOf('ZZZZ')).toEqual(Uint8Array.of(1, 2, 3));
});
