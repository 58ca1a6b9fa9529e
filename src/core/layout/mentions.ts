import type { Subtable } from './layout-table.js';
import { isPairAdjustment, type PairAdjustment } from './pair-adjustment.js';
import type { Positioning } from './positioning.js';
import type { SequenceContext } from './sequence-context.js';
import { isSubstitution, type Substitution } from './substitution.js';

/**
 * Whether a glyph stands in a subtable, by itself or as one of a class other than 0. That is what Firefox looks for
 * before it shapes text word by word, without its spaces.
 */
export function mentions(subtable: Subtable, glyph: number): boolean {
  if (isSubstitution(subtable)) return inSubstitution(subtable, glyph);
  if (isPairAdjustment(subtable)) return inPairs(subtable, glyph);
  return subtable.kind === 'context' ? inContext(subtable, glyph) : inPositioning(subtable, glyph);
}

function inPositioning(subtable: Positioning, glyph: number): boolean {
  switch (subtable.kind) {
    case 'single adjustment':
      return subtable.values.has(glyph);
    case 'cursive':
      return subtable.glyphs.has(glyph);
    case 'mark to ligature':
      return subtable.marks.has(glyph) || subtable.ligatures.has(glyph);
    default:
      return subtable.marks.has(glyph) || subtable.bases.has(glyph);
  }
}

function inSubstitution(subtable: Substitution, glyph: number): boolean {
  if (subtable.kind === 'ligature') {
    return [...subtable.ligatures].some(
      ([first, ligatures]) =>
        first === glyph ||
        ligatures.some((ligature) => ligature.glyph === glyph || ligature.components.includes(glyph)),
    );
  }
  const around = subtable.kind === 'reverse' ? [...subtable.backtrack, ...subtable.lookahead] : [];
  return (
    around.some((coverage) => coverage.includes(glyph)) ||
    [...subtable.glyphs].some(([from, to]) => from === glyph || [to].flat().includes(glyph))
  );
}

function inPairs(subtable: PairAdjustment, glyph: number): boolean {
  if (subtable.kind === 'class pairs')
    return subtable.coverage.includes(glyph) || subtable.secondClasses.has(glyph);
  const { firsts, seconds } = subtable.pairs;
  return firsts.includes(glyph) || seconds.includes(glyph);
}

function inContext(subtable: SequenceContext, glyph: number): boolean {
  switch (subtable.format) {
    case 1:
      return [...subtable.rules].some(
        ([first, rules]) =>
          first === glyph ||
          rules.some((rule) =>
            [rule.backtrack, rule.input, rule.lookahead].some((part) => part.includes(glyph)),
          ),
      );
    case 2:
      return (
        subtable.coverage.includes(glyph) ||
        [subtable.backtrackClasses, subtable.inputClasses, subtable.lookaheadClasses].some((classes) =>
          classes.has(glyph),
        )
      );
    case 3:
      return [...subtable.backtrack, ...subtable.input, ...subtable.lookahead].some((coverage) =>
        coverage.includes(glyph),
      );
  }
}
