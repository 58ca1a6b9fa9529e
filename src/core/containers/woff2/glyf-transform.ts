// WOFF File Format 2.0, section 5.1: transformed glyf table format

import { Reader } from '../../bytes/reader.js';
import { Writer } from '../../bytes/writer.js';
import { takeComponents } from '../../tables/glyf-components.js';
import * as glyf from '../../tables/glyf.js';
import * as loca from '../../tables/loca.js';
import { read255UInt16, write255UInt16 } from './numbers.js';
import { longestTriplet, readTriplet, writeTriplets } from './triplets.js';

/** optionFlags, bit 0: a bitmap of glyphs with OVERLAP_SIMPLE follows the other streams. */
const hasOverlapBitmap = 1;
const streamNames = ['nContour', 'nPoints', 'flag', 'glyph', 'composite', 'bbox', 'instruction'] as const;
type Streams<Stream> = Record<(typeof streamNames)[number], Stream>;

export interface TransformedGlyf {
  /** The transformed table, in pieces, so that it isn't held in memory twice. */
  pieces: Uint8Array[];
  /** Bytes of glyf as readers rebuild it. */
  rebuiltSize: number;
  /** The loca format that it is rebuilt with. */
  indexToLocFormat: number;
}

/**
 * Readers rebuild glyf with each record on a multiple of four bytes. Where that makes it too large for short offsets,
 * the rebuilt loca has to be a long one.
 *
 * @param wantedLocFormat the loca format of the font
 */
export function transformGlyf(table: glyf.Glyf, wantedLocFormat: number): TransformedGlyf {
  const numGlyphs = table.offsets.length - 1;
  const streams = Object.fromEntries(
    streamNames.map((name) => [name, new Writer(capacityOf(name, table))]),
  ) as unknown as Streams<Writer>;
  const bboxBitmap = new Uint8Array(((numGlyphs + 31) >> 5) << 2);
  const overlapBitmap = new Uint8Array((numGlyphs + 7) >> 3);
  const scratch = new glyf.GlyphScratch();
  let overlaps = false;
  let rebuiltSize = 0;
  for (let glyphId = 0; glyphId < numGlyphs; glyphId++) {
    const glyph = glyf.glyphOf(table, glyphId, scratch);
    const bit = 0x80 >> (glyphId & 7);
    if (glyph) rebuiltSize += (glyf.serialisedSize(glyph) + 3) & ~3;
    if (!glyph) {
      streams.nContour.int16(0);
    } else if (glyph.kind === 'composite') {
      bboxBitmap[glyphId >> 3] |= bit;
      writeComposite(streams, glyph);
    } else {
      if (glyph.overlapSimple) {
        overlaps = true;
        overlapBitmap[glyphId >> 3] |= bit;
      }
      if (!boundsFollowFromPoints(glyph)) {
        bboxBitmap[glyphId >> 3] |= bit;
        writeBounds(streams.bbox, glyph);
      }
      writeSimple(streams, glyph);
    }
  }
  const indexToLocFormat = rebuiltSize > loca.maximumShortOffset ? 1 : wantedLocFormat;
  const header = new Writer(36).uint16(0).uint16(overlaps ? hasOverlapBitmap : 0);
  header.uint16(numGlyphs).uint16(indexToLocFormat);
  for (const name of streamNames)
    header.uint32(streams[name].length + (name === 'bbox' ? bboxBitmap.length : 0));
  const pieces = [header.bytes()];
  for (const name of streamNames) {
    if (name === 'bbox') pieces.push(bboxBitmap);
    pieces.push(streams[name].bytes());
  }
  if (overlaps) pieces.push(overlapBitmap);
  return { pieces, rebuiltSize, indexToLocFormat };
}

/**
 * Bytes to reserve for a stream. Memory that isn't written to costs nothing, while a buffer that grows is copied and
 * left behind; so the large streams start with more than they can need.
 */
function capacityOf(name: keyof Streams<Writer>, { data, offsets }: glyf.Glyf): number {
  if (name === 'flag' || name === 'glyph' || name === 'instruction') return data.length;
  return offsets.length * 2;
}

function writeBounds(stream: Writer, { xMin, yMin, xMax, yMax }: glyf.Glyph): void {
  stream.int16(xMin).int16(yMin).int16(xMax).int16(yMax);
}

function writeComposite(streams: Streams<Writer>, glyph: glyf.CompositeGlyph): void {
  streams.nContour.int16(-1);
  writeBounds(streams.bbox, glyph);
  streams.composite.write(glyph.components);
  if (glyph.instructions) {
    write255UInt16(streams.glyph, glyph.instructions.length);
    streams.instruction.write(glyph.instructions);
  }
}

function writeSimple(streams: Streams<Writer>, glyph: glyf.SimpleGlyph): void {
  const { endPtsOfContours, onCurve, instructions } = glyph;
  streams.nContour.int16(endPtsOfContours.length);
  let start = 0;
  for (const end of endPtsOfContours) {
    write255UInt16(streams.nPoints, end + 1 - start);
    start = end + 1;
  }
  const flags = streams.flag.claim(onCurve.length);
  const room = onCurve.length * longestTriplet;
  streams.glyph.giveBack(room - writeTriplets(flags, streams.glyph.claim(room), glyph));
  write255UInt16(streams.glyph, instructions.length);
  streams.instruction.write(instructions);
}

function boundsFollowFromPoints(glyph: glyf.SimpleGlyph): boolean {
  const bounds = boundsOfPoints(glyph.xCoordinates, glyph.yCoordinates);
  return (
    bounds.xMin === glyph.xMin &&
    bounds.yMin === glyph.yMin &&
    bounds.xMax === glyph.xMax &&
    bounds.yMax === glyph.yMax
  );
}

