import type { Range } from '../../core/face/index.js';
import { faceLabel, rangeText } from '../../core/face/index.js';
import { forbidsSubsetting } from '../../core/face/licence.js';
import { hasWeightAxis, withSteps } from '../../core/variations/stepped-weights.js';
import { inFile } from '../../errors.js';
import { atOnce } from '../at-once.js';
import { madeFromOf } from '../earlier.js';
import type { ReachedFormat } from '../reach.js';
import type { CutFace, CutFamilies } from './cut.js';
import { fetchedPart, type LeftOutFace, type MadeFace, type MadeFamily, type MadeParts } from './made.js';
import { madeParts } from './parts.js';

export interface MakeRequest {
  cut: CutFamilies;
  formats: readonly ReachedFormat[];
  /** Of this program. */
  version: string;
  /** How many processors compress. */
  processors: number;
  /** What an earlier build made, by what it was made from. */
  earlier?: ReadonlyMap<string, MadeParts> | undefined;
  /** What it said that faces would weigh that were left out. */
  earlierCosts?: ReadonlyMap<string, number> | undefined;
  /** Called when a face is begun, and when it is done. */
  begin?: ((face: CutFace) => void) | undefined;
  end?: ((face: CutFace) => void) | undefined;
}

/** Makes the files of all faces, and of those that are left out what they would weigh. The same request gives the same bytes. */
export async function madeFaces(
  request: MakeRequest,
): Promise<{ families: MadeFamily[]; leftOut: LeftOutFace[] }> {
  const { cut, formats, version, processors, earlier, earlierCosts, begin, end } = request;
  const all = cut.families.flatMap(({ faces }) => faces);
  const groups = byFile(all);
  const made = new Map<CutFace, MadeFace>();
  const weigh = ([{ source }]: readonly CutFace[]) => source.size;
  const make = async (faces: readonly CutFace[]) => {
    for (const face of faces) begin?.(face);
    const { steps, ...named } = stepped(faces, all);
    const madeFrom = madeFromOf(named, formats, version, steps);
    const parts =
      earlier?.get(madeFrom) ?? (await inFile(named.source.path, () => madeParts(named, formats)));
    for (const face of faces) {
      made.set(face, { ...face, ...parts, madeFrom, steps });
      end?.(face);
    }
  };
  await atOnce(groups, weigh, make, processors);
  const costOf = async (face: CutFace): Promise<LeftOutFace> => {
    const madeFrom = madeFromOf(face, formats, version);
    const { family, weight, style, stretch } = face;
    const told = { weight: rangeText(weight), style, stretch: rangeText(stretch, '%') };
    const bytes = earlierCosts?.get(madeFrom) ?? (await weightOf(face));
    return { family, face: faceLabel(face), ...told, bytes, madeFrom };
  };
  const leftOut = await atOnce(cut.leftOut, ({ source }) => source.size, costOf, processors);
  const families = cut.families.map((family): MadeFamily => ({
    ...family,
    faces: family.faces.map((face) => made.get(face)!),
  }));
  return { families, leftOut };
}

/** What pages would fetch of a face. */
async function weightOf(face: CutFace): Promise<number> {
  const formats: readonly ReachedFormat[] = [{ format: 'woff2', browsers: [] }];
  const parts = await inFile(face.source.path, () => madeParts(face, formats));
  return fetchedPart(parts).bytes.length;
}

/** Faces that rules declare of one file share what is made of it. */
function byFile(faces: readonly CutFace[]): CutFace[][] {
  const groups = new Map<string, CutFace[]>();
  for (const face of faces) {
    const { source, cut } = face;
    const wanted = cut && [
      cut.characters.toJSON(),
      [...cut.marked].sort(),
      cut.features,
      cut.keepsRest,
      cut.alphabets,
    ];
    const key = JSON.stringify([face.family, source.path, source.ranges ?? null, wanted ?? null]);
    groups.set(key, [...(groups.get(key) ?? []), face]);
  }
  return [...groups.values()];
}

/**
 * Faces that rules declare one by one over a file: the weight axis of what is made of it stops at theirs, so that one rule draws what
 * theirs draw, and a browser asks once for the file.
 */
function stepped(
  faces: readonly CutFace[],
  all: readonly CutFace[],
): CutFace & { steps?: readonly number[] } {
  const named = spanning(faces);
  const { source } = named;
  const steps = [...new Set(faces.flatMap(({ weight }) => weight))].sort((a, b) => a - b);
  // Files by script of which pages draw nothing go with the others.
  const demands = all.flatMap(({ family, demand }) => (family === named.family && demand ? [demand] : []));
  if (demands.length === 0 || demands.some(({ setsWeight }) => setsWeight)) return named;
  const isAlike = (face: CutFace) =>
    face.weight[0] === face.weight[1] &&
    JSON.stringify([face.style, face.stretch, face.slant, face.descriptors]) ===
      JSON.stringify([named.style, named.stretch, named.slant, named.descriptors]);
  if (steps.length < 2 || !faces.every(isAlike)) return named;
  if (!hasWeightAxis(source.font)) return { ...named, steps };
  const font = forbidsSubsetting(source.font) ? undefined : withSteps(source.font, steps);
  return font ? { ...named, source: { ...source, font }, steps } : named;
}

/** The first of some faces, named after all of them. */
function spanning(faces: readonly CutFace[]): CutFace {
  const span = (rangeOf: (face: CutFace) => Range): Range => [
    Math.min(...faces.map((face) => rangeOf(face)[0])),
    Math.max(...faces.map((face) => rangeOf(face)[1])),
  ];
  return { ...faces[0], weight: span(({ weight }) => weight), stretch: span(({ stretch }) => stretch) };
}
