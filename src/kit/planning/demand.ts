// What pages ask of the faces of a kit

import { CodePointSet } from '../../core/text/code-point-set.js';
import { mappedCharacters } from '../../core/text/mapped-characters.js';
import { drawnBy, type FaceRule } from '../../site/usage/declared-faces.js';
import { parseUnicodeRanges } from '../../core/text/parse-ranges.js';
import { unicodeRangeText } from '../../core/text/unicode-ranges.js';
import type { AskingRule, DrawnPlace, LineFace, PageFace } from '../../site/usage/page-face.js';
import type { ChosenFace, ChosenFamily } from './chosen.js';

/** An element of a page that brings characters to a face. */
export interface DemandingPlace extends DrawnPlace {
  page: string;
  /** The first of the page's languages. */
  language: string | undefined;
}

/** A page with the faces that it asks for. */
export interface DemandingPage {
  page: string;
  languages: readonly string[];
  faces: ReadonlyMap<string, PageFace>;
  /** Faces that it measures lines by, besides. */
  lines: readonly LineFace[];
  /** Families that the page's own rules declare. */
  declared: readonly string[];
  /** Scripts of a page that has hardly any text without them. */
  scripts: number;
  /** Whether it has scripts at all, which may write other text. */
  hasScripts: boolean;
}

/** What pages ask of a face of the kit. */
export interface FaceDemand {
  characters: CodePointSet;
  /** Letters that bear marks which no character composes with them. */
  marked: Set<number>;
  /** Features that styles turn on. */
  features: Set<string>;
  /** For each page that asks for it, which characters it draws on load; none where it only may draw some. */
  pages: Map<string, ReadonlySet<number>>;
  /** For each page on which of its screens browsers fetch it on load, text or none. */
  fetched: Map<string, Set<number>>;
  /** Weights that they ask for. */
  weights: Set<number>;
  /** Whether text sets its weight axis besides (`font-variation-settings`). */
  setsWeight: boolean;
  /** The rules behind it, with how much text each stands behind. */
  rules: Map<string, AskingRule & { pieces: number }>;
  /** Languages of fields that visitors type into, and of pages that a script fills. */
  languages: Set<string>;
  /** Languages of pages that draw it and have scripts. */
  scripted: Set<string>;
  /** Elements that bring characters which none before them has. */
  places: DemandingPlace[];
  /** The characters of those. */
  placed: CodePointSet;
}

/** What the pages of a site ask of each face of a kit, by font matching; faces that nothing asks for aren't there. */
export function demandOnKit(
  pages: readonly DemandingPage[],
  families: readonly ChosenFamily[],
): Map<ChosenFace, FaceDemand> {
  const rules = families.flatMap(({ faces }) => faces.map((face) => [ruleOf(face), face] as const));
  const faceOf = new Map(rules);
  const list = rules.map(([rule]) => rule);
  const demand = new Map<ChosenFace, FaceDemand>();
  const declared = familiesElsewhere(pages);
  for (const page of pages) {
    for (const face of page.faces.values()) {
      const family = familyFor(face, page, families, declared);
      if (family === undefined) continue;
      const asked = { ...face.asked, family };
      const all = new Set([...face.drawn, ...face.possible]);
      for (const { face: rule, characters } of drawnBy(list, asked, face.stack, all)) {
        const planned = rule && faceOf.get(rule);
        if (!planned) continue;
        const known = demandOf(planned, demand);
        addDemand(known, page, face, characters);
        if (characters.some((character) => face.drawn.has(character))) addFetched(known, page, face);
      }
    }
    if (page.scripts > 0) {
      const every = families.flatMap(({ faces }) => faces);
      for (const face of every)
        for (const language of page.languages) demandOf(face, demand).languages.add(language);
    }
  }
  // What draws no text on any page isn't in a kit, whatever lines it measures.
  for (const page of pages) {
    for (const face of [...page.faces.values(), ...page.lines]) {
      const family = familyFor(face, page, families, declared);
      if (family === undefined) continue;
      const [measuring] = drawnBy(list, { ...face.asked, family }, face.stack, new Set([space]));
      const planned = measuring?.face && faceOf.get(measuring.face);
      const known = planned && demand.get(planned);
      if (known) addFetched(known, page, face);
    }
  }
  return demand;
}

