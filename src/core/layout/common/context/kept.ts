import { keptClasses, type ClassDefinition } from '../class-definition.js';
import { ascending, type Coverage } from '../coverage.js';
import type { GlyphMap } from '../glyph-map.js';
import type { ClassContext, GlyphContext, SequenceContext, SequenceRule } from './types.js';

/** What is left of a context where some glyphs go; undefined where it can't match any more. */
export function keptContext(context: SequenceContext, map: GlyphMap): SequenceContext | undefined {
  switch (context.format) {
    case 1:
      return keptGlyphContext(context, map);
    case 2:
      return keptClassContext(context, map);
    case 3: {
      const kept = (coverages: Coverage[]) =>
        coverages.map((coverage) => map.those(coverage).sort(ascending));
      const [backtrack, input, lookahead] = [context.backtrack, context.input, context.lookahead].map(kept);
      const matches = [...backtrack, ...input, ...lookahead].every((coverage) => coverage.length > 0);
      return matches && input.length > 0 ? { ...context, backtrack, input, lookahead } : undefined;
    }
  }
}

function keptGlyphContext(context: GlyphContext, map: GlyphMap): GlyphContext | undefined {
  const rules = new Map<number, SequenceRule[]>();
  for (const [glyph, set] of context.rules) {
    const first = map.newId(glyph);
    if (first === undefined) continue;
    const kept = set.flatMap((rule) => {
      const [backtrack, input, lookahead] = [rule.backtrack, rule.input, rule.lookahead].map((list) =>
        map.all(list),
      );
      return backtrack && input && lookahead ? [{ ...rule, backtrack, input, lookahead }] : [];
    });
    if (kept.length > 0) rules.set(first, kept);
  }
  return rules.size > 0 ? { ...context, rules } : undefined;
}

function keptClassContext(context: ClassContext, map: GlyphMap): ClassContext | undefined {
  const backtrack = renumberedClasses(context.backtrackClasses, map);
  const input = renumberedClasses(context.inputClasses, map);
  const lookahead = renumberedClasses(context.lookaheadClasses, map);
  const covered = map.those(context.coverage);
  const firsts = new Set(covered.map((glyph) => input.classes.get(glyph) ?? 0));
  const rules = new Map<number, SequenceRule[]>();
  for (const [firstClass, set] of context.rules) {
    const first = input.numbers.get(firstClass);
    if (first === undefined || !firsts.has(first)) continue;
    const kept = set.flatMap((rule) => {
      const renumber = (list: readonly number[], numbers: Map<number, number>) => {
        const found = list.map((value) => numbers.get(value));
        return found.includes(undefined) ? undefined : (found as number[]);
      };
      const lists = {
        backtrack: renumber(rule.backtrack, backtrack.numbers),
        input: renumber(rule.input, input.numbers),
        lookahead: renumber(rule.lookahead, lookahead.numbers),
      };
      return lists.backtrack && lists.input && lists.lookahead
        ? [
            {
              lookups: rule.lookups,
              backtrack: lists.backtrack,
              input: lists.input,
              lookahead: lists.lookahead,
            },
          ]
        : [];
    });
    if (kept.length > 0) rules.set(first, kept);
  }
  if (rules.size === 0) return undefined;
  return {
    ...context,
    rules,
    // A glyph whose class has no rule only matters where a rule of its class could have matched.
    coverage: covered.filter((glyph) => rules.has(input.classes.get(glyph) ?? 0)).sort(ascending),
    backtrackClasses: backtrack.classes,
    inputClasses: input.classes,
    lookaheadClasses: lookahead.classes,
  };
}

/** Classes that still have glyphs, numbered from 1 without gaps; class 0 is all other glyphs. */
function renumberedClasses(
  classes: ClassDefinition,
  map: GlyphMap,
): { classes: Map<number, number>; numbers: Map<number, number> } {
  const kept = keptClasses(classes, map);
  const numbers = new Map<number, number>();
  if (kept.size < map.size) numbers.set(0, 0);
  for (const value of [...new Set(kept.values())].sort(ascending)) {
    numbers.set(value, numbers.has(0) ? numbers.size : numbers.size + 1);
  }
  for (const [glyph, value] of kept) kept.set(glyph, numbers.get(value)!);
  return { classes: kept, numbers };
}
