// OpenType: GSUB, LookupType 1: Single Substitution

import { Block } from '../../bytes/blocks.js';
import { ascending, readCoverage, writeCoverage } from '../common/coverage.js';
import type { SubstitutionKind } from '../common/lookup-kind.js';
import { readFormat } from '../common/read-format.js';
import { covered, keptSingles, put } from './covered.js';

/** One glyph for one. */
export interface SingleSubstitution {
  kind: 'single';
  glyphs: Map<number, number>;
}

export const single: SubstitutionKind<SingleSubstitution> = {
  types: { GSUB: [1] },

  read(reader, start) {
    const format = readFormat(reader, start, 1, 2);
    const coverage = readCoverage(reader, start + reader.uint16());
    reader.seek(start + 4);
    if (format === 1) {
      const delta = reader.int16();
      return { kind: 'single', glyphs: new Map(coverage.map((glyph) => [glyph, (glyph + delta) & 0xffff])) };
    }
    const substitutes = reader.uint16Array(reader.uint16());
    return { kind: 'single', glyphs: covered(coverage, (_, i) => substitutes[i]) };
  },

  kept(subtable, map) {
    const glyphs = keptSingles(subtable.glyphs, map);
    return glyphs.size > 0 ? { ...subtable, glyphs } : undefined;
  },

  write({ glyphs: substitutes }, { store }) {
    const glyphs = [...substitutes.keys()].sort(ascending);
    const coverage = writeCoverage(glyphs, store);
    const delta = (substitutes.get(glyphs[0])! - glyphs[0]) & 0xffff;
    if (glyphs.every((glyph) => ((substitutes.get(glyph)! - glyph) & 0xffff) === delta))
      return store.keep(new Block().uint16(1).offset16(coverage).uint16(delta));
    const block = new Block().uint16(2).offset16(coverage).uint16(glyphs.length);
    return store.keep(block.uint16Array(glyphs.map((glyph) => substitutes.get(glyph)!)));
  },

  mentions: ({ glyphs }, glyph) => glyphs.has(glyph) || [...glyphs.values()].includes(glyph),

  firsts: ({ glyphs }) => glyphs.keys(),

  close({ glyphs }, closing) {
    for (const [from, to] of glyphs) if (closing.isHere(from)) closing.glyphs.add(to);
  },

  apply: (work, { glyphs }, at) => put(work, glyphs.get(work.run[at].glyph), at),
};
