// CSS Fonts 4, section 4: what @font-face rules declare

import {
  drawingDescriptors,
  isDrawingValue,
  type DrawingDescriptors,
  type FontDisplay,
  type Range,
} from '../../core/face/index.js';
import { boldFrom, matchingFaces, type DeclaredFace } from '../../core/face/matching.js';
import type { CodePointSet } from '../../core/text/code-point-set.js';
import { parseUnicodeRanges } from '../../core/text/parse-ranges.js';
import { stretchIn, styleIn, weightIn } from '../css/font-values.js';
import type { FontFaceDescriptors, FontFaceSource } from '../css/rules.js';
import { componentsOf, textOf, tokensOf } from '../css/tokens.js';
import type { AskedStyle, PageFace } from './page-face.js';

/** What the file of a face holds. */
export interface Supply {
  characters: CodePointSet;
  bytes: number;
}

/** A rule with its descriptors read; one that isn't valid counts as not being there. */
export interface FaceRule extends DeclaredFace {
  family: string;
  rule: FontFaceDescriptors;
  /** undefined for all characters. */
  characters: CodePointSet | undefined;
  /** Degrees, where an oblique face names them. */
  slant?: Range | undefined;
  display?: FontDisplay | undefined;
  descriptors?: DrawingDescriptors | undefined;
  /** The source that browsers of today take. */
  source: FontFaceSource | undefined;
  /** undefined where the file isn't at hand. */
  supply?: Supply | undefined;
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
    ...drawingIn(rule),
    source: sourceOf(rule.sources),
  };
}

const displays: readonly string[] = ['auto', 'block', 'swap', 'fallback', 'optional'] satisfies FontDisplay[];

/** What a rule says of how its face is drawn, as far as it is valid. */
function drawingIn({
  style,
  display,
  others,
}: FontFaceDescriptors): Pick<FaceRule, 'slant' | 'display' | 'descriptors'> {
  const slant = style === undefined ? undefined : slantIn(tokensOf(style));
  const word = display?.trim().toLowerCase() ?? '';
  const found = drawingDescriptors.flatMap((name) => {
    const value = others?.get(name)?.trim();
    return value !== undefined && isDrawingValue(name, value) ? [[name, value] as const] : [];
  });
  return {
    ...(slant ? { slant } : {}),
    ...(displays.includes(word) ? { display: word as FontDisplay } : {}),
    ...(found.length > 0 ? { descriptors: Object.fromEntries(found) } : {}),
  };
}

/** The angles of `oblique 10deg` and `oblique 0deg 10deg` (section 4.4). */
function slantIn(tokens: ReturnType<typeof tokensOf>): Range | undefined {
  const [word, ...angles] = componentsOf(tokens).map(textOf);
  if (word?.toLowerCase() !== 'oblique' || angles.length === 0 || angles.length > 2) return undefined;
  const degrees = angles.map((one) => (/^[-+]?[\d.]+deg$/i.test(one) ? parseFloat(one) : NaN));
  if (degrees.some((one) => !(Math.abs(one) <= 90))) return undefined;
  const [low, high = low] = degrees;
  return [Math.min(low, high), Math.max(low, high)];
}

