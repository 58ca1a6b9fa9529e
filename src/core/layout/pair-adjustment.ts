// OpenType: GPOS, LookupType 2: Pair Adjustment

import { Block } from '../bytes/blocks.js';
import { numbersKey } from '../bytes/key.js';
import type { Reader } from '../bytes/reader.js';
import { readClassDefinition, writeNeededClassDefinition, type ClassDefinition } from './class-definition.js';
import { ascending, readCoverage, writeCoverage, type Coverage } from './coverage.js';
import type { GlyphFilter, GlyphMap, Scope } from './glyph-map.js';
import type { PositioningContext } from './positioning.js';
import { pairFormats, PairNumbers, PairReader, PairWriter, type PairValues } from './pair-value.js';
import { eachVariation, valueSize } from './value-record.js';

interface PairBase {
  /**
   * Whether the second value's format isn't empty. Then the second glyph doesn't begin a pair of its own, whatever the
   * value is.
   */
  consumesSecond: boolean;
  values: PairValues;
}

/** The pairs of a first glyph. */
export interface PairSet {
  /** Second glyphs. */
  glyphs: readonly number[];
  /** Numbers of the values of the pairs with them. */
  numbers: readonly number[];
}

/** Format 1: by first glyph. First glyphs with the same pairs may share them. */
export interface GlyphPairs extends PairBase {
  kind: 'glyph pairs';
  pairs: Map<number, PairSet>;
}

/** Format 2: by the classes of both. A first glyph that is covered ends the lookup, also where nothing moves. */
export interface ClassPairs extends PairBase {
  kind: 'class pairs';
  coverage: Coverage;
  firstClasses: ClassDefinition;
  secondClasses: ClassDefinition;
  /** Numbers of values, by first class, then by second class. */
  matrix: readonly Uint32Array[];
}

export type PairAdjustment = GlyphPairs | ClassPairs;

export const isPairAdjustment = (subtable: { kind: string }): subtable is PairAdjustment =>
  subtable.kind === 'glyph pairs' || subtable.kind === 'class pairs';

export function readPairs(reader: Reader, start: number, scope: Scope): PairAdjustment {
  const format = reader.seek(start).uint16();
  if (format !== 1 && format !== 2)
    throw reader.damaged(`format ${format} of this lookup type is not known`, start);
  return format === 1 ? readGlyphPairs(reader, start, scope) : readClassPairs(reader, start, scope);
}

function readGlyphPairs(reader: Reader, start: number, { has, varies }: Scope): GlyphPairs {
  const [, coverageOffset, valueFormat1, valueFormat2] = reader.seek(start).uint16Array(4);
  const offsets = reader.uint16Array(reader.uint16());
  const coverage = readCoverage(reader, start + coverageOffset);
  const numbers = new PairNumbers();
  const pairReader = new PairReader(reader, [valueFormat1, valueFormat2], numbers, varies);
  const pairs: GlyphPairs['pairs'] = new Map();
  for (let i = 0; i < Math.min(offsets.length, coverage.length); i++) {
    const first = coverage[i];
    if (!has(first) || pairs.has(first)) continue;
    pairs.set(first, readPairSet(reader, start + offsets[i], has, pairReader));
  }
  return { kind: 'glyph pairs', consumesSecond: valueFormat2 !== 0, values: numbers.values, pairs };
}

