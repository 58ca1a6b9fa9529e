// CSS Fonts 4 and 5: local fonts that stand in for a face until it arrives, and for good where it never does

import type { DrawingDescriptors, Range, Slope } from '../../core/face/index.js';
import { boldFrom } from '../../core/face/matching.js';
import { verticalMetricsOf } from '../../core/inspection/vertical-metrics.js';
import type { Font } from '../../core/sfnt/font.js';
import { hasWeightAxis } from '../../core/variations/stepped-weights.js';
import { asIs, scriptKinds, type CharacterKind, type Scales } from './character-kinds.js';
import { bestScales, costOfMove, movesOf, type FittedText, type Moves } from './fit.js';
import { fittedTexts, type Fitting } from './fitted-texts.js';
import { hasSmallCapitals, type SampleParagraph, type SampleRun } from './sample.js';
import { candidatesFor, systems, type Candidate, type LocalSystem, type MeasuredFont } from './candidates.js';
import type { Companion } from './script-fonts.js';
import { setterOf, type TextSetter } from './text-setter.js';

/** A local font, tuned. */
export interface StandIn {
  /** What people call it. */
  local: string;
  /** The systems for which it is the best of those that were measured. */
  systems: readonly LocalSystem[];
  /** What `local()` finds it by. */
  names: readonly string[];
  /** The font that was measured in its place, as it has the same widths. */
  measured: string;
  /** Fonts that draw text of other scripts for it. */
  companions: readonly Companion[];
  /** 1 for as it is; kinds of characters have rules of their own where that lets lines break as in the face. */
  scales: Readonly<Scales>;
  /** Of the adjusted size, in percent. */
  ascent: number;
  descent: number;
  lineGap: number;
  /** What moves when the face arrives: as the local font is, and tuned. */
  untuned: Moves;
  tuned: Moves;
}

/** Stand-ins for some weights of a face. */
export interface StandInBand {
  weight: Range;
  /** The better ones last, as of rules alike the last one wins. */
  standIns: readonly StandIn[];
  /** Whether they are fitted to text of the site. */
  isOfSite: boolean;
  /** How many letters the site sets in them. */
  letters: number;
}

/** What of a face decides on its stand-ins. */
export interface StandInFace {
  family: string;
  weight: Range;
  style: Slope;
  stretch: Range;
  descriptors?: DrawingDescriptors | undefined;
  /** For `font-family`, the web font first. */
  stack: readonly string[];
  font: Font;
}

/** Fewer letters tell too little. */
const fewLetters = 200;

/**
 * The stand-ins of a face: for its light and its bold weights, where it has both.
 *
 * @param texts paragraphs of the site that are set in faces of the kit, and sentences for faces that it draws hardly any text with
 * @param measured fonts of the user, beside those that are known
 * @param settersOf what sets text in the faces
 */
export function standInsFor<Face extends StandInFace>(
  face: Face,
  {
    paragraphs,
    sentences,
  }: { paragraphs: readonly SampleParagraph<Face>[]; sentences: readonly SampleRun<Face>[] },
  measured: readonly MeasuredFont[],
  settersOf: (face: Face) => FaceSetters,
): StandInBand[] {
  const asked = new Map<number, number>();
  const once = onOneScreen(paragraphs);
  for (const { runs } of once)
    for (const { face: other, weight, text } of runs)
      if (other === face) asked.set(weight, (asked.get(weight) ?? 0) + text.length);
  return bandsOf(face.weight, asked).map((weight) => {
    const isOwn = (run: SampleRun<Face>) => run.face === face && isIn(run.weight, weight);
    const own = paragraphs.filter(({ runs }) => {
      const ownLetters = lettersOf(runs.filter(isOwn));
      return ownLetters * 2 > lettersOf(runs) && !runs.some((run) => isOwn(run) && hasSmallCapitals(run));
    });
    const letters = onOneScreen(own).reduce((sum, { runs }) => sum + lettersOf(runs.filter(isOwn)), 0);
    const isOfSite = letters >= fewLetters;
    // Of a few words many sizes are as good.
    const usual = mostAsked(asked, weight);
    const texts = isOfSite ? own : [...own, ...sentences.map((run) => alone(run, usual))];
    const faceReaches = (run: SampleRun<Face>) => settersOf(run.face).reaches(run);
    return {
      weight,
      isOfSite,
      letters,
      standIns: fitted(face, weight, texts, measured, { isOwn, faceReaches, isOfSite }),
    };
  });
}

/** Every screen has the same again. */
function onOneScreen<Face>(paragraphs: readonly SampleParagraph<Face>[]): SampleParagraph<Face>[] {
  const known = new Map<string, SampleParagraph<Face>>();
  for (const one of paragraphs) {
    const text = one.runs.map((run) => `${run.weight} ${run.text}`).join('|');
    known.set(`${one.page} ${one.line} ${text}`, one);
  }
  return [...known.values()];
}

