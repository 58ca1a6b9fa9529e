// OpenType: GSUB and GPOS: applying lookups to a run of glyphs

import type { GlyphClasses, ShapingGlyph } from '../layout/common/glyph-run.js';
import type { Attachments, Work } from '../layout/common/work.js';
import { kindOf } from '../layout/kinds.js';
import type { LayoutTable, Lookup } from '../layout/layout-table.js';
import type { Deltas } from '../variations/place.js';

/** Contexts call lookups that may call others; real fonts go three deep. */
const deepest = 8;
/** What a lookup may make of a text, at the most; more is an attack. */
const mostGrowth = 64;

/** A run of glyphs that lookups are applied to. */
export interface Run {
  glyphs: ShapingGlyph[];
  classes: GlyphClasses;
  /** Of the variation store, for a font on its axes. */
  deltas: Deltas | undefined;
  /** Which glyphs were put on which. */
  attached: Attachments;
  isRightToLeft: boolean;
}

/** Applies a lookup to all of a run. @param form that glyphs have to have, where it is given */
export function applyLookup(table: LayoutTable, index: number, run: Run, form?: string): void {
  const { glyphs } = run;
  if (index >= table.lookupCount || glyphs.length === 0) return;
  const lookup = table.lookupAt(index);
  const firsts = firstsOf(lookup);
  const isOne = (one: ShapingGlyph) => firsts.has(one.glyph) && (form === undefined || one.form === form);
  const work = workOn(table, run, glyphs.length * mostGrowth + 64, 0);
  if (lookup.subtables.some((subtable) => kindOf(subtable).direction === 'from the end')) {
    for (let at = glyphs.length - 1; at >= 0; at--) if (isOne(glyphs[at])) applyAt(work, lookup, at);
    return;
  }
  for (let at = 0; at < glyphs.length;) {
    const next = isOne(glyphs[at]) ? applyAt(work, lookup, at) : -1;
    at = Math.max(next, at + (next < 0 ? 1 : 0));
  }
}

function workOn(table: LayoutTable, run: Run, most: number, depth: number): Omit<Work, 'lookup'> {
  const { glyphs, classes, deltas, attached, isRightToLeft } = run;
  return {
    run: glyphs,
    classes,
    isPositioning: table.tag === 'GPOS',
    most,
    deltas,
    attached,
    isRightToLeft,
    applyOther: (index, at) =>
      depth >= deepest || index >= table.lookupCount
        ? -1
        : applyAt(workOn(table, run, most, depth + 1), table.lookupAt(index), at),
  };
}

/** Applies the first subtable of a lookup that says something of a place. @returns where to go on from, or -1 */
function applyAt(on: Omit<Work, 'lookup'>, lookup: Lookup, at: number): number {
  if (on.classes.ignores(on.run[at], lookup.flag, lookup.markFilteringSet)) return -1;
  const work: Work = { ...on, lookup };
  for (const subtable of lookup.subtables) {
    const next = kindOf(subtable).apply(work, subtable, at);
    if (next >= 0) return next;
  }
  return -1;
}

const known = new WeakMap<Lookup, ReadonlySet<number>>();

/** Glyphs at which a lookup may do something. */
function firstsOf(lookup: Lookup): ReadonlySet<number> {
  let firsts = known.get(lookup);
  if (!firsts) {
    const all = new Set<number>();
    for (const subtable of lookup.subtables)
      for (const glyph of kindOf(subtable).firsts(subtable)) all.add(glyph);
    known.set(lookup, (firsts = all));
  }
  return firsts;
}
