// OpenType: GSUB and GPOS: applying lookups to a run of glyphs

import type { ClassPairs } from '../layout/class-pairs.js';
import type { Coverage } from '../layout/coverage.js';
import type { GlyphPairs } from '../layout/glyph-pairs.js';
import type { LayoutTable, Lookup, Subtable } from '../layout/layout-table.js';
import type { PairAdjustment } from '../layout/pair-adjustment.js';
import type { PairValue } from '../layout/pair-value.js';
import type { SequenceContext, SequenceLookup } from '../layout/sequence-context.js';
import type { GlyphClasses, ShapingGlyph } from './glyph-run.js';

/** Contexts call lookups that may call others; real fonts go three deep. */
const deepest = 8;
/** What a lookup may make of a text, at the most; more is an attack. */
const mostGrowth = 64;

/** A lookup at work on a run. */
export interface Work {
  table: LayoutTable;
  run: ShapingGlyph[];
  classes: GlyphClasses;
  lookup: Lookup;
  depth: number;
  /** Glyphs that the run may come to. */
  most: number;
}

type Matches = (one: ShapingGlyph) => boolean;
const any: Matches = () => true;

/** The next place that counts for a lookup. @returns -1 where it doesn't match, or nothing is left */
export function nextPlace(
  { run, classes, lookup, table }: Work,
  from: number,
  step: 1 | -1,
  isContext: boolean,
  matches?: Matches,
): number {
  for (let at = from + step; at >= 0 && at < run.length; at += step) {
    const one = run[at];
    if (classes.ignores(one, lookup.flag, lookup.markFilteringSet)) continue;
    const maybe = one.ignorable !== 'no' && (table.tag === 'GPOS' || isContext || one.ignorable !== 'zwnj');
    if (matches?.(one) ?? !maybe) return at;
    if (!maybe) return -1;
  }
  return -1;
}

const sets = new WeakMap<Coverage, ReadonlySet<number>>();

/** A coverage as a set; made once. */
export function setOf(coverage: Coverage): ReadonlySet<number> {
  let set = sets.get(coverage);
  if (!set) sets.set(coverage, (set = new Set(coverage)));
  return set;
}

/** What applies a subtable at a place: where to go on from, or -1 where it says nothing of it. */
export type ApplySubtable = (work: Work, subtable: Subtable, at: number) => number;

/** Applies the first subtable of a lookup that says something of a place. @returns where to go on from, or -1 */
export function applyAt(work: Work, at: number, apply: ApplySubtable): number {
  const { run, classes, lookup } = work;
  if (classes.ignores(run[at], lookup.flag, lookup.markFilteringSet)) return -1;
  for (const subtable of lookup.subtables) {
    const next =
      subtable.kind === 'context' ? applyContext(work, subtable, at, apply) : apply(work, subtable, at);
    if (next >= 0) return next;
  }
  return -1;
}

/** Applies a lookup to all of a run. */
export function applyLookup(
  table: LayoutTable,
  index: number,
  run: ShapingGlyph[],
  classes: GlyphClasses,
  apply: ApplySubtable,
): void {
  if (index >= table.lookupCount || run.length === 0) return;
  const lookup = table.lookupAt(index);
  const firsts = firstsOf(lookup);
  const work: Work = { table, run, classes, lookup, depth: 0, most: run.length * mostGrowth + 64 };
  if (lookup.subtables.some(({ kind }) => kind === 'reverse')) {
    for (let at = run.length - 1; at >= 0; at--) if (firsts.has(run[at].glyph)) applyAt(work, at, apply);
    return;
  }
  for (let at = 0; at < run.length;) {
    const next = firsts.has(run[at].glyph) ? applyAt(work, at, apply) : -1;
    at = Math.max(next, at + (next < 0 ? 1 : 0));
  }
}

const known = new WeakMap<Lookup, ReadonlySet<number>>();

/** Glyphs at which a lookup may do something. */
function firstsOf(lookup: Lookup): ReadonlySet<number> {
  let firsts = known.get(lookup);
  if (!firsts) {
    const all = new Set<number>();
    for (const subtable of lookup.subtables) for (const glyph of firstGlyphs(subtable)) all.add(glyph);
    known.set(lookup, (firsts = all));
  }
  return firsts;
}

function firstGlyphs(subtable: Subtable): Iterable<number> {
  switch (subtable.kind) {
    case 'single':
    case 'multiple':
    case 'alternate':
    case 'reverse':
    case 'cursive':
      return subtable.glyphs.keys();
    case 'ligature':
      return subtable.ligatures.keys();
    case 'single adjustment':
      return subtable.values.keys();
    case 'glyph pairs':
      return subtable.pairs.firsts;
    case 'class pairs':
      return subtable.coverage;
    case 'mark to base':
    case 'mark to mark':
    case 'mark to ligature':
      return subtable.marks.keys();
    case 'context':
      if (subtable.format === 1) return subtable.rules.keys();
      return subtable.format === 2 ? subtable.coverage : (subtable.input[0] ?? []);
  }
}

