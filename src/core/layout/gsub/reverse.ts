// OpenType: GSUB, LookupType 8: Reverse Chained Contexts Single Substitution

import { Block } from '../../bytes/blocks.js';
import { ascending, readCoverage, writeCoverage, type Coverage } from '../common/coverage.js';
import type { SubstitutionKind } from '../common/lookup-kind.js';
import { readFormat } from '../common/read-format.js';
import { nextPlace, setOf } from '../common/work.js';
import { covered, keptSingles, put } from './covered.js';

/** One glyph for one between others, from the end of the text to its start. */
export interface ReverseSubstitution {
  kind: 'reverse';
  backtrack: Coverage[];
  lookahead: Coverage[];
  glyphs: Map<number, number>;
}

export const reverse: SubstitutionKind<ReverseSubstitution> = {
  types: { GSUB: [8] },
  direction: 'from the end',

  read(reader, start) {
    readFormat(reader, start, 1);
    const coverageOffset = reader.uint16();
    const backtrackOffsets = reader.uint16Array(reader.uint16());
    const lookaheadOffsets = reader.uint16Array(reader.uint16());
    const substitutes = reader.uint16Array(reader.uint16());
    const coverages = (offsets: Uint16Array) =>
      Array.from(offsets, (offset) => readCoverage(reader, start + offset));
    return {
      kind: 'reverse',
      backtrack: coverages(backtrackOffsets),
      lookahead: coverages(lookaheadOffsets),
      glyphs: covered(readCoverage(reader, start + coverageOffset), (_, i) => substitutes[i]),
    };
  },

  kept(subtable, map) {
    const kept = (coverages: Coverage[]) => coverages.map((coverage) => map.those(coverage).sort(ascending));
    const [backtrack, lookahead] = [kept(subtable.backtrack), kept(subtable.lookahead)];
    const glyphs = keptSingles(subtable.glyphs, map);
    const matches = around({ backtrack, lookahead }).every((coverage) => coverage.length > 0);
    return matches && glyphs.size > 0 ? { ...subtable, backtrack, lookahead, glyphs } : undefined;
  },

  write(subtable, { store }) {
    const glyphs = [...subtable.glyphs.keys()].sort(ascending);
    const block = new Block().uint16(1).offset16(writeCoverage(glyphs, store));
    for (const coverages of [subtable.backtrack, subtable.lookahead]) {
      block.uint16(coverages.length);
      for (const coverage of coverages) block.offset16(writeCoverage(coverage, store));
    }
    block.uint16(glyphs.length);
    return store.keep(block.uint16Array(glyphs.map((glyph) => subtable.glyphs.get(glyph)!)));
  },

  mentions: (subtable, glyph) =>
    around(subtable).some((coverage) => coverage.includes(glyph)) ||
    subtable.glyphs.has(glyph) ||
    [...subtable.glyphs.values()].includes(glyph),

  firsts: ({ glyphs }) => glyphs.keys(),

  close(subtable, closing) {
    if (!around(subtable).every((coverage) => closing.hasOneOf(coverage))) return;
    for (const [from, to] of subtable.glyphs) if (closing.isHere(from)) closing.glyphs.add(to);
  },

  apply(work, { glyphs, backtrack, lookahead }, at) {
    const made = glyphs.get(work.run[at].glyph);
    if (made === undefined) return -1;
    const hasAll = (wanted: readonly Coverage[], step: 1 | -1) => {
      let place = at;
      return wanted.every((coverage) => {
        const set = setOf(coverage);
        place = nextPlace(work, place, { step, isContext: true, matches: ({ glyph }) => set.has(glyph) });
        return place >= 0;
      });
    };
    return hasAll(backtrack, -1) && hasAll(lookahead, 1) ? put(work, made, at) : -1;
  },
};

const around = ({ backtrack, lookahead }: Pick<ReverseSubstitution, 'backtrack' | 'lookahead'>) => [
  ...backtrack,
  ...lookahead,
];
