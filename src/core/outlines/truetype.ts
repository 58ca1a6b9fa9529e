// From CFF outlines to TrueType outlines. OpenType: glyf, loca, maxp, hmtx, post, gasp

import { Writer } from '../bytes/writer.js';
import { DenseGlyphError } from '../../errors.js';
import { fontOf, type Font } from '../sfnt/font.js';
import * as glyf from '../tables/glyf.js';
import * as head from '../tables/head.js';
import * as hhea from '../tables/hhea.js';
import * as hmtx from '../tables/hmtx.js';
import * as loca from '../tables/loca.js';
import * as maxp from '../tables/maxp.js';
import * as post from '../tables/post.js';
import { cffGlyphName, drawCff, readCff, type Cff } from './cff.js';
import type { OutlineSink } from './outline.js';
import { quadraticControls } from './quadratic.js';

/** Half a unit of a font with 1000 units to the em: no rasteriser shows it below 500 px. */
export const defaultTolerance = 1 / 2000;

export interface TrueTypeConversion {
  font: Font;
  /** Points that are stored, before with all control points of the cubic curves. */
  points: { before: number; after: number };
  dropped: string[];
}

/** Font units: coordinates are rounded to whole ones, so less than this only costs points. */
const leastTolerance = 0.05;
/** OpenType: head, unitsPerEm. */
const unitsPerEmRange = [16, 16384] as const;

/** Points are numbered in 16 bits. */
const maximumPoints = 0xffff;

/** Tables that have no place beside TrueType outlines. */
const cffOnly = new Set(['CFF ', 'CFF2', 'VORG', 'DSIG']);

/**
 * A font with TrueType outlines in place of CFF outlines. Glyph ids, metrics and features stay as they are.
 *
 * @param tolerance how far a curve may stray, in em, before coordinates are rounded to whole font units
 * @throws DenseGlyphError `conversion-impossible` for variable CFF2 fonts, `table-damaged`
 */
export function toTrueType(font: Font, tolerance = defaultTolerance): TrueTypeConversion {
  if (font.has('fvar')) {
    const reason = 'the font varies with CFF2 outlines, which TrueType outlines can’t take over yet';
    throw new DenseGlyphError('conversion-impossible', reason, {}, 'convert it to woff2, woff or otf');
  }
  const cff = readCff(font);
  const header = font.table(head);
  const { numGlyphs } = font.table(maxp);
  if (cff.charStrings.count < numGlyphs) {
    const reason = `${cff.tag.trim()} draws ${cff.charStrings.count} glyphs, but maxp counts ${numGlyphs}`;
    throw new DenseGlyphError('table-damaged', reason, { table: maxp.tag, offset: 4 });
  }
  const { unitsPerEm } = header;
  if (unitsPerEm < unitsPerEmRange[0] || unitsPerEm > unitsPerEmRange[1]) {
    const reason = `the em has ${unitsPerEm} units; ${unitsPerEmRange.join(' to ')} are allowed`;
    throw new DenseGlyphError('table-damaged', reason, { table: head.tag, offset: 18 });
  }
  const pen = new QuadraticPen(Math.max(tolerance * unitsPerEm, leastTolerance), cff.tag);
  const data = new Writer(numGlyphs * 64);
  const offsets = new Uint32Array(numGlyphs + 1);
  const limits = { ...maxp.limitsWithoutInstructions };
  const bounds = { xMin: 0x7fff, yMin: 0x7fff, xMax: -0x8000, yMax: -0x8000 };
  const xMin = new Int16Array(numGlyphs);
  let stems = 0;
  for (let glyphId = 0; glyphId < numGlyphs; glyphId++) {
    stems += drawCff(cff, glyphId, pen).stems;
    const glyph = pen.take();
    if (glyph) {
      xMin[glyphId] = glyph.xMin;
      bounds.xMin = Math.min(bounds.xMin, glyph.xMin);
      bounds.yMin = Math.min(bounds.yMin, glyph.yMin);
      bounds.xMax = Math.max(bounds.xMax, glyph.xMax);
      bounds.yMax = Math.max(bounds.yMax, glyph.yMax);
      limits.maxPoints = Math.max(limits.maxPoints, glyph.onCurve.length);
      limits.maxContours = Math.max(limits.maxContours, glyph.endPtsOfContours.length);
      data.write(glyf.serialiseGlyph(glyph)).align(4);
    }
    offsets[glyphId + 1] = data.length;
  }
  const indexToLocFormat = data.length > loca.maximumShortOffset ? 1 : 0;
  const tables = new Map([...font.tables()].filter(([tag]) => !cffOnly.has(tag)));
  const newHead = { ...header, indexToLocFormat, ...(bounds.xMin <= bounds.xMax ? bounds : {}) };
  tables.set(head.tag, head.serialise(newHead));
  tables.set(maxp.tag, maxp.serialise({ version: 0x00010000, numGlyphs, limits }));
  // Rasterisers put a glyph's xMin where its side bearing says.
  const { advanceWidth } = font.table(hmtx);
  tables.set(hmtx.tag, hmtx.serialise({ advanceWidth, leftSideBearing: xMin }));
  tables.set(hhea.tag, hhea.serialise({ ...font.table(hhea), minLeftSideBearing: xMin.reduce(least, 0) }));
  if (font.has(post.tag)) tables.set(post.tag, post.serialise(namedPost(font, cff, numGlyphs)));
  tables.set(glyf.tag, data.bytes());
  tables.set(loca.tag, loca.serialise({ indexToLocFormat, offsets }));
  if (!tables.has('gasp')) tables.set('gasp', smoothAtAllSizes());
  return {
    font: fontOf('truetype', tables),
    points: { before: pen.pointsBefore, after: pen.pointsAfter },
    dropped: [
      ...(stems > 0 ? ['the stem hints of the CFF outlines'] : []),
      ...['VORG', 'DSIG'].filter((tag) => font.has(tag)),
    ],
  };
}

