// The text that stand-ins are fitted to: that of the elements themselves, in the lines in which it is set

import { matchingFaces } from '../../core/face/matching.js';
import type { TextBlock, TextRun, TextStyle } from '../../site/usage/text-blocks.js';

/** A face of the kit, as its rules declare it. */
export interface DeclaredFamilyFace {
  family: string;
  weight: readonly [number, number];
  style: 'normal' | 'italic' | 'oblique';
  stretch: readonly [number, number];
}

/** Text of one face in a paragraph. */
export interface SampleRun<Face> {
  text: string;
  language: string;
  face: Face;
  /** CSS pixels. */
  fontSize: number;
  letterSpacing: number;
  wordSpacing: number;
  weight: number;
  features: ReadonlyMap<string, number>;
}

/** How long lines may be. */
export interface LineMeasure {
  /** CSS pixels. */
  px: number;
  /** CSS pixels of the font size times how many zeros wide it is: by the face that is drawn, so that it changes with it. */
  zeros?: number;
  /** What is taken away from these, CSS pixels. */
  less?: number;
  /** How much it matters; 1 on the screen that was asked for. */
  share: number;
}

/** A paragraph that is set in faces of the kit alone. */
export interface SampleParagraph<Face> {
  page: string;
  element: string;
  line: number;
  runs: readonly SampleRun<Face>[];
  /** CSS pixels; `×1.5` for a factor of the font size. */
  lineHeight: TextBlock['lineHeight'];
  /** How long its lines may be: what rules state, on the screen that was asked for first; else several lengths that are usual. */
  measures: readonly LineMeasure[];
  /** Whether rules state it. */
  isMeasureKnown: boolean;
}

/** What a page sets in faces of the kit, at one width of the screen. */
export interface PageParagraphs<Face> {
  page: string;
  /** CSS pixels. */
  width: number;
  paragraphs: SampleParagraph<Face>[];
}

/** In em; a column beside a picture to a page without margins. */
const usualMeasures: readonly number[] = [20, 26, 33, 41, 50, 60, 72, 90];
/** The same of cells, whose columns are as wide as a word of another cell at least. */
const cellMeasures: readonly number[] = [4, 5, 6, 7.5, 9, 11, 14, 17];
/** Of all other screens about as wide. */
const shareOfLikeScreens = 1;

/**
 * Paragraphs of a page that are set in faces of the kit.
 *
 * @param faces of the kit
 */
export function paragraphsOf<Face extends DeclaredFamilyFace>(
  blocks: readonly TextBlock[],
  faces: readonly Face[],
  page: string,
): SampleParagraph<Face>[] {
  const byFamily = new Map<string, Face[]>();
  for (const face of faces) {
    const name = face.family.toLowerCase();
    byFamily.set(name, [...(byFamily.get(name) ?? []), face]);
  }
  return blocks.flatMap((block) => {
    if (block.hasBoxes || block.writingMode !== 'horizontal-tb') return [];
    const runs = block.runs.map((run) => runOf(run, byFamily));
    if (!runs.every((run) => run !== undefined)) return [];
    const { element, line, lineHeight, rooms } = block;
    const measures = measuresOf(block);
    return measures.length === 0
      ? []
      : [{ page, element, line, runs, lineHeight, measures, isMeasureKnown: rooms[0].isKnown }];
  });
}

/** @param element as in `td.time` */
export const isCell = (element: string): boolean => /^t[dh]\b/.test(element);

/** Those of a local font are capitals in another size, whose widths say nothing of other text. */
export const hasSmallCapitals = ({ features }: SampleRun<unknown>): boolean =>
  (features.get('smcp') ?? 0) > 0;

function runOf<Face extends DeclaredFamilyFace>(
  { text, style, language }: TextRun,
  byFamily: ReadonlyMap<string, Face[]>,
): SampleRun<Face> | undefined {
  const family = style.families.map((name) => byFamily.get(name.toLowerCase()))[0];
  if (!family) return undefined;
  const { weight, style: slope, stretch, fontSize, letterSpacing, wordSpacing } = style;
  const [face] = matchingFaces(
    family as unknown as { weight: [number, number]; style: Face['style']; stretch: [number, number] }[],
    { weight, style: slope, stretch },
  ) as unknown as Face[];
  const features = featuresOf(style);
  return { text, language, face, fontSize, letterSpacing, wordSpacing, weight, features };
}

/** CSS Fonts 4, section 7.2: ligatures are left out where letters are spaced. */
function featuresOf({
  features,
  featureSettings,
  variantLigatures,
  letterSpacing,
}: TextStyle): Map<string, number> {
  const found = new Map<string, number>(features.map((tag) => [tag, 1]));
  if (letterSpacing !== 0) for (const tag of ['liga', 'clig']) found.set(tag, 0);
  if (/\bno-common-ligatures\b|^none$/.test(variantLigatures))
    for (const tag of ['liga', 'clig', 'calt']) found.set(tag, 0);
  for (const [, tag, value = '1'] of featureSettings.matchAll(/["'](.{4})["']\s*(on|off|\d+)?/g))
    found.set(tag, value === 'on' ? 1 : value === 'off' ? 0 : Number(value));
  return found;
}

function measuresOf({ element, rooms, fontSize, whiteSpace }: TextBlock): LineMeasure[] {
  const [own, ...others] = rooms;
  if (whiteSpace === 'nowrap' || whiteSpace === 'pre') return [{ px: Infinity, share: 1 }];
  if (!own.isKnown)
    return (isCell(element) ? cellMeasures : usualMeasures).flatMap((em) =>
      em * fontSize <= own.px ? [{ px: em * fontSize, share: 1 }] : [],
    );
  const measures = new Map<string, LineMeasure>();
  for (const [i, { px, zeros, less }] of rooms.entries()) {
    const share = i === 0 ? 1 : shareOfLikeScreens / others.length;
    const key = `${px} ${zeros} ${less}`;
    measures.set(key, {
      px,
      ...(zeros !== undefined ? { zeros, less } : {}),
      share: (measures.get(key)?.share ?? 0) + share,
    });
  }
  return [...measures.values()];
}
