// The text that sizes are fitted to, as far as lines ask for it

import { asIs, characterKinds, kindOf, scalesBy } from './character-kinds.js';
import { reachesAt, type FittedText, type LocalReaches, type SetMeasure } from './fit.js';
import { breakPlaces, type BreakPlace } from './lines.js';
import type { LineMeasure, SampleParagraph, SampleRun } from './sample.js';
import type { TextSetter } from './text-setter.js';

/** More texts tell nothing new. */
const mostTexts = 400;

/** What sets a text for which a local font is fitted to a face. */
export interface Fitting<Face> {
  /** Whether a run is set in the face; others count as if what stands in for them were as wide as they. */
  isOwn: (run: SampleRun<Face>) => boolean;
  /** In its own face, in em. */
  faceReaches: ReachesOf<Face>;
  local: TextSetter;
}

/** Paragraphs as lines ask for them: in their faces, and in a local font; the same text once. */
export function fittedTexts<Face>(
  paragraphs: readonly SampleParagraph<Face>[],
  { isOwn, faceReaches, local }: Fitting<Face>,
): FittedText[] {
  const known = new Map<string, FittedText>();
  const isOther = (run: SampleRun<Face>) => !isOwn(run);
  const localReaches = (run: SampleRun<Face>) =>
    isOwn(run) ? local.reaches(run.text, run) : faceReaches(run);
  for (const { runs, measures } of paragraphs) {
    const text = runs.map((run) => run.text).join('');
    const key = JSON.stringify([text, measures, runs.map((run) => [run.fontSize, run.weight, isOwn(run)])]);
    const before = known.get(key);
    if (before) {
      before.count++;
      continue;
    }
    if (known.size >= mostTexts) break;
    const ofFace = joinedApart(runs, faceReaches, isOther);
    const ofLocal = joinedApart(runs, localReaches, isOther);
    if (!ofFace || !ofLocal) continue;
    const zeros = { face: zeroOf(runs[0], faceReaches), local: zeroOf(runs[0], localReaches) };
    known.set(key, {
      ...atBreaks(breakPlaces(text), reachesAt(ofFace, asIs), ofLocal),
      faceWidths: scalesBy((kind) => ofFace.byKind.find((one) => one.kind === kind)?.reaches.at(-1) ?? 0),
      measures: measures.map((measure) => {
        const set = setMeasure(measure, zeros);
        // Zeros of another face stay as wide as they are.
        return isOwn(runs[0]) ? set : { px: set.face, face: set.face, share: set.share };
      }),
      count: 1,
    });
  }
  return [...known.values()];
}

/** Lines ask only how far text reaches where it may break: the same with nothing in between. */
function atBreaks(
  places: readonly BreakPlace[],
  face: Float64Array,
  { byKind, added }: LocalReaches,
): Pick<FittedText, 'places' | 'face' | 'local'> {
  const positions = [...new Set([0, ...places.flatMap(({ at, end }) => [end, at])])].sort((a, b) => a - b);
  const numbers = new Map(positions.map((position, i) => [position, i]));
  const taken = (reaches: Float64Array) => Float64Array.from(positions, (position) => reaches[position]);
  return {
    places: places.map(({ at, end, isForced }) => ({
      at: numbers.get(at)!,
      end: numbers.get(end)!,
      isForced,
    })),
    face: taken(face),
    local: {
      byKind: byKind.map(({ kind, reaches }) => ({ kind, reaches: taken(reaches) })),
      added: taken(added),
    },
  };
}

type ReachesOf<Face> = (run: SampleRun<Face>) => Float64Array | undefined;

/** How wide a zero is, in em; half of it where there is none (CSS Values 4, section 6.1.1). */
export const zeroOf = <Face>(run: SampleRun<Face>, reachesOf: ReachesOf<Face>): number =>
  reachesOf({ ...run, text: '0' })?.[1] ?? 0.5;

/** @param zeros how wide they are, in em */
export function setMeasure(
  { px, zeros: count, less = 0, share }: LineMeasure,
  each: { face: number; local: number },
): SetMeasure {
  if (count === undefined) return { px, face: px, share };
  const zeros = { face: count * each.face, local: count * each.local, less };
  return { px, face: Math.min(px, zeros.face - less), zeros, share };
}

/**
 * How far the text of several runs reaches, in CSS pixels: characters by kinds, and what rules add by themselves.
 *
 * @param isFixed whether a run stays as it is, whatever size the others have
 */
export function joinedApart<Face>(
  runs: readonly SampleRun<Face>[],
  reachesOf: ReachesOf<Face>,
  isFixed: (run: SampleRun<Face>) => boolean = () => false,
): LocalReaches | undefined {
  const length = runs.reduce((sum, { text }) => sum + text.length, 0) + 1;
  const all = characterKinds.map((kind) => ({ kind, reaches: new Float64Array(length) }));
  const added = new Float64Array(length);
  const ends = scalesBy(() => 0);
  let [at, end] = [0, 0];
  for (const run of runs) {
    const reaches = reachesOf(run);
    if (!reaches) return undefined;
    const stays = isFixed(run);
    for (let i = 1; i < reaches.length; i++) {
      const advance = reaches[i] - reaches[i - 1];
      const kind = kindOf(run.text.charCodeAt(i - 1));
      if (stays || isSmallCapital(run, i - 1)) end += advance * run.fontSize;
      else ends[kind] += advance * run.fontSize;
      if (advance > 0) end += run.letterSpacing;
      if (kind === 'spaces') end += run.wordSpacing;
      for (const one of all) one.reaches[at + i] = ends[one.kind];
      added[at + i] = end;
    }
    at += run.text.length;
  }
  return { byKind: all.filter(({ kind }) => ends[kind] !== 0), added };
}

/** Chromium makes small capitals of a font without them in its own size, whatever `size-adjust` says. */
function isSmallCapital({ text, features }: SampleRun<unknown>, at: number): boolean {
  return (features.get('smcp') ?? 0) > 0 && text[at] !== text[at].toUpperCase();
}

/** The same together. */
export function joined<Face>(
  runs: readonly SampleRun<Face>[],
  reachesOf: ReachesOf<Face>,
): Float64Array | undefined {
  const apart = joinedApart(runs, reachesOf);
  return apart && reachesAt(apart, asIs);
}
