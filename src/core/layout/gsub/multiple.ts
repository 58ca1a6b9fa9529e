// OpenType: GSUB, LookupType 2: Multiple Substitution

import type { SubstitutionKind } from '../common/lookup-kind.js';
import { sequences, type GlyphSequences } from './sequence.js';

/** Several glyphs for one. */
export type MultipleSubstitution = GlyphSequences<'multiple'>;

export const multiple: SubstitutionKind<MultipleSubstitution> = {
  ...sequences('multiple', 2),

  kept(subtable, map) {
    const glyphs = new Map<number, number[]>();
    for (const [from, to] of subtable.glyphs) {
      const [first, all] = [map.newId(from), map.all(to)];
      if (first !== undefined && all) glyphs.set(first, all);
    }
    return glyphs.size > 0 ? { ...subtable, glyphs } : undefined;
  },

  apply({ run, most }, { glyphs }, at) {
    const made = glyphs.get(run[at].glyph);
    if (!made || run.length > most) return -1;
    run.splice(at, 1, ...made.map((glyph) => ({ ...run[at], glyph, ignorable: 'no' as const })));
    return at + made.length;
  },
};