interface Pattern {
  backtrack: readonly Matches[];
  /** Without the first one. */
  input: readonly Matches[];
  lookahead: readonly Matches[];
  lookups: readonly SequenceLookup[];
}

/** The rules of a context that may match at a glyph. */
function* patternsAt(context: SequenceContext, { glyph }: ShapingGlyph): Generator<Pattern> {
  if (context.format === 3) {
    const [first, ...input] = context.input;
    if (first === undefined || !setOf(first).has(glyph)) return;
    const within = (coverage: Coverage): Matches => {
      const set = setOf(coverage);
      return (one) => set.has(one.glyph);
    };
    yield {
      backtrack: context.backtrack.map(within),
      input: input.map(within),
      lookahead: context.lookahead.map(within),
      lookups: context.lookups,
    };
    return;
  }
  if (context.format === 2 && !setOf(context.coverage).has(glyph)) return;
  const first = context.format === 1 ? glyph : (context.inputClasses.get(glyph) ?? 0);
  const same =
    (classes: ReadonlyMap<number, number> | undefined) =>
    (wanted: number): Matches =>
      classes ? (one) => (classes.get(one.glyph) ?? 0) === wanted : (one) => one.glyph === wanted;
  const by = context.format === 2 ? context : undefined;
  for (const { backtrack, input, lookahead, lookups } of context.rules.get(first) ?? [])
    yield {
      backtrack: backtrack.map(same(by?.backtrackClasses)),
      input: input.map(same(by?.inputClasses)),
      lookahead: lookahead.map(same(by?.lookaheadClasses)),
      lookups,
    };
}

/** Places that match one after the other, or undefined. */
function matched(
  work: Work,
  from: number,
  step: 1 | -1,
  isContext: boolean,
  wanted: readonly Matches[],
): number[] | undefined {
  const places: number[] = [];
  let at = from;
  for (const matches of wanted) {
    at = nextPlace(work, at, step, isContext, matches);
    if (at < 0) return undefined;
    places.push(at);
  }
  return places;
}

/** OpenType: sequence context and chained sequence context. */
function applyContext(work: Work, context: SequenceContext, at: number, apply: ApplySubtable): number {
  for (const { backtrack, input, lookahead, lookups } of patternsAt(context, work.run[at])) {
    const behind = matched(work, at, 1, false, input);
    if (!behind) continue;
    const last = behind.at(-1) ?? at;
    if (!matched(work, at, -1, true, backtrack) || !matched(work, last, 1, true, lookahead)) continue;
    return applyLookups(work, [at, ...behind], lookups, apply);
  }
  return -1;
}

/** Places move as lookups put in more glyphs, or take some away. */
function applyLookups(
  work: Work,
  matchedPlaces: readonly number[],
  lookups: readonly SequenceLookup[],
  apply: ApplySubtable,
): number {
  const { run, table, depth } = work;
  let places = [...matchedPlaces];
  let end = places[places.length - 1] + 1;
  for (const { sequenceIndex, lookupListIndex } of lookups) {
    const at = places[sequenceIndex];
    if (at === undefined || at >= run.length || depth >= deepest || lookupListIndex >= table.lookupCount)
      continue;
    const before = run.length;
    if (before > work.most) break;
    const inner: Work = { ...work, lookup: table.lookupAt(lookupListIndex), depth: depth + 1 };
    if (applyAt(inner, at, apply) < 0) continue;
    const delta = run.length - before;
    if (delta === 0) continue;
    end = Math.max(end + delta, at + 1);
    const [kept, behind] = [places.slice(0, sequenceIndex + 1), places.slice(sequenceIndex + 1)];
    const fresh = Array.from({ length: Math.max(0, delta) }, (_, i) => at + 1 + i);
    const left = delta < 0 ? behind.slice(-delta) : behind;
    places = [...kept, ...fresh, ...left.map((place) => place + delta)];
  }
  return end;
}

/** The glyph behind a first one, for pairs. */
export const behind = (work: Work, at: number): number => nextPlace(work, at, 1, false);

/** The nearest glyph before that matches. */
export const before = (work: Work, at: number, matches: Matches = any): number =>
  nextPlace(work, at, -1, false, matches);

const pairMaps = new WeakMap<GlyphPairs, Map<number, Map<number, number>>>();

/** What a pair is moved by; undefined where a subtable says nothing of it. */
export function pairOf(subtable: PairAdjustment, first: number, second: number): PairValue | undefined {
  const number =
    subtable.kind === 'glyph pairs'
      ? listedPair(subtable, first, second)
      : classPair(subtable, first, second);
  return number === undefined ? undefined : subtable.values[number];
}

function listedPair(subtable: GlyphPairs, first: number, second: number): number | undefined {
  let firsts = pairMaps.get(subtable);
  if (!firsts) pairMaps.set(subtable, (firsts = new Map<number, Map<number, number>>()));
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

function classPair(
  { coverage, firstClasses, secondClasses, matrix }: ClassPairs,
  first: number,
  second: number,
): number | undefined {
  if (!setOf(coverage).has(first)) return undefined;
  return matrix[firstClasses.get(first) ?? 0]?.[secondClasses.get(second) ?? 0];
}
