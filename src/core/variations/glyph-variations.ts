// OpenType: gvar, Glyph Variations Table

import { Reader } from '../bytes/reader.js';
import { Writer } from '../bytes/writer.js';
import type { Font } from '../sfnt/font.js';

const version = 0x00010000;
const longOffsets = 0x0001;
const embeddedPeakTuple = 0x8000;
const intermediateRegion = 0x4000;
const tupleIndexMask = 0x0fff;
const tupleCountMask = 0x0fff;

/** As many tuples as an index can name. */
export const maximumSharedTuples = tupleIndexMask + 1;

/** The table as stored; a glyph's data is read when it is asked for. */
export interface GlyphVariations {
  axisCount: number;
  sharedTupleCount: number;
  /** A peak that glyphs share: a coordinate of two bytes for each axis. */
  sharedTupleAt(index: number): Uint8Array;
  /** A copy of a glyph's data; empty where it doesn't vary. */
  recordOf(glyphId: number): Uint8Array;
}

/** @throws DenseGlyphError `table-missing`, `table-damaged` */
export function readGlyphVariations(font: Font): GlyphVariations {
  const reader = new Reader(font.bytesOf('gvar'), 'gvar');
  const stored = reader.uint32();
  if (stored !== version) throw reader.damaged(`version ${stored >>> 16} is not known`, 0);
  const axisCount = reader.uint16();
  const sharedTupleCount = reader.uint16();
  const sharedTuples = reader.uint32();
  const glyphCount = reader.uint16();
  const long = (reader.uint16() & longOffsets) !== 0;
  const dataAt = reader.uint32();
  const offsets = long
    ? reader.uint32Array(glyphCount + 1)
    : Uint32Array.from(reader.uint16Array(glyphCount + 1), (half) => half * 2);
  return {
    axisCount,
    sharedTupleCount,
    sharedTupleAt(index) {
      if (index >= sharedTupleCount) throw reader.damaged('a shared tuple is missing', 0);
      return reader.seek(sharedTuples + index * axisCount * 2).take(axisCount * 2);
    },
    recordOf(glyphId) {
      if (glyphId >= glyphCount || offsets[glyphId + 1] <= offsets[glyphId]) return new Uint8Array(0);
      const length = offsets[glyphId + 1] - offsets[glyphId];
      return new Uint8Array(reader.seek(dataAt + offsets[glyphId]).take(length));
    },
  };
}

/** @param records the data of each glyph */
export function writeGlyphVariations(
  axisCount: number,
  sharedTuples: readonly Uint8Array[],
  records: readonly Uint8Array[],
): Uint8Array {
  const size = records.reduce((sum, record) => sum + ((record.length + 1) & ~1), 0);
  const long = size > 0xffff * 2;
  const headerSize = 20 + (records.length + 1) * (long ? 4 : 2);
  const tuplesSize = sharedTuples.length * axisCount * 2;
  const writer = new Writer(headerSize + tuplesSize + size);
  writer.uint32(version).uint16(axisCount).uint16(sharedTuples.length);
  writer.uint32(headerSize).uint16(records.length);
  writer.uint16(long ? longOffsets : 0).uint32(headerSize + tuplesSize);
  let offset = 0;
  for (const length of [0, ...records.map((record) => record.length)]) {
    offset += (length + 1) & ~1;
    if (long) writer.uint32(offset);
    else writer.uint16(offset / 2);
  }
  for (const tuple of sharedTuples) writer.write(tuple);
  for (const record of records) writer.write(record).align(2);
  return writer.bytes();
}

/**
 * Visits the shared tuples that a glyph's data names, and changes it.
 *
 * @param visit returns the number to put in place of it
 */
export function eachSharedTuple(
  record: Uint8Array,
  axisCount: number,
  visit: (index: number) => number,
): void {
  if (record.length < 4) return;
  const reader = new Reader(record, 'gvar');
  const view = new DataView(record.buffer, record.byteOffset);
  const count = reader.uint16() & tupleCountMask;
  reader.skip(2);
  for (let i = 0; i < count; i++) {
    const at = reader.skip(2).position;
    const tupleIndex = reader.uint16();
    if (tupleIndex & embeddedPeakTuple) reader.skip(axisCount * 2);
    else {
      view.setUint16(at, (tupleIndex & ~tupleIndexMask) | visit(tupleIndex & tupleIndexMask));
    }
    if (tupleIndex & intermediateRegion) reader.skip(axisCount * 4);
  }
}
