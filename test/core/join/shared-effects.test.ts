import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { effectsAmong, withoutEffectsAmong } from '#src/core/join/shared-effects.js';
import type { ClassPairs } from '#src/core/layout/gpos/class-pairs.js';
import type { KeptLayout } from '#src/core/layout/kept-layout.js';
import type { Subtable } from '#src/core/layout/kinds.js';
import { pairsAmong, withoutPairsAmong } from '#src/core/layout/gpos/pair-adjustment.js';
import { noPair } from '#src/core/layout/gpos/pair-value.js';
import { noValue } from '#src/core/layout/gpos/value-record.js';
import { pairList, value } from '../../../test-support/layout.js';

/** Glyphs that several files have; 5 and above are those of one file. */
const shared = new Set([1, 2, 3]);
const values = [noPair, ...[-20, -40].map((one) => ({ first: value(one), second: noValue }))];
const listed = (...pairs: [number, number, number][]): Subtable => ({
  kind: 'glyph pairs',
  consumesSecond: false,
  values,
  pairs: pairList(pairs),
});
const layout = (subtables: Subtable[], tag = 'test'): KeptLayout => ({
  tag: 'GSUB',
  scripts: [],
  features: [{ tag, lookups: [0] }],
  lookups: [{ type: 1, flag: 0, subtables }],
  lookupNumbers: new Map([[0, 0]]),
  featureVariations: [],
});
const effects = (...subtables: Subtable[]) =>
  effectsAmong(layout(subtables), shared, (glyph) => glyph % 10).get('test');
const context = (input: number[][], lookups = [{ sequenceIndex: 0, lookupListIndex: 0 }]): Subtable => ({
  kind: 'context',
  format: 3,
  chained: true,
  backtrack: [],
  input,
  lookahead: [],
  lookups,
});

describe('what lookups do with shared glyphs alone', () => {
  // Glyphs 18 and 28 look the same.
  test.each<[string, Subtable, Subtable]>([
    [
      'single, whatever the number of what comes in',
      {
        kind: 'single',
        glyphs: new Map([
          [1, 18],
          [6, 7],
        ]),
      },
      { kind: 'single', glyphs: new Map([[1, 28]]) },
    ],
    [
      'alternates',
      { kind: 'alternate', glyphs: new Map([[2, [18, 19]]]) },
      {
        kind: 'alternate',
        glyphs: new Map([
          [2, [28, 29]],
          [9, [8]],
        ]),
      },
    ],
    [
      'ligatures',
      {
        kind: 'ligature',
        ligatures: new Map([
          [
            1,
            [
              { glyph: 18, components: [2] },
              { glyph: 9, components: [6] },
            ],
          ],
        ]),
      },
      { kind: 'ligature', ligatures: new Map([[1, [{ glyph: 28, components: [2] }]]]) },
    ],
    ['pairs', listed([1, 2, 1], [1, 6, 2]), listed([1, 2, 1], [5, 1, 2])],
    [
      'adjustments',
      {
        kind: 'single adjustment',
        values: new Map([
          [3, value(5)],
          [7, value(6)],
        ]),
      },
      {
        kind: 'single adjustment',
        values: new Map([
          [3, value(5)],
          [1, noValue],
        ]),
      },
    ],
  ])('%s: the same in both, and nothing of it is left afterwards', (_, one, other) => {
    expect(effects(one)).toBeDefined();
    expect(effects(one)).toBe(effects(other));
    for (const subtable of [one, other]) {
      const left = withoutEffectsAmong(subtable, shared);
      expect(left && effects(left)).toBeUndefined();
    }
  });

  test.each<[string, Subtable, Subtable]>([
    [
      'another glyph',
      { kind: 'single', glyphs: new Map([[1, 18]]) },
      { kind: 'single', glyphs: new Map([[1, 17]]) },
    ],
    ['another value', listed([1, 2, 1]), listed([1, 2, 2])],
    ['one that is missing', listed([1, 2, 1], [2, 1, 1]), listed([1, 2, 1])],
  ])('%s is told', (_, one, other) => {
    expect(effects(one)).not.toBe(effects(other));
  });

  test('the first subtable that knows a pair decides, also where it moves nothing', () => {
    expect(effects(listed([1, 2, 0]), listed([1, 2, 1]))).toBeUndefined();
    expect(effects(listed([1, 5, 1]), listed([1, 2, 1]))).toBe(effects(listed([1, 2, 1])));
  });

  test('contexts that may meet them alone, and do something, keep files apart; others stay as they are', () => {
    expect(() => effects(context([[1, 6], [2]]))).toThrow('test goes by what stands around');
    for (const other of [context([[1], [6]]), context([[1], [2]], [])]) {
      expect(effects(other)).toBeUndefined();
      expect(withoutEffectsAmong(other, shared)).toBe(other);
    }
  });

  test('pairs of classes: those of shared glyphs alone stop moving, all others move as before', () => {
    const glyphs = [1, 2, 3, 5, 6, 7];
    const classes = fc.array(fc.nat(2), { minLength: 6, maxLength: 6 });
    const matrix = fc.array(fc.array(fc.nat(2), { minLength: 3, maxLength: 3 }), {
      minLength: 3,
      maxLength: 3,
    });
    const numbers = (pairs: ClassPairs) =>
      new Map(
        [...pairsAmong(pairs, new Set(glyphs))].map(([first, second, number]) => [
          `${first} ${second}`,
          number,
        ]),
      );
    fc.assert(
      fc.property(fc.subarray(glyphs), classes, classes, matrix, (coverage, firsts, seconds, rows) => {
        const pairs: ClassPairs = {
          kind: 'class pairs',
          consumesSecond: false,
          values,
          coverage,
          firstClasses: new Map(glyphs.map((glyph, i) => [glyph, firsts[i]])),
          secondClasses: new Map(glyphs.map((glyph, i) => [glyph, seconds[i]])),
          matrix: rows.map((row) => Uint32Array.from(row)),
        };
        const left = numbers(withoutPairsAmong(pairs, shared) as ClassPairs);
        for (const [key, number] of numbers(pairs)) {
          const [first, second] = key.split(' ').map(Number);
          expect([key, left.get(key)]).toEqual([key, shared.has(first) && shared.has(second) ? 0 : number]);
        }
      }),
    );
  });
});
