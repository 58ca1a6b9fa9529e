// The second step of a plan: what each face is cut to, and which are left out

import { bytesOfRoundTrip, connections } from '../../config/connections.js';
import type { KitConfig } from '../../config/schema.js';
import { faceKey } from '../../core/face/index.js';
import { CodePointSet } from '../../core/text/code-point-set.js';
import { markedLetters } from '../../core/text/marked-letters.js';
import { parseUnicodeRanges } from '../../core/text/parse-ranges.js';
import { DenseGlyphError } from '../../errors.js';
import type { ChosenFace, ChosenFamily } from './chosen.js';
import type { DemandingPlace, FaceDemand } from './demand.js';

/** What a face is cut to. */
export interface Cut {
  characters: CodePointSet;
  /** Letters that bear marks which no character composes with them. */
  marked: ReadonlySet<number>;
  /** Features beside those that browsers apply without being asked. */
  features: readonly string[];
  /** Whether what is beyond goes into a second part. */
  keepsRest: boolean;
  /** What scripts may write besides, which is taken along where it costs little. */
  alphabets?: Alphabets | undefined;
}

/** Letters that words are made of together: what pages draw most of is taken whole. */
export interface Alphabets {
  /** Small letters, capitals and digits, of each language. */
  sets: readonly CodePointSet[];
  /** What they may cost, in bytes of the file: as much as another request does. */
  mostBytes: number;
}

/** Why a face is there. */
export interface ToldDemand {
  /** Pages that draw it on load. */
  pages: readonly string[];
  /** Pages that may draw it after something happens. */
  mayDraw: readonly string[];
  /** Pages that fetch it on load, each with those of its screens on which it does. */
  fetched: ReadonlyMap<string, ReadonlySet<number>>;
  /** Weights that pages ask for, ascending: of a variable face, where on its axis. */
  weights: readonly number[];
  /** Whether text sets its weight axis besides (`font-variation-settings`). */
  setsWeight: boolean;
  /** Languages that came in, as visitors type in them or a script brings the text. */
  languages: readonly string[];
  /** The rules that ask for it, those behind most text first. */
  rules: readonly { file: string; line: number; selector: string }[];
  /** Which elements bring which characters. */
  places: readonly DemandingPlace[];
}

export interface CutFace extends ChosenFace {
  /** The whole of it if left out. */
  cut?: Cut | undefined;
  demand?: ToldDemand | undefined;
}

export interface CutFamily extends Omit<ChosenFamily, 'faces'> {
  faces: readonly CutFace[];
}

export interface CutFamilies {
  families: readonly CutFamily[];
  /** Faces that are at hand and that no page draws, as they would be shipped. */
  leftOut: readonly CutFace[];
}

type CharactersConfig = KitConfig['characters'];

/**
 * Says of each face what it is cut to: what pages draw, and what the config asks for. Faces that no page draws are left out,
 * unless the config lists them, or no page draws the family at all. Faces of one file are cut alike, as it is one file to
 * fetch.
 *
 * @param config of the same families, in the same order
 * @throws DenseGlyphError `call-invalid` for languages that aren't known
 */
export async function cutToDemand(
  families: readonly ChosenFamily[],
  demand: ReadonlyMap<ChosenFace, FaceDemand>,
  config: Pick<KitConfig, 'families' | 'characters' | 'rest' | 'loading'>,
): Promise<CutFamilies> {
  const mostBytes = Math.min(
    ...config.loading.connections.map((one) =>
      bytesOfRoundTrip(typeof one === 'string' ? connections[one] : one),
    ),
  );
  const leftOut: CutFace[] = [];
  const kept: CutFamily[] = [];
  for (const [i, family] of families.entries()) {
    const { characters = config.characters } = config.families[i];
    const isDrawn = family.faces.some((face) => demand.has(face));
    const faces: CutFace[] = [];
    for (const face of family.faces) {
      const own = demand.get(face);
      // What no page draws of a face that others draw is its rest.
      if (!own && hasDrawnPart(face, family.faces, demand)) {
        if (config.rest === 'keep') faces.push(face);
        continue;
      }
      if (isDrawn && !face.isListed && !own) {
        leftOut.push({ ...face, cut: await cutFor(mostOf(family.faces, demand), {}, 'drop', true, 0) });
        continue;
      }
      const sharing = family.faces
        .filter((other) => areOfOneFile(face, other))
        .flatMap((other) => demand.get(other) ?? []);
      const cut = await cutFor(
        sharing.length > 0 ? sharing : undefined,
        characters,
        config.rest,
        isDrawn,
        mostBytes,
      );
      faces.push({ ...face, ...(cut ? { cut } : {}), ...(own ? { demand: toldOf(own) } : {}) });
    }
    kept.push({ ...family, faces });
  }
  return { families: kept, leftOut };
}

const rangesText = ({ source }: ChosenFace): string => source.ranges?.toJSON() ?? '';

const areOfOneFile = (one: ChosenFace, other: ChosenFace): boolean =>
  one.source.path === other.source.path && rangesText(one) === rangesText(other);

/** Whether pages draw another partial file of the same face. */
const hasDrawnPart = (
  face: ChosenFace,
  family: readonly ChosenFace[],
  demand: ReadonlyMap<ChosenFace, FaceDemand>,
): boolean =>
  face.source.ranges !== undefined &&
  family.some(
    (other) => demand.has(other) && other.source.ranges !== undefined && faceKey(other) === faceKey(face),
  );

