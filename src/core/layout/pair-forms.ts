// OpenType: GPOS, LookupType 2: which format a subtable takes

import { numbersKey } from '../bytes/key.js';
import { ascending } from './coverage.js';
import {
  columnOf,
  type ClassPairs,
  type GlyphPairs,
  type PairAdjustment,
  type PairSet,
} from './pair-adjustment.js';

/** The subtable in both formats, where both would do the same, to choose the smaller one. @param last of its lookup */
export function pairForms(subtable: PairAdjustment, last: boolean): PairAdjustment[] {
  if (!last || subtable.consumesSecond) return [subtable];
  if (subtable.kind === 'glyph pairs') return [subtable, asClassPairs(subtable)];
  const { coverage, firstClasses, secondClasses, matrix, values } = subtable;
  // Pairs with glyphs of class 0 are those with all other glyphs; they can't be listed.
  if (matrix.some((row) => row[0] !== 0)) return [subtable];
  if (leastGlyphPairs(subtable) > mostClassPairs(subtable)) return [subtable];
  const listed = matrix.map((row): PairSet => {
    const glyphs = [...secondClasses.keys()].filter((second) => row[secondClasses.get(second)!] !== 0);
    return { glyphs, numbers: glyphs.map((second) => row[secondClasses.get(second)!]) };
  });
  const pairs: GlyphPairs['pairs'] = new Map();
  for (const glyph of coverage) {
    const moving = listed[firstClasses.get(glyph) ?? 0];
    if (moving.glyphs.length > 0) pairs.set(glyph, moving);
  }
  return [subtable, { kind: 'glyph pairs', consumesSecond: false, values, pairs }];
}

/** Values that are stored at least, where those of each row are listed for its second glyphs. */
function leastGlyphPairs({ secondClasses, matrix }: ClassPairs): number {
  const sizes = new Uint32Array(matrix[0].length);
  for (const column of secondClasses.values()) sizes[column]++;
  let values = 0;
  for (const row of matrix) {
    for (let column = 0; column < row.length; column++) if (row[column] !== 0) values += sizes[column];
  }
  return values;
}

/** Values that take as much room as the matrix and the classes, were each glyph of these listed by itself. */
function mostClassPairs({ firstClasses, secondClasses, matrix }: ClassPairs): number {
  return matrix.length * matrix[0].length + 3 * (firstClasses.size + secondClasses.size) + 4;
}

/** First glyphs with the same pairs make a class, and so do second glyphs. */
function asClassPairs({ pairs, values }: GlyphPairs): ClassPairs {
  const coverage = [...pairs.keys()].sort(ascending);
  const seconds = secondGlyphs(pairs);
  const placeOf = new Map(seconds.map((glyph, i) => [glyph, i]));
  const rows = coverage.map((first) => {
    const row = new Uint32Array(seconds.length);
    const { glyphs, numbers } = pairs.get(first)!;
    for (let i = 0; i < glyphs.length; i++) row[placeOf.get(glyphs[i])!] = numbers[i];
    return row;
  });
  const firsts = classesOf(coverage, (i) => rows[i], 0);
  const examples = firsts.examples.map((row) => rows[row]);
  const columns = classesOf(seconds, (i) => columnOf(examples, i), 1);
  const matrix = firsts.examples.map((row) =>
    Uint32Array.from([0, ...columns.examples.map((column) => rows[row][column])]),
  );
  return {
    kind: 'class pairs',
    consumesSecond: false,
    values,
    coverage,
    firstClasses: firsts.classes,
    secondClasses: columns.classes,
    matrix,
  };
}

function secondGlyphs(pairs: GlyphPairs['pairs']): number[] {
  const seconds = new Set<number>();
  for (const { glyphs } of pairs.values()) for (const second of glyphs) seconds.add(second);
  return [...seconds].sort(ascending);
}

/**
 * Glyphs with equal lines of numbers make a class.
 *
 * @param from the number of the first class
 * @returns where in the list the first glyph of each class stands, and the class of each glyph, but for class 0
 */
function classesOf(glyphs: readonly number[], lineOf: (index: number) => Uint32Array, from: number) {
  const known = new Map<string, number>();
  const classes = new Map<number, number>();
  const examples: number[] = [];
  glyphs.forEach((glyph, i) => {
    const key = numbersKey(lineOf(i));
    let number = known.get(key);
    if (number === undefined) known.set(key, (number = examples.push(i) - 1 + from));
    if (number > 0) classes.set(glyph, number);
  });
  return { classes, examples };
}
