// OpenType: gvar, HVAR and VVAR of the glyphs that stay

import type { GlyphMap } from '../layout/common/glyph-map.js';
import type { Font } from '../sfnt/font.js';
import {
  eachSharedTuple,
  readGlyphVariations,
  writeGlyphVariations,
} from '../variations/glyph-variations.js';
import { keptDeltaSets } from '../variations/item-variation-store.js';
import {
  noDeltaSet,
  readMetricVariations,
  writeMetricVariations,
  type MetricVariationsTag,
} from '../variations/metric-variations.js';

/**
 * OpenType: gvar. The deltas of a glyph stay as they are; tuples that glyphs share are kept where one of them still
 * does, the most frequent first.
 */
export function keptGvar(font: Font, map: GlyphMap): Uint8Array {
  const table = readGlyphVariations(font);
  const { axisCount } = table;
  const records = map.oldIds.map((oldId) => table.recordOf(oldId));
  const uses = new Map<number, number>();
  for (const record of records) {
    eachSharedTuple(record, axisCount, (index) => {
      uses.set(index, (uses.get(index) ?? 0) + 1);
      return index;
    });
  }
  const kept = [...uses].sort((a, b) => b[1] - a[1] || a[0] - b[0]).map(([index]) => index);
  const tuples = kept.map((index) => table.sharedTupleAt(index));
  for (const record of records) eachSharedTuple(record, axisCount, (index) => kept.indexOf(index));
  return writeGlyphVariations(axisCount, tuples, records);
}

/** OpenType: HVAR and VVAR: how advances, bearings and origins vary. */
export function keptMetricVariations(font: Font, tag: MetricVariationsTag, map: GlyphMap): Uint8Array {
  const { store, deltaSetOf } = readMetricVariations(font, tag);
  const keys = deltaSetOf.map((keyOf) => keyOf && map.oldIds.map(keyOf));
  const used = new Set(keys.flatMap((list) => list ?? []));
  const { store: kept, moved } = keptDeltaSets(store, used);
  return writeMetricVariations(
    kept,
    keys.map((list) => list?.map((key) => moved.get(key) ?? noDeltaSet)),
  );
}