/** What the face of a family that draws most is asked for. */
function mostOf(family: readonly ChosenFace[], demand: ReadonlyMap<ChosenFace, FaceDemand>): FaceDemand[] {
  const all = family.flatMap((one) => demand.get(one) ?? []);
  return all.sort((a, b) => b.characters.size - a.characters.size).slice(0, 1);
}

/**
 * @param isDrawn whether pages draw another face of the family
 * @param mostBytes that alphabets may cost
 * @returns undefined where it stays whole
 */
async function cutFor(
  demand: readonly FaceDemand[] | undefined,
  config: CharactersConfig,
  rest: KitConfig['rest'],
  isDrawn: boolean,
  mostBytes: number,
): Promise<Cut | undefined> {
  if (!demand && !isDrawn && !config) return undefined;
  const characters = await askedBy(config);
  for (const one of demand ?? []) {
    characters.addAll(one.characters);
    characters.addAll(await charactersOf(one.languages, false));
  }
  if (characters.size === 0) return undefined;
  const scripted = new Set((demand ?? []).flatMap((one) => [...one.scripted]));
  const isCompleted = rest === 'keep' && config?.alphabets !== 'none';
  const sets = isCompleted ? await alphabetsOf(scripted) : [];
  return {
    characters,
    marked: new Set([
      ...(demand ?? []).flatMap((one) => [...one.marked]),
      ...markedLetters(config?.also ?? ''),
    ]),
    features: [...new Set((demand ?? []).flatMap((one) => [...one.features]))].sort(),
    keepsRest: rest === 'keep',
    ...(sets.length > 0 ? { alphabets: { sets, mostBytes } } : {}),
  };
}

/** A space is drawn by whatever font is there. */
const draws = (characters: ReadonlySet<number>): boolean =>
  [...characters].some((character) => character > 0x20);

function toldOf(demand: FaceDemand): ToldDemand {
  const pages = [...demand.pages].sort(([a], [b]) => (a < b ? -1 : 1));
  return {
    pages: pages.filter(([, characters]) => draws(characters)).map(([page]) => page),
    mayDraw: pages.filter(([, characters]) => !draws(characters)).map(([page]) => page),
    fetched: demand.fetched,
    weights: [...demand.weights].sort((a, b) => a - b),
    setsWeight: demand.setsWeight,
    languages: [...demand.languages].sort(),
    rules: rulesOf(demand),
    places: demand.places,
  };
}

/** Those behind most text first; one that sets several properties once. */
function rulesOf({ rules }: FaceDemand): ToldDemand['rules'] {
  const found = new Map<string, { rule: ToldDemand['rules'][number]; pieces: number }>();
  for (const { file, line, selector, pieces } of rules.values()) {
    const key = JSON.stringify([file, line, selector]);
    const known = found.get(key);
    if (known) known.pieces = Math.max(known.pieces, pieces);
    else found.set(key, { rule: { file, line, selector }, pieces });
  }
  return [...found.values()].sort((a, b) => b.pieces - a.pieces).map(({ rule }) => rule);
}

/** What the config asks for besides. */
async function askedBy(config: CharactersConfig): Promise<CodePointSet> {
  const { ranges = '', also = '', languages = [] } = config ?? {};
  const characters = parseUnicodeRanges(ranges);
  characters.addAll(CodePointSet.ofText(also));
  characters.addAll(await charactersOf(languages, true));
  return characters;
}

const digits = CodePointSet.ofText('0123456789');

/** Small letters, capitals and digits of languages, as far as those are known. */
async function alphabetsOf(languages: ReadonlySet<string>): Promise<CodePointSet[]> {
  if (languages.size === 0) return [];
  const { lettersOfLanguage } = await import('../../core/text/requested-language.js');
  const sets = new Map([[digits.toJSON(), digits]]);
  for (const tag of languages) {
    try {
      const all = lettersOfLanguage(tag).letters.codePoints();
      const small = all.map((one) => String.fromCodePoint(one)).filter((one) => one.toLowerCase() === one);
      for (const form of [small, small.map((one) => one.toUpperCase())]) {
        const set = CodePointSet.ofText(form.filter((one) => [...one].length === 1).join(''));
        if (set.size <= largestAlphabet) sets.set(set.toJSON(), set);
      }
    } catch (cause) {
      // Pages may say anything.
      if (!(cause instanceof DenseGlyphError)) throw cause;
    }
  }
  return [...sets.values()];
}

/** Syllables and ideographs are no alphabet. */
const largestAlphabet = 100;

/** @param areKnown whether a language that isn't known is a mistake; pages may say anything */
async function charactersOf(languages: Iterable<string>, areKnown: boolean): Promise<CodePointSet> {
  const characters = new CodePointSet();
  for (const tag of languages) {
    // What languages are written with takes a file that is only loaded where one is named.
    const { requestedLanguage } = await import('../../core/text/requested-language.js');
    try {
      characters.addAll(requestedLanguage(tag).characters);
    } catch (cause) {
      if (areKnown || !(cause instanceof DenseGlyphError)) throw cause;
    }
  }
  return characters;
}