const lettersOf = (runs: readonly SampleRun<unknown>[]): number =>
  runs.reduce((sum, { text }) => sum + text.length, 0);

const isIn = (weight: number, [low, high]: Range) => weight >= low && weight <= high;

/**
 * Weights that share their stand-ins: those around each that pages ask for, as a face on its axis is wider the bolder it is; light
 * and bold ones never, as a local font is one or the other.
 *
 * @param asked how many letters are set in each weight
 */
export function bandsOf([low, high]: Range, asked: ReadonlyMap<number, number>): Range[] {
  const weights = [...asked].flatMap(([weight, letters]) => (letters >= fewLetters ? [weight] : []));
  const sorted = [...new Set(weights)].sort((a, b) => a - b);
  const ends = sorted.slice(1).map((weight, i) => {
    const isApart = sorted[i] < boldFrom && weight >= boldFrom;
    return isApart ? boldFrom - 1 : Math.floor((sorted[i] + weight) / 2);
  });
  const isSplit = low < boldFrom && high >= boldFrom;
  const all = new Set([
    ...ends.filter((end) => end >= low && end < high),
    ...(isSplit ? [boldFrom - 1] : []),
    high,
  ]);
  return [...all].sort((a, b) => a - b).map((end, i, list): Range => [i === 0 ? low : list[i - 1] + 1, end]);
}

/** Of the weights of a band the one that most text is set in. */
function mostAsked(asked: ReadonlyMap<number, number>, band: Range): number {
  const [most] = [...asked]
    .filter(([weight]) => isIn(weight, band))
    .sort(([light, a], [bold, b]) => b - a || bold - light);
  return most?.[0] ?? usualIn(band);
}

/** A sentence in lines of several lengths. */
function alone<Face>(run: SampleRun<Face>, weight: number): SampleParagraph<Face> {
  const measures = Array.from({ length: 36 }, (_, i) => ({ px: (10 + i) * run.fontSize, share: 1 }));
  return {
    page: '',
    element: '',
    line: 0,
    lineHeight: 'normal',
    runs: [{ ...run, weight }],
    measures,
    isMeasureKnown: false,
  };
}

function fitted<Face extends StandInFace>(
  face: Face,
  weight: Range,
  paragraphs: readonly SampleParagraph<Face>[],
  measured: readonly MeasuredFont[],
  how: Omit<Fitting<Face>, 'local'> & { isOfSite: boolean },
): StandIn[] {
  const results = candidatesFor(face, weight, measured).flatMap((candidate) => {
    const texts = fittedTexts(paragraphs, { ...how, local: candidate.setter });
    if (texts.length === 0) return [];
    const { scales, moves, cost } = bestScales(texts, how.isOfSite);
    const kinds = new Set(texts.flatMap((text) => text.local.byKind.map((one) => one.kind)));
    const companions = candidate.companions.filter(({ script }) => kinds.has(script));
    const costOn = (system: LocalSystem) => {
      const isLacking = ({ script, systems: its }: Companion) => kinds.has(script) && !its.includes(system);
      const lacking = candidate.companions.filter(isLacking).map(({ script }): CharacterKind => script);
      if (lacking.length === 0) return cost;
      const isSet = ({ local }: FittedText) => !local.byKind.some(({ kind }) => lacking.includes(kind));
      return movesOf(texts.filter(isSet), scales).cost;
    };
    const untuned = movesOf(texts, asIs).moves;
    return [{ candidate, companions, scales, cost, costOn, tuned: moves, untuned }];
  });
  const lines = lineMetrics(face);
  const chosen = new Map<(typeof results)[number], LocalSystem[]>();
  const good = systems.map((system) => ({ system, its: goodFor(system, results) }));
  const servedBy = (one: (typeof results)[number]) => good.filter(({ its }) => its.includes(one)).length;
  for (const { system, its } of good) {
    const [best] = its.sort(
      (a, b) =>
        servedBy(b) - servedBy(a) ||
        inFiftieths(a.cost) - inFiftieths(b.cost) ||
        away(a.scales.letters) - away(b.scales.letters),
    );
    if (best) chosen.set(best, [...(chosen.get(best) ?? []), system]);
  }
  return [...chosen]
    .sort(([a], [b]) => inFiftieths(b.cost) - inFiftieths(a.cost))
    .map(([{ candidate, companions, scales, tuned, untuned }, its]) => {
      const { letters: scale } = scales;
      const standIn: StandIn = {
        local: candidate.name,
        systems: its,
        names: candidate.names,
        measured: candidate.measured,
        companions,
        scales: scalesOf(scales, companions),
        ascent: percent(lines.ascent / scale),
        descent: percent(lines.descent / scale),
        lineGap: percent(lines.lineGap / scale),
        untuned,
        tuned,
      };
      localSetters.set(standIn, candidate);
      return standIn;
    });
}

