// OpenType Font Variations Common Table Formats: Item Variation Store

import { Block } from '../bytes/blocks.js';
import type { Reader } from '../bytes/reader.js';

/** Deltas of values along the axes; a delta set is found by an outer and an inner index. */
export interface ItemVariationStore {
  axisCount: number;
  /** Start, peak and end for each axis, 2.14 as stored. */
  regions: Int16Array[];
  data: ItemVariationData[];
}

export interface ItemVariationData {
  /** A column for each of these. */
  regionIndexes: number[];
  /** A row for each delta set. */
  rows: Int32Array[];
}

const longWords = 0x8000;
const wordDeltaCountMask = 0x7fff;

/** @param start of the store in its table, in bytes */
export function readItemVariationStore(reader: Reader, start: number): ItemVariationStore {
  const format = reader.seek(start).uint16();
  if (format !== 1) throw reader.damaged(`format ${format} of variation stores is not known`, start);
  const regionList = reader.uint32();
  const offsets = reader.uint32Array(reader.uint16());
  const axisCount = reader.seek(start + regionList).uint16();
  const regionCount = reader.uint16();
  const regions = Array.from({ length: regionCount }, () => reader.int16Array(axisCount * 3));
  const data = Array.from(offsets, (offset) =>
    offset === 0 ? { regionIndexes: [], rows: [] } : readData(reader, start + offset, regionCount),
  );
  return { axisCount, regions, data };
}

function readData(reader: Reader, start: number, regionCount: number): ItemVariationData {
  const itemCount = reader.seek(start).uint16();
  const wordDeltaCount = reader.uint16();
  const regionIndexes = Array.from(reader.uint16Array(reader.uint16()));
  if (regionIndexes.some((index) => index >= regionCount)) throw reader.damaged('a region is missing', start);
  const long = (wordDeltaCount & longWords) !== 0;
  const words = Math.min(wordDeltaCount & wordDeltaCountMask, regionIndexes.length);
  reader.charge(itemCount * regionIndexes.length * 4);
  const rows = Array.from({ length: itemCount }, () =>
    Int32Array.from(regionIndexes, (_, column) => {
      if (column < words) return long ? reader.int32() : reader.int16();
      return long ? reader.int16() : reader.int8();
    }),
  );
  return { regionIndexes, rows };
}

/**
 * The store with only the delta sets that are used; equal ones become one, columns and regions without an effect go.
 *
 * @param used numbers of delta sets: outer * 65536 + inner
 * @returns also where each of them is now
 */
export function keptDeltaSets(
  store: ItemVariationStore,
  used: ReadonlySet<number>,
): { store: ItemVariationStore; moved: Map<number, number> } {
  const moved = new Map<number, number>();
  const data: ItemVariationData[] = [];
  const regions = new Map<number, number>();
  const sorted = [...used].sort((a, b) => a - b);
  store.data.forEach(({ regionIndexes, rows }, outer) => {
    const inners = sorted.filter(
      (key) => Math.floor(key / 0x10000) === outer && (key & 0xffff) < rows.length,
    );
    if (inners.length === 0) return;
    const known = new Map<string, number>();
    const kept: Int32Array[] = [];
    for (const key of inners) {
      const row = rows[key & 0xffff];
      const text = row.join();
      let inner = known.get(text);
      if (inner === undefined) known.set(text, (inner = kept.push(row) - 1));
      moved.set(key, data.length * 0x10000 + inner);
    }
    const columns = regionIndexes.map((_, i) => i).filter((i) => kept.some((row) => row[i] !== 0));
    data.push({
      regionIndexes: columns.map((i) => {
        const region = regionIndexes[i];
        if (!regions.has(region)) regions.set(region, regions.size);
        return regions.get(region)!;
      }),
      rows: kept.map((row) => Int32Array.from(columns, (i) => row[i])),
    });
  });
  const keptRegions = [...regions.keys()].map((region) => store.regions[region]);
  return { store: { axisCount: store.axisCount, regions: keptRegions, data }, moved };
}

/** Bytes of a delta: those of eight bits come last in a row. */
function deltaSize(rows: readonly Int32Array[], column: number): number {
  let size = 1;
  for (const row of rows) {
    const value = row[column];
    if (value < -0x8000 || value > 0x7fff) return 4;
    if (value < -0x80 || value > 0x7f) size = 2;
  }
  return size;
}

export function itemVariationStoreBlock({ axisCount, regions, data }: ItemVariationStore): Block {
  const list = new Block().uint16(axisCount).uint16(regions.length);
  for (const region of regions) list.int16Array(region);
  const block = new Block().uint16(1).offset32(list).uint16(data.length);
  for (const item of data) block.offset32(dataBlock(item));
  return block;
}

function dataBlock({ regionIndexes, rows }: ItemVariationData): Block {
  const sizes = regionIndexes.map((_, column) => deltaSize(rows, column));
  const long = sizes.includes(4);
  const wide = long ? 4 : 2;
  const order = sizes
    .map((_, column) => column)
    .sort((a, b) => Number(sizes[b] === wide) - Number(sizes[a] === wide));
  const words = sizes.filter((size) => size === wide).length;
  const block = new Block(6 + rows.length * regionIndexes.length * 2);
  block
    .uint16(rows.length)
    .uint16(words | (long ? longWords : 0))
    .uint16(order.length);
  block.uint16Array(order.map((column) => regionIndexes[column]));
  for (const row of rows) {
    order.forEach((column, i) => {
      const size = i < words ? wide : wide / 2;
      if (size === 4) block.int32(row[column]);
      else if (size === 2) block.int16(row[column]);
      else block.uint8(row[column] & 0xff);
    });
  }
  return block;
}
