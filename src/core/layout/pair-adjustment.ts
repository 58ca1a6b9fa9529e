// OpenType: GPOS, LookupType 2: Pair Adjustment

import { Block } from '../bytes/blocks.js';
import { bytesKey } from '../bytes/key.js';
import type { Reader } from '../bytes/reader.js';
import { readClassDefinition, writeNeededClassDefinition, type ClassDefinition } from './class-definition.js';
import { ascending, readCoverage, writeCoverage, type Coverage } from './coverage.js';
import type { GlyphFilter, GlyphMap } from './glyph-map.js';
import type { PositioningContext } from './positioning.js';
import { noPair, PairNumbers, pairReader, type PairValue } from './pair-value.js';
import { eachVariation, valueBit, valueFormatOf, valueSize, writeValue } from './value-record.js';

interface PairBase {
  /**
   * Whether the second value's format isn't empty. Then the second glyph doesn't begin a pair of its own, whatever the
   * value is.
   */
  consumesSecond: boolean;
}

/** Format 1: by first glyph, then by second glyph. First glyphs with the same pairs may share them. */
export interface GlyphPairs extends PairBase {
  kind: 'glyph pairs';
  pairs: Map<number, ReadonlyMap<number, PairValue>>;
}

/** Format 2: by the classes of both. A first glyph that is covered ends the lookup, also where nothing moves. */
export interface ClassPairs extends PairBase {
  kind: 'class pairs';
  coverage: Coverage;
  firstClasses: ClassDefinition;
  secondClasses: ClassDefinition;
  /** By first class, then by second class. */
  matrix: PairValue[][];
}

export type PairAdjustment = GlyphPairs | ClassPairs;

export const isPairAdjustment = (subtable: { kind: string }): subtable is PairAdjustment =>
  subtable.kind === 'glyph pairs' || subtable.kind === 'class pairs';

/** @param has which glyphs matter */
export function readPairs(reader: Reader, start: number, has: GlyphFilter): PairAdjustment {
  const format = reader.seek(start).uint16();
  if (format !== 1 && format !== 2)
    throw reader.damaged(`format ${format} of this lookup type is not known`, start);
  const coverage = readCoverage(reader, start + reader.uint16());
  const valueFormat1 = reader.seek(start + 4).uint16();
  const valueFormat2 = reader.uint16();
  const consumesSecond = valueFormat2 !== 0;
  const value = pairReader(reader, valueFormat1, valueFormat2);
  if (format === 1) {
    const recordSize = 2 + valueSize(valueFormat1) + valueSize(valueFormat2);
    const offsets = reader.uint16Array(reader.uint16());
    const pairs: GlyphPairs['pairs'] = new Map();
    for (let i = 0; i < Math.min(offsets.length, coverage.length); i++) {
      const first = coverage[i];
      if (!has(first) || pairs.has(first)) continue;
      pairs.set(first, readPairSet(reader, start + offsets[i], recordSize, has, value));
    }
    return { kind: 'glyph pairs', consumesSecond, pairs };
  }
  const [classDef1, classDef2, count1, count2] = reader.uint16Array(4);
  const matrixAt = reader.position;
  const size = valueSize(valueFormat1) + valueSize(valueFormat2);
  if (count1 * count2 * Math.max(size, 1) > reader.length) {
    throw reader.damaged(`${count1} × ${count2} classes don't lie in the table`, start);
  }
  const firstClasses = readClassDefinition(reader, start + classDef1);
  const secondClasses = readClassDefinition(reader, start + classDef2);
  const used = new Set(coverage.filter(has).map((glyph) => firstClasses.get(glyph) ?? 0));
  const unused = Array.from({ length: count2 }, () => noPair);
  const matrix = Array.from({ length: count1 }, (_, row) => {
    if (!used.has(row)) return unused;
    reader.seek(matrixAt + row * count2 * size);
    return Array.from({ length: count2 }, () => value(start));
  });
  return { kind: 'class pairs', consumesSecond, coverage, firstClasses, secondClasses, matrix };
}

