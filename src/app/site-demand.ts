import { join } from 'node:path';
import type { KitConfig } from '../config/schema.js';
import { CodePointSet } from '../core/text/code-point-set.js';
import { markedLetters } from '../core/text/marked-letters.js';
import { parseUnicodeRanges } from '../core/text/parse-ranges.js';
import { DenseGlyphError } from '../errors.js';
import { readSite } from '../io/site-folder.js';
import { demandOnKit, type DemandingPage, type FaceDemand } from '../kit/demand.js';
import type { KitPlan, PlannedFace, WantedOfFace } from '../kit/plan.js';
import type { OnProgress } from './progress.js';
import { scannedSite } from './scan-threads.js';

type CharactersConfig = KitConfig['characters'];

/**
 * Says of each face of a plan what it is cut to: what the site's pages draw, and what the config asks for. Faces that no
 * page draws are left out, unless the config names weights or styles, or no page draws the family at all.
 *
 * @param base the folder that the paths in the config start from
 * @throws DenseGlyphError `file-unreadable`, `call-invalid` for languages that aren't known
 */
export async function planByDemand(
  plan: KitPlan,
  config: KitConfig,
  base: string,
  progress?: OnProgress,
): Promise<KitPlan> {
  const pages = await demandingPages(config, base, progress);
  const demand = pages.length > 0 ? demandOnKit(pages, plan) : new Map<PlannedFace, FaceDemand>();
  const leftOut: PlannedFace[] = [];
  const families: KitPlan['families'] = [];
  for (const [i, family] of plan.families.entries()) {
    const { weights, styles, characters = config.characters } = config.families[i];
    const isDrawn = family.faces.some((face) => demand.has(face));
    const isChosen = weights !== undefined || styles !== undefined;
    const faces: PlannedFace[] = [];
    for (const face of family.faces) {
      const own = demand.get(face);
      // What no page draws of a face that others draw is its rest.
      const isRest = face.source.ranges !== undefined && hasDrawnPart(face, family.faces, demand);
      if (isRest && !own) {
        if (config.rest === 'keep') faces.push(face);
      } else if (isDrawn && !isChosen && !own) leftOut.push(await asNext(face, family.faces, demand));
      else faces.push({ ...face, wanted: await wantedOf(own, characters, config.rest, isDrawn) });
    }
    families.push({ ...family, faces });
  }
  return { families, leftOut };
}

/** Whether pages draw another partial file of the same face. */
const hasDrawnPart = (
  { weight, style, stretch }: PlannedFace,
  family: readonly PlannedFace[],
  demand: ReadonlyMap<PlannedFace, FaceDemand>,
): boolean =>
  family.some(
    (other) =>
      demand.has(other) &&
      other.source.ranges !== undefined &&
      other.style === style &&
      JSON.stringify([other.weight, other.stretch]) === JSON.stringify([weight, stretch]),
  );

/** A face that nothing draws, cut as the one of its family that draws most: what a next style would cost. */
async function asNext(
  face: PlannedFace,
  family: readonly PlannedFace[],
  demand: ReadonlyMap<PlannedFace, FaceDemand>,
): Promise<PlannedFace> {
  const [most] = family
    .flatMap((one) => demand.get(one) ?? [])
    .sort((a, b) => b.characters.size - a.characters.size);
  return { ...face, wanted: await wantedOf(most, {}, 'drop', true) };
}

async function demandingPages(
  { site, characters }: KitConfig,
  base: string,
  progress?: OnProgress,
): Promise<DemandingPage[]> {
  if (!site || characters?.fromSite === false) return [];
  const root = join(base, site.root);
  const named = site.pages?.map((page) => join(root, page)) ?? [root];
  const folder = await readSite(named, root, root).catch((cause: unknown) => {
    // A site that has no pages yet is no mistake; pages that the config names and that aren't there are.
    if (site.pages || !(cause instanceof DenseGlyphError)) throw cause;
    return undefined;
  });
  if (!folder) return [];
  const { pages } = await scannedSite(folder, true, progress);
  return pages.map(({ page, languages, faces, fontFaces, scripts }) => ({
    page,
    languages,
    faces,
    scripts,
    declared: fontFaces.map(({ family }) => family),
  }));
}

/** @param isDrawn whether pages draw another face of the family @returns undefined where it stays whole */
async function wantedOf(
  demand: FaceDemand | undefined,
  config: CharactersConfig,
  rest: KitConfig['rest'],
  isDrawn: boolean,
): Promise<WantedOfFace | undefined> {
  if (!demand && !isDrawn && !config) return undefined;
  const characters = await askedBy(config);
  if (demand) {
    characters.addAll(demand.characters);
    characters.addAll(await charactersOf(demand.languages, false));
  }
  if (characters.size === 0) return undefined;
  const keepsRest = rest === 'keep';
  const marked = new Set([...(demand?.marked ?? []), ...markedLetters(config?.also ?? '')]);
  const nothing = { features: [], pages: [], weights: [], languages: [], rules: [], places: [] };
  if (!demand) return { characters, marked, keepsRest, ...nothing };
  return {
    characters,
    marked,
    features: [...demand.features].sort(),
    keepsRest,
    pages: [...demand.drawnOn].sort(),
    weights: [...demand.weights].sort((a, b) => a - b),
    languages: [...demand.languages].sort(),
    rules: rulesOf(demand),
    places: demand.places,
  };
}

/** Those behind most text first; one that sets several properties once. */
function rulesOf({ rules }: FaceDemand): WantedOfFace['rules'] {
  const found = new Map<string, { rule: WantedOfFace['rules'][number]; pieces: number }>();
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

/** @param areKnown whether a language that isn't known is a mistake; pages may say anything */
async function charactersOf(languages: Iterable<string>, areKnown: boolean): Promise<CodePointSet> {
  const characters = new CodePointSet();
  for (const tag of languages) {
    // What languages are written with takes a file that is only loaded where one is named.
    const { requestedLanguage } = await import('../core/text/requested-language.js');
    try {
      characters.addAll(requestedLanguage(tag).characters);
    } catch (cause) {
      if (areKnown || !(cause instanceof DenseGlyphError)) throw cause;
    }
  }
  return characters;
}
