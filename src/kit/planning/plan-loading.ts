// The last step of a plan where pages were read: what each asks for ahead

import { deflateSync } from 'node:zlib';
import type { KitConfig } from '../../config/schema.js';
import { FaceSetters, keyOf, type KitText, type KitTextFace } from '../stand-ins/index.js';
import {
  connections,
  firstScreenful,
  kitStylesheet,
  ownConnection,
  planPage,
  type Connection,
  type PagePlan,
  type PageFont,
  type PageVisit,
  type PreloadWishes,
} from '../timeline/index.js';
import { groupOf } from './groups.js';
import type { LoadedFace, LoadedFamily } from './loading.js';
import { fetchedPart } from './made.js';

/** What is asked for ahead on each page, and when text is there on each line. */
export interface LoadingPlan {
  connections: Connection[];
  pages: PagePlan[];
}

/** How many letters each face draws of the first screenful, of paragraphs that were looked at before. */
export type Screenfuls = WeakMap<readonly object[], Map<KitTextFace, number>>;

interface PlanRequest {
  families: readonly LoadedFamily[];
  /** As kit.css is written. */
  css: string;
  text: KitText;
  visits: readonly PageVisit[];
  config: Pick<KitConfig, 'families' | 'budget' | 'loading'>;
  screenfuls?: Screenfuls | undefined;
}

/** Where the budget doesn't say: more would compete with the stylesheet and the first picture for the same line. */
const usualPreloads = 2;
/** CSS pixels: a telephone, on which lines are slow, and a desk. */
const [narrow, wide] = [390, 1280];
/** Headers of an answer, bytes. */
const headers = 300;

/** What the plan of each page is made of. */
export interface PlannedVisits {
  connections: Connection[];
  visits: (PageVisit & { fonts: readonly PageFont[] })[];
  wishes: PreloadWishes;
}

/** @param families with what was decided without a plan, which says what stays */
export function plannedVisits(request: PlanRequest): PlannedVisits {
  const { families, css, text, visits, config, screenfuls = new WeakMap() } = request;
  const lines = config.loading.connections.map((one) =>
    typeof one === 'string' ? connections[one] : ownConnection(one),
  );
  const stylesheet = deflateSync(css).length + headers;
  const faces = families.flatMap((family, i) =>
    family.faces.map((face) => ({
      face,
      group: groupOf(family, face),
      preload: config.families[i].loading.preload,
    })),
  );
  const fileOf = (face: LoadedFace) => fetchedPart(face).file;
  const listed = new Set(
    faces.flatMap(({ face, preload }) => (typeof preload === 'object' && face.preload ? [fileOf(face)] : [])),
  );
  const closed = new Set(
    faces.flatMap(({ face, preload, group }) =>
      preload === 'auto' && group === undefined ? [] : [fileOf(face)],
    ),
  );
  const files = new Map(faces.map(({ face }) => [keyOf(face), fileOf(face)]));
  const setters = new Map<KitTextFace, FaceSetters>();
  const settersOf = (face: KitTextFace): FaceSetters => {
    let found = setters.get(face);
    if (!found) setters.set(face, (found = new FaceSetters(face)));
    return found;
  };
  const withFonts = visits.flatMap((visit): PlannedVisits['visits'] => {
    const paragraphsAt = (at: number) =>
      text.pages.find(({ page, width }) => page === visit.page && width === at)?.paragraphs ?? [];
    // What one screen shows and another doesn't would be fetched in vain on that one.
    const onDesk = new Set(paragraphsAt(wide).flatMap(({ runs }) => runs.map(({ face }) => face)));
    const letters = new Map<string, number>();
    const shown = paragraphsAt(narrow);
    const screenful = screenfuls.get(shown) ?? firstScreenful(shown, settersOf);
    screenfuls.set(shown, screenful);
    for (const [face, count] of screenful) {
      const file = files.get(face.key);
      if (file !== undefined && onDesk.has(face)) letters.set(file, (letters.get(file) ?? 0) + count);
    }
    const drawn = new Map(
      faces
        .filter(({ face }) => face.demand?.fetched.has(visit.page) === true)
        .map(({ face, group }) => [fileOf(face), { face, group }]),
    );
    if (drawn.size === 0) return [];
    const fonts = Array.from(drawn, ([key, { face, group }]) => ({
      key,
      origin: visit.origin,
      bytes: fetchedPart(face).bytes.length + headers,
      display: face.display,
      ...(group === undefined ? {} : { group: group.name, after: group.after }),
      letters: letters.get(key) ?? 0,
    }));
    const kit = { key: kitStylesheet, origin: visit.origin, bytes: stylesheet, kind: 'stylesheet' as const };
    return [{ ...visit, blocking: [kit, ...visit.blocking], fonts }];
  });
  const wishes = { most: config.budget?.preloads ?? usualPreloads, listed, closed };
  return { connections: lines, visits: withFonts, wishes };
}