/** A PairSet: by second glyph. */
function readPairSet(
  reader: Reader,
  start: number,
  recordSize: number,
  has: GlyphFilter,
  value: (start: number) => PairValue,
): Map<number, PairValue> {
  const count = reader.seek(start).uint16();
  const records = reader.take(count * recordSize);
  const glyphAt = (i: number) => (records[i * recordSize] << 8) | records[i * recordSize + 1];
  const pairs = new Map<number, PairValue>();
  const readAt = (i: number, glyph: number) => {
    reader.seek(start + 4 + i * recordSize);
    pairs.set(glyph, value(start));
  };
  let isSorted = true;
  let previous = -1;
  // Most of a font's pairs go in most subsets: what is done here is done some ten thousand times.
  for (let i = 0, at = 0; i < count; i++, at += recordSize) {
    const glyph = (records[at] << 8) | records[at + 1];
    if (glyph <= previous) isSorted = false;
    previous = glyph;
    if (has(glyph)) readAt(i, glyph);
  }
  if (isSorted) return pairs;
  const glyphs = Array.from({ length: count }, (_, i) => glyphAt(i));
  for (const glyph of pairs.keys()) {
    const found = foundByHalving(glyphs, glyph);
    if (found === undefined) pairs.delete(glyph);
    else readAt(found, glyph);
  }
  return pairs;
}

/** Where browsers find a glyph: by halving, so that they don't find some that stand out of order. */
function foundByHalving(glyphs: readonly number[], glyph: number): number | undefined {
  let [first, last] = [0, glyphs.length - 1];
  while (first <= last) {
    const middle = (first + last) >> 1;
    if (glyphs[middle] === glyph) return middle;
    if (glyphs[middle] < glyph) first = middle + 1;
    else last = middle - 1;
  }
  return undefined;
}

/** What is left of a subtable where some glyphs go; undefined where nothing is. */
export function keptPairs(subtable: PairAdjustment, map: GlyphMap): PairAdjustment | undefined {
  if (subtable.kind === 'class pairs') return keptClassPairs(subtable, map);
  const pairs: GlyphPairs['pairs'] = new Map();
  for (const [glyph, seconds] of subtable.pairs) {
    const first = map.newId(glyph);
    if (first === undefined) continue;
    const kept = new Map<number, PairValue>();
    for (const [secondGlyph, value] of seconds) {
      const second = map.newId(secondGlyph);
      if (second !== undefined) kept.set(second, value);
    }
    if (kept.size > 0) pairs.set(first, kept);
  }
  return pairs.size > 0 ? { ...subtable, pairs } : undefined;
}

/** Classes without glyphs go, and those whose values are the same become one. */
function keptClassPairs(subtable: ClassPairs, map: GlyphMap): ClassPairs | undefined {
  const coverage = map.those(subtable.coverage).sort(ascending);
  if (coverage.length === 0) return undefined;
  const firstOf = (oldId: number) => subtable.firstClasses.get(oldId) ?? 0;
  const secondOf = (oldId: number) => subtable.secondClasses.get(oldId) ?? 0;
  const columnCount = subtable.matrix[0]?.length ?? 0;
  const usedFirsts = usedClasses(coverage, (newId) => firstOf(map.oldIds[newId]), subtable.matrix.length);
  const usedSeconds = usedClasses(map.oldIds, secondOf, columnCount);
  const numbers = new PairNumbers();
  const numbered = usedFirsts.map((row) =>
    Uint32Array.from(usedSeconds, (column) => numbers.of(subtable.matrix[row][column])),
  );
  const columns = mergedLines(usedSeconds, (i) => Uint32Array.from(numbered, (row) => row[i]));
  const rows = mergedLines(usedFirsts, (i) => numbered[i]);
  if (rows.lines.length === 0 || columns.lines.length === 0) return undefined;
  const firstClasses = new Map<number, number>();
  const covered = coverage.filter((newId) => {
    const row = rows.numberOf.get(firstOf(map.oldIds[newId]));
    if (row) firstClasses.set(newId, row);
    return row !== undefined;
  });
  const secondClasses = new Map<number, number>();
  map.oldIds.forEach((oldId, newId) => {
    const column = columns.numberOf.get(secondOf(oldId));
    if (column) secondClasses.set(newId, column);
  });
  const matrix = rows.lines.map((row) => columns.lines.map((column) => subtable.matrix[row][column]));
  const kept: ClassPairs = { ...subtable, coverage: covered, firstClasses, secondClasses, matrix };
  return covered.length > 0 ? kept : undefined;
}

