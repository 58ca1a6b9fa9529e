// OpenType: GPOS, LookupType 1: Single Adjustment Positioning

import { Block } from '../../bytes/blocks.js';
import { ascending, readCoverage, writeCoverage } from '../common/coverage.js';
import { keptKeys, withValues, type GlyphMap } from '../common/glyph-map.js';
import type { PositioningKind } from '../common/lookup-kind.js';
import { readFormat } from '../common/read-format.js';
import { move } from './moving.js';
import {
  eachVariation,
  readValue,
  valueFormatOf,
  valueKey,
  valueSize,
  valueWithDevices,
  writeValue,
  type Value,
} from './value-record.js';

/** Moves single glyphs. */
export interface SingleAdjustment {
  kind: 'single adjustment';
  values: Map<number, Value>;
}

export const singleAdjustment: PositioningKind<SingleAdjustment> = {
  types: { GPOS: [1] },

  read(reader, start, _type, { wanted, varies }) {
    const format = readFormat(reader, start, 1, 2);
    const coverage = readCoverage(reader, start + reader.uint16());
    const valueFormat = reader.seek(start + 4).uint16();
    const values = new Map<number, Value>();
    if (format === 1) {
      const value = readValue(reader, valueFormat, start, varies);
      for (const glyph of coverage) if (wanted.has(glyph)) values.set(glyph, value);
    } else {
      const count = Math.min(reader.uint16(), coverage.length);
      const [at, size] = [reader.position, valueSize(valueFormat)];
      for (let i = 0; i < count; i++) {
        if (!wanted.has(coverage[i])) continue;
        reader.seek(at + i * size);
        values.set(coverage[i], readValue(reader, valueFormat, start, varies));
      }
    }
    return { kind: 'single adjustment', values };
  },

  kept(subtable, map: GlyphMap) {
    const values = keptKeys(subtable.values, map, (value) => value);
    return values.size > 0 ? { ...subtable, values } : undefined;
  },

  write({ values }, { store, deltaSets }) {
    const glyphs = [...values.keys()].sort(ascending);
    const all = glyphs.map((glyph) => values.get(glyph)!);
    const format = all.reduce((bits, value) => bits | valueFormatOf(value, deltaSets), 0);
    const [first] = all;
    const key = valueKey(first);
    const block = new Block();
    if (all.every((value) => value === first || valueKey(value) === key)) {
      block.uint16(1).offset16(writeCoverage(glyphs, store)).uint16(format);
      writeValue(block, first, format, store, deltaSets);
    } else {
      block.uint16(2).offset16(writeCoverage(glyphs, store)).uint16(format).uint16(glyphs.length);
      for (const value of all) writeValue(block, value, format, store, deltaSets);
    }
    return store.keep(block);
  },

  mentions: ({ values }, glyph) => values.has(glyph),

  firsts: ({ values }) => values.keys(),

  apply(work, { values }, at) {
    const one = work.run[at];
    const value = values.get(one.glyph);
    if (!value) return -1;
    move(work, one, value);
    return at + 1;
  },

  eachVariation({ values }, visit) {
    for (const { devices } of values.values()) eachVariation(devices, visit);
  },

  withDevices: (subtable, change) => ({
    ...subtable,
    values: withValues(subtable.values, (value) => valueWithDevices(value, change)),
  }),
};
