import { Writer } from '#src/core/bytes/writer.js';
import { fontOf } from '#src/core/sfnt/font.js';
import { writeSfnt } from '#src/core/sfnt/write.js';
import { fvar, glyf, hmtx, loca } from '#src/core/tables/index.js';
import { ferrywakeSans, type Design } from './design.js';
import { mapContour, reversed, roundContour, type Contour } from './geometry/contour.js';
import { withExtrema, withExtremaTogether } from './geometry/extrema.js';
import {
  toQuadraticEvenly,
  toQuadraticWithin,
  withoutRepeats,
  type QuadraticPoint,
} from './geometry/quadratic.js';
import { union } from './geometry/union.js';
import {
  drawGlyphSet,
  type Composition,
  type GlyphSet,
  type GlyphSetOptions,
  type GlyphShape,
} from './glyph-set.js';
import { cff } from './tables/cff.js';
import { gdef, gpos } from './tables/gpos.js';
import { gsub } from './tables/gsub.js';
import {
  cmapTable,
  headTable,
  hheaTable,
  maxpTable,
  nameTable,
  os2Table,
  postTable,
  type StyleMetrics,
  type StyleNames,
} from './tables/metadata.js';
import { gvar, hvar, stat, type PointDeltas } from './tables/variations.js';

/** Font units that a curve may stray when cubic ones become quadratic. */
const tolerance = 0.5;

interface Bounds {
  xMin: number;
  yMin: number;
  xMax: number;
  yMax: number;
}

const advanceOf = (shape: GlyphShape) =>
  shape.kind === 'drawn' ? shape.drawing.advance : shape.composition.advance;

/** Outlines without overlaps, with points at the extrema, in whole font units. */
function cleanContours(contours: readonly Contour[]): Contour[] {
  return union(contours.map(roundContour)).map((contour) => roundContour(withExtrema(contour)));
}

/** A TTF with one style; outlines don't overlap. */
export function staticTrueType(names: StyleNames, design: Design, options: GlyphSetOptions): Uint8Array {
  const set = drawGlyphSet(design, options);
  const outlines = new Map<string, QuadraticPoint[][]>();
  for (const [name, shape] of set.glyphs) {
    if (shape.kind !== 'drawn') continue;
    const contours = cleanContours(shape.drawing.contours);
    outlines.set(
      name,
      contours.map((contour) => withoutRepeats(toQuadraticWithin(reversed(contour), tolerance))),
    );
  }
  return writeTrueType(names, design, set, outlines, false, new Map());
}