/** Classes that glyphs have, ascending; not those that the matrix has no line for. */
function usedClasses(glyphs: readonly number[], classOf: (glyph: number) => number, count: number): number[] {
  const used = new Set<number>();
  for (const glyph of glyphs) used.add(classOf(glyph));
  return [...used].filter((value) => value < count).sort(ascending);
}

/** Rows or columns, with equal ones counted once. Class 0 stays first, as glyphs without a class have it. */
function mergedLines(
  used: readonly number[],
  valuesOf: (index: number) => Uint32Array,
): { lines: number[]; numberOf: Map<number, number> } {
  const lines: number[] = [];
  const numberOf = new Map<number, number>();
  const known = new Map<string, number>();
  used.forEach((line, i) => {
    const key = bytesKey(valuesOf(i));
    let number = known.get(key);
    if (number === undefined) known.set(key, (number = lines.push(line) - 1));
    numberOf.set(line, number);
  });
  return { lines, numberOf };
}

/**
 * The last subtable of a lookup says nothing where it moves nothing, so that pairs without an effect go and either
 * format will do. Not where the second glyph is consumed.
 *
 * @returns undefined where no pair moves
 */
export function withoutIdlePairs(subtable: PairAdjustment): PairAdjustment | undefined {
  if (subtable.consumesSecond) return subtable;
  if (subtable.kind === 'glyph pairs') {
    const pairs: GlyphPairs['pairs'] = new Map();
    for (const [first, seconds] of subtable.pairs) {
      const kept = new Map([...seconds].filter(([, value]) => !value.isIdle));
      if (kept.size > 0) pairs.set(first, kept);
    }
    return pairs.size > 0 ? { ...subtable, pairs } : undefined;
  }
  const rowOf = (glyph: number) => subtable.firstClasses.get(glyph) ?? 0;
  const numbers = new Map<number, number>();
  subtable.matrix.forEach((row, i) => {
    if (!row.every((pair) => pair.isIdle)) numbers.set(i, numbers.size);
  });
  const coverage = subtable.coverage.filter((glyph) => numbers.has(rowOf(glyph)));
  if (coverage.length === 0) return undefined;
  const firstClasses = new Map(coverage.map((glyph) => [glyph, numbers.get(rowOf(glyph))!]));
  return { ...subtable, coverage, firstClasses, matrix: subtable.matrix.filter((_, i) => numbers.has(i)) };
}

export function writePairs(subtable: PairAdjustment, context: PositioningContext): Block {
  return context.store.keep(
    subtable.kind === 'glyph pairs' ? writeGlyphPairs(subtable, context) : writeClassPairs(subtable, context),
  );
}

/** Each value once; few values make many pairs. */
function valuesOf(subtable: PairAdjustment): Set<PairValue> {
  const values = new Set<PairValue>();
  if (subtable.kind === 'glyph pairs') {
    for (const seconds of subtable.pairs.values()) for (const value of seconds.values()) values.add(value);
  } else for (const row of subtable.matrix) for (const value of row) values.add(value);
  return values;
}

/** Writes the values of a subtable, each in the formats that hold all of them. */
class ValueWriter {
  /** The second one isn't empty where the second glyph is consumed. */
  readonly formats: readonly [number, number];
  /** Values without devices, as they are written. */
  private readonly written = new Map<PairValue, Uint8Array>();

  constructor(
    subtable: PairAdjustment,
    private readonly context: PositioningContext,
  ) {
    let [first, second] = [0, 0];
    for (const value of valuesOf(subtable)) {
      first |= valueFormatOf(value.first, context.deltaSets);
      second |= valueFormatOf(value.second, context.deltaSets);
    }
    this.formats = [first, second === 0 && subtable.consumesSecond ? valueBit.xAdvance : second];
  }