/** The plan of each page, by what it fetches. */
export const planLoading = ({ connections: lines, visits, wishes }: PlannedVisits): LoadingPlan => ({
  connections: lines,
  pages: visits.map((visit) => planPage(visit, lines, wishes)),
});

/** Faces as most pages ask for them, as the head of all of them has to; where the config leaves it to the plan. */
export function withPlan(
  families: readonly LoadedFamily[],
  { pages }: LoadingPlan,
  config: Pick<KitConfig, 'families'>,
): LoadedFamily[] {
  if (pages.length === 0) return [...families];
  return families.map((family, i) => {
    if (config.families[i].loading.preload !== 'auto') return family;
    if (family.group !== undefined) return inGroup(family);
    const faces = family.faces.map((face): LoadedFace => {
      const { file } = fetchedPart(face);
      const own = pages.filter(({ page }) => face.demand?.fetched.has(page) === true);
      const preloading = own.filter(({ preloads }) => preloads.includes(file));
      const preload = preloading.length > 0 && preloading.length * 2 >= pages.length;
      return { ...face, preload, preloadReason: reasonOf(file, own, preload) };
    });
    return { ...family, faces };
  });
}

/** The loader asks for them as soon as the head is read. */
const inGroup = (family: LoadedFamily): LoadedFamily => ({
  ...family,
  faces: family.faces.map((face): LoadedFace => {
    const { name, after } = groupOf(family, face)!;
    const when = after === undefined ? 'at once' : `once ${after} is there`;
    return { ...face, preload: false, preloadReason: `the loader asks for the group ${name} ${when}` };
  }),
});

/** As in `its text is there 0.9 s earlier on a slow phone`. */
function reasonOf(file: string, pages: readonly PagePlan[], preload: boolean): string {
  const effects = pages.flatMap(({ effects: own, next }) =>
    [...own, ...(next ? [next] : [])].filter((one) => one.file === file),
  );
  if (effects.length === 0) return 'no page draws it first; it is asked for when it is needed';
  const slowest = effects.map(({ lines: [first] }) => first).sort((a, b) => a.gain - b.gain)[
    effects.length >> 1
  ];
  const { connection, gain, cost } = slowest;
  const later = cost >= 10 ? `, the first drawing ${foretold(cost)} later` : '';
  if (!preload && gain < 10) return 'it would bring nothing';
  const words = `text in it ${foretold(gain)} earlier on a ${connection}${later}`;
  const some = pages.filter(({ preloads }) => preloads.includes(file)).length;
  if (preload) return words;
  return some > 0 ? `on ${some === 1 ? 'a page' : `${some} pages`}: ${words}` : `it would bring ${words}`;
}

/** What is foretold isn't known to the hundredth. */
const foretold = (milliseconds: number) => `${(milliseconds / 1000).toFixed(milliseconds < 95 ? 2 : 1)} s`;
