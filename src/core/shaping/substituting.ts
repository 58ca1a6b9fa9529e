// OpenType: GSUB, Glyph Substitution Table: what each type of lookup does to a run

import type { Coverage } from '../layout/coverage.js';
import type { Subtable } from '../layout/layout-table.js';
import type { Ligature } from '../layout/substitution.js';
import { glyphClass, type ShapingGlyph } from './glyph-run.js';
import { nextPlace, setOf, type Work } from './lookup-work.js';

/** Counts ligatures, so that marks know theirs. */
let ligatures = 0;

export function substitute(work: Work, subtable: Subtable, at: number): number {
  const { run } = work;
  const { glyph } = run[at];
  switch (subtable.kind) {
    case 'single': {
      const made = subtable.glyphs.get(glyph);
      return made === undefined ? -1 : put(run[at], made, at);
    }
    case 'alternate': {
      const [made] = subtable.glyphs.get(glyph) ?? [];
      return made === undefined ? -1 : put(run[at], made, at);
    }
    case 'multiple': {
      const made = subtable.glyphs.get(glyph);
      if (!made || run.length > work.most) return -1;
      run.splice(at, 1, ...made.map((one) => ({ ...run[at], glyph: one, ignorable: 'no' as const })));
      return at + made.length;
    }
    case 'ligature':
      return ligate(work, subtable.ligatures.get(glyph) ?? [], at);
    case 'reverse': {
      const made = subtable.glyphs.get(glyph);
      if (made === undefined) return -1;
      const hasAll = (wanted: readonly Coverage[], step: 1 | -1) => {
        let place = at;
        return wanted.every((coverage) => {
          place = nextPlace(work, place, step, true, (one) => setOf(coverage).has(one.glyph));
          return place >= 0;
        });
      };
      return hasAll(subtable.backtrack, -1) && hasAll(subtable.lookahead, 1) ? put(run[at], made, at) : -1;
    }
    default:
      return -1;
  }
}

function put(one: ShapingGlyph, glyph: number, at: number): number {
  one.glyph = glyph;
  one.ignorable = 'no';
  return at + 1;
}

function ligate(work: Work, known: readonly Ligature[], at: number): number {
  for (const { glyph, components } of known) {
    const places = [at];
    for (const component of components) {
      const next = nextPlace(work, places[places.length - 1], 1, false, (one) => one.glyph === component);
      if (next < 0) break;
      places.push(next);
    }
    if (places.length === components.length + 1) return join(work, glyph, places);
  }
  return -1;
}

/** The first glyph becomes the ligature; what was passed over stays behind it, and knows on which part it stood. */
function join({ run, classes }: Work, glyph: number, places: readonly number[]): number {
  const [first] = places;
  const last = places[places.length - 1];
  const isOfMarks = places.every((place) => classes.of(run[place]) === glyphClass.mark);
  const ligature = isOfMarks ? run[first].ligature : ++ligatures;
  if (!isOfMarks && places.length > 1) {
    let component = 0;
    for (let at = first; at <= last; at++) {
      if (at === places[component]) component++;
      else Object.assign(run[at], { ligature, component });
    }
    // Marks behind the last part stand on it.
    for (let at = last + 1; at < run.length && classes.of(run[at]) === glyphClass.mark; at++)
      Object.assign(run[at], { ligature, component: places.length });
  }
  put(run[first], glyph, first);
  if (!isOfMarks && places.length > 1) Object.assign(run[first], { ligature, component: 0 });
  for (let i = places.length - 1; i > 0; i--) run.splice(places[i], 1);
  return last - places.length + 2;
}
