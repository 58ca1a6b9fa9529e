// CSS Fonts 5, section 4: the size of a local font at which lines break where the face will break them

import { lineStarts, type BreakPlace } from './lines.js';

/** A text with how far it reaches in the face and in a local font. */
export interface FittedText {
  /** How far it reaches at each place that `places` names, by its number; CSS pixels. */
  face: Float64Array;
  /** How much of it is spaces. */
  faceSpaces: number;
  local: LocalReaches;
  places: readonly BreakPlace[];
  measures: readonly SetMeasure[];
  /** How often it is there. */
  count: number;
}

/** How far what grows with a local font reaches before each UTF-16 unit, apart from each other; CSS pixels. */
export interface LocalReaches {
  letters: Float64Array;
  spaces: Float64Array;
  /** The spacing that rules add, which stays. */
  added: Float64Array;
}

/** Sizes of a local font: 1 for as it is. A space shows nothing, so it may have another one than letters. */
export interface Scales {
  letters: number;
  spaces: number;
}

export const asIs: Scales = { letters: 1, spaces: 1 };

/** How far the text reaches at these sizes. */
export function reachesAt({ letters, spaces, added }: LocalReaches, scales: Scales): Float64Array {
  const reaches = new Float64Array(letters.length);
  for (let i = 0; i < reaches.length; i++)
    reaches[i] = letters[i] * scales.letters + spaces[i] * scales.spaces + added[i];
  return reaches;
}

/** How long lines may be, CSS pixels. */
export interface SetMeasure {
  /** Whatever draws them. */
  px: number;
  /** In the face. */
  face: number;
  /** In the local font as it is, where its zero decides: that of the size of spaces, as the font that has one is the first. */
  local?: number;
}

/** How long lines may be in a local font at these sizes. */
export const localMeasure = ({ px, local = Infinity }: SetMeasure, { spaces }: Scales): number =>
  Math.min(px, local * spaces);

/** How much moves when the face arrives. */
export interface Moves {
  /** Paragraphs at measures, counted as often as they are there. */
  paragraphs: number;
  /** Of these, those that have another number of lines then. */
  otherCount: number;
  /** Those in which a line begins with another word. */
  otherBreaks: number;
}

