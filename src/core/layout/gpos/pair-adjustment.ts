// OpenType: GPOS, LookupType 2: Pair Adjustment Positioning

import {
  classPairNumber,
  classPairsAmong,
  keptClassPairs,
  movingClassPairs,
  readClassPairs,
  splitClassPairs,
  withoutClassPairsAmong,
  writeClassPairs,
  type ClassPairs,
} from './class-pairs.js';
import type { PositioningKind, WriteContext } from '../common/lookup-kind.js';
import { readFormat } from '../common/read-format.js';
import { nextPlace } from '../common/work.js';
import {
  glyphPairNumber,
  glyphPairsAmong,
  keptGlyphPairs,
  movingGlyphPairs,
  readGlyphPairs,
  splitGlyphPairs,
  withoutGlyphPairsAmong,
  writeGlyphPairs,
  type GlyphPairs,
} from './glyph-pairs.js';
import { move } from './moving.js';
import { smallestForm } from './pair-forms.js';
import { pairFormats, PairWriter, type PairValue } from './pair-value.js';
import { eachVariation, valueSize, valueWithDevices } from './value-record.js';

export type PairAdjustment = GlyphPairs | ClassPairs;

export const isPairAdjustment = (subtable: { kind: string }): subtable is PairAdjustment =>
  subtable.kind === 'glyph pairs' || subtable.kind === 'class pairs';

export const pairAdjustment: PositioningKind<PairAdjustment> = {
  types: { GPOS: [2] },

  read: (reader, start, _type, scope) =>
    readFormat(reader, start, 1, 2) === 1
      ? readGlyphPairs(reader, start, scope)
      : readClassPairs(reader, start, scope),

  kept: (subtable, map) =>
    subtable.kind === 'glyph pairs' ? keptGlyphPairs(subtable, map) : keptClassPairs(subtable, map),

  write(subtable, target) {
    const form = smallestForm(subtable, target.isLast, () => pairSize(subtable, target));
    const writer = new PairWriter(form.values, usedNumbers(form), form.consumesSecond, target);
    return target.store.keep(
      form.kind === 'glyph pairs'
        ? writeGlyphPairs(form, writer, target)
        : writeClassPairs(form, writer, target),
    );
  },

  mentions(subtable, glyph) {
    if (subtable.kind === 'class pairs')
      return subtable.coverage.includes(glyph) || subtable.secondClasses.has(glyph);
    const { firsts, seconds } = subtable.pairs;
    return firsts.includes(glyph) || seconds.includes(glyph);
  },

  firsts: (subtable) => (subtable.kind === 'glyph pairs' ? subtable.pairs.firsts : subtable.coverage),

  apply(work, subtable, at) {
    const { run } = work;
    const second = nextPlace(work, at, { step: 1 });
    const pair = second < 0 ? undefined : pairOf(subtable, run[at].glyph, run[second].glyph);
    if (!pair) return -1;
    move(work, run[at], pair.first);
    move(work, run[second], pair.second);
    return subtable.consumesSecond ? second + 1 : second;
  },

  eachVariation(subtable, visit) {
    for (const number of usedNumbers(subtable)) {
      const { first, second } = subtable.values[number];
      eachVariation(first.devices, visit);
      eachVariation(second.devices, visit);
    }
  },

  withDevices: (subtable, change) => ({
    ...subtable,
    values: subtable.values.map(({ first, second }) => ({
      first: valueWithDevices(first, change),
      second: valueWithDevices(second, change),
    })),
  }),

  /** Pairs without an effect go, and either format will do. Not where the second glyph is consumed. */
  moving(subtable) {
    if (subtable.consumesSecond) return subtable;
    return subtable.kind === 'glyph pairs' ? movingGlyphPairs(subtable) : movingClassPairs(subtable);
  },

  /** Two halves, by first glyph. */
  split: (subtable) =>
    subtable.kind === 'glyph pairs' ? splitGlyphPairs(subtable) : splitClassPairs(subtable),
};

/** What a pair is moved by; undefined where a subtable says nothing of it. */
function pairOf(subtable: PairAdjustment, first: number, second: number): PairValue | undefined {
  const number =
    subtable.kind === 'glyph pairs'
      ? glyphPairNumber(subtable, first, second)
      : classPairNumber(subtable, first, second);
  return number === undefined ? undefined : subtable.values[number];
}

/** Bytes that the values of a pair take. */
function pairSize(subtable: PairAdjustment, { deltaSets }: WriteContext): number {
  const formats = pairFormats(subtable.values, usedNumbers(subtable), deltaSets);
  return valueSize(formats[0]) + valueSize(formats[1]);
}

/** Numbers of the values that occur. */
function usedNumbers(subtable: PairAdjustment): number[] {
  const isUsed = new Uint8Array(subtable.values.length);
  const lines = subtable.kind === 'class pairs' ? subtable.matrix : [subtable.pairs.numbers];
  for (const line of lines) markUsed(line, isUsed);
  const used: number[] = [];
  for (let number = 0; number < isUsed.length; number++) if (isUsed[number]) used.push(number);
  return used;
}

function markUsed(numbers: Uint32Array, isUsed: Uint8Array): void {
  for (let i = 0; i < numbers.length; i++) isUsed[numbers[i]] = 1;
}

/** The pairs of some glyphs alone that a subtable knows, also those that don't move: it ends its lookup for them. */
export const pairsAmong = (
  subtable: PairAdjustment,
  among: ReadonlySet<number>,
): Generator<readonly [first: number, second: number, number: number]> =>
  subtable.kind === 'glyph pairs' ? glyphPairsAmong(subtable, among) : classPairsAmong(subtable, among);

/** Pairs of these glyphs alone don't move any more; as it is where there are none, undefined where no other is left. */
export const withoutPairsAmong = (
  subtable: PairAdjustment,
  among: ReadonlySet<number>,
): PairAdjustment | undefined =>
  subtable.kind === 'glyph pairs'
    ? withoutGlyphPairsAmong(subtable, among)
    : withoutClassPairsAmong(subtable, among);
