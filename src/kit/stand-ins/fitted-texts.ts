// The text that sizes are fitted to, as far as lines ask for it

import { asIs, reachesAt, type FittedText, type LocalReaches, type SetMeasure } from './fit.js';
import { breakPlaces, type BreakPlace } from './lines.js';
import type { LineMeasure, SampleParagraph, SampleRun } from './sample.js';
import type { TextSetter } from './text-setter.js';

/** More texts tell nothing new. */
const mostTexts = 400;

/** Paragraphs as lines ask for them: in the face, and in a local font; the same text once. */
export function fittedTexts<Face>(
  paragraphs: readonly SampleParagraph<Face>[],
  face: { reaches: ReachesOf<Face> },
  local: TextSetter,
): FittedText[] {
  const known = new Map<string, FittedText>();
  for (const { runs, measures } of paragraphs) {
    const text = runs.map((run) => run.text).join('');
    const key = JSON.stringify([text, measures, runs.map((run) => [run.fontSize, run.weight])]);
    const before = known.get(key);
    if (before) {
      before.count++;
      continue;
    }
    if (known.size >= mostTexts) break;
    const ofFace = joined(runs, (run) => face.reaches(run));
    const ofLocal = joinedApart(runs, (run) => local.reaches(run.text, run));
    if (!ofFace || !ofLocal) continue;
    const zeros = {
      face: zeroOf(runs[0], (run) => face.reaches(run)),
      local: zeroOf(runs[0], (run) => local.reaches(run.text, run)),
    };
    known.set(key, {
      ...atBreaks(breakPlaces(text), ofFace.all, ofLocal),
      faceSpaces: ofFace.spaces,
      measures: measures.map((measure) => setMeasure(measure, zeros)),
      count: 1,
    });
  }
  return [...known.values()];
}

/** Lines ask only how far text reaches where it may break: the same with nothing in between. */
function atBreaks(
  places: readonly BreakPlace[],
  face: Float64Array,
  { letters, spaces: blank, added }: LocalReaches,
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
    local: { letters: taken(letters), spaces: taken(blank), added: taken(added) },
  };
}

type ReachesOf<Face> = (run: SampleRun<Face>) => Float64Array | undefined;

/** How wide a zero is, in em; half of it where there is none (CSS Values 4, section 6.1.1). */
export const zeroOf = <Face>(run: SampleRun<Face>, reachesOf: ReachesOf<Face>): number =>
  reachesOf({ ...run, text: '0' })?.[1] ?? 0.5;

/** @param zeros how wide they are, in em */
export function setMeasure(
  { px, zeros: count }: LineMeasure,
  zeros: { face: number; local: number },
): SetMeasure {
  if (count === undefined) return { px, face: px };
  return { px, face: Math.min(px, count * zeros.face), local: count * zeros.local };
}

/** Spaces between words, which stand-ins may have in another size. */
export const spaces = ' \u00a0';

/** How far the text of several runs reaches, in CSS pixels: letters, spaces and what rules add by themselves. */
export function joinedApart<Face>(
  runs: readonly SampleRun<Face>[],
  reachesOf: ReachesOf<Face>,
): LocalReaches | undefined {
  const length = runs.reduce((sum, { text }) => sum + text.length, 0) + 1;
  const apart = {
    letters: new Float64Array(length),
    spaces: new Float64Array(length),
    added: new Float64Array(length),
  };
  let [at, letters, blank, added] = [0, 0, 0, 0];
  for (const run of runs) {
    const reaches = reachesOf(run);
    if (!reaches) return undefined;
    for (let i = 1; i < reaches.length; i++) {
      const advance = reaches[i] - reaches[i - 1];
      const isSpace = spaces.includes(run.text[i - 1]);
      if (isSpace) blank += advance * run.fontSize;
      else letters += advance * run.fontSize;
      if (advance > 0) added += run.letterSpacing;
      if (isSpace) added += run.wordSpacing;
      apart.letters[at + i] = letters;
      apart.spaces[at + i] = blank;
      apart.added[at + i] = added;
    }
    at += run.text.length;
  }
  return apart;
}

/** The same together. */
export function joined<Face>(
  runs: readonly SampleRun<Face>[],
  reachesOf: ReachesOf<Face>,
): { all: Float64Array; spaces: number } | undefined {
  const apart = joinedApart(runs, reachesOf);
  return apart && { all: reachesAt(apart, asIs), spaces: apart.spaces[apart.spaces.length - 1] };
}