/** A TTF with a weight axis from 300 to 800; outlines may overlap and say so. */
export function variableTrueType(names: StyleNames, italic: boolean, options: GlyphSetOptions): Uint8Array {
  const weights = [400, 300, 800];
  const sets = weights.map((weight) => drawGlyphSet(ferrywakeSans(weight, italic), options));
  const outlines = weights.map(() => new Map<string, QuadraticPoint[][]>());
  for (const name of sets[0].glyphs.keys()) {
    const shapes = sets.map((set) => set.glyphs.get(name)!);
    const drawings = shapes.flatMap((shape) => (shape.kind === 'drawn' ? [shape.drawing.contours] : []));
    if (drawings.length === 0) continue;
    const contours = drawings[0].map((_, i) => withExtremaTogether(drawings.map((list) => list[i])));
    outlines.forEach((map, k) => {
      map.set(
        name,
        contours.map((masters) => toQuadraticEvenly(reversed(masters[k]), 2)),
      );
    });
  }
  const glyphs = [...sets[0].glyphs].map(([name, shape], glyphId) => {
    const deltas = [1, 2].map((k) => {
      const other = sets[k].glyphs.get(name)!;
      const points =
        shape.kind === 'drawn'
          ? differences(outlines[0].get(name)!.flat(), outlines[k].get(name)!.flat(), name)
          : offsetDifferences(shape.composition, (other as GlyphShape & { kind: 'composed' }).composition);
      return withPhantoms(points, advanceOf(other) - advanceOf(shape));
    });
    return { glyphId, deltas: deltas as [PointDeltas, PointDeltas] };
  });
  const advanceDeltas = [...sets[0].glyphs].map(([name, shape]): [number, number] => [
    advanceOf(sets[1].glyphs.get(name)!) - advanceOf(shape),
    advanceOf(sets[2].glyphs.get(name)!) - advanceOf(shape),
  ]);
  const instances = [
    { weight: 300, label: 'Light', nameID: 258 },
    { weight: 400, label: 'Regular', nameID: 2 },
    { weight: 500, label: 'Medium', nameID: 259 },
    { weight: 600, label: 'SemiBold', nameID: 260 },
    { weight: 700, label: 'Bold', nameID: 261 },
    { weight: 800, label: 'ExtraBold', nameID: 262 },
  ];
  const extra = new Map([
    [25, names.postScriptName.replace('-', '')],
    [256, 'Weight'],
    [257, 'Italic'],
    ...instances
      .filter(({ nameID }) => nameID > 255)
      .map(({ nameID, label }) => [nameID, instanceName(label, italic)] as const),
  ]);
  const axes: fvar.VariationAxis[] = [
    { axisTag: 'wght', minValue: 300, defaultValue: 400, maxValue: 800, flags: 0, axisNameID: 256 },
  ];
  const variations = new Map<string, Uint8Array>([
    [
      'fvar',
      fvar.serialise({
        axes,
        instances: instances.map(({ weight, nameID }) => ({
          subfamilyNameID: nameID,
          flags: 0,
          coordinates: [weight],
        })),
      }),
    ],
    ['gvar', gvar(glyphs.map(({ deltas }) => deltas))],
    ['HVAR', hvar(advanceDeltas)],
    [
      'STAT',
      stat(
        instances.map(({ weight, nameID }) => ({
          weight,
          nameID,
          ...(weight === 400 ? { linked: 700 } : {}),
        })),
        { weight: 256, italic: 257 },
        { value: italic ? 1 : 0, nameID: italic ? 257 : 2 },
      ),
    ],
  ]);
  return writeTrueType(names, ferrywakeSans(400, italic), sets[0], outlines[0], true, variations, extra);
}

const instanceName = (label: string, italic: boolean) => (italic ? `${label} Italic` : label);

function differences(
  from: readonly QuadraticPoint[],
  to: readonly QuadraticPoint[],
  name: string,
): PointDeltas {
  if (from.length !== to.length) throw new Error(`${name} has ${from.length} and ${to.length} points`);
  return { x: from.map((point, i) => to[i].x - point.x), y: from.map((point, i) => to[i].y - point.y) };
}

function offsetDifferences(from: Composition, to: Composition): PointDeltas {
  return {
    x: from.parts.map((part, i) => to.parts[i].dx - part.dx),
    y: from.parts.map((part, i) => to.parts[i].dy - part.dy),
  };
}

function withPhantoms({ x, y }: PointDeltas, advance: number): PointDeltas {
  return { x: [...x, 0, advance, 0, 0], y: [...y, 0, 0, 0, 0] };
}

function boundsOf(points: readonly { x: number; y: number }[]): Bounds | undefined {
  if (points.length === 0) return undefined;
  const xs = points.map(({ x }) => x);
  const ys = points.map(({ y }) => y);
  return { xMin: Math.min(...xs), yMin: Math.min(...ys), xMax: Math.max(...xs), yMax: Math.max(...ys) };
}

