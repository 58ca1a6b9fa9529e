import type { Coverage } from '../coverage.js';
import { nextPlace, setOf, type Matches, type Work } from '../work.js';
import type { SequenceContext, SequenceLookup } from './types.js';

interface Pattern {
  backtrack: readonly Matches[];
  /** Without the first one. */
  input: readonly Matches[];
  lookahead: readonly Matches[];
  lookups: readonly SequenceLookup[];
}

/** Applies the lookups of the first rule that matches at a place. @returns where to go on from, or -1 where none does */
export function applyContext(work: Work, context: SequenceContext, at: number): number {
  for (const { backtrack, input, lookahead, lookups } of patternsAt(context, work.run[at].glyph)) {
    const behind = matched(work, at, input, { step: 1, isContext: false });
    if (!behind) continue;
    const last = behind.at(-1) ?? at;
    if (!matched(work, at, backtrack, { step: -1, isContext: true })) continue;
    if (!matched(work, last, lookahead, { step: 1, isContext: true })) continue;
    return applyLookups(work, [at, ...behind], lookups);
  }
  return -1;
}

/** The rules of a context that may match at a glyph. */
function* patternsAt(context: SequenceContext, glyph: number): Generator<Pattern> {
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
  wanted: readonly Matches[],
  search: { step: 1 | -1; isContext: boolean },
): number[] | undefined {
  const places: number[] = [];
  let at = from;
  for (const matches of wanted) {
    at = nextPlace(work, at, { ...search, matches });
    if (at < 0) return undefined;
    places.push(at);
  }
  return places;
}

/** Places move as lookups put in more glyphs, or take some away. */
function applyLookups(
  work: Work,
  matchedPlaces: readonly number[],
  lookups: readonly SequenceLookup[],
): number {
  const { run } = work;
  let places = [...matchedPlaces];
  let end = places[places.length - 1] + 1;
  for (const { sequenceIndex, lookupListIndex } of lookups) {
    const at = places[sequenceIndex];
    if (at === undefined || at >= run.length) continue;
    const before = run.length;
    if (before > work.most) break;
    if (work.applyOther(lookupListIndex, at) < 0) continue;
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
