// OpenType: GSUB, LookupType 4: Ligature Substitution

import { Block } from '../../bytes/blocks.js';
import { readOnce } from '../../bytes/read-once.js';
import { ascending, readCoverage, writeCoverage } from '../common/coverage.js';
import { glyphClass } from '../common/glyph-run.js';
import type { SubstitutionKind } from '../common/lookup-kind.js';
import { readFormat } from '../common/read-format.js';
import { nextPlace, type Work } from '../common/work.js';
import { covered, put } from './covered.js';

/** One glyph for several; by the first of them, the preferred ligature first. */
export interface LigatureSubstitution {
  kind: 'ligature';
  ligatures: Map<number, readonly Ligature[]>;
}

export interface Ligature {
  glyph: number;
  /** The second glyph and those after it. */
  components: readonly number[];
}

export const ligature: SubstitutionKind<LigatureSubstitution> = {
  types: { GSUB: [4] },

  read(reader, start) {
    readFormat(reader, start, 1);
    const coverage = readCoverage(reader, start + reader.uint16());
    const sets = reader.seek(start + 4).uint16Array(reader.uint16());
    const ligatureAt = readOnce(reader, (at): Ligature => {
      const glyph = reader.seek(at).uint16();
      return { glyph, components: Array.from(reader.uint16Array(Math.max(0, reader.uint16() - 1))) };
    });
    const setAt = readOnce(reader, (set) => {
      const offsets = reader.seek(set).uint16Array(reader.uint16());
      return Array.from(offsets, (offset) => ligatureAt(set + offset));
    });
    const ligatures = covered(coverage, (_, i) => (i < sets.length ? setAt(start + sets[i]) : undefined));
    return { kind: 'ligature', ligatures };
  },

  kept(subtable, map) {
    const ligatures = new Map<number, Ligature[]>();
    for (const [from, set] of subtable.ligatures) {
      const first = map.newId(from);
      if (first === undefined) continue;
      const kept = set.flatMap(({ glyph, components }) => {
        const [newId, rest] = [map.newId(glyph), map.all(components)];
        return newId !== undefined && rest ? [{ glyph: newId, components: rest }] : [];
      });
      if (kept.length > 0) ligatures.set(first, kept);
    }
    return ligatures.size > 0 ? { ...subtable, ligatures } : undefined;
  },

  write({ ligatures }, { store }) {
    const glyphs = [...ligatures.keys()].sort(ascending);
    const block = new Block().uint16(1).offset16(writeCoverage(glyphs, store)).uint16(glyphs.length);
    for (const first of glyphs) {
      const set = ligatures.get(first)!;
      const setBlock = new Block().uint16(set.length);
      for (const { glyph, components } of set) {
        const one = new Block().uint16(glyph).uint16(components.length + 1);
        setBlock.offset16(store.keep(one.uint16Array(components)));
      }
      block.offset16(store.keep(setBlock));
    }
    return store.keep(block);
  },

  mentions: ({ ligatures }, wanted) =>
    ligatures.has(wanted) ||
    [...ligatures.values()]
      .flat()
      .some(({ glyph, components }) => glyph === wanted || components.includes(wanted)),

  firsts: ({ ligatures }) => ligatures.keys(),

  close({ ligatures }, closing) {
    const { glyphs } = closing;
    for (const [from, set] of ligatures) {
      if (!closing.isHere(from)) continue;
      for (const { glyph, components } of set)
        if (components.every((component) => glyphs.has(component))) glyphs.add(glyph);
    }
  },

  apply(work, { ligatures }, at) {
    for (const { glyph, components } of ligatures.get(work.run[at].glyph) ?? []) {
      const places = [at];
      for (const component of components) {
        const matches = (one: { glyph: number }) => one.glyph === component;
        const next = nextPlace(work, places[places.length - 1], { step: 1, matches });
        if (next < 0) break;
        places.push(next);
      }
      if (places.length === components.length + 1) return join(work, glyph, places);
    }
    return -1;
  },
};

/** Counts ligatures, so that marks know theirs. */
let count = 0;

/** The first glyph becomes the ligature; what was passed over stays behind it, and knows on which part it stood. */
function join(work: Work, glyph: number, places: readonly number[]): number {
  const { run, classes } = work;
  const [first] = places;
  const last = places[places.length - 1];
  const isMark = (at: number) => classes.of(run[at]) === glyphClass.mark;
  const isOfMarks = places.every(isMark);
  const own = isOfMarks ? run[first].ligature : ++count;
  if (!isOfMarks && places.length > 1) {
    let component = 0;
    for (let at = first; at <= last; at++) {
      if (at === places[component]) component++;
      else Object.assign(run[at], { ligature: own, component });
    }
    // Marks behind the last part stand on it.
    for (let at = last + 1; at < run.length && isMark(at); at++)
      Object.assign(run[at], { ligature: own, component: places.length });
  }
  put(work, glyph, first);
  if (!isOfMarks && places.length > 1) Object.assign(run[first], { ligature: own, component: 0 });
  for (let i = places.length - 1; i > 0; i--) run.splice(places[i], 1);
  return last - places.length + 2;
}
