// OpenType: GPOS, LookupType 2: which format a subtable takes

import { numbersKey } from '../bytes/key.js';
import { classDefinitionSize } from './class-definition.js';
import { ascending } from './coverage.js';
import {
  columnOf,
  type ClassPairs,
  type GlyphPairs,
  type PairAdjustment,
  type PairSet,
} from './pair-adjustment.js';

/**
 * The subtable in the format that takes fewer bytes, where both would do the same.
 *
 * @param last of its lookup
 * @param valueSize gives the bytes that the values of a pair take
 */
export function smallestForm(
  subtable: PairAdjustment,
  last: boolean,
  valueSize: () => number,
): PairAdjustment {
  if (!last || subtable.consumesSecond) return subtable;
  const isListed = subtable.kind === 'glyph pairs';
  const classes = isListed ? asClassPairs(subtable) : subtable;
  // Pairs with glyphs of class 0 are those with all other glyphs; they can't be listed.
  if (classes.matrix.some((row) => row[0] !== 0)) return subtable;
  const sizes = sizesOf(classes, valueSize());
  if (isListed) return sizes.asClasses < sizes.listed ? classes : subtable;
  return sizes.listed < sizes.asClasses ? asGlyphPairs(classes) : subtable;
}

/** Bytes in both formats, but for the coverage and the devices, which are the same. */
function sizesOf(
  { coverage, firstClasses, secondClasses, matrix }: ClassPairs,
  valueSize: number,
): { asClasses: number; listed: number } {
  const classesSize = classDefinitionSize(firstClasses) + classDefinitionSize(secondClasses);
  const asClasses = 16 + matrix.length * matrix[0].length * valueSize + classesSize;
  const glyphsOf = new Uint32Array(matrix[0].length);
  for (const column of secondClasses.values()) glyphsOf[column]++;
  let listed = 10 + coverage.length * 2;
  for (const row of matrix) {
    let pairs = 0;
    for (let column = 0; column < row.length; column++) if (row[column] !== 0) pairs += glyphsOf[column];
    listed += 2 + pairs * (2 + valueSize);
  }
  return { asClasses, listed };
}

function asGlyphPairs({ coverage, firstClasses, secondClasses, matrix, values }: ClassPairs): GlyphPairs {
  const listed = matrix.map((row): PairSet => {
    const glyphs = [...secondClasses.keys()].filter((second) => row[secondClasses.get(second)!] !== 0);
    return { glyphs, numbers: glyphs.map((second) => row[secondClasses.get(second)!]) };
  });
  const pairs: GlyphPairs['pairs'] = new Map();
  for (const glyph of coverage) {
    const moving = listed[firstClasses.get(glyph) ?? 0];
    if (moving.glyphs.length > 0) pairs.set(glyph, moving);
  }
  return { kind: 'glyph pairs', consumesSecond: false, values, pairs };
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