  write(block: Block, value: PairValue): void {
    const known = this.written.get(value);
    if (known) {
      block.write(known);
      return;
    }
    const start = block.length;
    const { store, deltaSets } = this.context;
    writeValue(block, value.first, this.formats[0], store, deltaSets);
    writeValue(block, value.second, this.formats[1], store, deltaSets);
    if (!value.first.devices && !value.second.devices) this.written.set(value, block.bytes().slice(start));
  }
}

function writeGlyphPairs(subtable: GlyphPairs, context: PositioningContext): Block {
  const { pairs } = subtable;
  const glyphs = [...pairs.keys()].sort(ascending);
  const values = new ValueWriter(subtable, context);
  const block = new Block().uint16(1).offset16(writeCoverage(glyphs, context.store));
  block.uint16Array(values.formats).uint16(glyphs.length);
  const written = new Map<ReadonlyMap<number, PairValue>, Block>();
  for (const glyph of glyphs) {
    const seconds = pairs.get(glyph)!;
    let set = written.get(seconds);
    if (!set) written.set(seconds, (set = context.store.keep(writePairSet(seconds, values))));
    block.offset16(set);
  }
  return block;
}

function writePairSet(pairs: ReadonlyMap<number, PairValue>, values: ValueWriter): Block {
  const block = new Block(2 + pairs.size * 4).uint16(pairs.size);
  for (const second of [...pairs.keys()].sort(ascending)) {
    values.write(block.uint16(second), pairs.get(second)!);
  }
  return block;
}

function writeClassPairs(subtable: ClassPairs, context: PositioningContext): Block {
  const { coverage, firstClasses, secondClasses, matrix } = subtable;
  const { store } = context;
  const values = new ValueWriter(subtable, context);
  const block = new Block(16 + matrix.length * matrix[0].length * 2)
    .uint16(2)
    .offset16(writeCoverage(coverage, store))
    .uint16Array(values.formats)
    .offset16(writeNeededClassDefinition(onlyOf(firstClasses, coverage), store))
    .offset16(writeNeededClassDefinition(secondClasses, store))
    .uint16(matrix.length)
    .uint16(matrix[0].length);
  for (const row of matrix) for (const value of row) values.write(block, value);
  return block;
}

function onlyOf(classes: ClassDefinition, glyphs: Coverage): ClassDefinition {
  const covered = new Set(glyphs);
  return new Map([...classes].filter(([glyph]) => covered.has(glyph)));
}

/** Two halves, by first glyph, for a subtable that is too large for its offsets. */
export function splitPairs(subtable: PairAdjustment): PairAdjustment[] {
  if (subtable.kind === 'glyph pairs') {
    const entries = [...subtable.pairs].sort(([a], [b]) => a - b);
    if (entries.length < 2) return [subtable];
    const middle = entries.length >> 1;
    return [entries.slice(0, middle), entries.slice(middle)].map((half) => ({
      ...subtable,
      pairs: new Map(half),
    }));
  }
  const { coverage, firstClasses, matrix } = subtable;
  if (matrix.length < 2) return [subtable];
  const middle = matrix.length >> 1;
  return [
    [0, middle],
    [middle, matrix.length],
  ].map(([from, to]) => {
    const rowOf = (glyph: number) => firstClasses.get(glyph) ?? 0;
    const covered = coverage.filter((glyph) => rowOf(glyph) >= from && rowOf(glyph) < to);
    const classes = new Map(covered.map((glyph) => [glyph, rowOf(glyph) - from]));
    return { ...subtable, coverage: covered, firstClasses: classes, matrix: matrix.slice(from, to) };
  });
}

/** Delta sets that the pairs refer to. */
export function eachVariationInPairs(
  subtable: PairAdjustment,
  visit: (outerIndex: number, innerIndex: number) => void,
): void {
  for (const { first, second } of valuesOf(subtable)) {
    eachVariation(first.devices, visit);
    eachVariation(second.devices, visit);
  }
}
