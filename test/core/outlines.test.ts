import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { openFont, writeFont } from '#src/core/containers/index.js';
import { drawCff, readCff } from '#src/core/outlines/cff.js';
import {
  coordinatesOf,
  Outline,
  outlinesOf,
  segment,
  svgPathData,
  toTrueType,
} from '#src/core/outlines/index.js';
import { quadraticControls } from '#src/core/outlines/quadratic.js';
import { fontOf, type Font } from '#src/core/sfnt/font.js';
import { cmap, glyf, head, hmtx } from '#src/core/tables/index.js';
import { buildCff, buildCff2, charstring } from '../../test-support/cff.js';
import { buildFont, simpleGlyph } from '../../test-support/fonts.js';
import { filesIn, readSample, sampleFonts } from '../../test-support/paths.js';

const op = (code: number) => ({ op: code });
const endchar = op(14);

/** The path that a charstring draws, with the widths and hints it declares. */
function drawn(code: Uint8Array, parts: Partial<Parameters<typeof buildCff>[0]> = {}) {
  const table = buildCff({ charstrings: [code], ...parts });
  const outline = new Outline();
  const result = drawCff(readCff(fontOf('cff', new Map([['CFF ', table]]))), 0, outline);
  return { path: svgPathData(outline, 2), ...result };
}

/** A font whose outlines are those of a CFF table. */
function withCff(table: Uint8Array): Font {
  const tables = buildFont().tables();
  tables.delete('glyf');
  return fontOf('cff', tables.set('CFF ', table));
}

