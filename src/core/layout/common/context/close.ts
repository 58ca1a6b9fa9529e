import type { ClassDefinition } from '../class-definition.js';
import type { Closing } from '../closing.js';
import type { ClassContext, SequenceContext, SequenceRule } from './types.js';

/** Applies the lookups of the rules that may match where some glyphs are there. */
export function closeContext(context: SequenceContext, closing: Closing): void {
  switch (context.format) {
    case 1:
      for (const [first, rules] of context.rules) {
        if (!closing.isHere(first)) continue;
        for (const { backtrack, input, lookahead, lookups } of rules) {
          if (![...backtrack, ...input, ...lookahead].every((glyph) => closing.glyphs.has(glyph))) continue;
          closing.applyAt(lookups, [[first], ...input.map((glyph) => [glyph])]);
        }
      }
      return;
    case 2:
      closeClassContext(context, closing);
      return;
    case 3: {
      const places = context.input.map((coverage, i) =>
        coverage.filter((glyph) => (i === 0 ? closing.isHere(glyph) : closing.glyphs.has(glyph))),
      );
      if (places.some((place) => place.length === 0)) return;
      if (![...context.backtrack, ...context.lookahead].every((coverage) => closing.hasOneOf(coverage)))
        return;
      closing.applyAt(context.lookups, places);
    }
  }
}

function closeClassContext(context: ClassContext, closing: Closing): void {
  const firsts = context.coverage.filter((glyph) => closing.isHere(glyph));
  const classes = {
    backtrack: byClass(context.backtrackClasses, closing),
    input: byClass(context.inputClasses, closing),
    lookahead: byClass(context.lookaheadClasses, closing),
  };
  for (const [firstClass, rules] of context.rules) {
    const first = firsts.filter((glyph) => (context.inputClasses.get(glyph) ?? 0) === firstClass);
    if (first.length === 0) continue;
    for (const rule of rules) closeClassRule(rule, first, classes, closing);
  }
}

function closeClassRule(
  { backtrack, input, lookahead, lookups }: SequenceRule,
  first: readonly number[],
  classes: Record<'backtrack' | 'input' | 'lookahead', Map<number, number[]>>,
  closing: Closing,
): void {
  if (!backtrack.every((value) => classes.backtrack.has(value))) return;
  if (!lookahead.every((value) => classes.lookahead.has(value))) return;
  if (!input.every((value) => classes.input.has(value))) return;
  closing.applyAt(lookups, [first, ...input.map((value) => classes.input.get(value)!)]);
}

/** The glyphs that are there by their class; class 0 is there where a glyph has no other. */
function byClass(classes: ClassDefinition, { glyphs }: Closing): Map<number, number[]> {
  const found = new Map<number, number[]>();
  for (const glyph of glyphs) {
    const value = classes.get(glyph) ?? 0;
    const list = found.get(value);
    if (list) list.push(glyph);
    else found.set(value, [glyph]);
  }
  return found;
}
