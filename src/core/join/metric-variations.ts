// OpenType: item variation stores, HVAR and VVAR of partial files as one

import type { ItemVariationStore } from '../variations/item-variation-store.js';
import {
  noDeltaSet,
  readMetricVariations,
  writeMetricVariations,
  type MetricVariationsTag,
} from '../variations/metric-variations.js';
import type { Numbering } from './numbering.js';
import { Hindrance, type PartialFont } from './partial-font.js';

/**
 * One store behind the other.
 *
 * @returns also what the outer indexes of each of them start from
 */
export function joinedStores(stores: readonly (ItemVariationStore | undefined)[]): {
  store: ItemVariationStore | undefined;
  starts: number[];
} {
  const axisCount = stores.find((store) => store !== undefined)?.axisCount;
  const joined: ItemVariationStore = { axisCount: axisCount ?? 0, regions: [], data: [] };
  const known = new Map<string, number>();
  const starts = stores.map((store) => {
    const start = joined.data.length;
    if (!store) return start;
    const regions = store.regions.map((region) => {
      const key = region.join();
      if (!known.has(key)) known.set(key, joined.regions.push(region) - 1);
      return known.get(key)!;
    });
    for (const { regionIndexes, rows } of store.data)
      joined.data.push({ regionIndexes: regionIndexes.map((index) => regions[index]), rows });
    return start;
  });
  if (joined.data.length >= 0xffff) throw new Hindrance('together they vary in too many ways');
  return { store: axisCount === undefined ? undefined : joined, starts };
}

export function joinedMetricVariations(
  parts: readonly PartialFont[],
  { origins }: Numbering,
  tag: MetricVariationsTag,
): Uint8Array {
  const tables = parts.map(({ font }) => readMetricVariations(font, tag));
  const { store, starts } = joinedStores(tables.map((table) => table.store));
  const keys = tables[0].deltaSetOf.map((_, kind) => {
    if (tables.every(({ deltaSetOf }) => deltaSetOf[kind] === undefined)) return undefined;
    return origins.map(({ part, glyphId }) => {
      const key = tables[part].deltaSetOf[kind]?.(glyphId) ?? noDeltaSet;
      return key === noDeltaSet ? noDeltaSet : key + starts[part] * 0x10000;
    });
  });
  return writeMetricVariations(store!, keys);
}
