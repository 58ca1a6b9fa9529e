// Stand-ins of all faces of a kit

import { faceKey } from '../../core/face/index.js';
import type { Source } from '../../core/source/index.js';
import { sampleSentences } from '../../data/sample-sentences.js';
import type { MeasuredFont } from './candidates.js';
import { pageMoves, type PageMoves } from './moves.js';
import type { PageParagraphs, SampleRun } from './sample.js';
import {
  FaceSetters,
  mainBand,
  standInsFor,
  usualIn,
  type StandInBand,
  type StandInFace,
} from './stand-ins.js';

/** A face that stand-ins are made for, whichever step of a plan it is seen in. */
export interface KitTextFace extends StandInFace {
  key: string;
}

/** A face as it was chosen, before its stack is known of. */
interface SourceFace extends Omit<StandInFace, 'font' | 'stack'> {
  source: Pick<Source, 'path' | 'font'>;
}

/** The text that a kit draws. */
export interface KitText {
  faces: readonly KitTextFace[];
  pages: readonly PageParagraphs<KitTextFace>[];
}

export const keyOf = (face: Pick<SourceFace, 'family' | 'weight' | 'style' | 'stretch' | 'source'>): string =>
  `${faceKey(face)}|${face.family}|${face.source.path}`;

/** The faces of a kit, to find the paragraphs that are set in them. */
export const kitTextFaces = (
  families: readonly { stack: readonly string[]; faces: readonly SourceFace[] }[],
): KitTextFace[] =>
  families.flatMap(({ stack, faces }) =>
    faces.map((face) => {
      const { family, weight, style, stretch, descriptors, source } = face;
      return { key: keyOf(face), family, weight, style, stretch, descriptors, stack, font: source.font };
    }),
  );

/** CSS pixels of body text. */
const usualSize = 16;

/** Sentences for faces that no text is known of. @param languages BCP 47 */
function sentencesIn<Face extends StandInFace>(face: Face, languages: readonly string[]): SampleRun<Face>[] {
  return languages.flatMap((language) => {
    const text = sampleSentences[language] ?? sampleSentences[language.split('-')[0]];
    const style = { fontSize: usualSize, letterSpacing: 0, wordSpacing: 0, weight: 400, features: new Map() };
    // Twice, as a paragraph is longer than a sentence.
    return text === undefined ? [] : [{ text: `${text} ${text}`, language, face, ...style }];
  });
}

/** Stand-ins of some faces, and what still moves on pages that are set in them. */
export interface FittedStandIns<Face> {
  standIns: Map<Face, StandInBand[]>;
  moves: PageMoves[];
}

/**
 * Fits local fonts to faces.
 *
 * @param pages whose text they are fitted to
 * @param languages whose sentences are set where the site has hardly any text in a face
 * @param measured fonts of the user, beside those that are known
 */
export function fittedStandIns<Face extends StandInFace>(
  faces: readonly Face[],
  pages: readonly PageParagraphs<Face>[],
  languages: readonly string[],
  measured: readonly MeasuredFont[] = [],
): FittedStandIns<Face> {
  const known = languages.filter((one) => one in sampleSentences || one.split('-')[0] in sampleSentences);
  const wanted = known.length > 0 ? known : ['en'];
  const paragraphs = pages.flatMap((page) => page.paragraphs);
  const setters = new Map(faces.map((face) => [face, new FaceSetters(face)]));
  const settersOf = (face: Face) => setters.get(face)!;
  const standIns = new Map(
    faces.map((face) => {
      const texts = { paragraphs, sentences: sentencesIn(face, wanted) };
      return [face, standInsFor(face, texts, measured, settersOf)] as const;
    }),
  );
  const moves = pages.map(({ page, width, paragraphs: own }) =>
    pageMoves(page, width, own, standIns, settersOf),
  );
  return { standIns, moves };
}

