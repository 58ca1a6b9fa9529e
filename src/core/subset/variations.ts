// OpenType: gvar, HVAR and VVAR of the glyphs that stay

import { Block, packBlocks } from '../bytes/blocks.js';
import { Reader } from '../bytes/reader.js';
import { Writer } from '../bytes/writer.js';
import type { GlyphMap } from '../layout/glyph-map.js';
import type { Font } from '../sfnt/font.js';
import {
  itemVariationStoreBlock,
  keptDeltaSets,
  readItemVariationStore,
} from '../variations/item-variation-store.js';

const longOffsets = 0x0001;
const embeddedPeakTuple = 0x8000;
const intermediateRegion = 0x4000;
const tupleIndexMask = 0x0fff;
const tupleCountMask = 0x0fff;

/**
 * OpenType: gvar. The deltas of a glyph stay as they are; tuples that glyphs share are kept where one of them still
 * does, the most frequent first.
 */
export function keptGvar(font: Font, map: GlyphMap): Uint8Array {
  const reader = new Reader(font.bytesOf('gvar'), 'gvar');
  const version = reader.uint32();
  if (version !== 0x00010000) throw reader.damaged(`version ${version >>> 16} is not known`, 0);
  const axisCount = reader.uint16();
  const sharedTupleCount = reader.uint16();
  const sharedTuples = reader.uint32();
  const glyphCount = reader.uint16();
  const long = (reader.uint16() & longOffsets) !== 0;
  const dataAt = reader.uint32();
  const offsets = long
    ? reader.uint32Array(glyphCount + 1)
    : Uint32Array.from(reader.uint16Array(glyphCount + 1), (half) => half * 2);
  const records = map.oldIds.map((oldId) => {
    if (oldId >= glyphCount || offsets[oldId + 1] <= offsets[oldId]) return new Uint8Array(0);
    return new Uint8Array(reader.seek(dataAt + offsets[oldId]).take(offsets[oldId + 1] - offsets[oldId]));
  });
  const uses = new Map<number, number>();
  for (const record of records) {
    eachSharedTuple(record, axisCount, (index) => {
      uses.set(index, (uses.get(index) ?? 0) + 1);
      return index;
    });
  }
  const kept = [...uses].sort((a, b) => b[1] - a[1] || a[0] - b[0]).map(([index]) => index);
  if (kept.some((index) => index >= sharedTupleCount)) throw reader.damaged('a shared tuple is missing', 0);
  for (const record of records) eachSharedTuple(record, axisCount, (index) => kept.indexOf(index));

  const size = records.reduce((sum, record) => sum + ((record.length + 1) & ~1), 0);
  const keepLong = size > 0xffff * 2;
  const headerSize = 20 + (records.length + 1) * (keepLong ? 4 : 2);
  const tuplesSize = kept.length * axisCount * 2;
  const writer = new Writer(headerSize + tuplesSize + size);
  writer.uint32(version).uint16(axisCount).uint16(kept.length).uint32(headerSize).uint16(records.length);
  writer.uint16(keepLong ? longOffsets : 0).uint32(headerSize + tuplesSize);
  let offset = 0;
  for (const length of [0, ...records.map((record) => record.length)]) {
    offset += (length + 1) & ~1;
    if (keepLong) writer.uint32(offset);
    else writer.uint16(offset / 2);
  }
  for (const index of kept)
    writer.write(reader.seek(sharedTuples + index * axisCount * 2).take(axisCount * 2));
  for (const record of records) writer.write(record).align(2);
  return writer.bytes();
}

/** Visits the shared tuples that a glyph's variation data names. @param visit returns the number to put in place of it */
function eachSharedTuple(record: Uint8Array, axisCount: number, visit: (index: number) => number): void {
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

/** OpenType: HVAR and VVAR: how advances, bearings and origins vary. */
export function keptMetricVariations(font: Font, tag: 'HVAR' | 'VVAR', map: GlyphMap): Uint8Array {
  const reader = new Reader(font.bytesOf(tag), tag).limitReadings();
  reader.skip(4);
  const storeAt = reader.uint32();
  const mapOffsets = reader.uint32Array(tag === 'HVAR' ? 3 : 4);
  const store = readItemVariationStore(reader, storeAt);
  // Without a map, the first one is the glyph's number; without the others nothing varies.
  const keys = Array.from(mapOffsets, (offset, i) => {
    if (offset === 0) return i === 0 ? [...map.oldIds] : undefined;
    const keyAt = readIndexMap(reader, offset);
    return map.oldIds.map(keyAt);
  });
  const used = new Set(keys.flatMap((list) => list ?? []));
  const { store: kept, moved } = keptDeltaSets(store, used);
  const block = new Block(24).uint32(0x00010000).offset32(itemVariationStoreBlock(kept));
  for (const [i, list] of keys.entries()) {
    const now = list?.map((key) => moved.get(key) ?? noDeltaSet);
    const isPlain = i === 0 && now?.every((key, glyphId) => key === glyphId);
    block.offset32(now && !isPlain ? indexMapBlock(now) : undefined);
  }
  return packBlocks(block).bytes!;
}

/** Points to no delta set: nothing varies. */
const noDeltaSet = 0xffffffff;
const innerBitsMask = 0x0f;
const entrySizeMask = 0x30;

/** OpenType: DeltaSetIndexMap. @returns the delta set of a glyph, outer * 65536 + inner */
function readIndexMap(reader: Reader, start: number): (glyphId: number) => number {
  const format = reader.seek(start).uint8();
  const entryFormat = reader.uint8();
  const count = format === 0 ? reader.uint16() : reader.uint32();
  const innerBits = (entryFormat & innerBitsMask) + 1;
  const entrySize = ((entryFormat & entrySizeMask) >> 4) + 1;
  const at = reader.position;
  reader.skip(count * entrySize);
  return (glyphId) => {
    if (count === 0) return noDeltaSet;
    reader.seek(at + Math.min(glyphId, count - 1) * entrySize);
    let entry = 0;
    for (let i = 0; i < entrySize; i++) entry = entry * 256 + reader.uint8();
    const outer = Math.floor(entry / 2 ** innerBits);
    return outer * 0x10000 + (entry % 2 ** innerBits);
  };
}

/** Entries as short as they can be; the last one holds for all glyphs behind it. */
function indexMapBlock(keys: readonly number[]): Block {
  let count = keys.length;
  while (count > 1 && keys[count - 1] === keys[count - 2]) count--;
  const shown = keys.slice(0, count);
  const inners = shown.map((key) => key % 0x10000);
  const outers = shown.map((key) => Math.floor(key / 0x10000));
  const innerBits = Math.max(1, bitsOf(Math.max(...inners)));
  const entrySize = Math.max(1, Math.ceil((innerBits + bitsOf(Math.max(...outers))) / 8));
  const block = new Block(6 + count * entrySize);
  block.uint8(count > 0xffff ? 1 : 0).uint8(((entrySize - 1) << 4) | (innerBits - 1));
  if (count > 0xffff) block.uint32(count);
  else block.uint16(count);
  shown.forEach((_, i) => {
    const entry = outers[i] * 2 ** innerBits + inners[i];
    for (let byte = entrySize - 1; byte >= 0; byte--) block.uint8(Math.floor(entry / 256 ** byte) & 0xff);
  });
  return block;
}

const bitsOf = (value: number) => (value === 0 ? 0 : Math.floor(Math.log2(value)) + 1);
