// OpenType: glyf, Glyph Data

import { Reader } from '../bytes/reader.js';
import { Writer } from '../bytes/writer.js';
import type { Font } from '../sfnt/font.js';
import { takeComponents } from './glyf-components.js';
import * as loca from './loca.js';

export { parseComponents, serialiseComponents } from './glyf-components.js';

export const tag = 'glyf';

/** The table as stored; a glyph is parsed when it is asked for. */
export interface Glyf {
  data: Uint8Array;
  /** As in loca: bytes from the start of `data`, one a glyph and one more. */
  offsets: Uint32Array;
}

interface GlyphBounds {
  xMin: number;
  yMin: number;
  xMax: number;
  yMax: number;
}

/** A glyph with contours of its own. Coordinates are absolute, in font units. */
export interface SimpleGlyph extends GlyphBounds {
  kind: 'simple';
  endPtsOfContours: Uint16Array;
  instructions: Uint8Array;
  /** 1 where the point is on the curve. */
  onCurve: Uint8Array;
  xCoordinates: Int16Array;
  yCoordinates: Int16Array;
  /** OVERLAP_SIMPLE on the first flag: contours may overlap. */
  overlapSimple: boolean;
}

/** A glyph made of other glyphs. */
export interface CompositeGlyph extends GlyphBounds {
  kind: 'composite';
  /** Records as stored, which `parseComponents` reads. */
  components: Uint8Array;
  /** Undefined where no component announces instructions. */
  instructions?: Uint8Array;
}

export type Glyph = SimpleGlyph | CompositeGlyph;

/** Bytes before the contours or components: their number and the bounds. */
export const headerSize = 10;

const flag = {
  onCurve: 1,
  xShort: 2,
  yShort: 4,
  repeat: 8,
  xSame: 16,
  ySame: 32,
  overlapSimple: 64,
} as const;

export function parse(reader: Reader, font: Font): Glyf {
  return { data: reader.bytes, offsets: font.table(loca).offsets };
}

/** The records packed anew, each on a multiple of four bytes. `packedOffsets` gives the loca that goes with it. */
export function serialise(table: Glyf): Uint8Array {
  const writer = new Writer(table.data.length);
  for (let glyphId = 0; glyphId < table.offsets.length - 1; glyphId++) {
    writer.write(recordOf(table, glyphId)).align(4);
  }
  return writer.bytes();
}

/** Where `serialise` puts each record, in bytes. */
export function packedOffsets(table: Glyf): Uint32Array {
  const offsets = new Uint32Array(table.offsets.length);
  for (let glyphId = 0; glyphId + 1 < offsets.length; glyphId++) {
    offsets[glyphId + 1] = offsets[glyphId] + ((recordOf(table, glyphId).length + 3) & ~3);
  }
  return offsets;
}

/** The bytes of one glyph; empty for a glyph without an outline. */
export function recordOf(table: Glyf, glyphId: number): Uint8Array {
  const start = table.offsets[glyphId];
  const end = table.offsets[glyphId + 1];
  if (end > table.data.length || start > end) {
    const reader = new Reader(table.data, tag);
    throw end > table.data.length
      ? reader.damaged(`glyph ${glyphId} ends ${end - table.data.length} bytes past the table`, start)
      : reader.damaged(`glyph ${glyphId} ends before it starts (offsets ${start} and ${end} in loca)`, start);
  }
  return table.data.subarray(start, end);
}

/**
 * One glyph, parsed.
 *
 * @param scratch where to put its points; they then hold until the next glyph is put there
 * @returns undefined for a glyph without an outline
 * @throws DenseGlyphError `table-damaged`
 */
export function glyphOf(table: Glyf, glyphId: number, scratch?: GlyphScratch): Glyph | undefined {
  const record = recordOf(table, glyphId);
  if (record.length === 0) return undefined;
  return parseGlyph(new Reader(record, tag, table.offsets[glyphId]), glyphId, scratch);
}

/**
 * The instructions of one glyph, without looking at its points.
 *
 * @returns nothing for a glyph without an outline, or one made of others
 * @throws DenseGlyphError `table-damaged`
 */
export function instructionsOf(table: Glyf, glyphId: number): Uint8Array {
  const record = recordOf(table, glyphId);
  if (record.length === 0) return record;
  const reader = new Reader(record, tag, table.offsets[glyphId]);
  const numberOfContours = reader.int16();
  if (numberOfContours <= 0) return record.subarray(0, 0);
  return reader.seek(headerSize + numberOfContours * 2).take(reader.uint16());
}

