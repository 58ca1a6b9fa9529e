// OpenType: GPOS, LookupType 2, format 2: adjustments for pairs of classes

import { Block } from '../../bytes/blocks.js';
import { numbersKey } from '../../bytes/key.js';
import type { Reader } from '../../bytes/reader.js';
import {
  readClassDefinition,
  writeNeededClassDefinition,
  type ClassDefinition,
} from '../common/class-definition.js';
import { ascending, readCoverage, writeCoverage, type Coverage } from '../common/coverage.js';
import type { GlyphMap, Scope } from '../common/glyph-map.js';
import { setOf } from '../common/work.js';
import { PairNumbers, PairReader, type PairBase, type PairWriter } from './pair-value.js';
import type { WriteContext } from '../common/lookup-kind.js';

/** By the classes of both. A first glyph that is covered ends the lookup, also where nothing moves. */
export interface ClassPairs extends PairBase {
  kind: 'class pairs';
  coverage: Coverage;
  firstClasses: ClassDefinition;
  secondClasses: ClassDefinition;
  /** Numbers of values, by first class, then by second class. */
  matrix: readonly Uint32Array[];
}

export function readClassPairs(reader: Reader, start: number, { wanted, varies }: Scope): ClassPairs {
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
  const coverage = readCoverage(reader, start + coverageOffset).filter((glyph) => wanted.has(glyph));
  const firstClasses = readClassDefinition(reader, start + classDef1, wanted);
  const secondClasses = readClassDefinition(reader, start + classDef2, wanted);
  const rows = new Set(coverage.map((glyph) => firstClasses.get(glyph) ?? 0));
  const columns = [...new Set([0, ...secondClasses.values()])].filter((column) => column < count2);
  const unused = new Uint32Array(count2);
  const matrix = new Array<Uint32Array>(count1).fill(unused);
  for (const i of rows) {
    if (i >= count1) continue;
    reader.charge(columns.length * size);
    matrix[i] = new Uint32Array(count2);
    pairReader.readRow(matrix[i], columns, matrixAt + i * count2 * size, start);
  }
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

/** The number of a pair's value; undefined where the first glyph isn't covered. */
export function classPairNumber(
  { coverage, firstClasses, secondClasses, matrix }: ClassPairs,
  first: number,
  second: number,
): number | undefined {
  if (!setOf(coverage).has(first)) return undefined;
  return matrix[firstClasses.get(first) ?? 0]?.[secondClasses.get(second) ?? 0];
}

/** Classes without glyphs go, and those whose values are the same become one. */
export function keptClassPairs(subtable: ClassPairs, map: GlyphMap): ClassPairs | undefined {
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

/** Without the rows that don't move, their glyphs and pairs; undefined where none does. */
export function movingClassPairs(subtable: ClassPairs): ClassPairs | undefined {
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

/** Pairs of these glyphs alone, with the numbers of their values. */
export function* classPairsAmong(
  { coverage, firstClasses, secondClasses, matrix }: ClassPairs,
  among: ReadonlySet<number>,
): Generator<readonly [first: number, second: number, number: number]> {
  for (const first of coverage) {
    const row = among.has(first) ? matrix[firstClasses.get(first) ?? 0] : undefined;
    if (row) for (const second of among) yield [first, second, row[secondClasses.get(second) ?? 0] ?? 0];
  }
}

/** As it is, or so that pairs of these glyphs alone don't move any more: they get rows and columns of their own. */
export function withoutClassPairsAmong(subtable: ClassPairs, among: ReadonlySet<number>): ClassPairs {
  if (classPairsAmong(subtable, among).next().done) return subtable;
  const { coverage, matrix } = subtable;
  const columnCount = matrix[0]?.length ?? 0;
  const firsts = ownClasses(
    subtable.firstClasses,
    coverage.filter((glyph) => among.has(glyph)),
    matrix.length,
  );
  const seconds = ownClasses(subtable.secondClasses, among, columnCount);
  const rowOf = (row: Uint32Array, isOwn: boolean) =>
    Uint32Array.from([...row, ...seconds.from.map((column) => (isOwn ? 0 : row[column]))]);
  return {
    ...subtable,
    firstClasses: firsts.classes,
    secondClasses: seconds.classes,
    matrix: [
      ...matrix.map((row) => rowOf(row, false)),
      ...firsts.from.map((row) => rowOf(matrix[row], true)),
    ],
  };
}

/** Gives some glyphs of each class a new one. @returns also which class each new one was, the first with number `count` */
function ownClasses(
  classes: ClassDefinition,
  glyphs: Iterable<number>,
  count: number,
): { classes: ClassDefinition; from: number[] } {
  const changed = new Map(classes);
  const from: number[] = [];
  for (const glyph of glyphs) {
    const old = classes.get(glyph) ?? 0;
    if (old >= count) continue;
    const known = from.indexOf(old);
    changed.set(glyph, count + (known < 0 ? from.push(old) - 1 : known));
  }
  return { classes: changed, from };
}

export function writeClassPairs(
  { coverage, firstClasses, secondClasses, matrix }: ClassPairs,
  writer: PairWriter,
  { store }: WriteContext,
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

/** Two halves, by first class. */
export function splitClassPairs(subtable: ClassPairs): ClassPairs[] {
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
