// OpenType: GSUB: which glyphs a text may come to

import type { Closing } from './common/closing.js';
import type { SequenceLookup } from './common/context/types.js';
import { kindOf, substitutionKindOf } from './kinds.js';
import type { LayoutTable } from './layout-table.js';

/** Contexts call lookups that may call others; real fonts go three deep. */
const maximumDepth = 16;

/**
 * Adds the glyphs that substitutions make of a set, until nothing is added any more.
 *
 * @param glyphs the set; it grows
 * @param lookups those that features apply to the whole text
 */
export function closeOverSubstitutions(
  gsub: LayoutTable,
  glyphs: Set<number>,
  lookups: readonly number[],
): void {
  const closure = new Closure(gsub, glyphs);
  for (let before = -1; before !== glyphs.size;) {
    before = glyphs.size;
    for (const lookup of lookups) closure.apply(lookup, undefined, 0);
  }
}

class Closure {
  /** What a lookup was applied to already, with the size that the set had. */
  private readonly done = new Map<number, { size: number; glyphs: Set<number> | 'all' }>();

  constructor(
    private readonly gsub: LayoutTable,
    private readonly glyphs: Set<number>,
  ) {}

  /** @param only the glyphs that may stand at the place where the lookup is applied; any, if undefined */
  apply(index: number, only: ReadonlySet<number> | undefined, depth: number): void {
    if (index >= this.gsub.lookupCount || depth > maximumDepth) return;
    const places = this.notDone(index, only);
    if (places && places.size === 0) return;
    const closing = this.at(places, depth);
    for (const subtable of this.gsub.lookupAt(index).subtables)
      substitutionKindOf(subtable)?.close(subtable, closing);
  }

  /** The places of those given that are new to a lookup. */
  private notDone(index: number, only: ReadonlySet<number> | undefined): ReadonlySet<number> | undefined {
    const { size } = this.glyphs;
    const known = this.done.get(index);
    if (!known || known.size !== size) {
      this.done.set(index, { size, glyphs: only ? new Set(only) : 'all' });
      return only;
    }
    if (known.glyphs === 'all') return new Set();
    if (!only) {
      known.glyphs = 'all';
      return undefined;
    }
    const done = known.glyphs;
    const left = new Set([...only].filter((glyph) => !done.has(glyph)));
    for (const glyph of left) done.add(glyph);
    return left;
  }

  private at(places: ReadonlySet<number> | undefined, depth: number): Closing {
    const { glyphs } = this;
    return {
      glyphs,
      isHere: (glyph) => glyphs.has(glyph) && (!places || places.has(glyph)),
      hasOneOf: (coverage) => coverage.some((glyph) => glyphs.has(glyph)),
      applyAt: (lookups, inputs) => {
        this.applyAt(lookups, inputs, depth);
      },
    };
  }

  /**
   * Applies the lookups of a rule that matches. Once one of them has changed its place, or may have moved those behind
   * it, a later one meets any glyph.
   */
  private applyAt(
    lookups: readonly SequenceLookup[],
    places: readonly (readonly number[])[],
    depth: number,
  ): void {
    let changedFrom = Infinity;
    const changed = new Set<number>();
    for (const { sequenceIndex, lookupListIndex } of lookups) {
      if (sequenceIndex >= places.length && changedFrom === Infinity) continue;
      const known =
        sequenceIndex < changedFrom && !changed.has(sequenceIndex) && sequenceIndex < places.length;
      this.apply(lookupListIndex, known ? new Set(places[sequenceIndex]) : undefined, depth + 1);
      changed.add(sequenceIndex);
      if (lookupListIndex < this.gsub.lookupCount && this.gsub.lookupAt(lookupListIndex).type !== 1) {
        changedFrom = Math.min(changedFrom, sequenceIndex);
      }
    }
  }
}

/** Lookups that features apply themselves, and those that their contexts call. */
export function lookupsWithin(table: LayoutTable, lookups: readonly number[]): Set<number> {
  const found = new Set<number>();
  const waiting = [...lookups];
  for (let index = waiting.pop(); index !== undefined; index = waiting.pop()) {
    if (found.has(index) || index >= table.lookupCount) continue;
    found.add(index);
    for (const subtable of table.lookupAt(index).subtables) {
      waiting.push(...(kindOf(subtable).lookups?.(subtable) ?? []));
    }
  }
  return found;
}