describe('charstrings', () => {
  test.each<[string, Parameters<typeof charstring>, string]>([
    ['rmoveto and rlineto', [10, 20, op(21), 5, 6, 7, 8, op(5), endchar], 'M10 20L15 26L22 34Z'],
    ['hmoveto and hlineto', [10, op(22), 1, 2, 3, op(6), endchar], 'M10 0L11 0L11 2L14 2Z'],
    ['vmoveto and vlineto', [10, op(4), 1, 2, 3, op(7), endchar], 'M0 10L0 11L2 11L2 14Z'],
    ['rrcurveto', [0, 0, op(21), 1, 2, 3, 4, 5, 6, op(8), endchar], 'M0 0C1 2 4 6 9 12Z'],
    ['rcurveline', [0, op(22), 1, 2, 3, 4, 5, 6, 7, 8, op(24), endchar], 'M0 0C1 2 4 6 9 12L16 20Z'],
    ['rlinecurve', [0, op(22), 7, 8, 1, 2, 3, 4, 5, 6, op(25), endchar], 'M0 0L7 8C8 10 11 14 16 20Z'],
    ['vvcurveto with dx', [0, op(22), 9, 1, 2, 3, 4, op(26), endchar], 'M0 0C9 1 11 4 11 8Z'],
    ['hhcurveto with dy', [0, op(22), 9, 1, 2, 3, 4, op(27), endchar], 'M0 0C1 9 3 12 7 12Z'],
    [
      'hvcurveto, whose last curve leans',
      [0, op(22), 1, 2, 3, 4, 5, 6, 7, 8, 9, op(31), endchar],
      'M0 0C1 0 3 3 3 7C3 12 9 19 17 28Z',
    ],
    ['vhcurveto', [0, op(22), 1, 2, 3, 4, op(30), endchar], 'M0 0C0 1 2 4 6 4Z'],
    ['hflex', [0, op(22), 1, 2, 3, 4, 5, 6, 7, op(1234), endchar], 'M0 0C1 0 3 3 7 3C12 3 18 0 25 0Z'],
    [
      'flex',
      [0, op(22), 1, 1, 1, 1, 1, 1, 1, 1, 1, 1, 1, 1, 50, op(1235), endchar],
      'M0 0C1 1 2 2 3 3C4 4 5 5 6 6Z',
    ],
    [
      'hflex1',
      [0, op(22), 1, 2, 3, 4, 5, 6, 7, 8, 9, op(1236), endchar],
      'M0 0C1 2 4 6 9 6C15 6 22 14 31 0Z',
    ],
    [
      'flex1, which closes in the direction that it doesn’t lead',
      [0, op(22), 1, 0, 1, 2, 1, 0, 1, 0, 1, -1, 7, op(1237), endchar],
      'M0 0C1 0 2 2 3 2C4 2 5 1 12 0Z',
    ],
    ['numbers with a fraction', [0.5, op(22), 1.25, op(6), endchar], 'M0.5 0L1.75 0Z'],
    ['arithmetic', [6, 2, op(1212), 4, op(1224), 1, op(1210), op(22), 1, op(6), endchar], 'M13 0L14 0Z'],
    [
      'storage and the stack',
      [
        7,
        3,
        op(1220),
        1,
        2,
        3,
        3,
        1,
        op(1230),
        op(1218),
        op(1218),
        op(1218),
        3,
        op(1221),
        op(1227),
        op(21),
        1,
        op(6),
        endchar,
      ],
      'M7 7L8 7Z',
    ],
    ['a condition', [5, 9, 1, 2, op(1222), op(22), 1, op(6), endchar], 'M5 0L6 0Z'],
  ])('%s', (_, items, path) => {
    expect(drawn(charstring(...items)).path).toBe(path);
  });

  test('hints are counted, their masks skipped, and the width is told apart', () => {
    const mask = charstring(33, 1, 2, 3, 4, op(18), 5, 6, op(19));
    const rest = charstring(10, op(22), 5, op(6), endchar);
    const code = Uint8Array.from([...mask, 0b10100000, ...rest]);
    expect(drawn(code)).toEqual({ path: 'M10 0L15 0Z', width: 33, stems: 3 });
    expect(drawn(charstring(endchar)).width).toBeUndefined();
    expect(drawn(charstring(-20, endchar)).width).toBe(-20);
  });

  test('subroutines, of the font and of the font DICT that a glyph names', () => {
    const line = (length: number) => charstring(length, op(6), op(11));
    const code = charstring(0, op(22), -107, op(29), -107, op(10), endchar);
    const parts = { globalSubrs: [line(3)], localSubrs: [[line(10)], [line(20)]] };
    for (const format of [0, 3] as const) {
      const table = buildCff({ ...parts, charstrings: [code, code], fontDicts: { select: [0, 1], format } });
      const outlines = outlinesOf(withCff(table));
      const paths = [0, 1].map((glyphId) => svgPathData(outlines.outlineOf(glyphId)));
      expect(paths).toEqual(['M0 0L3 0L13 0Z', 'M0 0L3 0L23 0Z']);
    }
  });

  test('an accented letter put together by endchar', () => {
    const square = charstring(1, op(22), 5, op(6), endchar);
    const accented = charstring(30, 40, 0x41, 0xc1, endchar); // A and grave in the standard encoding
    const table = buildCff({ charstrings: [accented, square, square], charset: [34, 124] });
    const outline = new Outline();
    drawCff(readCff(fontOf('cff', new Map([['CFF ', table]]))), 0, outline);
    expect(svgPathData(outline)).toBe('M1 0L6 0ZM31 40L36 40Z');
  });

  test('CFF2 draws the default instance', () => {
    const outline = new Outline();
    // Two values, then two deltas for each of them.
    const code = charstring(10, 20, 1, 2, 3, 4, 2, op(16), op(21), 5, 50, 60, 1, op(16), op(6));
    drawCff(readCff(fontOf('cff', new Map([['CFF2', buildCff2({ charstrings: [code] }, 2)]]))), 0, outline);
    expect(svgPathData(outline)).toBe('M10 20L15 20Z');
  });

  test.each<[string, Parameters<typeof charstring>, string]>([
    ['an empty stack', [op(10)], 'takes a number from an empty stack'],
    ['a missing subroutine', [5, op(29)], 'object 112 is asked for, but the INDEX has 0'],
    ['endless recursion', [-107, op(10)], 'nests subroutines more than 10 deep'],
    ['an unknown operator', [op(2)], 'operator 2, which is not known'],
    ['a blend without variations', [1, op(16)], 'blends in a font that does not vary'],
    ['a move without numbers', [op(21)], 'gives 0 of 2 numbers'],
  ])('%s is refused', (_, items, reason) => {
    const code = charstring(...items);
    expect(() => drawn(code, { localSubrs: [[code]] })).toThrow(reason);
  });

  test('subroutines that call each other many times come to an end', () => {
    const calls = Array.from({ length: 30 }, () => [-107, op(29)]).flat();
    const levels = Array.from({ length: 9 }, (_, i) =>
      Array.from({ length: 30 }, () => [i - 106, op(29)]).flat(),
    );
    const globalSubrs = [...levels.map((level) => charstring(...level)), charstring(0, op(1218))];
    expect(() => drawn(charstring(...calls), { globalSubrs })).toThrow('does not come to an end');
  });
});

