// OpenType: GSUB: which glyphs a text may come to

import type { ClassDefinition } from './class-definition.js';
import type { Coverage } from './coverage.js';
import type { LayoutTable, Subtable } from './layout-table.js';
import {
  lookupsOf,
  type SequenceContext,
  type SequenceLookup,
  type SequenceRule,
} from './sequence-context.js';

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
    for (const subtable of this.gsub.lookupAt(index).subtables) this.applySubtable(subtable, places, depth);
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

  private applySubtable(subtable: Subtable, places: ReadonlySet<number> | undefined, depth: number): void {
    const { glyphs } = this;
    const here = (glyph: number) => glyphs.has(glyph) && (!places || places.has(glyph));
    switch (subtable.kind) {
      case 'single':
        for (const [from, to] of subtable.glyphs) if (here(from)) glyphs.add(to);
        return;
      case 'multiple':
      case 'alternate':
        for (const [from, to] of subtable.glyphs) if (here(from)) for (const glyph of to) glyphs.add(glyph);
        return;
      case 'ligature':
        for (const [from, set] of subtable.ligatures) {
          if (!here(from)) continue;
          for (const { glyph, components } of set) {
            if (components.every((component) => glyphs.has(component))) glyphs.add(glyph);
          }
        }
        return;
      case 'reverse':
        if (![...subtable.backtrack, ...subtable.lookahead].every((coverage) => this.anyOf(coverage))) return;
        for (const [from, to] of subtable.glyphs) if (here(from)) glyphs.add(to);
        return;
      case 'context':
        this.applyContext(subtable, here, depth);
    }
  }

  private anyOf(coverage: Coverage): boolean {
    return coverage.some((glyph) => this.glyphs.has(glyph));
  }

  private applyContext(context: SequenceContext, here: (glyph: number) => boolean, depth: number): void {
    switch (context.format) {
      case 1:
        for (const [first, rules] of context.rules) {
          if (!here(first)) continue;
          for (const { backtrack, input, lookahead, lookups } of rules) {
            if (![...backtrack, ...input, ...lookahead].every((glyph) => this.glyphs.has(glyph))) continue;
            this.applyAt(lookups, [[first], ...input.map((glyph) => [glyph])], depth);
          }
        }
        return;
      case 2: {
        const firsts = context.coverage.filter(here);
        const backtrack = this.byClass(context.backtrackClasses);
        const input = this.byClass(context.inputClasses);
        const lookahead = this.byClass(context.lookaheadClasses);
        for (const [firstClass, rules] of context.rules) {
          const first = firsts.filter((glyph) => (context.inputClasses.get(glyph) ?? 0) === firstClass);
          if (first.length === 0) continue;
          for (const rule of rules) this.applyClassRule(rule, first, { backtrack, input, lookahead }, depth);
        }
        return;
      }
      case 3: {
        const places = context.input.map((coverage, i) =>
          coverage.filter((glyph) => (i === 0 ? here(glyph) : this.glyphs.has(glyph))),
        );
        if (places.some((place) => place.length === 0)) return;
        if (![...context.backtrack, ...context.lookahead].every((coverage) => this.anyOf(coverage))) return;
        this.applyAt(context.lookups, places, depth);
      }
    }
  }

  private applyClassRule(
    { backtrack, input, lookahead, lookups }: SequenceRule,
    first: readonly number[],
    classes: Record<'backtrack' | 'input' | 'lookahead', Map<number, number[]>>,
    depth: number,
  ): void {
    if (!backtrack.every((value) => classes.backtrack.has(value))) return;
    if (!lookahead.every((value) => classes.lookahead.has(value))) return;
    if (!input.every((value) => classes.input.has(value))) return;
    this.applyAt(lookups, [first, ...input.map((value) => classes.input.get(value)!)], depth);
  }

  /** The glyphs of the set by their class; class 0 is there where a glyph has no other. */
  private byClass(classes: ClassDefinition): Map<number, number[]> {
    const found = new Map<number, number[]>();
    for (const glyph of this.glyphs) {
      const value = classes.get(glyph) ?? 0;
      const list = found.get(value);
      if (list) list.push(glyph);
      else found.set(value, [glyph]);
    }
    return found;
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
      if (subtable.kind === 'context') waiting.push(...lookupsOf(subtable));
    }
  }
  return found;
}
