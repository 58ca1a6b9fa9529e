// CSS Fonts 5, section 4: the size of a local font at which lines break where the face will break them

import {
  characterKinds,
  scaleOf,
  scalesBy,
  scriptKinds,
  usualKinds,
  type ByKind,
  type CharacterKind,
  type Scales,
} from './character-kinds.js';
import { lineStarts, type BreakPlace } from './lines.js';

/** A text with how far it reaches in the face and in a local font. */
export interface FittedText {
  /** How far it reaches at each place that `places` names, by its number; CSS pixels. */
  face: Float64Array;
  /** How wide its characters of each kind are together. */
  faceWidths: ByKind;
  local: LocalReaches;
  places: readonly BreakPlace[];
  measures: readonly SetMeasure[];
  /** How often it is there. */
  count: number;
}

/** How far what grows with a local font reaches before each UTF-16 unit, by kinds of characters apart; CSS pixels. */
export interface LocalReaches {
  /** Kinds that the text has. */
  byKind: readonly { kind: CharacterKind; reaches: Float64Array }[];
  /** The spacing that rules add, which stays. */
  added: Float64Array;
}

/** How far the text reaches at these sizes. */
export function reachesAt({ byKind, added }: LocalReaches, scales: Scales): Float64Array {
  const all = added.slice();
  for (const { kind, reaches } of byKind) {
    const scale = scaleOf(scales, kind);
    for (let i = 0; i < all.length; i++) all[i] += reaches[i] * scale;
  }
  return all;
}

/** How long lines may be, CSS pixels. */
export interface SetMeasure {
  /** Whatever draws them. */
  px: number;
  /** In the face. */
  face: number;
  /** Where the zero decides (CSS Values 4, section 6.1.1): so many zeros in the face, in the local font as it is, and what is taken away. */
  zeros?: { face: number; local: number; less: number };
  /** How much it matters; 1 for the first. */
  share: number;
}

/** How long lines may be in a local font at these sizes; engines take the zero from the rule that draws it. */
export const localMeasure = ({ px, zeros }: SetMeasure, { figures }: Scales): number =>
  zeros ? Math.min(px, zeros.local * figures - zeros.less) : px;

/** How much moves when the face arrives. */
export interface Moves {
  /** Paragraphs at their measures, but for those that other screens have; counted as often as they are there. */
  paragraphs: number;
  /** Of these, those that have another number of lines then. */
  otherCount: number;
  /** Those in which a line begins with another word. */
  otherBreaks: number;
}

/** Of a paragraph with another number of lines, which moves all that follows; where lines only begin otherwise it is 1. */
export const costOfMove = 10;

/**
 * What moves with a local font at these sizes; and what that costs, on other screens too:
 * 1 for each paragraph of several lines if lines begin otherwise, more if there are more or fewer of them.
 */
