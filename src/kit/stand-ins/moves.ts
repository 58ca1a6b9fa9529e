// What still moves on a page when its faces arrive

import { systems, type LocalSystem } from './candidates.js';
import { asIs, type Scales } from './character-kinds.js';
import { localMeasure, reachesAt } from './fit.js';
import { joined, joinedApart, setMeasure, zeroOf } from './fitted-texts.js';
import { breakPlaces, lineStarts } from './lines.js';
import { hasSmallCapitals, isCell, type SampleParagraph, type SampleRun } from './sample.js';
import { standInSetter, type FaceSetters, type StandInBand, type StandInFace } from './stand-ins.js';
import type { TextSetter } from './text-setter.js';

/** A paragraph that has another number of lines once its faces are there. */
export interface MovedParagraph {
  page: string;
  /** As in `p.lead`. */
  element: string;
  line: number;
  /** Its start. */
  text: string;
  /** In CSS pixels. */
  measure: number;
  lines: { face: number; standIn: number };
}

/** The same for a page at one width of the screen. */
export interface PageMoves {
  page: string;
  width: number;
  /** Those that could be set. */
  paragraphs: number;
  /** How many of them have another number of lines, with local fonts as they are, and tuned; on the system where it is most. */
  untuned: number;
  tuned: number;
  moved: MovedParagraph[];
  /** Texts whose lines can't be foretold: browsers make small capitals up in a local font, and columns of tables are as wide as cells. */
  unforetold: { smallCapitals: number; cells: number };
}

/** Faces with their stand-ins. */
export type StandInsOf<Face> = ReadonlyMap<Face, readonly StandInBand[]>;

const mostShown = 20;
const shownText = 60;

/** Counts for one page and width. @param paragraphs of it */
export function pageMoves<Face extends StandInFace>(
  page: string,
  width: number,
  paragraphs: readonly SampleParagraph<Face>[],
  standIns: StandInsOf<Face>,
  settersOf: (face: Face) => FaceSetters,
): PageMoves {
  const unforetold = {
    smallCapitals: paragraphs.filter(({ runs }) => runs.some(hasSmallCapitals)).length,
    cells: paragraphs.filter(({ element, isMeasureKnown }) => !isMeasureKnown && isCell(element)).length,
  };
  const moves: PageMoves = { page, width, paragraphs: 0, untuned: 0, tuned: 0, moved: [], unforetold };
  let worst = -1;
  for (const system of systems) {
    const own = { paragraphs: 0, untuned: 0, tuned: 0 };
    const moved: MovedParagraph[] = [];
    for (const paragraph of paragraphs) {
      const set = setParagraph(paragraph, system, standIns, settersOf);
      if (!set) continue;
      own.paragraphs++;
      const found = linesMoved(paragraph, set);
      if (found.untuned) own.untuned++;
      if (!found.tuned) continue;
      own.tuned++;
      const { element, line } = paragraph;
      const text = set.text.length > shownText ? `${set.text.slice(0, shownText - 1)}…` : set.text;
      moved.push({ page, element, line, text, ...found.tuned });
    }
    moves.untuned = Math.max(moves.untuned, own.untuned);
    moves.paragraphs = Math.max(moves.paragraphs, own.paragraphs);
    if (own.tuned <= worst) continue;
    worst = own.tuned;
    moves.tuned = own.tuned;
    moves.moved = moved.slice(0, mostShown);
  }
  return moves;
}

/** Whether it has another number of lines; where no rule states a length, at half of those that are usual. */
function linesMoved(
  { measures }: SampleParagraph<unknown>,
  { places, face, plain, tuned, zeros, scales }: SetParagraph,
): { untuned: boolean; tuned: Pick<MovedParagraph, 'measure' | 'lines'> | undefined } {
  // Those of other screens are fitted to, and not told of.
  const lengths = measures.filter(({ share }) => share >= 1).map((one) => setMeasure(one, zeros));
  const linesIn = (reaches: Float64Array, most: number) => lineStarts(places, reaches, most).length + 1;
  const counted = lengths.map((one) => ({
    measure: one.face,
    plain: linesIn(plain, localMeasure(one, asIs)),
    lines: { face: linesIn(face, one.face), standIn: linesIn(tuned, localMeasure(one, scales)) },
  }));
  const moving = counted.filter(({ lines }) => lines.face !== lines.standIn);
  const untuned = counted.filter((one) => one.lines.face !== one.plain);
  const isMost = ({ length }: readonly unknown[]) => length > 0 && length * 2 >= lengths.length;
  const { measure, lines } = moving[0] ?? {};
  return { untuned: isMost(untuned), tuned: isMost(moving) ? { measure, lines } : undefined };
}

interface SetParagraph {
  text: string;
  places: ReturnType<typeof breakPlaces>;
  face: Float64Array;
  plain: Float64Array;
  tuned: Float64Array;
  /** Of the first run, by whose zero some lines are measured. */
  zeros: { face: number; local: number };
  scales: Scales;
}

function setParagraph<Face extends StandInFace>(
  { runs }: SampleParagraph<Face>,
  system: LocalSystem,
  standIns: StandInsOf<Face>,
  settersOf: (face: Face) => FaceSetters,
): SetParagraph | undefined {
  const local = (run: SampleRun<Face>) => localOf(standIns.get(run.face) ?? [], run.weight, system);
  const face = joined(runs, (run) => settersOf(run.face).reaches(run));
  const locals = runs.map((run) => {
    const found = local(run);
    const reaches = found && joinedApart([run], () => found.setter.reaches(run.text, run));
    return reaches && { reaches, scales: found.scales };
  });
  if (!face || !locals.every((one) => one !== undefined)) return undefined;
  const plain = together(locals.map(({ reaches }) => reachesAt(reaches, asIs)));
  const tuned = together(locals.map(({ reaches, scales }) => reachesAt(reaches, scales)));
  const text = runs.map((run) => run.text).join('');
  const [first] = runs;
  const zeros = {
    face: zeroOf(first, (run) => settersOf(run.face).reaches(run)),
    local: zeroOf(first, (run) => local(run)?.setter.reaches(run.text, run)),
  };
  const [{ scales }] = locals;
  return { text, places: breakPlaces(text), face, plain, tuned, zeros, scales };
}

/** Runs one after another. */
function together(runs: readonly Float64Array[]): Float64Array {
  const all = new Float64Array(runs.reduce((sum, { length }) => sum + length - 1, 1));
  let at = 0;
  for (const reaches of runs) {
    for (let i = 1; i < reaches.length; i++) all[at + i] = all[at] + reaches[i];
    at += reaches.length - 1;
  }
  return all;
}

function localOf(
  bands: readonly StandInBand[],
  weight: number,
  system: LocalSystem,
): { setter: TextSetter; scales: Scales } | undefined {
  const band = bands.find(({ weight: [, high] }) => weight <= high) ?? bands.at(-1);
  const standIn = band?.standIns.find(({ systems: its }) => its.includes(system));
  const setter = standIn && standInSetter(standIn, system);
  return setter && { setter, scales: standIn.scales };
}
