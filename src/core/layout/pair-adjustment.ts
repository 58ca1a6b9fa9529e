// OpenType: GPOS, LookupType 2: Pair Adjustment

import type { Block } from '../bytes/blocks.js';
import type { Reader } from '../bytes/reader.js';
import {
  classPairsAmong,
  keptClassPairs,
  movingClassPairs,
  readClassPairs,
  splitClassPairs,
  withoutClassPairsAmong,
  writeClassPairs,
  type ClassPairs,
} from './class-pairs.js';
import type { GlyphMap, Scope } from './glyph-map.js';
import {
  glyphPairsAmong,
  keptGlyphPairs,
  movingGlyphPairs,
  readGlyphPairs,
  splitGlyphPairs,
  withoutGlyphPairsAmong,
  writeGlyphPairs,
  type GlyphPairs,
} from './glyph-pairs.js';
import type { PositioningContext } from './positioning.js';
import { pairFormats, PairWriter } from './pair-value.js';
import { eachVariation, valueSize } from './value-record.js';

export type PairAdjustment = GlyphPairs | ClassPairs;

export const isPairAdjustment = (subtable: { kind: string }): subtable is PairAdjustment =>
  subtable.kind === 'glyph pairs' || subtable.kind === 'class pairs';

export function readPairs(reader: Reader, start: number, scope: Scope): PairAdjustment {
  const format = reader.seek(start).uint16();
  if (format !== 1 && format !== 2)
    throw reader.damaged(`format ${format} of this lookup type is not known`, start);
  return format === 1 ? readGlyphPairs(reader, start, scope) : readClassPairs(reader, start, scope);
}

/** What is left of a subtable where some glyphs go; undefined where nothing is. */
export const keptPairs = (subtable: PairAdjustment, map: GlyphMap): PairAdjustment | undefined =>
  subtable.kind === 'glyph pairs' ? keptGlyphPairs(subtable, map) : keptClassPairs(subtable, map);

/**
 * The last subtable of a lookup says nothing where it moves nothing, so that pairs without an effect go and either
 * format will do. Not where the second glyph is consumed.
 *
 * @returns undefined where no pair moves
 */
export function withoutIdlePairs(subtable: PairAdjustment): PairAdjustment | undefined {
  if (subtable.consumesSecond) return subtable;
  return subtable.kind === 'glyph pairs' ? movingGlyphPairs(subtable) : movingClassPairs(subtable);
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
  const lines = subtable.kind === 'class pairs' ? subtable.matrix : [subtable.pairs.numbers];
  for (const line of lines) markUsed(line, isUsed);
  const used: number[] = [];
  for (let number = 0; number < isUsed.length; number++) if (isUsed[number]) used.push(number);
  return used;
}

function markUsed(numbers: Uint32Array, isUsed: Uint8Array): void {
  for (let i = 0; i < numbers.length; i++) isUsed[numbers[i]] = 1;
}

/** Two halves, by first glyph, for a subtable that is too large for its offsets. */
export const splitPairs = (subtable: PairAdjustment): PairAdjustment[] =>
  subtable.kind === 'glyph pairs' ? splitGlyphPairs(subtable) : splitClassPairs(subtable);

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
