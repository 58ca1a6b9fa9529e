import { fontFaceText, type Range, type Slope } from '../../core/face/index.js';
import { CodePointSet } from '../../core/text/code-point-set.js';
import { unicodeRangeText, type CodePointRanges } from '../../core/text/unicode-ranges.js';
import { characterKinds, kindOf, scaleOf, type CharacterKind, type Scales } from './character-kinds.js';
import type { StandIn } from './stand-ins.js';
import { offInStandIns } from './text-setter.js';

/** What a stand-in is declared as: weights, style and stretch of its face, so that the same text asks for both. */
export interface StandInRule {
  family: string;
  weight: Range;
  style: Slope;
  stretch: Range;
  slant?: Range | undefined;
  /** Characters that the face has; others are drawn by what follows in the stack. */
  characters: CodePointRanges;
  /** Scripts that companions draw, of this stand-in or of another one of these weights. */
  scripts?: ReadonlySet<CharacterKind>;
}

/** What `ic` is measured by (CSS Values 4, section 6.1.3), and by which a browser asks for a rule that has neither space nor zero. */
export const measuredIdeograph = 0x6c34;

/** Kinds of characters that have a rule of their own, as their size is another one than that of letters; and all others. */
const kindsApart = (scales: Readonly<Scales>): CharacterKind[] =>
  characterKinds.filter((kind) => kind === 'letters' || scaleOf(scales, kind) !== scales.letters);

/**
 * The `@font-face` rules of a stand-in (CSS Fonts 5, section 4: size-adjust and the metric overrides): one for each size. That which
 * has the space comes last, as engines measure lines by it: by the last one or by that which has the space. Zeros (`ch`) are measured by
 * the rule that draws them.
 */
export function standInRules(rule: StandInRule, standIn: StandIn): string[] {
  const kinds = kindsApart(standIn.scales).filter((kind) => !rule.scripts?.has(kind));
  const own = new CodePointSet();
  const ofOthers = new Map<CharacterKind, CodePointSet>();
  for (const [first, last] of rule.characters)
    for (let codePoint = first; codePoint <= last; codePoint++) {
      const kind = kindOf(codePoint);
      if (!rule.scripts?.has(kind)) own.add(codePoint);
      else {
        const its = ofOthers.get(kind) ?? new CodePointSet();
        its.add(codePoint);
        ofOthers.set(kind, its);
      }
    }
  const companions = standIn.companions.flatMap(({ script, names }, i) => {
    const its = ofOthers.get(script);
    if (i === 0) its?.add(measuredIdeograph);
    return its ? [oneRule(rule, { ...standIn, names }, script, filled(its, own))] : [];
  });
  const last = kinds.includes('spaces') ? 'spaces' : 'letters';
  const ordered = [...kinds.filter((kind) => kind !== last), last] as const;
  const script = ordered.find((kind) => kind === 'Greek' || kind === 'Cyrillic');
  const usual = ordered.flatMap((kind) => {
    const its = new CodePointSet();
    own.forEach((codePoint) => {
      const found = kindOf(codePoint);
      if ((kinds.includes(found) ? found : 'letters') === kind) its.add(codePoint);
    });
    if (its.size === 0) return [];
    if (kind === script) its.add(measuredIdeograph);
    return [oneRule(rule, standIn, kind, filled(its, own))];
  });
  return [...companions, ...usual];
}

/** Code points: among letters and punctuation a range goes on over what few that the face lacks, as one number is shorter than two. */
const [mostLacking, lastFilled] = [24, 0x206f];

/** Ranges of a set, over what no other set has. @param all what the sets have together */
function filled(set: CodePointSet, all: CodePointSet): CodePointRanges {
  const found: [number, number][] = [];
  for (const [first, last] of set.ranges()) {
    const before = found.at(-1);
    const isNear = before && first - before[1] <= mostLacking + 1 && first <= lastFilled;
    if (isNear && !hasAny(all, before[1] + 1, first - 1)) before[1] = last;
    else found.push([first, last]);
  }
  return found;
}

function hasAny(set: CodePointSet, first: number, last: number): boolean {
  for (let codePoint = first; codePoint <= last; codePoint++) if (set.has(codePoint)) return true;
  return false;
}

const asMeasured = offInStandIns.map((tag) => `"${tag}" 0`).join(', ');

/** The overrides are of the adjusted size. */
function oneRule(
  { characters: _, scripts: _scripts, ...rule }: StandInRule,
  { names, scales, ascent, descent, lineGap }: StandIn,
  kind: CharacterKind,
  ranges: CodePointRanges,
): string {
  const scale = scaleOf(scales, kind);
  const percent = (value: number) => `${Math.round(value * 100) / 100}%`;
  const override = (value: number) => percent((value * scales.letters) / scale);
  return fontFaceText({
    ...rule,
    unicodeRange: unicodeRangeText(ranges),
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
