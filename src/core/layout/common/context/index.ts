/** OpenType Layout Common Table Formats: Sequence Context and Chained Sequence Context (GSUB 5 and 6, GPOS 7 and 8). */
import type { PositioningKind, SubstitutionKind } from '../lookup-kind.js';
import { applyContext } from './apply.js';
import { closeContext } from './close.js';
import { keptContext } from './kept.js';
import { readContext } from './read.js';
import { allOf, lookupsOf, type SequenceContext } from './types.js';
import { writeContext } from './write.js';

export { lookupsOf, withOtherLookups, type SequenceContext } from './types.js';

const chained: ReadonlySet<number> = new Set([6, 8]);

export const context: SubstitutionKind<SequenceContext> & PositioningKind<SequenceContext> = {
  types: { GSUB: [5, 6], GPOS: [7, 8] },
  read: (reader, start, type) => readContext(reader, start, chained.has(type)),
  kept: keptContext,
  write: (subtable, { lookupAt, store }) => writeContext(subtable, lookupAt, store),

  mentions(subtable, glyph) {
    if (subtable.format === 3) return allOf(subtable).some((coverage) => coverage.includes(glyph));
    if (subtable.format === 2)
      return (
        subtable.coverage.includes(glyph) ||
        [subtable.backtrackClasses, subtable.inputClasses, subtable.lookaheadClasses].some((classes) =>
          classes.has(glyph),
        )
      );
    return [...subtable.rules].some(
      ([first, rules]) => first === glyph || rules.some((rule) => allOf(rule).includes(glyph)),
    );
  },

  firsts(subtable) {
    if (subtable.format === 1) return subtable.rules.keys();
    return subtable.format === 2 ? subtable.coverage : (subtable.input[0] ?? []);
  },

  close: closeContext,
  lookups: lookupsOf,
  apply: (work, subtable, at) => applyContext(work, subtable, at),

  /** Its lookups do. */
  eachVariation: () => undefined,
  withDevices: (subtable) => subtable,
};