export function movesOf(texts: readonly FittedText[], scales: Scales): { moves: Moves; cost: number } {
  const moves: Moves = { paragraphs: 0, otherCount: 0, otherBreaks: 0 };
  let [cost, shares] = [0, 0];
  for (const text of texts) {
    const reaches = reachesAt(text.local, scales);
    for (const measure of text.measures) {
      const isOwn = measure.share >= 1;
      const face = startsIn(text, measure.face);
      const local = lineStarts(text.places, reaches, localMeasure(measure, scales));
      const isOtherCount = face.length !== local.length;
      const isOther = isOtherCount || face.some((start, i) => start !== local[i]);
      if (isOwn) moves.paragraphs += text.count;
      if (isOwn && isOtherCount) moves.otherCount += text.count;
      if (isOwn && isOther) moves.otherBreaks += text.count;
      // What stands in one line says nothing.
      if (face.length > 0) shares += measure.share * text.count;
      if (isOther) cost += measure.share * text.count * (isOtherCount ? costOfMove : 1);
    }
  }
  return { moves, cost: cost / Math.max(1, shares) };
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

/** How wide all of it is by kinds, in CSS pixels. */
interface Widths {
  face: ByKind;
  local: ByKind;
}

function widthsOf(texts: readonly FittedText[]): Widths {
  const widths = { face: scalesBy(() => 0), local: scalesBy(() => 0) };
  for (const { count, faceWidths, local } of texts) {
    for (const kind of characterKinds) widths.face[kind] += count * faceWidths[kind];
    for (const { kind, reaches } of local.byKind) widths.local[kind] += count * reaches[reaches.length - 1];
  }
  return widths;
}

const ratioOf = (above: number, below: number) => (below === 0 ? 1 : above / below);

/** First far and wide, then about what layouts tell apart: half a pixel in a line of 1,000. */
const searches = [
  { step: 0.002, each: 12 },
  { step: 0.0005, each: 4 },
] as const;
/** About what was found already. */
const nearSearches = [
  { step: 0.002, each: 4 },
  { step: 0.0005, each: 3 },
] as const;
/** Of the width of a text: less isn't worth a rule. */
const leastShare = 0.02;
/** Of spaces, which are a sixth of a text: shares of what would be the width of the face's. */
const spaceShares = [1, 0.9, 1.1, 0.8, 1.2, 0.7, 1.3] as const;
const spaceSearches = [
  { step: 0.02, each: 3 },
  { step: 0.005, each: 3 },
] as const;

/**
 * Where FreeType draws, adjusted sizes are cut to 1/64 px or to the one below, which makes lines of usual sizes up to 0.15 %
 * shorter: those sizes matter too.
 */
const nearby = [
  [1, 1],
  [0.9995, 0.5],
  [0.999, 0.5],
  [0.9985, 0.5],
] as const;

/** Sizes with what moves at them. */
interface Fit {
  scales: Scales;
  moves: Moves;
  /** See `movesOf`. */
  cost: number;
}

/** A kind of characters gets a size of its own where so much less moves. */
const worthwhile = { share: 0.15, cost: 0.005 };

/**
 * The sizes at which least moves: lines first, then words; of those alike the ones nearest to the ratio of widths.
 *
 * @param isWhole whether the texts are all that is set, so that kinds of characters may be fitted apart; else one size has to do
 */
export function bestScales(texts: readonly FittedText[], isWhole = true): Fit {
  const search = new ScaleSearch(texts);
  let best = search.at(search.alike().scales);
  const apart: CharacterKind[] = [];
  while (isWhole) {
    const found = search.kinds
      .filter((kind) => !apart.includes(kind))
      .map((kind) => ({ kind, fit: search.at(search.withApart(kind, best.scales, apart).scales) }))
      .sort((a, b) => a.fit.cost - b.fit.cost)
      .at(0);
    const least = Math.max(worthwhile.cost, best.cost * worthwhile.share);
    if (!found || best.cost - found.fit.cost < least) break;
    apart.push(found.kind);
    best = found.fit;
  }
  return best;
}

interface Weighed {
  scales: Scales;
  weight: number;
}

class ScaleSearch {
  private readonly known = new Map<string, Fit>();
  private readonly widths: Widths;
  /** How wide the face's zero is beside the local font's, where lines are as long as so many of them. */
  private readonly zeroRatio: number | undefined;

  constructor(private readonly texts: readonly FittedText[]) {
    this.widths = widthsOf(texts);
    const zeros = texts.flatMap(({ measures }) => measures.flatMap((measure) => measure.zeros ?? [])).at(0);
    this.zeroRatio = zeros && ratioOf(zeros.face, zeros.local);
  }

  at(scales: Scales): Fit {
    const key = characterKinds.map((kind) => scaleOf(scales, kind)).join(' ');
    let found = this.known.get(key);
    if (!found) this.known.set(key, (found = { scales, ...movesOf(this.texts, scales) }));
    return found;
  }

  /** Those that may have a size of their own, as there is enough of them and of letters besides, or as lines are measured by them. */
  get kinds(): readonly CharacterKind[] {
    const { local } = this.widths;
    const least = sumOf(local) * leastShare;
    return characterKinds.filter(
      (kind) =>
        kind !== 'letters' &&
        usualKinds.includes(kind) &&
        local.letters >= least &&
        (local[kind] >= least || this.isMeasuredBy(kind)),
    );
  }

  private isMeasuredBy(kind: CharacterKind): boolean {
    return kind === 'figures' && this.zeroRatio !== undefined;
  }

  /** One size for all that a local font draws, and one for each that draws another script. */
  alike(): Weighed {
    const { face, local } = this.widths;
    const ratio = ratioOf(sumOf(face, usualKinds), sumOf(local, usualKinds));
    const others = scriptKinds.filter((kind) => local[kind] > 0);
    const isApart = (kind: CharacterKind) => (others as readonly CharacterKind[]).includes(kind);
    const start = scalesBy((kind) => (isApart(kind) ? ratioOf(face[kind], local[kind]) : ratio));
    const alike = characterKinds.filter((kind) => !isApart(kind));
    return others.reduce(
      (best, kind) => this.search(best, searches, [kind]),
      this.search(this.weighed(start), searches, alike),
    );
  }

  /** One kind more in a size of its own: spaces of several, all others so that all is as wide as the face; then about the best of these. */
  withApart(own: CharacterKind, from: Scales, apart: readonly CharacterKind[]): Weighed {
    const { face, local } = this.widths;
    const others = usualKinds.filter((kind) => kind !== own);
    const before = others.reduce((sum, kind) => sum + local[kind] * scaleOf(from, kind), 0);
    const isOther = (kind: CharacterKind) => others.includes(kind) || local[kind] === 0;
    let best: Weighed | undefined;
    for (const share of own === 'spaces' ? spaceShares : [1]) {
      const scale = (this.isMeasuredBy(own) ? this.zeroRatio! : ratioOf(face[own], local[own])) * share;
      const factor = ratioOf(sumOf(face, usualKinds) - local[own] * scale, before);
      const scales = scalesBy((kind) =>
        kind === own ? scale : isOther(kind) ? scaleOf(from, kind) * factor : scaleOf(from, kind),
      );
      const found = this.weighed(scales, best?.weight);
      if (!best || found.weight < best.weight) best = found;
    }
    best = this.search(
      best!,
      nearSearches,
      characterKinds.filter((kind) => isOther(kind) || kind === own),
    );
    for (const kind of [own, ...apart])
      best = this.search(best, kind === 'spaces' ? spaceSearches : searches, [kind]);
    return best;
  }

  private search(
    start: Weighed,
    steps: readonly { step: number; each: number }[],
    kinds: readonly CharacterKind[],
  ): Weighed {
    let best = start;
    for (const { step, each } of steps) {
      const { scales: middle } = best;
      for (let i = 1; i <= each; i++) {
        for (const by of [i * step, -i * step]) {
          if (best.weight === 0) return best;
          const scales = scalesBy((kind) => scaleOf(middle, kind) + (kinds.includes(kind) ? by : 0));
          const found = this.weighed(scales, best.weight);
          if (found.weight < best.weight) best = found;
        }
      }
    }
    return best;
  }

  /** @param least what has to be less, so that the rest needn't be looked at where it can't be */
  private weighed(scales: Scales, least = Infinity): Weighed {
    let weight = 0;
    for (const [factor, share] of nearby) {
      weight += share * this.at(rounded(scalesBy((kind) => scaleOf(scales, kind) * factor))).cost;
      if (weight >= least) break;
    }
    return { scales: rounded(scales), weight };
  }
}

const sumOf = (widths: ByKind, kinds: readonly CharacterKind[] = characterKinds): number =>
  kinds.reduce((sum, kind) => sum + widths[kind], 0);

const rounded = (scales: Scales): Scales =>
  scalesBy((kind) => Math.round(scaleOf(scales, kind) * 10_000) / 10_000);