function writeTrueType(
  names: StyleNames,
  design: Design,
  set: GlyphSet,
  outlines: ReadonlyMap<string, QuadraticPoint[][]>,
  overlapping: boolean,
  variations: ReadonlyMap<string, Uint8Array>,
  extraNames: ReadonlyMap<number, string> = new Map(),
): Uint8Array {
  const order = [...set.glyphs.keys()];
  const glyphIds = new Map(order.map((name, i) => [name, i]));
  const pointsOf = (name: string): { x: number; y: number }[] => {
    const shape = set.glyphs.get(name)!;
    if (shape.kind === 'drawn') return outlines.get(name)!.flat();
    return shape.composition.parts.flatMap(({ glyph, dx, dy }) =>
      pointsOf(glyph).map(({ x, y }) => ({ x: x + dx, y: y + dy })),
    );
  };
  const bounds = order.map((name) => boundsOf(pointsOf(name)));
  const glyfWriter = new Writer(65536);
  const offsets = new Uint32Array(order.length + 1);
  order.forEach((name, i) => {
    const box = bounds[i];
    const shape = set.glyphs.get(name)!;
    if (box) {
      const glyph =
        shape.kind === 'drawn'
          ? simpleGlyph(outlines.get(name)!, box, overlapping)
          : compositeGlyph(shape.composition, box, glyphIds);
      glyfWriter.write(glyf.serialiseGlyph(glyph)).align(4);
    }
    offsets[i + 1] = glyfWriter.length;
  });
  const metrics = metricsOf(set, bounds);
  const indexToLocFormat = glyfWriter.length > loca.maximumShortOffset ? 1 : 0;
  const advanceWidth = Uint16Array.from(metrics.advances);
  const leftSideBearing = Int16Array.from(bounds, (box) => box?.xMin ?? 0);
  const composed = [...set.glyphs.values()].filter((shape) => shape.kind === 'composed');
  const limits = {
    maxPoints: Math.max(...[...outlines.values()].map((contours) => contours.flat().length)),
    maxContours: Math.max(...[...outlines.values()].map((contours) => contours.length)),
    maxCompositePoints: Math.max(...order.map((name) => pointsOf(name).length)),
    maxCompositeContours: 24,
    maxComponentElements: Math.max(...composed.map(({ composition }) => composition.parts.length)),
    maxComponentDepth: 2,
  };
  const codePoints = new Map(
    [...set.characters].map(([codePoint, name]) => [codePoint, glyphIds.get(name)!]),
  );
  const tables = new Map<string, Uint8Array>([
    ['head', headTable(names, metrics, indexToLocFormat)],
    ['hhea', hheaTable(design, metrics, Math.min(...leftSideBearing))],
    ['maxp', maxpTable(order.length, limits)],
    ['OS/2', os2Table(names, design, metrics, [...set.characters.keys()])],
    ['hmtx', hmtx.serialise({ advanceWidth, leftSideBearing })],
    ['cmap', cmapTable(codePoints)],
    ['loca', loca.serialise({ indexToLocFormat, offsets })],
    ['glyf', glyfWriter.bytes()],
    ['name', nameTable(names, extraNames)],
    ['post', postTable(design, order)],
    ['gasp', new Writer(8).uint16(1).uint16(1).uint16(0xffff).uint16(0x000f).bytes()],
    ['GDEF', gdef(set, glyphIds)],
    ['GPOS', gpos(set, glyphIds, !design.fixedAdvance)],
    ['GSUB', gsub(glyphIds)],
    ...variations,
  ]);
  return writeSfnt(fontOf('truetype', tables));
}

function simpleGlyph(contours: QuadraticPoint[][], box: Bounds, overlapSimple: boolean): glyf.SimpleGlyph {
  const points = contours.flat();
  let end = -1;
  return {
    kind: 'simple',
    ...box,
    endPtsOfContours: Uint16Array.from(contours, (contour) => (end += contour.length)),
    instructions: new Uint8Array(0),
    onCurve: Uint8Array.from(points, ({ onCurve }) => (onCurve ? 1 : 0)),
    xCoordinates: Int16Array.from(points, ({ x }) => x),
    yCoordinates: Int16Array.from(points, ({ y }) => y),
    overlapSimple,
  };
}