/** Memory for the points of one glyph after the other, for passes over whole fonts. */
export class GlyphScratch {
  private capacity = 0;
  private flags = new Uint8Array(0);
  private onCurve = new Uint8Array(0);
  private xCoordinates = new Int16Array(0);
  private yCoordinates = new Int16Array(0);

  /** Views for so many points; what they hold is left from before. */
  take(count: number) {
    if (count > this.capacity) {
      this.capacity = Math.max(count, 256, this.capacity * 2);
      this.flags = new Uint8Array(this.capacity);
      this.onCurve = new Uint8Array(this.capacity);
      this.xCoordinates = new Int16Array(this.capacity);
      this.yCoordinates = new Int16Array(this.capacity);
    }
    return {
      flags: this.flags.subarray(0, count),
      onCurve: this.onCurve.subarray(0, count),
      xCoordinates: this.xCoordinates.subarray(0, count),
      yCoordinates: this.yCoordinates.subarray(0, count),
    };
  }
}

/** @param glyphId only for errors */
export function parseGlyph(reader: Reader, glyphId: number, scratch?: GlyphScratch): Glyph | undefined {
  const numberOfContours = reader.int16();
  const bounds = { xMin: reader.int16(), yMin: reader.int16(), xMax: reader.int16(), yMax: reader.int16() };
  if (numberOfContours === 0) return undefined;
  if (numberOfContours > 0) return parseContours(reader, bounds, numberOfContours, glyphId, scratch);
  const { records, hasInstructions } = takeComponents(reader);
  const glyph: CompositeGlyph = { kind: 'composite', ...bounds, components: records };
  if (hasInstructions) glyph.instructions = reader.take(reader.uint16());
  return glyph;
}

function parseContours(
  reader: Reader,
  { xMin, yMin, xMax, yMax }: GlyphBounds,
  numberOfContours: number,
  glyphId: number,
  scratch = new GlyphScratch(),
): SimpleGlyph {
  const endPtsOfContours = reader.uint16Array(numberOfContours);
  for (let i = 1; i < numberOfContours; i++) {
    if (endPtsOfContours[i] < endPtsOfContours[i - 1]) {
      throw reader.damaged(`glyph ${glyphId}: contour ${i} ends before it starts`);
    }
  }
  const instructions = reader.take(reader.uint16());
  const count = endPtsOfContours[numberOfContours - 1] + 1;
  const { flags, onCurve, xCoordinates, yCoordinates } = scratch.take(count);
  parseFlags(reader, flags, glyphId);
  parseCoordinates(reader, flags, flag.xShort, flag.xSame, xCoordinates);
  parseCoordinates(reader, flags, flag.yShort, flag.ySame, yCoordinates);
  for (let i = 0; i < count; i++) onCurve[i] = flags[i] & flag.onCurve;
  const overlapSimple = (flags[0] & flag.overlapSimple) !== 0;
  return {
    kind: 'simple',
    xMin,
    yMin,
    xMax,
    yMax,
    endPtsOfContours,
    instructions,
    onCurve,
    xCoordinates,
    yCoordinates,
    overlapSimple,
  };
}

// The next two loops run once a point and read the bytes themselves. What they read past the end is refused by the
// skip after the loop.

function parseFlags(reader: Reader, flags: Uint8Array, glyphId: number): void {
  const { bytes, position } = reader;
  const count = flags.length;
  let at = position;
  for (let i = 0; i < count;) {
    const value = bytes[at++];
    if (value === undefined) break;
    flags[i++] = value;
    if (!(value & flag.repeat)) continue;
    const end = i + bytes[at++];
    if (end > count) throw reader.damaged(`glyph ${glyphId}: a repeated flag runs past its ${count} points`);
    flags.fill(value, i, end);
    i = end;
  }
  reader.skip(at - position);
}

function parseCoordinates(
  reader: Reader,
  flags: Uint8Array,
  short: number,
  same: number,
  into: Int16Array,
): void {
  const { bytes, position } = reader;
  let at = position;
  let value = 0;
  for (let i = 0; i < flags.length; i++) {
    if (flags[i] & short) value += flags[i] & same ? bytes[at++] : -bytes[at++];
    else if (!(flags[i] & same)) {
      value += ((bytes[at] << 24) >> 16) | bytes[at + 1];
      at += 2;
    }
    into[i] = value;
  }
  reader.skip(at - position);
}

