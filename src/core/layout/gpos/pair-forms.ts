// OpenType: GPOS, LookupType 2: which format a subtable takes

import { numbersKey } from '../../bytes/key.js';
import { classDefinitionSize } from '../common/class-definition.js';
import { columnOf, type ClassPairs } from './class-pairs.js';
import { ascending } from '../common/coverage.js';
import { byFirstGlyph, PairCollector, type GlyphPairs, type PairList } from './glyph-pairs.js';

/**
 * The subtable in the format that takes fewer bytes, where both would do the same.
 *
 * @param last of its lookup
 * @param valueSize gives the bytes that the values of a pair take
 */
export function smallestForm(
  subtable: GlyphPairs | ClassPairs,
  last: boolean,
  valueSize: () => number,
): GlyphPairs | ClassPairs {
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
  secondClasses.forEach((column) => glyphsOf[column]++);
  const pairs = matrix.reduce((sum, row) => sum + movingPairs(row, glyphsOf), 0);
  return { asClasses, listed: 10 + coverage.length * 2 + matrix.length * 2 + pairs * (2 + valueSize) };
}

/** @param glyphsOf how many glyphs each class has */
function movingPairs(row: Uint32Array, glyphsOf: Uint32Array): number {
  let pairs = 0;
  for (let column = 0; column < row.length; column++) if (row[column] !== 0) pairs += glyphsOf[column];
  return pairs;
}

function asGlyphPairs({ coverage, firstClasses, secondClasses, matrix, values }: ClassPairs): GlyphPairs {
  const seconds = [...secondClasses.keys()].sort(ascending);
  const pairs = new PairCollector();
  // First glyphs of a class share their pairs, of which there may be thousands.
  const placeOf = new Map<number, number | undefined>();
  for (const first of coverage) {
    const firstClass = firstClasses.get(first) ?? 0;
    const place = placeOf.get(firstClass);
    if (place !== undefined) pairs.share(first, place);
    if (placeOf.has(firstClass)) continue;
    for (const second of seconds) {
      const number = matrix[firstClass][secondClasses.get(second)!];
      if (number !== 0) pairs.add(second, number);
    }
    placeOf.set(firstClass, pairs.hasMore ? pairs.size : undefined);
    if (pairs.hasMore) pairs.end(first);
  }
  return { kind: 'glyph pairs', consumesSecond: false, values, pairs: pairs.list() };
}

/** First glyphs with the same pairs make a class, and so do second glyphs. */
function asClassPairs({ pairs, values }: GlyphPairs): ClassPairs {
  const { starts, ends, numbers } = pairs;
  const order = byFirstGlyph(pairs);
  const coverage = order.map((i) => pairs.firsts[i]);
  const { seconds, places } = secondGlyphs(pairs);
  const rows = order.map((i) => {
    const row = new Uint32Array(seconds.length);
    for (let at = starts[i]; at < ends[i]; at++) row[places[at]] = numbers[at];
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

/** All second glyphs, and the place among them that the second glyph of each pair has. */
function secondGlyphs({ seconds: all }: PairList): { seconds: number[]; places: Uint16Array } {
  const placeOf = new Uint16Array(0x10000);
  for (let i = 0; i < all.length; i++) placeOf[all[i]] = 1;
  const seconds: number[] = [];
  for (let glyph = 0; glyph < placeOf.length; glyph++) {
    if (placeOf[glyph] === 1) placeOf[glyph] = seconds.push(glyph) - 1;
  }
  return { seconds, places: all.map((glyph) => placeOf[glyph]) };
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
