import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { BlockStore, packBlocks } from '#src/core/bytes/blocks.js';
import type { ClassPairs } from '#src/core/layout/gpos/class-pairs.js';
import { GlyphMap } from '#src/core/layout/common/glyph-map.js';
import { PairCollector, type GlyphPairs } from '#src/core/layout/gpos/glyph-pairs.js';
import { pairAdjustment, type PairAdjustment } from '#src/core/layout/gpos/pair-adjustment.js';
import { smallestForm } from '#src/core/layout/gpos/pair-forms.js';
import { noPair } from '#src/core/layout/gpos/pair-value.js';
import { noValue } from '#src/core/layout/gpos/value-record.js';
import { everyGlyph, layoutOf, pairList, pairsIn, value } from '../../test-support/layout.js';
import { pairIn } from '../../test-support/placing.js';
import { casesOf } from '../../test-support/thorough.js';

describe('kerning pairs', () => {
  const values = [noPair, ...[-10, 20].map((advance) => ({ first: value(advance), second: noValue }))];
  const subtable: fc.Arbitrary<ClassPairs> = fc
    .record({
      firsts: fc.array(fc.nat(2), { minLength: 12, maxLength: 12 }),
      seconds: fc.array(fc.nat(2), { minLength: 12, maxLength: 12 }),
      covered: fc.uniqueArray(fc.nat(11), { minLength: 1 }),
      matrix: fc.array(fc.uint32Array({ minLength: 3, maxLength: 3, max: 2 }), {
        minLength: 3,
        maxLength: 3,
      }),
    })
    .map(({ firsts, seconds, covered, matrix }) => ({
      kind: 'class pairs',
      consumesSecond: false,
      values,
      coverage: covered.sort((a, b) => a - b),
      firstClasses: new Map(firsts.map((c, i) => [i, c] as const).filter(([, c]) => c > 0)),
      secondClasses: new Map(seconds.map((c, i) => [i, c] as const).filter(([, c]) => c > 0)),
      matrix,
    }));

  /** What a lookup with this subtable alone does to a pair. */
  function advanceOf(pairs: PairAdjustment | undefined, first: number, second: number): number {
    return (pairs && pairIn(pairs, first, second)?.first.values[2]) ?? 0;
  }

  /** Rows and columns in a form that tells them apart. */
  const linesOf = (pairs: PairAdjustment) => {
    const rows = (pairs as ClassPairs).matrix.map((row) => [...row]);
    return [rows.map(String), rows[0].map((_, column) => String(rows.map((row) => row[column])))];
  };

  test('stay what they are for the glyphs that stay, in every form, with equal classes merged', () => {
    fc.assert(
      fc.property(subtable, fc.uniqueArray(fc.nat(11), { minLength: 1 }), (pairs, kept) => {
        const map = new GlyphMap(kept, 12);
        const left = pairAdjustment.kept(pairs, map);
        for (const lines of left ? linesOf(left) : []) expect(new Set(lines).size).toBe(lines.length);
        const last = left && pairAdjustment.moving!(left);
        const forms = [0, 2, 50].map((size) => last && smallestForm(last, true, () => size));
        kept.forEach((first, newFirst) =>
          kept.forEach((second, newSecond) => {
            for (const form of [left, last, ...forms]) {
              expect(advanceOf(form, newFirst, newSecond)).toBe(advanceOf(pairs, first, second));
            }
          }),
        );
      }),
      casesOf(50, 150),
    );
  });

  /** Another subtable follows, so that the format stays. */
  const asItIs = (store: BlockStore) => ({ store, hinted: true, isLast: false, lookupAt: () => undefined });

  test('take the smaller format', () => {
    const sizeOf = (pairs: PairAdjustment) =>
      packBlocks(pairAdjustment.write(pairs, asItIs(new BlockStore()))).bytes!.length;
    fc.assert(
      fc.property(subtable, (pairs) => {
        const last = pairAdjustment.moving!(pairAdjustment.kept(pairs, everyGlyph(12)) ?? pairs);
        if (!last) return;
        const smallest = sizeOf(smallestForm(last, true, () => 2));
        // Were values free or dear, the other format might win.
        const forms = [last, ...[0, 50].map((size) => smallestForm(last, true, () => size))];
        for (const form of forms) expect(smallest).toBeLessThanOrEqual(sizeOf(form));
      }),
      casesOf(50, 150),
    );
  });

  test('first glyphs may share their pairs, and have none', () => {
    const collector = new PairCollector();
    collector.end(5);
    collector.add(2, 1);
    collector.end(3);
    collector.share(4, 1);
    const pairs: PairAdjustment = {
      kind: 'glyph pairs',
      consumesSecond: true,
      values: values.slice(0, 2),
      pairs: collector.list(),
    };
    const table = layoutOf('GPOS', [{ type: 2, subtables: [pairs] }]);
    const [read] = table.lookupAt(0).subtables as GlyphPairs[];
    expect(read.pairs.firsts).toEqual([3, 4, 5]);
    expect(pairsIn(read.pairs)).toEqual([
      [3, 2, 1],
      [4, 2, 1],
    ]);
  });

  test('a second glyph that is consumed stays so, though nothing moves it', () => {
    const pairs: PairAdjustment = {
      kind: 'glyph pairs',
      consumesSecond: true,
      values: [noPair],
      pairs: pairList([[1, 2, 0]]),
    };
    expect(pairAdjustment.moving!(pairs)).toBe(pairs);
    const table = layoutOf('GPOS', [{ type: 2, subtables: [pairs] }]);
    expect(table.lookupAt(0).subtables).toEqual([pairs]);
  });
});
