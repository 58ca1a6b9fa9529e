// CSS Fonts 4, section 4: what @font-face rules declare

import { matchingFaces, type DeclaredFace } from '../../core/face/matching.js';
import type { CodePointSet } from '../../core/text/code-point-set.js';
import { parseUnicodeRanges } from '../../core/text/parse-ranges.js';
import { stretchIn, styleIn, weightIn } from '../css/font-values.js';
import type { FontFaceDescriptors } from '../css/rules.js';
import { componentsOf, tokensOf } from '../css/tokens.js';
import type { AskedStyle } from './page-faces.js';

/** A rule with its descriptors read; one that isn't valid counts as not being there. */
export interface FaceRule extends DeclaredFace {
  family: string;
  rule: FontFaceDescriptors;
  /** undefined for all characters. */
  characters: CodePointSet | undefined;
}

export function faceRuleOf(rule: FontFaceDescriptors): FaceRule {
  return {
    family: rule.family,
    rule,
    weight: rangeOf(rule.weight, (part) => weightIn(part, 400), 400),
    stretch: rangeOf(rule.stretch, stretchIn, 100),
    style:
      (rule.style === undefined ? undefined : styleIn(componentsOf(tokensOf(rule.style))[0] ?? [])) ??
      'normal',
    characters: charactersIn(rule.unicodeRange),
  };
}

function rangeOf(
  value: string | undefined,
  read: (tokens: ReturnType<typeof tokensOf>) => number | undefined,
  usual: number,
): readonly [number, number] {
  if (value === undefined) return [usual, usual];
  const ends = componentsOf(tokensOf(value)).map(read);
  if (ends.length === 0 || ends.length > 2 || ends.some((end) => end === undefined)) return [usual, usual];
  const [low, high = low] = ends as number[];
  return [Math.min(low, high), Math.max(low, high)];
}

function charactersIn(value: string | undefined): CodePointSet | undefined {
  if (value === undefined) return undefined;
  try {
    return parseUnicodeRanges(value);
  } catch {
    return undefined;
  }
}

/** A rule and the characters that it draws. */
export interface DrawnBy {
  face: FaceRule | undefined;
  characters: number[];
}

/** Which rules draw characters that are asked for, by font matching and unicode-range; the last of rules alike wins. */
export function drawnBy(
  faces: readonly FaceRule[],
  asked: AskedStyle,
  characters: Iterable<number>,
): DrawnBy[] {
  const own = faces.filter(({ family }) => family.toLowerCase() === asked.family.toLowerCase());
  const best = matchingFaces(own, asked).reverse();
  const found = new Map<FaceRule | undefined, number[]>();
  for (const character of characters) {
    const face = best.find((one) => one.characters === undefined || one.characters.has(character));
    const list = found.get(face);
    if (list) list.push(character);
    else found.set(face, [character]);
  }
  return [...found].map(([face, list]) => ({ face, characters: list }));
}
