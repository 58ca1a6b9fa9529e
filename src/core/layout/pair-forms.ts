// OpenType: GPOS, LookupType 2: which format a subtable takes

import { ascending } from './coverage.js';
import type { ClassPairs, GlyphPairs, PairAdjustment } from './pair-adjustment.js';
import { noPair, type PairValue } from './pair-value.js';

/** The subtable in both formats, where both would do the same, to choose the smaller one. @param last of its lookup */
export function pairForms(subtable: PairAdjustment, last: boolean): PairAdjustment[] {
  if (!last || subtable.consumesSecond) return [subtable];
  if (subtable.kind === 'glyph pairs') return [subtable, asClassPairs(subtable)];
  const { coverage, firstClasses, secondClasses, matrix } = subtable;
  // Pairs with glyphs of class 0 are those with all other glyphs; they can't be listed.
  if (matrix.some((row) => !row[0].isIdle)) return [subtable];
  const seconds = [...secondClasses.entries()];
  if (leastGlyphPairs(subtable) > mostClassPairs(subtable)) return [subtable];
  const pairs: GlyphPairs['pairs'] = new Map();
  for (const glyph of coverage) {
    const row = matrix[firstClasses.get(glyph) ?? 0];
    const moving = seconds.flatMap(([second, column]): [number, PairValue][] =>
      row[column].isIdle ? [] : [[second, row[column]]],
    );
    if (moving.length > 0) pairs.set(glyph, new Map(moving));
  }
  return [subtable, { kind: 'glyph pairs', consumesSecond: false, pairs }];
}

/** Values that are stored at least, where those of each row are listed for its second glyphs. */
function leastGlyphPairs({ secondClasses, matrix }: ClassPairs): number {
  const sizes = new Uint32Array(matrix[0].length);
  for (const column of secondClasses.values()) sizes[column]++;
  let values = 0;
  for (const row of matrix) {
    for (let column = 0; column < row.length; column++) if (!row[column].isIdle) values += sizes[column];
  }
  return values;
}

/** Values that take as much room as the matrix and the classes, were each glyph of these listed by itself. */
function mostClassPairs({ firstClasses, secondClasses, matrix }: ClassPairs): number {
  return matrix.length * matrix[0].length + 3 * (firstClasses.size + secondClasses.size) + 4;
}

/** First glyphs with the same pairs make a class, and so do second glyphs. */
function asClassPairs({ pairs }: GlyphPairs): ClassPairs {
  const coverage = [...pairs.keys()].sort(ascending);
  const seconds = [...new Set(coverage.flatMap((glyph) => [...pairs.get(glyph)!.keys()]))].sort(ascending);
  const valueAt = (first: number, second: number) => pairs.get(first)!.get(second) ?? noPair;
  const firsts = numbered(
    coverage,
    (first) => seconds.map((second) => valueAt(first, second).key).join(';'),
    0,
  );
  const columns = numbered(
    seconds,
    (second) => firsts.examples.map((first) => valueAt(first, second).key).join(';'),
    1,
  );
  const matrix = firsts.examples.map((first) => [
    noPair,
    ...columns.examples.map((second) => valueAt(first, second)),
  ]);
  return {
    kind: 'class pairs',
    consumesSecond: false,
    coverage,
    firstClasses: firsts.classes,
    secondClasses: columns.classes,
    matrix,
  };
}

function numbered(glyphs: readonly number[], keyOf: (glyph: number) => string, from: number) {
  const known = new Map<string, number>();
  const classes = new Map<number, number>();
  const examples: number[] = [];
  for (const glyph of glyphs) {
    const key = keyOf(glyph);
    let number = known.get(key);
    if (number === undefined) {
      known.set(key, (number = examples.push(glyph) - 1 + from));
    }
    if (number > 0) classes.set(glyph, number);
  }
  return { classes, examples };
}