/** What moves on all pages when the faces of a kit arrive. */
export interface KitMoves {
  /** Of screens that were looked at, CSS pixels. */
  widths: number[];
  /** That could be set, at all widths. */
  paragraphs: number;
  /** How many have another number of lines until then, with local fonts as they are, and tuned. */
  untuned: number;
  tuned: number;
  /** Pages and widths where some do in spite of stand-ins. */
  pages: PageMoves[];
  /** Pages with texts whose lines can't be foretold, the most at one width. */
  unforetold: ({ page: string } & PageMoves['unforetold'])[];
}

/** What the faces of a kit have until they arrive, by `keyOf`, and what moves then. */
export interface FittedKit {
  standIns: ReadonlyMap<string, FaceStandIns>;
  moves: KitMoves;
}

/** Of a kit that leaves it to the stacks. */
export const noStandIns: FittedKit = {
  standIns: new Map(),
  moves: { widths: [], paragraphs: 0, untuned: 0, tuned: 0, pages: [], unforetold: [] },
};

/** What a face has until it arrives. */
export interface FaceStandIns {
  bands: StandInBand[];
  /** Text to look at it by. */
  sample: Pick<SampleRun<unknown>, 'text' | 'language' | 'weight' | 'fontSize'>;
}

/** Longer ones fill the page. */
const mostSample = 600;

/** The longest paragraph of the site in a face, at weights of its usual stand-ins; else a sentence. */
function sampleOf(
  face: KitTextFace,
  bands: readonly StandInBand[],
  pages: readonly PageParagraphs<KitTextFace>[],
): FaceStandIns['sample'] {
  const [low, high] = mainBand(bands).weight;
  let longest: FaceStandIns['sample'] | undefined;
  for (const { runs } of pages.flatMap(({ paragraphs }) => paragraphs)) {
    if (runs.some((run) => run.face !== face || run.weight < low || run.weight > high)) continue;
    const text = runs.map((run) => run.text).join('');
    if (text.length <= mostSample && text.length > (longest?.text.length ?? 0))
      longest = { text, language: runs[0].language, weight: runs[0].weight, fontSize: runs[0].fontSize };
  }
  return longest ?? { ...sentencesIn(face, ['en'])[0], weight: usualIn([low, high]) };
}

/** Weights that the site sets text in; all where it sets none in the face. */
function drawnBands(bands: readonly StandInBand[]): StandInBand[] {
  const drawn = bands.filter(({ letters }) => letters > 0);
  return drawn.length > 0 ? drawn : [...bands];
}

/** The stand-ins of a kit by the keys of its faces. @param languages see `fittedStandIns` */
export function standInsOfKit({ faces, pages }: KitText, languages: readonly string[]): FittedKit {
  const { standIns, moves } = fittedStandIns(faces, pages, languages);
  const found = [...standIns]
    .map(([face, bands]) => [face, drawnBands(bands)] as const)
    .filter(([, bands]) => bands.some((band) => band.standIns.length > 0));
  const sum = (of: (page: PageMoves) => number) => moves.reduce((total, page) => total + of(page), 0);
  return {
    standIns: new Map(
      found.map(([face, bands]) => [face.key, { bands, sample: sampleOf(face, bands, pages) }]),
    ),
    moves: {
      widths: [...new Set(moves.map(({ width }) => width))],
      paragraphs: sum(({ paragraphs }) => paragraphs),
      untuned: sum(({ untuned }) => untuned),
      tuned: sum(({ tuned }) => tuned),
      pages: moves.filter(({ tuned }) => tuned > 0),
      unforetold: unforetoldOn(moves),
    },
  };
}

function unforetoldOn(moves: readonly PageMoves[]): KitMoves['unforetold'] {
  const found = new Map<string, PageMoves['unforetold']>();
  for (const { page, unforetold } of moves) {
    const before = found.get(page) ?? { smallCapitals: 0, cells: 0 };
    found.set(page, {
      smallCapitals: Math.max(before.smallCapitals, unforetold.smallCapitals),
      cells: Math.max(before.cells, unforetold.cells),
    });
  }
  return [...found]
    .map(([page, counts]) => ({ page, ...counts }))
    .filter(({ smallCapitals, cells }) => smallCapitals + cells > 0);
}