/** Formats that browsers of today don't read. */
const oldFormats = /^(embedded-opentype|svg)/i;
const oldFiles = /\.(eot|svgz?)([?#].*)?$/i;

/** The first that browsers of today read; those without a format are tried. */
function sourceOf(sources: readonly FontFaceSource[]): FontFaceSource | undefined {
  const files = sources.filter(({ url }) => url !== undefined);
  const isRead = ({ url, format, isMissing }: FontFaceSource) =>
    !isMissing && (format === undefined ? !oldFiles.test(url!) : !oldFormats.test(format));
  return files.find(isRead) ?? files[0];
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
  /** undefined for a local font. */
  face: FaceRule | undefined;
  characters: number[];
}

/**
 * Which rules draw characters that are asked for: font matching in each family of the stack, by unicode-range and by what
 * the file holds (section 5.3). Of rules alike the last one wins. What no family has falls to a local font.
 *
 * @param stack families, from the one that is asked for on; the others are looked at where that one hasn't a character
 */
export function drawnBy(
  faces: readonly FaceRule[],
  asked: AskedStyle,
  stack: readonly string[],
  characters: Iterable<number>,
): DrawnBy[] {
  const best = declaredFirst(faces, asked, stack).flatMap((family) =>
    matchingFaces(
      faces.filter((face) => face.family.toLowerCase() === family),
      asked,
    ).reverse(),
  );
  const found = new Map<FaceRule | undefined, number[]>();
  for (const character of characters) {
    const face = best.find((one) => hasCharacter(one, character));
    const list = found.get(face);
    if (list) list.push(character);
    else found.set(face, [character]);
  }
  return [...found].map(([face, list]) => ({ face, characters: list }));
}

/** A face that a page asks for, with the rules that draw it. */
export interface MatchedFace extends PageFace {
  groups: readonly FaceGroup[];
}

/** A rule and what it draws of a face that is asked for. */
export interface FaceGroup {
  /** undefined for a local font. */
  face: FaceRule | undefined;
  drawn: readonly number[];
  /** What may be drawn beyond. */
  possible: readonly number[];
}

/** @param rules of the page */
export function matchedFace(face: PageFace, rules: readonly FaceRule[]): MatchedFace {
  const all = new Set([...face.drawn, ...face.possible]);
  const groups = drawnBy(rules, face.asked, face.stack, all).map(({ face: rule, characters }) => ({
    face: rule,
    drawn: characters.filter((character) => face.drawn.has(character)),
    possible: characters.filter((character) => !face.drawn.has(character)),
  }));
  return { ...face, groups };
}

/** The declared families of a stack from the one that is asked for up to the first that nobody declares. */
function declaredFirst(
  faces: readonly FaceRule[],
  asked: AskedStyle,
  stack: readonly string[],
): readonly string[] {
  const names = stack.map((name) => name.toLowerCase());
  const own = asked.family.toLowerCase();
  const rest = names.slice(Math.max(0, names.indexOf(own)));
  const isDeclared = (name: string) => faces.some(({ family }) => family.toLowerCase() === name);
  const end = rest.findIndex((name) => !isDeclared(name));
  const found = end < 0 ? rest : rest.slice(0, end);
  return found.length > 0 ? found : [own];
}

/** What a font needn't have: browsers draw it without one, or draw nothing. */
export const needsNoGlyph = (character: number): boolean =>
  character <= 0x20 ||
  (character >= 0x7f && character <= 0xa0) ||
  character === 0xad ||
  (character >= 0x2000 && character <= 0x200f) ||
  (character >= 0x2028 && character <= 0x202f) ||
  (character >= 0x205f && character <= 0x206f) ||
  (character >= 0xfe00 && character <= 0xfe0f) ||
  character === 0xfeff ||
  character >= 0xe0000;

function hasCharacter({ characters, supply, rule }: FaceRule, character: number): boolean {
  if (rule.sources.every(({ isMissing }) => isMissing)) return false;
  if (characters !== undefined && !characters.has(character)) return false;
  return supply === undefined || needsNoGlyph(character) || supply.characters.has(character);
}

/** CSS Fonts 4, section 2.8: what browsers make up where the face that matches hasn't it. */
export function fakedBy(
  rule: FaceRule,
  { asked, mayFake }: Pick<PageFace, 'asked' | 'mayFake'>,
): ('bold' | 'slant')[] {
  const faked: ('bold' | 'slant')[] = [];
  if (asked.weight >= boldFrom && rule.weight[1] < boldFrom && mayFake.bold) faked.push('bold');
  if (asked.style !== 'normal' && rule.style === 'normal' && mayFake.slant) faked.push('slant');
  return faked;
}