function readPairSet(reader: Reader, start: number, has: GlyphFilter, pairReader: PairReader): PairSet {
  const recordSize = 2 + pairReader.size;
  const count = reader.seek(start).uint16();
  const records = reader.take(count * recordSize);
  const glyphs: number[] = [];
  const numbers: number[] = [];
  let isSorted = true;
  let previous = -1;
  const valuesAt = start + 4;
  // Most of a font's pairs go in most subsets: what is done here is done some ten thousand times.
  for (let i = 0, at = 0; i < count; i++, at += recordSize) {
    const glyph = (records[at] << 8) | records[at + 1];
    if (glyph <= previous) isSorted = false;
    previous = glyph;
    if (!has(glyph)) continue;
    glyphs.push(glyph);
    numbers.push(pairReader.at(valuesAt + at, start));
  }
  if (isSorted) return { glyphs, numbers };
  const all = Array.from(
    { length: count },
    (_, i) => (records[i * recordSize] << 8) | records[i * recordSize + 1],
  );
  const found = [...new Set(glyphs)].flatMap((glyph) => {
    const place = foundByHalving(all, glyph);
    return place === undefined ? [] : [[glyph, pairReader.at(valuesAt + place * recordSize, start)] as const];
  });
  found.sort(([a], [b]) => a - b);
  return { glyphs: found.map(([glyph]) => glyph), numbers: found.map(([, number]) => number) };
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

function readClassPairs(reader: Reader, start: number, { has, varies }: Scope): ClassPairs {
  const [, coverageOffset, valueFormat1, valueFormat2, classDef1, classDef2, count1, count2] = reader
    .seek(start)
    .uint16Array(8);
  const matrixAt = reader.position;
  const numbers = new PairNumbers();
  const pairReader = new PairReader(reader, [valueFormat1, valueFormat2], numbers, varies);
  const { size } = pairReader;
  if (count1 * count2 * Math.max(size, 1) > reader.length) {
    throw reader.damaged(`${count1} × ${count2} classes don't lie in the table`, start);
  }
  const coverage = readCoverage(reader, start + coverageOffset).filter(has);
  const firstClasses = readClassDefinition(reader, start + classDef1, has);
  const secondClasses = readClassDefinition(reader, start + classDef2, has);
  const rows = new Set(coverage.map((glyph) => firstClasses.get(glyph) ?? 0));
  const columns = [...new Set([0, ...secondClasses.values()])].filter((column) => column < count2);
  const unused = new Uint32Array(count2);
  const matrix = Array.from({ length: count1 }, (_, i) => {
    if (!rows.has(i)) return unused;
    const row = new Uint32Array(count2);
    reader.charge(columns.length * size);
    for (const column of columns) row[column] = pairReader.at(matrixAt + (i * count2 + column) * size, start);
    return row;
  });
  const consumesSecond = valueFormat2 !== 0;
  return {
    kind: 'class pairs',
    consumesSecond,
    values: numbers.values,
    coverage,
    firstClasses,
    secondClasses,
    matrix,
  };
}

/** What is left of a subtable where some glyphs go; undefined where nothing is. */
export function keptPairs(subtable: PairAdjustment, map: GlyphMap): PairAdjustment | undefined {
  if (subtable.kind === 'class pairs') return keptClassPairs(subtable, map);
  const pairs: GlyphPairs['pairs'] = new Map();
  for (const [glyph, set] of subtable.pairs) {
    const first = map.newId(glyph);
    if (first === undefined) continue;
    const glyphs: number[] = [];
    const numbers: number[] = [];
    for (let i = 0; i < set.glyphs.length; i++) {
      const second = map.newId(set.glyphs[i]);
      if (second === undefined) continue;
      glyphs.push(second);
      numbers.push(set.numbers[i]);
    }
    if (glyphs.length > 0) pairs.set(first, { glyphs, numbers });
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
  const used = usedFirsts.map((row) => picked(subtable.matrix[row], usedSeconds));
  const columns = mergedLines(usedSeconds, (i) => columnOf(used, i));
  const rows = mergedLines(usedFirsts, (i) => used[i]);
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
  const matrix = rows.lines.map((row) => picked(subtable.matrix[row], columns.lines));
  const kept: ClassPairs = { ...subtable, coverage: covered, firstClasses, secondClasses, matrix };
  return covered.length > 0 ? kept : undefined;
}

/** Some numbers of a row. Loops, as there are ten thousands of them. */
function picked(row: Uint32Array, columns: readonly number[]): Uint32Array {
  const values = new Uint32Array(columns.length);
  for (let i = 0; i < columns.length; i++) values[i] = row[columns[i]];
  return values;
}

/** A column of numbers. */
export function columnOf(rows: readonly Uint32Array[], column: number): Uint32Array {
  const values = new Uint32Array(rows.length);
  for (let i = 0; i < rows.length; i++) values[i] = rows[i][column];
  return values;
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
    const key = numbersKey(valuesOf(i));
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
    for (const [first, { glyphs, numbers }] of subtable.pairs) {
      const moving = {
        glyphs: glyphs.filter((_, i) => numbers[i] !== 0),
        numbers: numbers.filter((number) => number !== 0),
      };
      if (moving.glyphs.length > 0) pairs.set(first, moving);
    }
    return pairs.size > 0 ? { ...subtable, pairs } : undefined;
  }
  const rowOf = (glyph: number) => subtable.firstClasses.get(glyph) ?? 0;
  const numbers = new Map<number, number>();
  subtable.matrix.forEach((row, i) => {
    if (row.some((number) => number !== 0)) numbers.set(i, numbers.size);
  });
  const coverage = subtable.coverage.filter((glyph) => numbers.has(rowOf(glyph)));
  if (coverage.length === 0) return undefined;
  const firstClasses = new Map(coverage.map((glyph) => [glyph, numbers.get(rowOf(glyph))!]));
  return { ...subtable, coverage, firstClasses, matrix: subtable.matrix.filter((_, i) => numbers.has(i)) };
}

/** Bytes that the values of a pair take. */
export function pairSize(subtable: PairAdjustment, { deltaSets }: PositioningContext): number {
  const formats = pairFormats(subtable.values, usedNumbers(subtable), deltaSets);
  return valueSize(formats[0]) + valueSize(formats[1]);
}

export function writePairs(subtable: PairAdjustment, context: PositioningContext): Block {
  const writer = new PairWriter(subtable.values, usedNumbers(subtable), subtable.consumesSecond, context);
  return context.store.keep(
    subtable.kind === 'glyph pairs'
      ? writeGlyphPairs(subtable, writer, context)
      : writeClassPairs(subtable, writer, context),
  );
}

/** Numbers of the values that occur. */
function usedNumbers(subtable: PairAdjustment): number[] {
  const isUsed = new Uint8Array(subtable.values.length);
  const lines =
    subtable.kind === 'class pairs'
      ? subtable.matrix
      : Array.from(subtable.pairs.values(), ({ numbers }) => numbers);
  for (const line of lines) for (let i = 0; i < line.length; i++) isUsed[line[i]] = 1;
  const used: number[] = [];
  for (let number = 0; number < isUsed.length; number++) if (isUsed[number]) used.push(number);
  return used;
}

function writeGlyphPairs({ pairs }: GlyphPairs, writer: PairWriter, context: PositioningContext): Block {
  const firsts = [...pairs.keys()].sort(ascending);
  const block = new Block().uint16(1).offset16(writeCoverage(firsts, context.store));
  block.uint16Array(writer.formats).uint16(firsts.length);
  const written = new Map<PairSet, Block>();
  for (const first of firsts) {
    const set = pairs.get(first)!;
    let target = written.get(set);
    if (!target) written.set(set, (target = context.store.keep(writePairSet(set, writer))));
    block.offset16(target);
  }
  return block;
}

function writePairSet({ glyphs, numbers }: PairSet, writer: PairWriter): Block {
  const block = new Block(2 + glyphs.length * 4).uint16(glyphs.length);
  if (glyphs.every((glyph, i) => i === 0 || glyph > glyphs[i - 1])) writer.write(block, numbers, glyphs);
  else {
    const order = glyphs.map((_, i) => i).sort((a, b) => glyphs[a] - glyphs[b]);
    writer.write(
      block,
      order.map((i) => numbers[i]),
      order.map((i) => glyphs[i]),
    );
  }
  return block;
}

function writeClassPairs(
  { coverage, firstClasses, secondClasses, matrix }: ClassPairs,
  writer: PairWriter,
  { store }: PositioningContext,
): Block {
  const block = new Block(16 + matrix.length * matrix[0].length * 2)
    .uint16(2)
    .offset16(writeCoverage(coverage, store))
    .uint16Array(writer.formats)
    .offset16(writeNeededClassDefinition(onlyOf(firstClasses, coverage), store))
    .offset16(writeNeededClassDefinition(secondClasses, store))
    .uint16(matrix.length)
    .uint16(matrix[0].length);
  for (const row of matrix) writer.write(block, row);
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
  for (const number of usedNumbers(subtable)) {
    const { first, second } = subtable.values[number];
    eachVariation(first.devices, visit);
    eachVariation(second.devices, visit);
  }
}
