import { describe, expect, test } from '@jest/globals';
import { readCff } from '#src/core/outlines/cff.js';
import { outlinesOf, svgPathData } from '#src/core/outlines/index.js';
import { fontOf, type Font } from '#src/core/sfnt/font.js';
import { subsetFont, type SubsetOptions } from '#src/core/subset/index.js';
import { parseUnicodeRanges } from '#src/core/text/parse-ranges.js';
import { cmap } from '#src/core/tables/index.js';
import { CodePointSet } from '#src/core/text/code-point-set.js';
import { buildCff, charstring } from '../../test-support/cff.js';
import { buildFont } from '../../test-support/fonts.js';

const cut = (font: Font, text: string, options: Partial<SubsetOptions> = {}) =>
  subsetFont(font, { characters: new CodePointSet(Array.from(text, (c) => c.codePointAt(0)!)), ...options });

describe('CFF', () => {
  const op = (code: number) => ({ op: code });
  const stem = charstring(0, 20, op(1), op(11));
  const line = charstring(30, op(6), op(11));
  const move = charstring(10, 20, op(21), op(11));
  const calling = (local: number) =>
    charstring(0, 20, op(1), 5, 6, op(21), local - 107, op(10), 1 - 107, op(29), op(14));

  function cffFont(parts: Parameters<typeof buildCff>[0], numGlyphs: number): Font {
    const tables = buildFont({ glyphs: Array.from({ length: numGlyphs }, () => undefined) }).tables();
    tables.delete('glyf');
    tables.delete('loca');
    const groups = Uint32Array.of(0x41, 0x41 + numGlyphs - 2, 1);
    const map = cmap.serialise({
      version: 0,
      encodingRecords: [{ platformID: 3, encodingID: 10, subtable: { format: 12, language: 0, groups } }],
    });
    return fontOf('cff', tables.set('CFF ', buildCff(parts)).set('cmap', map));
  }

  test.each(['keep', 'drop'] as const)(
    'subroutines and font DICTs are renumbered, hinting: %s',
    (hinting) => {
      const font = cffFont(
        {
          charstrings: [charstring(op(14)), calling(0), calling(1), calling(2)],
          globalSubrs: [stem, line, move],
          localSubrs: [[line], [stem, line, charstring(-30, op(7), op(11))]],
          fontDicts: { select: [0, 0, 1, 1], format: 3 },
        },
        4,
      );
      for (const text of ['A', 'BC', 'C']) {
        const made = cut(font, text, { hinting }).font;
        const [before, after] = [font, made].map(outlinesOf);
        for (const c of text) {
          const [old, now] = [font, made].map((one) => cmap.glyphIdOf(one.table(cmap), c.codePointAt(0)!));
          expect(svgPathData(after.outlineOf(now))).toBe(svgPathData(before.outlineOf(old)));
        }
      }
    },
  );

  test.each<[string, Uint8Array, Uint8Array]>([
    [
      'stems behind a width go, and the width stays',
      charstring(500, 10, 20, op(1), 5, 6, op(3), 10, 20, op(21), 30, op(6), op(14)),
      charstring(500, 10, 20, op(21), 30, op(6), op(14)),
    ],
    [
      'a subroutine whose number is computed is drawn in its place',
      charstring(10, 20, op(21), -53, -54, op(1210), op(10), 40, op(7), op(14)),
      Uint8Array.of(139 + 10, 139 + 20, 21, 139 + 30, 139, 5, 139, 139 + 40, 5, 14),
    ],
  ])('%s', (_, before, after) => {
    const font = cffFont({ charstrings: [charstring(op(14)), before], localSubrs: [[line]] }, 2);
    expect(readCff(cut(font, 'A').font).charStrings.at(1)).toEqual(after);
  });

  test('fonts of more glyphs than there are standard names become keyed by number', () => {
    const charstrings = Array.from({ length: 420 }, (_, i) => charstring(i, 20, op(21), 30, op(6), op(14)));
    const font = cffFont({ charstrings }, 420);
    const made = subsetFont(font, { characters: parseUnicodeRanges('U+41-400') }).font;
    expect(svgPathData(outlinesOf(made).outlineOf(419))).toBe(svgPathData(outlinesOf(font).outlineOf(419)));
    expect(outlinesOf(made).nameOf(419)).toBeUndefined();
  });
});
