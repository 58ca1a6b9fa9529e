// OpenType: GSUB, LookupTypes 2 and 3: Multiple and Alternate Substitution, which are stored alike

import { Block } from '../../bytes/blocks.js';
import { readOnce } from '../../bytes/read-once.js';
import { ascending, readCoverage, writeCoverage } from '../common/coverage.js';
import type { SubstitutionKind } from '../common/lookup-kind.js';
import { readFormat } from '../common/read-format.js';
import { covered } from './covered.js';

/** Several glyphs for each one: all of them, or one of their choice. */
export interface GlyphSequences<Kind extends string> {
  kind: Kind;
  glyphs: Map<number, readonly number[]>;
}

/** What both kinds do alike. @param type the LookupType */
export function sequences<Kind extends string>(
  kind: Kind,
  type: number,
): Omit<SubstitutionKind<GlyphSequences<Kind>>, 'kept' | 'apply'> {
  return {
    types: { GSUB: [type] },

    read(reader, start) {
      readFormat(reader, start, 1);
      const coverage = readCoverage(reader, start + reader.uint16());
      const offsets = reader.seek(start + 4).uint16Array(reader.uint16());
      const sequenceAt = readOnce(reader, (at) => Array.from(reader.seek(at).uint16Array(reader.uint16())));
      const sequenceOf = (i: number) => (i < offsets.length ? sequenceAt(start + offsets[i]) : undefined);
      return { kind, glyphs: covered(coverage, (_, i) => sequenceOf(i)) };
    },

    write(subtable, { store }) {
      const glyphs = [...subtable.glyphs.keys()].sort(ascending);
      const block = new Block().uint16(1).offset16(writeCoverage(glyphs, store)).uint16(glyphs.length);
      for (const glyph of glyphs) {
        const sequence = subtable.glyphs.get(glyph)!;
        block.offset16(store.keep(new Block().uint16(sequence.length).uint16Array(sequence)));
      }
      return store.keep(block);
    },

    mentions: ({ glyphs }, glyph) =>
      glyphs.has(glyph) || [...glyphs.values()].some((sequence) => sequence.includes(glyph)),

    firsts: ({ glyphs }) => glyphs.keys(),

    close({ glyphs }, closing) {
      for (const [from, to] of glyphs)
        if (closing.isHere(from)) for (const glyph of to) closing.glyphs.add(glyph);
    },
  };
}
