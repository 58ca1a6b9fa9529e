// OpenType: GSUB, LookupType 3: Alternate Substitution

import type { SubstitutionKind } from '../common/lookup-kind.js';
import { put } from './covered.js';
import { sequences, type GlyphSequences } from './sequence.js';

/** A choice of glyphs for one; the first is drawn where no other is asked for. */
export type AlternateSubstitution = GlyphSequences<'alternate'>;

export const alternate: SubstitutionKind<AlternateSubstitution> = {
  ...sequences('alternate', 3),

  kept(subtable, map) {
    const glyphs = new Map<number, number[]>();
    for (const [from, to] of subtable.glyphs) {
      // Those that stay keep their turn.
      const [first, left] = [map.newId(from), map.those(to)];
      if (first !== undefined && (left.length > 0 || to.length === 0)) glyphs.set(first, left);
    }
    return glyphs.size > 0 ? { ...subtable, glyphs } : undefined;
  },

  apply: (work, { glyphs }, at) => put(work, glyphs.get(work.run[at].glyph)?.[0], at),
};