/** Families that rules of any page declare, in lower case. */
export const familiesElsewhere = (pages: readonly DemandingPage[]): Set<string> =>
  new Set(pages.flatMap(({ declared }) => declared.map((family) => family.toLowerCase())));

/** Lines are measured by the part that has it (CSS Fonts 4, section 5.2). */
const space = 0x20;

function addFetched({ fetched }: FaceDemand, { page }: DemandingPage, { screens }: LineFace): void {
  if (screens.size > 0) fetched.set(page, new Set([...(fetched.get(page) ?? []), ...screens]));
}

/**
 * The first family of a stack that the kit has and that will be drawn: not where the page itself declares one before it. Behind
 * local fonts it is one of those where other pages declare it, and this one doesn't: Roboto in a stack of system fonts.
 */
export function familyFor(
  { stack }: Pick<PageFace, 'stack'>,
  { declared }: DemandingPage,
  families: readonly ChosenFamily[],
  elsewhere: ReadonlySet<string>,
): string | undefined {
  const own = new Set(declared.map((family) => family.toLowerCase()));
  for (const [i, name] of stack.map((one) => one.toLowerCase()).entries()) {
    const found = families.find(({ family }) => family.toLowerCase() === name)?.family;
    if (found !== undefined && (i === 0 || own.has(name) || !elsewhere.has(name))) return found;
    if (own.has(name)) return undefined;
  }
  return undefined;
}

/** A face of the kit as a rule that pages will have. */
export function ruleOf({ family, weight, style, stretch, source }: ChosenFace): FaceRule {
  const nowhere = { file: '', line: 0, column: 0, conditions: [] };
  const unsaid = { weight: undefined, style: undefined, stretch: undefined, unicodeRange: undefined };
  return {
    family,
    weight,
    style,
    stretch,
    characters: source.ranges,
    source: undefined,
    rule: { ...nowhere, ...unsaid, family, display: undefined, sources: [{ url: source.path }] },
    supply: { characters: mappedCharacters(source.font), bytes: source.size },
  };
}

function demandOf(face: ChosenFace, demand: Map<ChosenFace, FaceDemand>): FaceDemand {
  let known = demand.get(face);
  if (!known) {
    known = {
      characters: new CodePointSet(),
      marked: new Set(),
      features: new Set(),
      pages: new Map(),
      fetched: new Map(),
      weights: new Set(),
      setsWeight: false,
      rules: new Map(),
      languages: new Set(),
      scripted: new Set(),
      places: [],
      placed: new CodePointSet(),
    };
    demand.set(face, known);
  }
  return known;
}

function addDemand(
  demand: FaceDemand,
  { page, languages, hasScripts }: DemandingPage,
  face: PageFace,
  characters: readonly number[],
): void {
  for (const character of characters) demand.characters.add(character);
  for (const character of characters) if (face.marked.has(character)) demand.marked.add(character);
  for (const tag of face.features) demand.features.add(tag);
  for (const language of face.typedIn) demand.languages.add(language);
  if (hasScripts) for (const language of languages) demand.scripted.add(language);
  const drawn = characters.filter((character) => face.drawn.has(character));
  demand.pages.set(page, new Set([...(demand.pages.get(page) ?? []), ...drawn]));
  demand.weights.add(face.asked.weight);
  if ([...face.variations].some((settings) => settings.includes('wght'))) demand.setsWeight = true;
  for (const place of face.places ?? []) addPlace(demand, { ...place, page, language: languages[0] });
  for (const [key, rule] of face.rules) {
    const before = demand.rules.get(key);
    demand.rules.set(key, { ...rule, pieces: rule.pieces + (before?.pieces ?? 0) });
  }
}

function addPlace(demand: FaceDemand, place: DemandingPlace): void {
  const fresh = new CodePointSet();
  parseUnicodeRanges(place.characters).forEach((character) => {
    if (demand.characters.has(character) && !demand.placed.has(character)) fresh.add(character);
  });
  if (fresh.size === 0) return;
  demand.placed.addAll(fresh);
  demand.places.push({ ...place, characters: unicodeRangeText(fresh.ranges()) });
}
