import { describe, expect, test } from '@jest/globals';
import { openFont } from '#src/core/containers/index.js';
import { cmap, glyf, maxp } from '#src/core/tables/index.js';
import { sampleFonts } from '../typefaces/families.js';
import { filesIn, readSample, sampleFonts as folder } from '../test-support/paths.js';
import { isThorough } from '../test-support/thorough.js';

/** One of six; the thorough run has all. */
const isChosen = (_: unknown, i: number) => isThorough || i % 6 === 0;

interface Edge {
  x0: number;
  y0: number;
  x1: number;
  y1: number;
}

/** A contour of quadratic curves as short straight edges, and the points that lie on it. */
function edgesOf(points: readonly { x: number; y: number; on: boolean }[]): Edge[] {
  const middle = (a: { x: number; y: number }, b: { x: number; y: number }) => ({
    x: (a.x + b.x) / 2,
    y: (a.y + b.y) / 2,
  });
  const edges: Edge[] = [];
  const first = points.findIndex(({ on }) => on);
  const order = [...points.slice(first), ...points.slice(0, first), points[first]];
  let from = order[0];
  const line = (to: { x: number; y: number }) => {
    edges.push({ x0: from.x, y0: from.y, x1: to.x, y1: to.y });
    from = { ...to, on: true };
  };
  for (let i = 1; i < order.length; i++) {
    if (order[i].on) {
      line(order[i]);
      continue;
    }
    const next = order[i + 1];
    const [start, control, end] = [from, order[i], next.on ? next : middle(order[i], next)];
    for (let step = 1; step <= 12; step++) {
      const t = step / 12;
      const u = 1 - t;
      line({
        x: u * u * start.x + 2 * u * t * control.x + t * t * end.x,
        y: u * u * start.y + 2 * u * t * control.y + t * t * end.y,
      });
    }
    if (next.on) i++;
  }
  return edges;
}

function contoursOf(glyph: glyf.SimpleGlyph) {
  let start = 0;
  return [...glyph.endPtsOfContours].map((end) => {
    const points = Array.from({ length: end + 1 - start }, (_, i) => ({
      x: glyph.xCoordinates[start + i],
      y: glyph.yCoordinates[start + i],
      on: glyph.onCurve[start + i] === 1,
    }));
    start = end + 1;
    return points;
  });
}

/** Winding numbers between the edges along a level line; slivers thinner than rounding are left out. */
function windings(edges: readonly Edge[], y: number): Set<number> {
  const crossings = edges
    .filter(({ y0, y1 }) => y0 <= y !== y1 <= y)
    .map(({ x0, y0, x1, y1 }) => ({ x: x0 + ((y - y0) / (y1 - y0)) * (x1 - x0), way: y1 > y0 ? 1 : -1 }))
    .sort((a, b) => a.x - b.x);
  const found = new Set<number>();
  let winding = 0;
  crossings.forEach(({ x, way }, i) => {
    winding += way;
    if (i + 1 < crossings.length && crossings[i + 1].x - x > 2) found.add(winding);
  });
  return found;
}

describe('the sample typefaces', () => {
  test.each([...sampleFonts].filter(isChosen))('%s is drawn again byte for byte', (file, draw) => {
    expect(Buffer.compare(draw(), readSample(file))).toBe(0);
  });

  test('all of them are drawn by the program', () => {
    expect(filesIn(folder, 'tf')).toEqual([...sampleFonts.keys()].sort());
  });

  test.each([...sampleFonts.keys()])('%s has the characters that the sample site needs', (file) => {
    const characters = new Set(
      [...cmap.mappingsOf(openFont(readSample(file)).font.table(cmap))].map(([c]) => c),
    );
    const ranges = [
      [0x20, 0x7e],
      [0xa0, 0x17f],
      [0x386, 0x386],
      [0x388, 0x38a],
      [0x391, 0x3a1],
      [0x3a3, 0x3ce],
      [0x2190, 0x2199],
    ];
    const missing = ranges.flatMap(([first, last]) =>
      Array.from({ length: last - first + 1 }, (_, i) => first + i).filter((c) => !characters.has(c)),
    );
    // U+0149 is deprecated, U+038B, U+038D and U+03A2 are not assigned or lie in between.
    expect(missing.map((c) => c.toString(16))).toEqual([]);
    for (const character of '€£₺₽–—‘’“”„…•†') expect(characters).toContain(character.codePointAt(0));
  });

  const statics = [...sampleFonts.keys()].filter((file) =>
    /-(Regular|Bold|Italic|BoldItalic)\.ttf$/.test(file),
  );
  test.each(statics.filter(isChosen))(
    '%s has clean outlines: one layer, filled clockwise, points at the extrema',
    (file) => {
      const { font } = openFont(readSample(file));
      const table = font.table(glyf);
      const { numGlyphs } = font.table(maxp);
      const faults: string[] = [];
      for (let glyphId = 0; glyphId < numGlyphs; glyphId++) {
        const glyph = glyf.glyphOf(table, glyphId);
        if (glyph?.kind !== 'simple') continue;
        const contours = contoursOf(glyph);
        const edges = contours.flatMap(edgesOf);
        for (let y = glyph.yMin + 3.37; y < glyph.yMax; y += 11.13) {
          for (const winding of windings(edges, y)) {
            // Clockwise contours count 1 to the right of a rising edge.
            if (winding !== 0 && winding !== 1)
              faults.push(`glyph ${glyphId} at ${y.toFixed(0)}: winding ${winding}`);
          }
        }
        for (const points of contours) {
          const on = points.filter((point) => point.on);
          for (const axis of ['x', 'y'] as const) {
            const reach = (list: typeof points) => [
              Math.min(...list.map((p) => p[axis])),
              Math.max(...list.map((p) => p[axis])),
            ];
            const [all, onCurve] = [reach(points), reach(on)];
            if (Math.abs(all[0] - onCurve[0]) > 1 || Math.abs(all[1] - onCurve[1]) > 1)
              faults.push(`glyph ${glyphId}: ${axis} extremum`);
          }
        }
      }
      expect(faults).toEqual([]);
    },
  );
});
