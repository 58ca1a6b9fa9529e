// OpenType: GSUB and GPOS: a lookup at work on a run of glyphs

import type { Deltas } from '../../variations/place.js';
import type { Coverage } from './coverage.js';
import type { GlyphClasses, ShapingGlyph } from './glyph-run.js';
import type { LookupHeader } from './lookup.js';

/** Which glyphs stand on which. */
export type Attachments = Map<ShapingGlyph, ShapingGlyph>;

/** A lookup at work on a run. */
export interface Work {
  run: ShapingGlyph[];
  classes: GlyphClasses;
  lookup: Pick<LookupHeader, 'flag' | 'markFilteringSet'>;
  /** Whether it places glyphs, not replaces them. */
  isPositioning: boolean;
  /** Glyphs that the run may come to. */
  most: number;
  /** Of the variation store, for a font on its axes. */
  deltas?: Deltas | undefined;
  attached: Attachments;
  /** Whether the run is set from right to left; its glyphs stand in the order of the text. */
  isRightToLeft?: boolean | undefined;
  /** Applies another lookup of the table to a place. @returns where to go on from, or -1 */
  applyOther(lookup: number, at: number): number;
}

/** Whether a glyph matches. */
export type Matches = (one: ShapingGlyph) => boolean;

/** What looks for the next place that counts. */
interface Search {
  step: 1 | -1;
  /** Whether the place is around what a lookup changes, not part of it. */
  isContext?: boolean;
  matches?: Matches | undefined;
}

/** The next place that counts for a lookup. @returns -1 where it doesn't match, or nothing is left */
export function nextPlace(
  { run, classes, lookup, isPositioning }: Pick<Work, 'run' | 'classes' | 'lookup' | 'isPositioning'>,
  from: number,
  { step, isContext = false, matches }: Search,
): number {
  for (let at = from + step; at >= 0 && at < run.length; at += step) {
    const one = run[at];
    if (classes.ignores(one, lookup.flag, lookup.markFilteringSet)) continue;
    const maybe = one.ignorable !== 'no' && (isPositioning || isContext || one.ignorable !== 'zwnj');
    if (matches?.(one) ?? !maybe) return at;
    if (!maybe) return -1;
  }
  return -1;
}

const any: Matches = () => true;

/** The nearest glyph before that counts. */
export const placeBefore = (work: Work, at: number): number =>
  nextPlace(work, at, { step: -1, matches: any });

const sets = new WeakMap<Coverage, ReadonlySet<number>>();

/** A coverage as a set; made once. */
export function setOf(coverage: Coverage): ReadonlySet<number> {
  let set = sets.get(coverage);
  if (!set) sets.set(coverage, (set = new Set(coverage)));
  return set;
}