describe('quadratic curves for cubic ones', () => {
  const point = fc.tuple(fc.integer({ min: -1000, max: 2000 }), fc.integer({ min: -1000, max: 2000 }));
  const bezier = (p: readonly number[], t: number, axis: number) => {
    const s = 1 - t;
    return (
      s ** 3 * p[axis] + 3 * s * s * t * p[2 + axis] + 3 * s * t * t * p[4 + axis] + t ** 3 * p[6 + axis]
    );
  };

  test('stay within the tolerance, both ways, and keep the tangents of the ends', () => {
    fc.assert(
      fc.property(fc.tuple(point, point, point, point), fc.constantFrom(0.5, 1, 5), (points, tolerance) => {
        const cubic = points.flat();
        const controls = quadraticControls(cubic, tolerance);
        if (controls.length >= 64) return; // loops and cusps beyond what is cut
        const line = Array.from({ length: 401 }, (_, i) =>
          [0, 1].map((axis) => bezier(cubic, i / 400, axis)),
        );
        for (const [x, y] of splinePoints(cubic, controls)) {
          const away = Math.min(...line.slice(1).map((end, i) => distanceTo(line[i], end, x, y)));
          expect(away).toBeLessThan(tolerance * 1.1 + 0.1); // between our samples, and of the polygon
        }
        const [dx, dy] = [cubic[2] - cubic[0], cubic[3] - cubic[1]];
        const [cx, cy] = [controls[0] - cubic[0], controls[1] - cubic[1]];
        if (controls.length > 2)
          expect(Math.abs(dx * cy - dy * cx)).toBeLessThan(1e-6 * (1 + Math.hypot(dx, dy) ** 2));
      }),
      { numRuns: 60 },
    );
  });

  function distanceTo([x0, y0]: number[], [x1, y1]: number[], x: number, y: number): number {
    const [dx, dy] = [x1 - x0, y1 - y0];
    const along = ((x - x0) * dx + (y - y0) * dy) / (dx * dx + dy * dy || 1);
    const t = Math.min(1, Math.max(0, along));
    return Math.hypot(x0 + t * dx - x, y0 + t * dy - y);
  }

  function splinePoints(cubic: readonly number[], controls: readonly number[]): [number, number][] {
    const points: [number, number][] = [];
    let [x0, y0] = cubic;
    for (let i = 0; i < controls.length; i += 2) {
      const last = i + 2 >= controls.length;
      const [cx, cy] = [controls[i], controls[i + 1]];
      const [x1, y1] = last ? [cubic[6], cubic[7]] : [(cx + controls[i + 2]) / 2, (cy + controls[i + 3]) / 2];
      for (let t = 0; t <= 1; t += 0.25) {
        const s = 1 - t;
        points.push([s * s * x0 + 2 * s * t * cx + t * t * x1, s * s * y0 + 2 * s * t * cy + t * t * y1]);
      }
      [x0, y0] = [x1, y1];
    }
    return points;
  }
});

describe('from CFF to TrueType', () => {
  const { font } = openFont(readSample('LampbuoySlab-Bold.otf'));
  const { font: converted, points } = toTrueType(font);
  const before = outlinesOf(font);
  const after = outlinesOf(converted);

  /** On-curve points in the order in which they are drawn. */
  const ends = (outline: Outline): string[] => {
    const found: string[] = [];
    let at = 0;
    for (const kind of outline.segments) {
      at += coordinatesOf[kind];
      if (kind !== segment.close) found.push(`${outline.coordinates[at - 2]} ${outline.coordinates[at - 1]}`);
    }
    return found;
  };
  /** Twice the area, positive for contours that run counter-clockwise. */
  const area = (outline: Outline): number => {
    const list = ends(outline).map((text) => text.split(' ').map(Number));
    return list.reduce((sum, [x, y], i) => {
      const [nextX, nextY] = list[(i + 1) % list.length];
      return sum + x * nextY - nextX * y;
    }, 0);
  };

  test('every point that was on the curve still is: joins and extrema are kept', () => {
    for (let glyphId = 0; glyphId < before.glyphCount; glyphId++) {
      const kept = new Set(ends(after.outlineOf(glyphId)));
      expect(ends(before.outlineOf(glyphId)).filter((point) => !kept.has(point))).toEqual([]);
    }
  });

  test('contours turn round, names, metrics and counts come along', () => {
    const glyphId = cmap.glyphIdOf(font.table(cmap), 0x49); // I: one contour
    expect(Math.sign(area(before.outlineOf(glyphId)))).toBe(1);
    expect(Math.sign(area(after.outlineOf(glyphId)))).toBe(-1);
    for (let i = 0; i < before.glyphCount; i++) expect(after.nameOf(i)).toBe(before.nameOf(i));
    expect(converted.table(hmtx).advanceWidth).toEqual(font.table(hmtx).advanceWidth);
    expect(points.after).toBeGreaterThan(5000);
    expect(points.before).toBeGreaterThan(points.after / 2);
    const { xMin, yMin, xMax, yMax } = font.table(head);
    expect(converted.table(head)).toMatchObject({ xMin, yMin, xMax, yMax });
  });

  test('a wider tolerance takes fewer points', async () => {
    expect(toTrueType(font, 1 / 200).points.after).toBeLessThan(points.after);
    const written = await writeFont(font, 'ttf', { tolerance: 1 / 200 });
    expect(written.points?.after).toBeLessThan(points.after);
  });

  test('what varies is refused', () => {
    const variable = fontOf('cff', new Map([...font.tables(), ['fvar', new Uint8Array(16)]]));
    expect(() => toTrueType(variable)).toThrow('the font varies with CFF2 outlines');
  });
});

