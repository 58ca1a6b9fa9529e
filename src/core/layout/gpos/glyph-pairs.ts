// OpenType: GPOS, LookupType 2, format 1: adjustments for glyph pairs

import { Block } from '../../bytes/blocks.js';
import { uint16At, type Reader } from '../../bytes/reader.js';
import { ascending, readCoverage, writeCoverage } from '../common/coverage.js';
import type { GlyphFilter, GlyphMap, Scope } from '../common/glyph-map.js';
import { PairNumbers, PairReader, type PairBase, type PairWriter } from './pair-value.js';
import type { WriteContext } from '../common/lookup-kind.js';

/** By first glyph. */
export interface GlyphPairs extends PairBase {
  kind: 'glyph pairs';
  pairs: PairList;
}

/**
 * The pairs of one first glyph after the other. A font may have 100,000, and some ten thousand go in most subsets: they
 * lie in typed arrays, and loops over them are plain.
 */
export interface PairList {
  /** First glyphs, each once. */
  firsts: readonly number[];
  /** Where the pairs of each first glyph start; those with the same pairs may share them. */
  starts: readonly number[];
  /** Where they end. */
  ends: readonly number[];
  /** Second glyphs. */
  seconds: Uint16Array;
  /** Numbers of the values of the pairs with them. */
  numbers: Uint32Array;
}

/** Makes a list of pairs. */
export class PairCollector {
  private readonly firsts: number[] = [];
  private readonly starts: number[] = [];
  private readonly ends: number[] = [];
  private seconds: Uint16Array;
  private numbers: Uint32Array;
  private count = 0;
  /** Where the pairs start that no first glyph has yet. */
  private next = 0;

  /** @param capacity pairs to make room for at first */
  constructor(capacity = 0) {
    this.seconds = new Uint16Array(capacity);
    this.numbers = new Uint32Array(capacity);
  }

  /** Adds a pair of the first glyph that `end` will name. */
  add(second: number, number: number): void {
    if (this.count === this.seconds.length) this.grow();
    this.seconds[this.count] = second;
    this.numbers[this.count++] = number;
  }

  private grow(): void {
    const { seconds, numbers } = this;
    const capacity = Math.max(64, this.count * 2);
    this.seconds = new Uint16Array(capacity);
    this.seconds.set(seconds);
    this.numbers = new Uint32Array(capacity);
    this.numbers.set(numbers);
  }

  /** Whether a pair was added since the last `end`. */
  get hasMore(): boolean {
    return this.next < this.count;
  }

  /** Says which first glyph has the pairs that were added since the last one. */
  end(first: number): void {
    this.firsts.push(first);
    this.starts.push(this.next);
    this.ends.push(this.count);
    this.next = this.count;
  }

  /** Gives a first glyph the pairs of an earlier one. @param place of that one in the list */
  share(first: number, place: number): void {
    this.firsts.push(first);
    this.starts.push(this.starts[place]);
    this.ends.push(this.ends[place]);
  }

  /** First glyphs so far. */
  get size(): number {
    return this.firsts.length;
  }

  list(): PairList {
    const { firsts, starts, ends, seconds, numbers, count } = this;
    return { firsts, starts, ends, seconds: seconds.subarray(0, count), numbers: numbers.subarray(0, count) };
  }
}

export function readGlyphPairs(reader: Reader, start: number, { wanted, varies }: Scope): GlyphPairs {
  const [, coverageOffset, valueFormat1, valueFormat2] = reader.seek(start).uint16Array(4);
  const offsets = reader.uint16Array(reader.uint16());
  const coverage = readCoverage(reader, start + coverageOffset);
  const numbers = new PairNumbers();
  const pairReader = new PairReader(reader, [valueFormat1, valueFormat2], numbers, varies);
  const pairs = new PairCollector();
  const met = new Set<number>();
  for (let i = 0; i < offsets.length && i < coverage.length; i++) {
    const first = coverage[i];
    if (!wanted.has(first) || met.has(first)) continue;
    met.add(first);
    readPairSet(reader, start + offsets[i], wanted, pairReader, pairs);
    pairs.end(first);
  }
  const consumesSecond = valueFormat2 !== 0;
  return { kind: 'glyph pairs', consumesSecond, values: numbers.values, pairs: pairs.list() };
}

