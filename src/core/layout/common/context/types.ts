// OpenType Layout Common Table Formats: Sequence Context and Chained Sequence Context (GSUB 5 and 6, GPOS 7 and 8)

import type { ClassDefinition } from '../class-definition.js';
import type { Coverage } from '../coverage.js';

/** Applies a lookup to the glyph at a place of the input sequence. */
export interface SequenceLookup {
  sequenceIndex: number;
  lookupListIndex: number;
}

/** Glyphs, or classes, that a rule wants, nearest first where they stand before; `input` without the first one. */
export interface SequenceRule {
  backtrack: readonly number[];
  input: readonly number[];
  lookahead: readonly number[];
  lookups: readonly SequenceLookup[];
}

/** Format 1: rules by first glyph. */
export interface GlyphContext {
  kind: 'context';
  format: 1;
  chained: boolean;
  rules: Map<number, SequenceRule[]>;
}

/** Format 2: rules by the class of the first glyph. */
export interface ClassContext {
  kind: 'context';
  format: 2;
  chained: boolean;
  coverage: Coverage;
  backtrackClasses: ClassDefinition;
  inputClasses: ClassDefinition;
  lookaheadClasses: ClassDefinition;
  rules: Map<number, SequenceRule[]>;
}

/** Format 3: one rule, of sets of glyphs. */
export interface CoverageContext {
  kind: 'context';
  format: 3;
  chained: boolean;
  backtrack: Coverage[];
  input: Coverage[];
  lookahead: Coverage[];
  lookups: readonly SequenceLookup[];
}

export type SequenceContext = GlyphContext | ClassContext | CoverageContext;

/** The context with other numbers for the lookups that it applies. */
export function withOtherLookups(
  context: SequenceContext,
  numberOf: (lookup: number) => number,
): SequenceContext {
  const changed = (lookups: readonly SequenceLookup[]) =>
    lookups.map((one) => ({ ...one, lookupListIndex: numberOf(one.lookupListIndex) }));
  if (context.format === 3) return { ...context, lookups: changed(context.lookups) };
  const rules = new Map(
    Array.from(context.rules, ([first, set]) => [
      first,
      set.map((rule) => ({ ...rule, lookups: changed(rule.lookups) })),
    ]),
  );
  return { ...context, rules };
}

/** Every lookup that a context may apply. */
export function lookupsOf(context: SequenceContext): number[] {
  const lists =
    context.format === 3 ? [context.lookups] : [...context.rules.values()].flat().map((rule) => rule.lookups);
  return lists.flat().map(({ lookupListIndex }) => lookupListIndex);
}

/** All that a rule wants, or the one of format 3. */
export const allOf = <Wanted>({
  backtrack,
  input,
  lookahead,
}: Record<'backtrack' | 'input' | 'lookahead', readonly Wanted[]>): Wanted[] => [
  ...backtrack,
  ...input,
  ...lookahead,
];