/** Without those of scripts that letters' own font draws at their size. */
function scalesOf(scales: Readonly<Scales>, companions: readonly Companion[]): Scales {
  const own = { ...scales };
  for (const kind of scriptKinds)
    if (own[kind] === own.letters && !companions.some(({ script }) => script === kind)) delete own[kind];
  return own;
}

/** Local fonts of a system that fit best, or less well by no more than chance may bring about in so few paragraphs. */
function goodFor<
  Result extends { candidate: Candidate; costOn: (system: LocalSystem) => number; tuned: Moves },
>(system: LocalSystem, results: readonly Result[]): Result[] {
  const own = results
    .filter(({ candidate }) => candidate.systems.includes(system))
    .map((result) => ({ result, cost: result.costOn(system) }));
  const [best] = [...own].sort((a, b) => a.cost - b.cost);
  if (!best) return [];
  const { paragraphs, otherCount } = best.result.tuned;
  const chance = (costOfMove * Math.sqrt(Math.max(1, otherCount))) / Math.max(1, paragraphs);
  return own.filter(({ cost }) => cost <= best.cost + chance).map(({ result }) => result);
}

/** What sets text in a stand-in as it is. */
const localSetters = new WeakMap<StandIn, Candidate>();

/** @param system where it is drawn; all that it has where none is named */
export const standInSetter = (standIn: StandIn, system?: LocalSystem): TextSetter | undefined =>
  system ? localSetters.get(standIn)?.setterOn(system) : localSetters.get(standIn)?.setter;

/** Of the weights of a face those that most text is set in. */
export const mainBand = (bands: readonly StandInBand[]): StandInBand =>
  bands.reduce((most, band) => (band.letters > most.letters ? band : most));

/** The weight of them that pages ask for most often. */
export const usualIn = ([low, high]: Range): number =>
  [400, 700].find((weight) => low <= weight && weight <= high) ?? Math.min(Math.max(400, low), high);

const percent = (share: number) => Math.round(share * 10_000) / 100;
const away = (scale: number) => Math.abs(Math.log(scale));
/** Less than a hundredth isn't worth another size. */
const inFiftieths = (cost: number) => Math.round(cost * 50) / 50;

/** Sets text in a face at the weights that are asked for. */
export class FaceSetters {
  private readonly setters = new Map<number, TextSetter>();
  private readonly known = new Map<string, Float64Array | undefined>();
  private readonly scale: number;
  private readonly varies: boolean;

  constructor(private readonly face: StandInFace) {
    this.scale = parseFloat(face.descriptors?.['size-adjust'] ?? '100') / 100;
    this.varies = hasWeightAxis(face.font);
  }

  /** See `TextSetter`; with `size-adjust` of the face. */
  reaches({
    text,
    weight,
    language,
    features,
  }: Pick<SampleRun<unknown>, 'text' | 'weight' | 'language' | 'features'>): Float64Array | undefined {
    const at = this.varies ? weight : 0;
    const key = `${at} ${language} ${JSON.stringify([...features])} ${text}`;
    if (!this.known.has(key)) {
      let setter = this.setters.get(at);
      if (!setter) {
        setter = setterOf(this.face.font, this.varies ? { wght: weight } : {});
        this.setters.set(at, setter);
      }
      const reaches = setter.reaches(text, { language, features });
      this.known.set(key, this.scale === 1 ? reaches : reaches?.map((reach) => reach * this.scale));
    }
    return this.known.get(key);
  }
}

/** What lines of the face are measured by, in em. */
function lineMetrics({ font, descriptors }: StandInFace): {
  ascent: number;
  descent: number;
  lineGap: number;
} {
  const metrics = verticalMetricsOf(font);
  const own = (metrics.useTypoMetrics ? metrics.typo : undefined) ?? metrics.hhea;
  const stated = (name: 'ascent-override' | 'descent-override' | 'line-gap-override', value: number) => {
    const share = parseFloat(descriptors?.[name] ?? '');
    return Number.isNaN(share) ? value : share / 100;
  };
  const scale = parseFloat(descriptors?.['size-adjust'] ?? '100') / 100;
  return {
    ascent: stated('ascent-override', own.ascent) * scale,
    descent: stated('descent-override', own.descent) * scale,
    lineGap: stated('line-gap-override', Math.max(0, own.lineGap)) * scale,
  };
}