function readPairSet(
  reader: Reader,
  start: number,
  wanted: GlyphFilter,
  pairReader: PairReader,
  pairs: PairCollector,
): void {
  const recordSize = 2 + pairReader.size;
  const count = reader.seek(start).uint16();
  const records = reader.take(count * recordSize);
  const valuesAt = start + 4;
  if (!isSorted(records, recordSize)) {
    const all = Array.from({ length: count }, (_, i) => uint16At(records, i * recordSize));
    for (const glyph of [...new Set(all)].filter((one) => wanted.has(one)).sort(ascending)) {
      const place = foundByHalving(all, glyph);
      if (place !== undefined) pairs.add(glyph, pairReader.at(valuesAt + place * recordSize, start));
    }
    return;
  }
  for (let at = 0; at < records.length; at += recordSize) {
    const glyph = uint16At(records, at);
    if (wanted.has(glyph)) pairs.add(glyph, pairReader.at(valuesAt + at, start));
  }
}

/** Whether the glyphs at the start of all records ascend, each once. */
function isSorted(records: Uint8Array, recordSize: number): boolean {
  for (let at = 0, previous = -1; at < records.length; at += recordSize) {
    const glyph = uint16At(records, at);
    if (glyph <= previous) return false;
    previous = glyph;
  }
  return true;
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

const known = new WeakMap<GlyphPairs, Map<number, Map<number, number>>>();

/** The number of a pair's value; undefined for one that isn't listed. */
export function glyphPairNumber(subtable: GlyphPairs, first: number, second: number): number | undefined {
  let firsts = known.get(subtable);
  if (!firsts) known.set(subtable, (firsts = new Map<number, Map<number, number>>()));
  let seconds = firsts.get(first);
  if (!seconds) {
    const { pairs } = subtable;
    seconds = new Map();
    const place = pairs.firsts.indexOf(first);
    for (let i = pairs.starts[place] ?? 0; i < (pairs.ends[place] ?? 0); i++)
      seconds.set(pairs.seconds[i], pairs.numbers[i]);
    firsts.set(first, seconds);
  }
  return seconds.get(second);
}

export function keptGlyphPairs(subtable: GlyphPairs, map: GlyphMap): GlyphPairs | undefined {
  const { firsts, starts, ends, seconds, numbers } = subtable.pairs;
  const kept = new PairCollector(seconds.length);
  for (let i = 0; i < firsts.length; i++) {
    const first = map.newId(firsts[i]);
    if (first === undefined) continue;
    for (let at = starts[i]; at < ends[i]; at++) {
      const second = map.newId(seconds[at]);
      if (second !== undefined) kept.add(second, numbers[at]);
    }
    if (kept.hasMore) kept.end(first);
  }
  return ofSome(subtable, kept);
}

/** Without the pairs that don't move; undefined where none does. */
export function movingGlyphPairs(subtable: GlyphPairs): GlyphPairs | undefined {
  const { firsts, starts, ends, seconds, numbers } = subtable.pairs;
  const moving = new PairCollector(seconds.length);
  for (let i = 0; i < firsts.length; i++) {
    for (let at = starts[i]; at < ends[i]; at++) {
      if (numbers[at] !== 0) moving.add(seconds[at], numbers[at]);
    }
    if (moving.hasMore) moving.end(firsts[i]);
  }
  return ofSome(subtable, moving);
}

/** Pairs of these glyphs alone, with the numbers of their values. */
export function* glyphPairsAmong(
  { pairs: { firsts, starts, ends, seconds, numbers } }: GlyphPairs,
  among: ReadonlySet<number>,
): Generator<readonly [first: number, second: number, number: number]> {
  for (let i = 0; i < firsts.length; i++) {
    if (!among.has(firsts[i])) continue;
    for (let at = starts[i]; at < ends[i]; at++)
      if (among.has(seconds[at])) yield [firsts[i], seconds[at], numbers[at]];
  }
}

/** Without the pairs of these glyphs alone, or as it is; undefined where no pair is left. */
export function withoutGlyphPairsAmong(
  subtable: GlyphPairs,
  among: ReadonlySet<number>,
): GlyphPairs | undefined {
  if (glyphPairsAmong(subtable, among).next().done) return subtable;
  const { firsts, starts, ends, seconds, numbers } = subtable.pairs;
  const left = new PairCollector(seconds.length);
  for (let i = 0; i < firsts.length; i++) {
    for (let at = starts[i]; at < ends[i]; at++)
      if (!among.has(firsts[i]) || !among.has(seconds[at])) left.add(seconds[at], numbers[at]);
    if (left.hasMore) left.end(firsts[i]);
  }
  return ofSome(subtable, left);
}

function ofSome({ consumesSecond, values }: GlyphPairs, collector: PairCollector): GlyphPairs | undefined {
  const pairs = collector.list();
  return pairs.firsts.length > 0 ? { kind: 'glyph pairs', consumesSecond, values, pairs } : undefined;
}

export function writeGlyphPairs({ pairs }: GlyphPairs, writer: PairWriter, { store }: WriteContext): Block {
  const order = byFirstGlyph(pairs);
  const firsts = order.map((i) => pairs.firsts[i]);
  const block = new Block().uint16(1).offset16(writeCoverage(firsts, store));
  block.uint16Array(writer.formats).uint16(firsts.length);
  const written = new Map<number, Block>();
  for (const i of order) {
    // A set without pairs starts where the next one does.
    const key = pairs.starts[i] * (pairs.seconds.length + 1) + pairs.ends[i];
    let target = written.get(key);
    if (!target) written.set(key, (target = store.keep(writePairSet(pairs, i, writer))));
    block.offset16(target);
  }
  return block;
}

/** Places in the list of first glyphs, by glyph. */
export function byFirstGlyph({ firsts }: PairList): number[] {
  return firsts.map((_, i) => i).sort((a, b) => firsts[a] - firsts[b]);
}

function writePairSet(pairs: PairList, i: number, writer: PairWriter): Block {
  const [start, end] = [pairs.starts[i], pairs.ends[i]];
  const seconds = pairs.seconds.subarray(start, end);
  const numbers = pairs.numbers.subarray(start, end);
  const block = new Block(2 + seconds.length * 4).uint16(seconds.length);
  if (ascend(seconds)) writer.write(block, numbers, seconds);
  else {
    const order = numbers.map((_, at) => at).sort((a, b) => seconds[a] - seconds[b]);
    writer.write(
      block,
      order.map((at) => numbers[at]),
      Uint16Array.from(order, (at) => seconds[at]),
    );
  }
  return block;
}

function ascend(glyphs: Uint16Array): boolean {
  for (let i = 1; i < glyphs.length; i++) if (glyphs[i] <= glyphs[i - 1]) return false;
  return true;
}

/** Two halves, by first glyph. */
export function splitGlyphPairs(subtable: GlyphPairs): GlyphPairs[] {
  const order = byFirstGlyph(subtable.pairs);
  if (order.length < 2) return [subtable];
  const middle = order.length >> 1;
  return [order.slice(0, middle), order.slice(middle)].map((half) => ({
    ...subtable,
    pairs: picked(subtable.pairs, half),
  }));
}

/** The pairs of some first glyphs. @param places in the list of first glyphs */
function picked({ firsts, starts, ends, seconds, numbers }: PairList, places: readonly number[]): PairList {
  const pairs = new PairCollector();
  for (const i of places) {
    for (let at = starts[i]; at < ends[i]; at++) pairs.add(seconds[at], numbers[at]);
    pairs.end(firsts[i]);
  }
  return pairs.list();
}
