import { fontFaceText, type Range, type Slope } from '../../core/face/index.js';
import { CodePointSet } from '../../core/text/code-point-set.js';
import { unicodeRangeText, type CodePointRanges } from '../../core/text/unicode-ranges.js';
import { loadingMark, spacesLoadingMark } from '../../site/css/loading-mark.js';
import { spaces } from './fitted-texts.js';
import type { StandIn } from './stand-ins.js';

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

/**
 * The `@font-face` rules of a stand-in (CSS Fonts 5, section 4: size-adjust and the metric overrides): one, or another one for its
 * spaces, which have no ink that could be of another size.
 */
export function standInRules(rule: StandInRule, standIn: StandIn): string[] {
  const { sizeAdjust, spaceAdjust } = standIn;
  const own = new CodePointSet();
  for (const [first, last] of rule.characters) own.addRange(first, last);
  if (spaceAdjust === sizeAdjust) return [oneRule(rule, standIn, sizeAdjust, own.ranges(), loadingMark)];
  const [isSpace, others] = [new CodePointSet(), new CodePointSet()];
  own.forEach((codePoint) =>
    (spaces.includes(String.fromCodePoint(codePoint)) ? isSpace : others).add(codePoint),
  );
  return [
    oneRule(rule, standIn, sizeAdjust, others.ranges(), loadingMark),
    oneRule(rule, standIn, spaceAdjust, isSpace.ranges(), spacesLoadingMark),
  ];
}

/** @param scale the overrides are of the adjusted size */
function oneRule(
  { isLoadedAhead, characters: _, ...rule }: StandInRule,
  { names, sizeAdjust, ascent, descent, lineGap }: StandIn,
  scale: number,
  ranges: CodePointRanges,
  mark: number,
): string {
  const percent = (value: number) => `${Math.round(value * 100) / 100}%`;
  const override = (value: number) => percent((value * sizeAdjust) / scale);
  const all: CodePointRanges = isLoadedAhead ? [...ranges, [mark, mark]] : ranges;
  return fontFaceText({
    ...rule,
    unicodeRange: unicodeRangeText(all),
    descriptors: {
      'size-adjust': percent(scale * 100),
      'ascent-override': override(ascent),
      'descent-override': override(descent),
      'line-gap-override': override(lineGap),
    },
    sources: names.map((local) => ({ local })),
  });
}
