// OpenType: what lookups do with glyphs that several partial files have: the same in all of them, and once

import type { SequenceContext } from '../layout/common/context/index.js';
import { lookupsOfFeatures, type KeptLayout } from '../layout/kept-layout.js';
import type { Subtable } from '../layout/kinds.js';
import type { Ligature } from '../layout/gsub/ligature.js';
import { isNoValue } from '../layout/gpos/value-record.js';
import type { PairValue } from '../layout/gpos/pair-value.js';
import { isPairAdjustment, pairsAmong, withoutPairsAmong } from '../layout/gpos/pair-adjustment.js';
import { Hindrance } from './partial-font.js';

/** What a lookup does with some glyphs alone, in words that are equal where the effect is. */
type Effects = Map<string, string>;

/**
 * What the features of a part do with some glyphs alone, by tag.
 *
 * @param contentOf a number for what a glyph looks like, as glyphs that features bring in have other numbers in each part
 * @throws Hindrance where it goes by what stands around them
 */
export function effectsAmong(
  layout: KeptLayout,
  among: ReadonlySet<number>,
  contentOf: (glyph: number) => number,
): ReadonlyMap<string, string> {
  const found = new Map<string, string>();
  for (const tag of new Set(layout.features.map((feature) => feature.tag))) {
    const effects: string[] = [];
    for (const index of lookupsOfFeatures({ ...layout, ...asTable(layout) }, (other) => other === tag)) {
      const all: Effects = new Map();
      for (const subtable of layout.lookups[index]?.subtables ?? [])
        addEffects(all, subtable, among, contentOf, tag);
      for (const [what, effect] of all) if (effect !== nothing) effects.push(`${what} ${effect}`);
    }
    if (effects.length > 0) found.set(tag, effects.sort().join('\n'));
  }
  return found;
}

const asTable = ({ lookups }: KeptLayout) => ({
  lookupCount: lookups.length,
  lookupAt: (index: number) => lookups[index],
  damages: [],
});

/** Of what a lookup knows, and leaves as it is. */
const nothing = '';

const pairText = ({ first, second }: PairValue) => `${first.values.join()};${second.values.join()}`;

/** The first subtable that knows a glyph, or a pair, decides. */
function addEffects(
  all: Effects,
  subtable: Subtable,
  among: ReadonlySet<number>,
  contentOf: (glyph: number) => number,
  tag: string,
): void {
  const contents = (glyphs: readonly number[]) => glyphs.map(contentOf).join();
  if (subtable.kind === 'reverse' || (subtable.kind === 'context' && matchesAmong(subtable, among)))
    throw new Hindrance(`${tag} goes by what stands around characters that several of them have`);
  for (const [glyphs, effect] of effectsOf(subtable, among, contents)) {
    const what = glyphs.join();
    if (glyphs.every((glyph) => among.has(glyph)) && !all.has(what)) all.set(what, effect);
  }
}

function* effectsOf(
  subtable: Subtable,
  among: ReadonlySet<number>,
  contents: (glyphs: readonly number[]) => string,
): Generator<[glyphs: readonly number[], effect: string]> {
  switch (subtable.kind) {
    case 'single':
      for (const [from, to] of subtable.glyphs) yield [[from], from === to ? nothing : contents([to])];
      return;
    case 'multiple':
    case 'alternate':
      for (const [from, to] of subtable.glyphs) yield [[from], contents(to)];
      return;
    case 'ligature':
      for (const [from, list] of subtable.ligatures)
        for (const { glyph, components } of list) yield [[from, ...components], contents([glyph])];
      return;
    case 'single adjustment':
      for (const [glyph, value] of subtable.values)
        yield [[glyph], isNoValue(value) ? nothing : value.values.join()];
      return;
    case 'glyph pairs':
    case 'class pairs':
      for (const [first, second, number] of pairsAmong(subtable, among))
        yield [[first, second], number === 0 ? nothing : pairText(subtable.values[number])];
      return;
    default:
    // Contexts are no effects by themselves; marks and cursive letters are put in a place, twice to the same.
  }
}

/** Whether a context that does something may match glyphs of these alone. */
function matchesAmong(context: SequenceContext, among: ReadonlySet<number>): boolean {
  const some = (glyphs: Iterable<number>) => {
    for (const glyph of glyphs) if (among.has(glyph)) return true;
    return false;
  };
  if (context.format === 3)
    return (
      context.lookups.length > 0 &&
      [...context.backtrack, ...context.input, ...context.lookahead].every((coverage) => some(coverage))
    );
  for (const [first, rules] of context.rules) {
    for (const { backtrack, input, lookahead, lookups } of rules) {
      if (lookups.length === 0) continue;
      if (context.format === 1) {
        if ([first, ...backtrack, ...input, ...lookahead].every((glyph) => among.has(glyph))) return true;
        continue;
      }
      const has = (classes: ReadonlyMap<number, number>, value: number) =>
        value === 0 || some([...classes].filter(([, own]) => own === value).map(([glyph]) => glyph));
      const isMet =
        [first, ...input].every((value) => has(context.inputClasses, value)) &&
        backtrack.every((value) => has(context.backtrackClasses, value)) &&
        lookahead.every((value) => has(context.lookaheadClasses, value));
      if (isMet && some(context.coverage)) return true;
    }
  }
  return false;
}

/** Without what a subtable does with these glyphs alone, or as it is; undefined where nothing is left. */
export function withoutEffectsAmong(subtable: Subtable, among: ReadonlySet<number>): Subtable | undefined {
  if (isPairAdjustment(subtable)) return withoutPairsAmong(subtable, among);
  const isOther = (glyph: number) => !among.has(glyph);
  switch (subtable.kind) {
    case 'single': {
      const glyphs = withKeys(subtable.glyphs, isOther);
      return glyphs === subtable.glyphs ? subtable : glyphs && { ...subtable, glyphs };
    }
    case 'multiple':
    case 'alternate': {
      const glyphs = withKeys(subtable.glyphs, isOther);
      return glyphs === subtable.glyphs ? subtable : glyphs && { ...subtable, glyphs };
    }
    case 'single adjustment': {
      const values = withKeys(subtable.values, isOther);
      return values === subtable.values ? subtable : values && { ...subtable, values };
    }
    case 'ligature': {
      const ligatures = new Map<number, readonly Ligature[]>();
      let isChanged = false;
      for (const [from, list] of subtable.ligatures) {
        const kept = list.filter(({ components }) => isOther(from) || components.some(isOther));
        if (kept.length < list.length) isChanged = true;
        if (kept.length > 0) ligatures.set(from, kept);
      }
      if (!isChanged) return subtable;
      return ligatures.size > 0 ? { ...subtable, ligatures } : undefined;
    }
    default:
      return subtable;
  }
}

/** The same map where all keys stay; undefined where none does. */
function withKeys<Value>(
  map: Map<number, Value>,
  stays: (key: number) => boolean,
): Map<number, Value> | undefined {
  const left = new Map([...map].filter(([key]) => stays(key)));
  if (left.size === map.size) return map;
  return left.size > 0 ? left : undefined;
}
