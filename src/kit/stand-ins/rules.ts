import { fontFaceText, type Range, type Slope } from '../../core/face/index.js';
import { CodePointSet } from '../../core/text/code-point-set.js';
import { unicodeRangeText, type CodePointRanges } from '../../core/text/unicode-ranges.js';
import { loadingMarks } from '../../site/css/loading-mark.js';
import { characterKinds, kindOf, type CharacterKind, type Scales } from './character-kinds.js';
import type { StandIn } from './stand-ins.js';
import { offInStandIns } from './text-setter.js';

/** What a stand-in is declared as: all that its face is, so that browsers take the one until the other is there. */
export interface StandInRule {
  family: string;
  weight: Range;
  style: Slope;
  stretch: Range;
  slant?: Range | undefined;
  /** Characters that the face has; others are drawn by what follows in the stack. */
  characters: CodePointRanges;
  /** Whether browsers are made to load it ahead. */
  isLoadedAhead: boolean;
}

/** Kinds of characters that have a rule of their own, as their size is another one than that of letters; and all others. */
export const kindsApart = (scales: Readonly<Scales>): CharacterKind[] =>
  characterKinds.filter((kind) => kind === 'letters' || scales[kind] !== scales.letters);

/**
 * The `@font-face` rules of a stand-in (CSS Fonts 5, section 4: size-adjust and the metric overrides): one for each size. That which
 * has the space comes last, as engines measure lines and zeros by it: by the last one or by that which has the space.
 */
export function standInRules(rule: StandInRule, standIn: StandIn): string[] {
  const kinds = kindsApart(standIn.scales);
  const own = new CodePointSet();
  for (const [first, last] of rule.characters) own.addRange(first, last);
  const last = kinds.includes('spaces') ? 'spaces' : 'letters';
  const ordered = [...kinds.filter((kind) => kind !== last), last] as const;
  return ordered.flatMap((kind) => {
    const its = new CodePointSet();
    own.forEach((codePoint) => {
      const found = kindOf(codePoint);
      if ((kinds.includes(found) ? found : 'letters') === kind) its.add(codePoint);
    });
    const ranges = its.ranges();
    return ranges.length === 0 ? [] : [oneRule(rule, standIn, kind, ranges)];
  });
}

const asMeasured = offInStandIns.map((tag) => `"${tag}" 0`).join(', ');

/** The overrides are of the adjusted size. */
function oneRule(
  { isLoadedAhead, characters: _, ...rule }: StandInRule,
  { names, scales, ascent, descent, lineGap }: StandIn,
  kind: CharacterKind,
  ranges: CodePointRanges,
): string {
  const [scale, mark] = [scales[kind], loadingMarks[kind]];
  const percent = (value: number) => `${Math.round(value * 100) / 100}%`;
  const override = (value: number) => percent((value * scales.letters) / scale);
  const all: CodePointRanges = isLoadedAhead ? [...ranges, [mark, mark]] : ranges;
  return fontFaceText({
    ...rule,
    unicodeRange: unicodeRangeText(all),
    descriptors: {
      'font-feature-settings': asMeasured,
      'size-adjust': percent(scale * 100),
      'ascent-override': override(ascent),
      'descent-override': override(descent),
      'line-gap-override': override(lineGap),
    },
    sources: names.map((local) => ({ local })),
  });
}