function boundsOfPoints(xs: Int16Array, ys: Int16Array) {
  let [xMin, xMax, yMin, yMax] = [xs[0], xs[0], ys[0], ys[0]];
  for (let i = 1; i < xs.length; i++) {
    if (xs[i] < xMin) xMin = xs[i];
    else if (xs[i] > xMax) xMax = xs[i];
    if (ys[i] < yMin) yMin = ys[i];
    else if (ys[i] > yMax) yMax = ys[i];
  }
  return { xMin, yMin, xMax, yMax };
}

export interface RebuiltGlyf {
  glyf: Uint8Array;
  loca: Uint8Array;
  /** One a glyph, in font units; 0 for a glyph without an outline. */
  xMin: Int16Array;
}

/**
 * Rebuilds glyf and loca from the transformed table.
 *
 * @throws DenseGlyphError `table-damaged`
 */
export function rebuildGlyf(bytes: Uint8Array): RebuiltGlyf {
  const reader = new Reader(bytes, glyf.tag);
  const optionFlags = reader.skip(2).uint16();
  const numGlyphs = reader.uint16();
  const indexToLocFormat = reader.uint16();
  const sizes = streamNames.map(() => reader.uint32());
  const streams = Object.fromEntries(
    streamNames.map((name, i) => [name, new Reader(reader.take(sizes[i]), glyf.tag)]),
  ) as unknown as Streams<Reader>;
  const overlapBitmap = optionFlags & hasOverlapBitmap ? reader.take((numGlyphs + 7) >> 3) : undefined;
  const bboxBitmap = streams.bbox.take(((numGlyphs + 31) >> 5) << 2);

  const writer = new Writer(bytes.length * 2);
  const offsets = new Uint32Array(numGlyphs + 1);
  const xMin = new Int16Array(numGlyphs);
  for (let glyphId = 0; glyphId < numGlyphs; glyphId++) {
    const bit = 0x80 >> (glyphId & 7);
    const bounded = (bboxBitmap[glyphId >> 3] & bit) !== 0;
    const overlapSimple = overlapBitmap !== undefined && (overlapBitmap[glyphId >> 3] & bit) !== 0;
    const glyph = readGlyph(streams, glyphId, bounded, overlapSimple);
    if (glyph) {
      xMin[glyphId] = glyph.xMin;
      writer.write(glyf.serialiseGlyph(glyph)).align(4);
    }
    offsets[glyphId + 1] = writer.length;
  }
  if (indexToLocFormat === 0 && writer.length > loca.maximumShortOffset) {
    throw reader.damaged(
      `${writer.length} bytes of glyphs don't fit the short offsets that the file asks for`,
      6,
    );
  }
  return { glyf: writer.bytes(), loca: loca.serialise({ indexToLocFormat, offsets }), xMin };
}

function readGlyph(
  streams: Streams<Reader>,
  glyphId: number,
  bounded: boolean,
  overlapSimple: boolean,
): glyf.Glyph | undefined {
  const numberOfContours = streams.nContour.int16();
  if (numberOfContours === 0) {
    if (bounded) throw streams.bbox.damaged(`glyph ${glyphId} has bounds but no outline`);
    return undefined;
  }
  if (numberOfContours > 0) return readSimple(streams, numberOfContours, bounded, overlapSimple);
  if (!bounded) throw streams.bbox.damaged(`composite glyph ${glyphId} has no bounds`);
  const { records, hasInstructions } = takeComponents(streams.composite);
  const glyph: glyf.CompositeGlyph = { kind: 'composite', ...readBounds(streams.bbox), components: records };
  if (hasInstructions) glyph.instructions = streams.instruction.take(read255UInt16(streams.glyph));
  return glyph;
}

function readBounds(stream: Reader) {
  return { xMin: stream.int16(), yMin: stream.int16(), xMax: stream.int16(), yMax: stream.int16() };
}

/** Points are numbered in 16 bits, so a glyph can't have more. */
const maximumPoints = 0x10000;

function readSimple(
  streams: Streams<Reader>,
  numberOfContours: number,
  bounded: boolean,
  overlapSimple: boolean,
): glyf.SimpleGlyph {
  const endPtsOfContours = new Uint16Array(numberOfContours);
  let count = 0;
  for (let i = 0; i < numberOfContours; i++) {
    count += read255UInt16(streams.nPoints);
    if (count === 0 || count > maximumPoints) throw streams.nPoints.damaged(`a glyph counts ${count} points`);
    endPtsOfContours[i] = count - 1;
  }
  if (count > streams.flag.remaining)
    throw streams.flag.damaged(`a glyph counts ${count} points, more than follow`);
  const onCurve = new Uint8Array(count);
  const xCoordinates = new Int16Array(count);
  const yCoordinates = new Int16Array(count);
  const point = { dx: 0, dy: 0, onCurve: false };
  let x = 0;
  let y = 0;
  for (let i = 0; i < count; i++) {
    readTriplet(streams.flag, streams.glyph, point);
    onCurve[i] = point.onCurve ? 1 : 0;
    xCoordinates[i] = x += point.dx;
    yCoordinates[i] = y += point.dy;
  }
  const instructions = streams.instruction.take(read255UInt16(streams.glyph));
  const bounds = bounded ? readBounds(streams.bbox) : boundsOfPoints(xCoordinates, yCoordinates);
  return {
    kind: 'simple',
    ...bounds,
    endPtsOfContours,
    instructions,
    onCurve,
    xCoordinates,
    yCoordinates,
    overlapSimple,
  };
}