/** The shortest usual encoding of a glyph: repeated flags, one-byte deltas. No padding. */
export function serialiseGlyph(glyph: Glyph): Uint8Array {
  const simple = glyph.kind === 'simple';
  const writer = new Writer(simple ? 32 + glyph.onCurve.length * 5 + glyph.instructions.length : 64);
  writer.int16(simple ? glyph.endPtsOfContours.length : -1);
  writer.int16(glyph.xMin).int16(glyph.yMin).int16(glyph.xMax).int16(glyph.yMax);
  if (simple) serialiseContours(writer, glyph);
  else {
    writer.write(glyph.components);
    if (glyph.instructions) writer.uint16(glyph.instructions.length).write(glyph.instructions);
  }
  return writer.bytes();
}

/** The flag bits that describe the shortest form of a delta. */
function deltaFlag(delta: number, short: number, same: number): number {
  if (delta === 0) return same;
  if (delta <= -256 || delta >= 256) return 0;
  return delta > 0 ? short | same : short;
}

const deltaSize = (short: number, delta: number) => (short ? 1 : delta === 0 ? 0 : 2);

/** Bytes that `serialiseGlyph` writes, counted without writing. */
export function serialisedSize(glyph: Glyph): number {
  if (glyph.kind === 'simple') return headerSize + contoursSize(glyph);
  const instructions = glyph.instructions ? 2 + glyph.instructions.length : 0;
  return headerSize + glyph.components.length + instructions;
}

function contoursSize(glyph: SimpleGlyph): number {
  const { endPtsOfContours, instructions, onCurve, xCoordinates, yCoordinates } = glyph;
  let size = 2 + endPtsOfContours.length * 2 + instructions.length;
  let [x, y, last, run] = [0, 0, -1, 0];
  for (let i = 0; i < onCurve.length; i++) {
    const dx = xCoordinates[i] - x;
    const dy = yCoordinates[i] - y;
    x = xCoordinates[i];
    y = yCoordinates[i];
    const xFlag = deltaFlag(dx, flag.xShort, flag.xSame);
    const yFlag = deltaFlag(dy, flag.yShort, flag.ySame);
    const value = onCurve[i] | xFlag | yFlag | (i === 0 && glyph.overlapSimple ? flag.overlapSimple : 0);
    size += deltaSize(xFlag & flag.xShort, dx) + deltaSize(yFlag & flag.yShort, dy);
    // A flag that is repeated takes two bytes, however often; a run ends at 256.
    if (value === last && run < 256) {
      if (++run === 2) size++;
    } else {
      size++;
      last = value;
      run = 1;
    }
  }
  return size;
}

function serialiseContours(writer: Writer, glyph: SimpleGlyph): void {
  const { endPtsOfContours, instructions, onCurve, xCoordinates, yCoordinates } = glyph;
  writer.uint16Array(endPtsOfContours).uint16(instructions.length).write(instructions);
  const count = onCurve.length;
  const flags = new Uint8Array(count);
  const xs = new Writer(count * 2);
  const ys = new Writer(count * 2);
  for (let i = 0; i < count; i++) {
    flags[i] = onCurve[i] | (i === 0 && glyph.overlapSimple ? flag.overlapSimple : 0);
    flags[i] |= writeDelta(xs, xCoordinates[i] - (i > 0 ? xCoordinates[i - 1] : 0), flag.xShort, flag.xSame);
    flags[i] |= writeDelta(ys, yCoordinates[i] - (i > 0 ? yCoordinates[i - 1] : 0), flag.yShort, flag.ySame);
  }
  for (let i = 0; i < count;) {
    let run = 1;
    while (i + run < count && run < 256 && flags[i + run] === flags[i]) run++;
    if (run > 1) writer.uint8(flags[i] | flag.repeat).uint8(run - 1);
    else writer.uint8(flags[i]);
    i += run;
  }
  writer.write(xs.bytes()).write(ys.bytes());
}

/** Writes a delta in its shortest form and returns the flag bits that describe it. */
function writeDelta(writer: Writer, delta: number, short: number, same: number): number {
  const bits = deltaFlag(delta, short, same);
  if (bits & short) writer.uint8(Math.abs(delta));
  else if (delta !== 0) writer.int16((delta << 16) >> 16); // coordinates are 16 bits wide and wrap around
  return bits;
}