const least = (a: number, b: number) => Math.min(a, b);

/** CFF holds the glyph names itself; with TrueType outlines they belong into post. */
function namedPost(font: Font, cff: Cff, numGlyphs: number): post.Post {
  const { rest: _, ...table } = font.table(post);
  const names = Array.from({ length: numGlyphs }, (_, glyphId) => cffGlyphName(cff, glyphId));
  if (names.some((name) => name === undefined)) return table;
  return post.withGlyphNames(table, names as string[]);
}

/** gasp, version 1: without instructions there is nothing to fit to the grid, only edges to smooth. */
function smoothAtAllSizes(): Uint8Array {
  const [doGray, symmetricSmoothing] = [0x0002, 0x0008];
  return new Writer(8)
    .uint16(1)
    .uint16(1)
    .uint16(0xffff)
    .uint16(doGray | symmetricSmoothing)
    .bytes();
}

/** Gathers the points of one glyph after the other, with cubic curves turned into quadratic ones. */
class QuadraticPen implements OutlineSink {
  pointsBefore = 0;
  pointsAfter = 0;
  private x: number[] = [];
  private y: number[] = [];
  private onCurve: number[] = [];
  private ends: number[] = [];
  private start = 0;
  private lastX = 0;
  private lastY = 0;

  /**
   * @param tolerance font units
   * @param table where the outlines come from, for errors
   */
  constructor(
    private readonly tolerance: number,
    private readonly table: string,
  ) {}

  private add(x: number, y: number, onCurve: number): void {
    if (!(Math.abs(x) < 0x7fff && Math.abs(y) < 0x7fff)) {
      const reason = `a glyph reaches to ${Math.round(x)}, ${Math.round(y)}, further than TrueType outlines can`;
      throw new DenseGlyphError('conversion-impossible', reason, { table: this.table });
    }
    if (this.x.length >= maximumPoints) {
      const reason = `a glyph comes to over ${maximumPoints} points, more than TrueType outlines can have`;
      throw new DenseGlyphError('conversion-impossible', reason, { table: this.table });
    }
    this.x.push(Math.round(x));
    this.y.push(Math.round(y));
    this.onCurve.push(onCurve);
  }

  private addOnCurve(x: number, y: number): void {
    this.pointsBefore++;
    this.lastX = x;
    this.lastY = y;
    const last = this.x.length - 1;
    const repeats = last >= this.start && this.onCurve[last] === 1;
    if (repeats && this.x[last] === Math.round(x) && this.y[last] === Math.round(y)) return;
    this.add(x, y, 1);
  }

  moveTo(x: number, y: number): void {
    this.start = this.x.length;
    this.addOnCurve(x, y);
  }

  lineTo(x: number, y: number): void {
    this.addOnCurve(x, y);
  }

  quadraticCurveTo(controlX: number, controlY: number, x: number, y: number): void {
    this.pointsBefore++;
    this.add(controlX, controlY, 0);
    this.addOnCurve(x, y);
  }

  bezierCurveTo(c1x: number, c1y: number, c2x: number, c2y: number, x: number, y: number): void {
    this.pointsBefore += 2;
    const cubic = [this.lastX, this.lastY, c1x, c1y, c2x, c2y, x, y];
    const controls = quadraticControls(cubic, this.tolerance);
    for (let i = 0; i < controls.length; i += 2) this.add(controls[i], controls[i + 1], 0);
    this.addOnCurve(x, y);
  }

  closePath(): void {
    const { x, y, onCurve, start } = this;
    const last = x.length - 1;
    if (last > start && onCurve[last] === 1 && x[last] === x[start] && y[last] === y[start]) this.drop(last);
    if (x.length - start < 3)
      this.drop(start); // without an area
    else {
      // In TrueType the outer contours run clockwise, in CFF the other way round. The first point stays first.
      for (const list of [x, y, onCurve]) list.push(...list.splice(start + 1).reverse());
      this.ends.push(x.length - 1);
    }
  }

  private drop(from: number): void {
    this.x.length = this.y.length = this.onCurve.length = from;
  }

  /** The glyph that was drawn since the last call, or undefined for an empty one. */
  take(): glyf.SimpleGlyph | undefined {
    const { x, y, onCurve, ends } = this;
    [this.x, this.y, this.onCurve, this.ends, this.start] = [[], [], [], [], 0];
    if (ends.length === 0) return undefined;
    this.pointsAfter += x.length;
    return {
      kind: 'simple',
      xMin: x.reduce(least),
      yMin: y.reduce(least),
      xMax: x.reduce((a, b) => Math.max(a, b)),
      yMax: y.reduce((a, b) => Math.max(a, b)),
      endPtsOfContours: Uint16Array.from(ends),
      instructions: new Uint8Array(0),
      onCurve: Uint8Array.from(onCurve),
      xCoordinates: Int16Array.from(x),
      yCoordinates: Int16Array.from(y),
      overlapSimple: false,
    };
  }
}
