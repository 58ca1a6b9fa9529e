// CSS Fonts 5, section 4: the size of a local font at which lines break where the face will break them

import { lineStarts, type BreakPlace } from './lines.js';

/** A text with how far it reaches in the face and in a local font. */
export interface FittedText {
  /** In em, or in CSS pixels where the paragraph has several sizes. */
  face: Float64Array;
  local: Float64Array;
  places: readonly BreakPlace[];
  measures: readonly SetMeasure[];
  /** How often it is there. */
  count: number;
}

/** How long lines may be, CSS pixels. */
export interface SetMeasure {
  /** Whatever draws them. */
  px: number;
  /** In the face. */
  face: number;
  /** In the local font as it is, where its zero decides. */
  local?: number;
}

/** In a local font at a scale, as a length of the font as it is. */
export const localMeasure = ({ px, local = Infinity }: SetMeasure, scale: number): number =>
  Math.min(local, px / scale);

/** How much moves when the face arrives. */
export interface Moves {
  /** Paragraphs at measures, counted as often as they are there. */
  paragraphs: number;
  /** Of these, those that have another number of lines then. */
  otherCount: number;
  /** Those in which a line begins with another word. */
  otherBreaks: number;
}

/** @param scale of the local font */
export function movesOf(texts: readonly FittedText[], scale: number): Moves {
  const moves: Moves = { paragraphs: 0, otherCount: 0, otherBreaks: 0 };
  for (const text of texts) {
    for (const measure of text.measures) {
      moves.paragraphs += text.count;
      const face = startsIn(text, measure.face);
      const local = lineStarts(text.places, text.local, localMeasure(measure, scale));
      if (face.length !== local.length) moves.otherCount += text.count;
      if (face.length !== local.length || face.some((start, i) => start !== local[i]))
        moves.otherBreaks += text.count;
    }
  }
  return moves;
}

const known = new WeakMap<FittedText, Map<number, number[]>>();

/** Where lines begin in the face; the same for every size of the local font. */
function startsIn(text: FittedText, measure: number): number[] {
  let byMeasure = known.get(text);
  if (!byMeasure) known.set(text, (byMeasure = new Map<number, number[]>()));
  let starts = byMeasure.get(measure);
  if (!starts) byMeasure.set(measure, (starts = lineStarts(text.places, text.face, measure)));
  return starts;
}

/** The ratio of all widths. */
export function widthRatio(texts: readonly FittedText[]): number {
  let [face, local] = [0, 0];
  for (const text of texts) {
    face += text.count * text.face[text.face.length - 1];
    local += text.count * text.local[text.local.length - 1];
  }
  return local === 0 ? 1 : face / local;
}

/** First far and wide, then about what layouts tell apart: half a pixel in a line of 1,000. */
const searches = [
  { step: 0.002, each: 12 },
  { step: 0.0005, each: 4 },
] as const;

/** Kerning of local fonts and whole pixels of some screens make lines a little longer or shorter: those sizes matter too. */
const nearby = [
  [1, 1],
  [1.0025, 0.2],
  [0.9975, 0.2],
  [1.005, 0.1],
  [0.995, 0.1],
] as const;

/** The scale at which least moves: lines first, then words; of those alike the one nearest to the ratio of widths. */
export function bestScale(texts: readonly FittedText[]): { scale: number; moves: Moves } {
  const ratio = Math.round(widthRatio(texts) * 10_000) / 10_000;
  const moves = new Map<number, Moves>();
  const movesAt = (scale: number): Moves => {
    const rounded = Math.round(scale * 10_000) / 10_000;
    let found = moves.get(rounded);
    if (!found) moves.set(rounded, (found = movesOf(texts, rounded)));
    return found;
  };
  const weightAt = (scale: number) =>
    nearby.reduce((sum, [factor, share]) => sum + share * weightOf(movesAt(scale * factor)), 0);
  let best = { scale: ratio, weight: weightAt(ratio) };
  for (const { step, each } of searches) {
    const { scale: middle } = best;
    for (let i = 1; i <= each; i++) {
      for (const scale of [middle + i * step, middle - i * step]) {
        if (best.weight === 0) break;
        const weight = weightAt(scale);
        if (weight < best.weight) best = { scale: Math.round(scale * 10_000) / 10_000, weight };
      }
    }
  }
  return { scale: best.scale, moves: movesAt(best.scale) };
}

const weightOf = ({ otherCount, otherBreaks }: Moves) => otherCount * 4 + otherBreaks;