function compositeGlyph(
  { parts }: Composition,
  box: Bounds,
  glyphIds: ReadonlyMap<string, number>,
): glyf.CompositeGlyph {
  const components = parts.map(({ glyph, dx, dy }, i) => {
    const words = Math.abs(dx) > 127 || Math.abs(dy) > 127;
    const more = i + 1 < parts.length;
    return {
      flags: 0x0002 | 0x0004 | (words ? 0x0001 : 0) | (more ? 0x0020 : 0),
      glyphIndex: glyphIds.get(glyph)!,
      argument1: dx,
      argument2: dy,
      transform: new Int16Array(0),
    };
  });
  return { kind: 'composite', ...box, components: glyf.serialiseComponents(components) };
}

function metricsOf(set: GlyphSet, bounds: readonly (Bounds | undefined)[]): StyleMetrics {
  const advances = [...set.glyphs.values()].map(advanceOf);
  const drawn = bounds.flatMap((box, i) => (box ? [{ ...box, advance: advances[i] }] : []));
  return {
    numGlyphs: advances.length,
    advances,
    xMin: Math.min(...drawn.map(({ xMin }) => xMin)),
    yMin: Math.min(...drawn.map(({ yMin }) => yMin)),
    xMax: Math.max(...drawn.map(({ xMax }) => xMax)),
    yMax: Math.max(...drawn.map(({ yMax }) => yMax)),
    minRightSideBearing: Math.min(...drawn.map(({ advance, xMax }) => advance - xMax)),
    xMaxExtent: Math.max(...drawn.map(({ xMax }) => xMax)),
  };
}

/** An OTF with CFF outlines; composed glyphs are drawn out. */
export function staticCff(names: StyleNames, design: Design, options: GlyphSetOptions): Uint8Array {
  const set = drawGlyphSet(design, options);
  const contoursOf = (name: string): Contour[] => {
    const shape = set.glyphs.get(name)!;
    if (shape.kind === 'drawn') return shape.drawing.contours;
    return shape.composition.parts.flatMap(({ glyph, dx, dy }) =>
      contoursOf(glyph).map((contour) => mapContour(contour, ({ x, y }) => ({ x: x + dx, y: y + dy }))),
    );
  };
  const order = [...set.glyphs.keys()];
  const glyphIds = new Map(order.map((name, i) => [name, i]));
  const glyphs = order.map((name) => ({
    name,
    advance: advanceOf(set.glyphs.get(name)!),
    contours: cleanContours(contoursOf(name)),
  }));
  const bounds = glyphs.map(({ contours }) => boundsOf(toQuadraticPoints(contours)));
  const metrics = metricsOf(set, bounds);
  const fullName = `${names.family} ${names.subfamily}`;
  const outlines = cff(
    glyphs,
    {
      postScriptName: names.postScriptName,
      family: names.family,
      fullName,
      weight: names.subfamily,
      notice: 'Copyright 2026 The Dense Glyph Authors',
    },
    [metrics.xMin, metrics.yMin, metrics.xMax, metrics.yMax],
  );
  const leftSideBearing = Int16Array.from(bounds, (box) => box?.xMin ?? 0);
  const codePoints = new Map(
    [...set.characters].map(([codePoint, name]) => [codePoint, glyphIds.get(name)!]),
  );
  const tables = new Map<string, Uint8Array>([
    ['head', headTable(names, metrics, 0)],
    ['hhea', hheaTable(design, metrics, Math.min(...leftSideBearing))],
    ['maxp', maxpTable(order.length)],
    ['OS/2', os2Table(names, design, metrics, [...set.characters.keys()])],
    ['name', nameTable(names)],
    ['cmap', cmapTable(codePoints)],
    ['post', postTable(design, undefined)],
    ['CFF ', outlines],
    ['hmtx', hmtx.serialise({ advanceWidth: Uint16Array.from(metrics.advances), leftSideBearing })],
    ['GDEF', gdef(set, glyphIds)],
    ['GPOS', gpos(set, glyphIds, !design.fixedAdvance)],
    ['GSUB', gsub(glyphIds)],
  ]);
  return writeSfnt(fontOf('cff', tables));
}

/** The ends of all segments; with extrema on points they span the outline. */
const toQuadraticPoints = (contours: readonly Contour[]) =>
  contours.flatMap((contour) => contour.segments.map(({ to }) => to));
