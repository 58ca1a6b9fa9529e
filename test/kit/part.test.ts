import { describe, expect, test } from '@jest/globals';
import { openFont } from '#src/core/containers/index.js';
import { outlinesOf, svgPathData } from '#src/core/outlines/index.js';
import { fontOf, type Font } from '#src/core/sfnt/font.js';
import { nameID, nameOf } from '#src/core/tables/name.js';
import { fvar, name, os2 } from '#src/core/tables/index.js';
import type { CutFace } from '#src/kit/planning/cut.js';
import { makePart } from '#src/kit/planning/parts.js';
import { buildCff2, charstring } from '../../test-support/cff.js';
import { buildFont } from '../../test-support/fonts.js';
import { readSample } from '../../test-support/paths.js';

const faceOf = (font: Font, weight: [number, number]) =>
  ({
    family: 'Harbour',
    weight,
    style: 'normal',
    stretch: [100, 100],
    source: { font, dropped: [] },
  }) as unknown as CutFace;

describe('a part in an older format', () => {
  const { font: variable } = openFont(readSample('FerrywakeSans-Variable.ttf'));

  test.each(['woff', 'ttf', 'eot'] as const)(
    '%s of a variable font is its default instance',
    async (format) => {
      const part = await makePart(faceOf(variable, [300, 800]), format);
      const { font } = openFont(part.bytes);
      expect(font.tags.filter((tag) => ['fvar', 'gvar', 'HVAR', 'STAT'].includes(tag))).toEqual([]);
      expect(part.findings.map(({ message }) => message)).toContain(
        'left out variations, which the browsers that take this format do not know',
      );
      expect(part.file).toMatch(new RegExp(`^faces/harbour-300-800n-whole-[0-9a-f]{8}\\.${format}$`));
      const glyph = 40;
      expect(svgPathData(outlinesOf(font).outlineOf(glyph))).toBe(
        svgPathData(outlinesOf(variable).outlineOf(glyph)),
      );
    },
  );

  test('EOT is linked by the names inside', async () => {
    const part = await makePart(
      faceOf(openFont(readSample('FerrywakeSans-Bold.ttf')).font, [700, 700]),
      'eot',
    );
    const { font } = openFont(part.bytes);
    expect(nameOf(font.table(name), nameID.fullName)).toBe('Harbour Bold');
    expect(font.table(os2).usWeightClass).toBe(700);
    expect(part.findings.map(({ message }) => message)).toContain(
      'name 1: "Ferrywake Sans" became "Harbour"',
    );
  });

  test('CFF2, which old browsers don’t know, becomes TrueType', async () => {
    const blended = charstring(10, 20, 1, 2, 2, { op: 16 }, { op: 21 }, 50, { op: 6 }, 60, { op: 7 });
    const tables = buildFont().tables();
    for (const tag of ['glyf', 'loca']) tables.delete(tag);
    tables.set('CFF2', buildCff2({ charstrings: [blended, blended, blended] }, 1));
    const axis = {
      axisTag: 'wght',
      minValue: 100,
      defaultValue: 400,
      maxValue: 900,
      flags: 0,
      axisNameID: 256,
    };
    tables.set('fvar', fvar.serialise({ axes: [axis], instances: [] }));
    const source = fontOf('cff', tables);
    const { font } = openFont((await makePart(faceOf(source, [100, 900]), 'woff')).bytes);
    expect([font.has('glyf'), font.has('CFF2')]).toEqual([true, false]);
    expect(svgPathData(outlinesOf(font).outlineOf(1))).toBe('M10 20L60 80L60 20Z');
    expect(openFont((await makePart(faceOf(source, [100, 900]), 'woff2')).bytes).font.has('CFF2')).toBe(true);
  });
});
