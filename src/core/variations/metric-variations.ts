// OpenType: HVAR and VVAR, Horizontal and Vertical Metrics Variations Tables

import { Block, packBlocks } from '../bytes/blocks.js';
import { Reader } from '../bytes/reader.js';
import type { Font } from '../sfnt/font.js';
import {
  itemVariationStoreBlock,
  readItemVariationStore,
  type ItemVariationStore,
} from './item-variation-store.js';

export type MetricVariationsTag = 'HVAR' | 'VVAR';

export interface MetricVariations {
  store: ItemVariationStore;
  /**
   * For advances, both bearings, and with VVAR for origins: the delta set of a glyph, outer * 65536 + inner. Undefined
   * where nothing varies.
   */
  deltaSetOf: (((glyphId: number) => number) | undefined)[];
}

/** @throws DenseGlyphError `table-missing`, `table-damaged` */
export function readMetricVariations(font: Font, tag: MetricVariationsTag): MetricVariations {
  const reader = new Reader(font.bytesOf(tag), tag).limitReadings();
  reader.skip(4);
  const storeAt = reader.uint32();
  const mapOffsets = reader.uint32Array(tag === 'HVAR' ? 3 : 4);
  const store = readItemVariationStore(reader, storeAt);
  // Without a map, the first one is the glyph's number; without the others nothing varies.
  const deltaSetOf = Array.from(mapOffsets, (offset, i) => {
    if (offset !== 0) return readIndexMap(reader, offset);
    return i === 0 ? (glyphId: number) => glyphId : undefined;
  });
  return { store, deltaSetOf };
}

/** @param keys the delta set of each glyph, in the order of `deltaSetOf` */
export function writeMetricVariations(
  store: ItemVariationStore,
  keys: readonly (readonly number[] | undefined)[],
): Uint8Array {
  const block = new Block(24).uint32(0x00010000).offset32(itemVariationStoreBlock(store));
  for (const [i, list] of keys.entries()) {
    const isPlain = i === 0 && list?.every((key, glyphId) => key === glyphId);
    block.offset32(list && !isPlain ? indexMapBlock(list) : undefined);
  }
  return packBlocks(block).bytes!;
}

/** Points to no delta set: nothing varies. */
export const noDeltaSet = 0xffffffff;
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