/** What moves with a local font at these sizes. */
export function movesOf(texts: readonly FittedText[], scales: Scales): Moves {
  const moves: Moves = { paragraphs: 0, otherCount: 0, otherBreaks: 0 };
  for (const text of texts) {
    const reaches = reachesAt(text.local, scales);
    for (const measure of text.measures) {
      moves.paragraphs += text.count;
      const face = startsIn(text, measure.face);
      const local = lineStarts(text.places, reaches, localMeasure(measure, scales));
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

/** How wide all of it is, in CSS pixels. */
interface Widths {
  /** In the face, spaces apart. */
  face: Scales;
  local: Scales;
}

function widthsOf(texts: readonly FittedText[]): Widths {
  const [face, own] = [
    { letters: 0, spaces: 0 },
    { letters: 0, spaces: 0 },
  ];
  for (const { count, face: reaches, faceSpaces, local } of texts) {
    const end = reaches.length - 1;
    face.spaces += count * faceSpaces;
    face.letters += count * (reaches[end] - local.added[end] - faceSpaces);
    own.letters += count * local.letters[end];
    own.spaces += count * local.spaces[end];
  }
  return { face, local: own };
}

const ratioOf = (above: number, below: number) => (below === 0 ? 1 : above / below);

/** First far and wide, then about what layouts tell apart: half a pixel in a line of 1,000. */
const searches = [
  { step: 0.002, each: 12 },
  { step: 0.0005, each: 4 },
] as const;
/** Of spaces, which are a sixth of a text: shares of what would be the width of the face's. */
const spaceShares = [1, 0.9, 1.1, 0.8, 1.2, 0.7, 1.3] as const;
const spaceSearches = [
  { step: 0.02, each: 3 },
  { step: 0.005, each: 3 },
] as const;

/** Kerning of local fonts and whole pixels of some screens make lines a little longer or shorter: those sizes matter too. */
const nearby = [
  [1, 1],
  [1.0025, 0.2],
  [0.9975, 0.2],
  [1.005, 0.1],
  [0.995, 0.1],
] as const;

/** Spaces get rules of their own where so many paragraphs more have the lines of the face, or lines that begin alike. */
const worthwhile = { otherCount: 0.01, otherBreaks: 0.1 };

/** The sizes at which least moves: lines first, then words; of those alike the ones nearest to the ratio of widths. */
export function bestScales(texts: readonly FittedText[]): { scales: Scales; moves: Moves } {
  const search = new ScaleSearch(texts);
  const alike = search.alike();
  const before = search.movesAt(alike.scales);
  if (before.otherBreaks === 0) return { scales: alike.scales, moves: before };
  const apart = search.apart();
  const after = search.movesAt(apart.scales);
  const gain = (name: 'otherCount' | 'otherBreaks') => (before[name] - after[name]) / before.paragraphs;
  const isWorthIt =
    apart.weight < alike.weight &&
    (gain('otherCount') >= worthwhile.otherCount || gain('otherBreaks') >= worthwhile.otherBreaks);
  return isWorthIt ? { scales: apart.scales, moves: after } : { scales: alike.scales, moves: before };
}

interface Weighed {
  scales: Scales;
  weight: number;
}

class ScaleSearch {
  private readonly known = new Map<string, Moves>();
  private readonly widths: Widths;

  constructor(private readonly texts: readonly FittedText[]) {
    this.widths = widthsOf(texts);
  }

  movesAt(scales: Scales): Moves {
    const key = `${scales.letters} ${scales.spaces}`;
    let found = this.known.get(key);
    if (!found) this.known.set(key, (found = movesOf(this.texts, scales)));
    return found;
  }

  /** One size for both. */
  alike(): Weighed {
    const { face, local } = this.widths;
    const ratio = ratioOf(face.letters + face.spaces, local.letters + local.spaces);
    return this.search(this.weighed({ letters: ratio, spaces: ratio }), searches, bothBy);
  }

  /** Spaces of several sizes, letters so that all is as wide as the face; then about the best of these. */
  apart(): Weighed {
    const { face, local } = this.widths;
    const usual = ratioOf(face.spaces, local.spaces);
    let best: Weighed | undefined;
    for (const share of spaceShares) {
      const spaces = usual * share;
      const letters = ratioOf(face.letters + face.spaces - spaces * local.spaces, local.letters);
      const found = this.weighed({ letters, spaces });
      if (!best || found.weight < best.weight) best = found;
    }
    return this.search(this.search(best!, searches, bothBy), spaceSearches, spacesBy);
  }

  private search(
    start: Weighed,
    steps: readonly { step: number; each: number }[],
    by: (scales: Scales, step: number) => Scales,
  ): Weighed {
    let best = start;
    for (const { step, each } of steps) {
      const { scales: middle } = best;
      for (let i = 1; i <= each; i++) {
        for (const scales of [by(middle, i * step), by(middle, -i * step)]) {
          if (best.weight === 0) return best;
          const found = this.weighed(scales);
          if (found.weight < best.weight) best = found;
        }
      }
    }
    return best;
  }

  private weighed(scales: Scales): Weighed {
    const weight = nearby.reduce((sum, [factor, share]) => {
      const { otherCount, otherBreaks } = this.movesAt(
        rounded({ letters: scales.letters * factor, spaces: scales.spaces * factor }),
      );
      return sum + share * (otherCount * 4 + otherBreaks);
    }, 0);
    return { scales: rounded(scales), weight };
  }
}

const bothBy = ({ letters, spaces }: Scales, step: number): Scales => ({
  letters: letters + step,
  spaces: spaces + step,
});

const spacesBy = ({ letters, spaces }: Scales, step: number): Scales => ({ letters, spaces: spaces + step });

const rounded = ({ letters, spaces }: Scales): Scales => ({
  letters: Math.round(letters * 10_000) / 10_000,
  spaces: Math.round(spaces * 10_000) / 10_000,
});