describe('outlines of glyf', () => {
  const square = simpleGlyph([
    [
      [0, 0, true],
      [0, 100, true],
      [100, 100, true],
      [100, 0, true],
    ],
  ]);
  const round = simpleGlyph([
    [
      [0, 50, false],
      [50, 100, false],
      [100, 50, false],
      [50, 0, false],
    ],
  ]);
  const composite = (
    components: [glyphIndex: number, flags: number, a1: number, a2: number, ...rest: number[]][],
  ): glyf.Glyph => ({
    kind: 'composite',
    xMin: 0,
    yMin: 0,
    xMax: 0,
    yMax: 0,
    components: glyf.serialiseComponents(
      components.map(([glyphIndex, flags, argument1, argument2, ...transform], i) => ({
        flags: flags | (i + 1 < components.length ? 0x20 : 0),
        glyphIndex,
        argument1,
        argument2,
        transform: Int16Array.from(transform),
      })),
    ),
  });
  const pathOf = (glyphs: (glyf.Glyph | undefined)[]) =>
    svgPathData(outlinesOf(buildFont({ glyphs })).outlineOf(0));

  test.each([
    ['lines', [square], 'M0 0L0 100L100 100L100 0Z'],
    [
      'a contour without a point on the curve',
      [round],
      'M25 25Q0 50 25 75Q50 100 75 75Q100 50 75 25Q50 0 25 25Z',
    ],
    ['an offset', [composite([[1, 2, 10, 20]]), square], 'M10 20L10 120L110 120L110 20Z'],
    ['a scale', [composite([[1, 10, 10, 0, 8192]]), square], 'M10 0L10 50L60 50L60 0Z'],
    ['a scaled offset', [composite([[1, 0x080a, 10, 0, 8192]]), square], 'M5 0L5 50L55 50L55 0Z'],
    ['a matrix', [composite([[1, 0x82, 0, 0, 0, 16384, -16384, 0]]), square], 'M0 0L-100 0L-100 100L0 100Z'],
    [
      'points that are put together',
      [
        composite([
          [1, 2, 0, 0],
          [1, 0, 2, 0],
        ]),
        square,
      ],
      'M0 0L0 100L100 100L100 0ZM100 100L100 200L200 200L200 100Z',
    ],
  ])('%s', (_, glyphs, path) => {
    expect(pathOf(glyphs)).toBe(path);
  });

  test.each([
    ['a composite of itself', [composite([[0, 2, 0, 0]])], 'components nest more than 16 deep'],
    ['a glyph that is missing', [composite([[9, 2, 0, 0]])], 'there is no such glyph'],
    [
      'components that multiply',
      Array.from({ length: 12 }, (_, i) =>
        i < 11
          ? composite(Array.from({ length: 9 }, () => [i + 1, 2, 0, 0] as [number, number, number, number]))
          : undefined,
      ),
      'it comes to over 8192 components',
    ],
  ])('%s is refused', (_, glyphs, reason) => {
    expect(() => pathOf(glyphs)).toThrow(reason);
  });

  test.each(filesIn(sampleFonts, '.ttf'))('%s has the bounds that its glyphs say', (file) => {
    const { font } = openFont(readSample(file));
    const outlines = outlinesOf(font);
    const xs: number[] = [];
    for (let i = 0; i < outlines.glyphCount; i++) {
      const { segments, coordinates } = outlines.outlineOf(i);
      let at = 0;
      for (const kind of segments) {
        for (let k = at; k < at + coordinatesOf[kind]; k += 2) xs.push(coordinates[k]);
        at += coordinatesOf[kind];
      }
    }
    const { xMin, xMax } = font.table(head);
    expect([Math.min(...xs), Math.max(...xs)]).toEqual([xMin, xMax]);
  });
});
