// OpenType Layout Common Table Formats: FeatureVariations Table

import { Block, type BlockStore } from '../../bytes/blocks.js';
import type { Reader } from '../../bytes/reader.js';

/** Where all axes lie in their ranges, some features are others. */
export interface FeatureVariation {
  conditions: AxisRange[];
  substitutions: { feature: number; lookups: number[] }[];
}

/** Normalised coordinates, 2.14 as stored. */
interface AxisRange {
  axisIndex: number;
  minimum: number;
  maximum: number;
}

/** Conditions of a kind that isn't known are never true, so those records are left out. */
export function readFeatureVariations(reader: Reader, start: number): FeatureVariation[] {
  const count = reader.seek(start + 4).uint32();
  if (count * 8 > reader.remaining)
    throw reader.damaged(`${count} feature variations don't lie in the table`, start);
  const offsets = reader.uint32Array(count * 2);
  const variations: FeatureVariation[] = [];
  for (let i = 0; i < count; i++) {
    const [conditionSet, substitution] = [offsets[i * 2], offsets[i * 2 + 1]];
    const conditions = conditionSet === 0 ? [] : readConditions(reader, start + conditionSet);
    const substitutions = substitution === 0 ? [] : readSubstitutions(reader, start + substitution);
    if (conditions) variations.push({ conditions, substitutions });
  }
  return variations;
}

function readConditions(reader: Reader, start: number): AxisRange[] | undefined {
  const count = reader.seek(start).uint16();
  const offsets = reader.uint32Array(count);
  const conditions: AxisRange[] = [];
  for (const offset of offsets) {
    if (reader.seek(start + offset).uint16() !== 1) return undefined;
    conditions.push({ axisIndex: reader.uint16(), minimum: reader.int16(), maximum: reader.int16() });
  }
  return conditions;
}

function readSubstitutions(reader: Reader, start: number): FeatureVariation['substitutions'] {
  const count = reader.seek(start + 4).uint16();
  const places = Array.from({ length: count }, () => ({ feature: reader.uint16(), offset: reader.uint32() }));
  return places.map(({ feature, offset }) => {
    reader.seek(start + offset + 2);
    return { feature, lookups: Array.from(reader.uint16Array(reader.uint16())) };
  });
}

/** @returns undefined where nothing varies */
export function writeFeatureVariations(
  variations: readonly FeatureVariation[],
  store: BlockStore,
): Block | undefined {
  if (variations.length === 0) return undefined;
  const block = new Block().uint32(0x00010000).uint32(variations.length);
  for (const { conditions, substitutions } of variations) {
    const conditionSet = new Block().uint16(conditions.length);
    for (const { axisIndex, minimum, maximum } of conditions) {
      const condition = new Block(8).uint16(1).uint16(axisIndex).int16(minimum).int16(maximum);
      conditionSet.offset32(store.keep(condition));
    }
    const substitution = new Block().uint32(0x00010000).uint16(substitutions.length);
    for (const { feature, lookups } of substitutions) {
      const table = new Block().uint16(0).uint16(lookups.length).uint16Array(lookups);
      substitution.uint16(feature).offset32(store.keep(table));
    }
    block.offset32(store.keep(conditionSet)).offset32(store.keep(substitution));
  }
  return store.keep(block);
}
