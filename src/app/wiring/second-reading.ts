import { resolve } from 'node:path';
import { faceLabel, rangeText, type Range } from '../../core/face/index.js';
import type { SiteFolder } from '../../io/site-folder.js';
import { isBelow, readBytes } from '../../io/read.js';
import {
  drawingOf,
  judgeDrawing,
  stopFor,
  takenApart,
  weightStops,
  type Drawing,
  type Judgement,
  type WeightStops,
} from '../../kit/replacing/index.js';
import type { Site } from '../../site/scanning/site.js';
import type { SiteProblem } from '../../site/usage/found-on-pages.js';
import {
  faceRuleOf,
  fakedBy,
  matchedFace,
  needsNoGlyph,
  type FaceRule,
  type MatchedFace,
} from '../../site/usage/declared-faces.js';
import { isOfHost, type AdoptedFolder } from '../project/adopted-sheets.js';
import type { OnProgress } from '../progress.js';
import type { OpenedSite } from '../project/reading/open-site.js';
import { addSupplies, type KnownSupplies } from '../project/font-supplies.js';
import { scannedSite, type FoundOnSite } from '../project/reading/scan-threads.js';
import type { KitAtHand } from '../project/kit-at-hand.js';
import { pathIn } from './pages.js';

/** Opens pages with what files will hold. */
export type OpenPages = (changed: ReadonlyMap<string, Uint8Array>) => Promise<OpenedSite | undefined>;

/** A character that is drawn otherwise than before. */
export interface DrawnOtherwise {
  page: string;
  /** The face that is asked for: family, weight, style. */
  family: string;
  face: string;
  character: number;
  /** What draws it, in words. */
  before: string;
  after: string;
  judgement: Exclude<Judgement, 'the same'>;
  /** What a policy of the page forbids then, and didn't before, and what to do. */
  forbidden?: Pick<SiteProblem, 'message' | 'advice'> | undefined;
}

/**
 * Reads a site again as it will be, and says what is drawn otherwise than before.
 *
 * @param changed what files will hold, by where they are
 * @param nameFor the names that stacks get in the place of others
 * @param open where scripts run first: the pages as those leave them
 * @throws Error where a page lost the kit with what a host served, which no call is to bring about
 */
export async function drawnOtherwise(
  before: FoundOnSite,
  site: SiteFolder,
  changed: ReadonlyMap<string, Uint8Array>,
  {
    kit,
    folders,
    supplies,
    nameFor = () => undefined,
    open,
  }: {
    kit: KitAtHand;
    folders: readonly AdoptedFolder[];
    supplies: KnownSupplies;
    nameFor?: ((family: string) => string | undefined) | undefined;
    open: OpenPages | undefined;
  },
  progress?: OnProgress,
): Promise<DrawnOtherwise[]> {
  if (changed.size === 0) return [];
  const next = siteWith(site, changed, kit);
  const opened = await open?.(changed);
  const after = await scannedSite({ ...next, pages: opened?.site.pages ?? next.pages }, {}, progress);
  await opened?.end();
  const stops = weightStops(kit.manifest);
  const [was, is] = [await readings(before, supplies, stops), await readings(after, supplies, stops)];
  const isServed = (rule: FaceRule) => isOfHosts(rule, site, folders);
  const own = new Set(kit.manifest.families.map(({ family }) => family.toLowerCase()));
  const isEdited = new Set(site.pages.flatMap(({ page, address }) => (changed.has(address) ? [page] : [])));
  return [...was].flatMap(([page, first]) => {
    const second = is.get(page);
    if (!second) return [];
    if (isEdited.has(page) && hasLostKit(first, second, own, isServed))
      throw new Error(`${page} would ask its host no more, and the kit neither`);
    const forbidden = forbiddenOn(page, before, after);
    return otherwiseOn(first, second, own, nameFor, open !== undefined).map((one) =>
      one.judgement === 'better' ? one : { ...one, forbidden },
    );
  });
}

/** What a policy of a page forbids that it didn't before: something of the kit. */
function forbiddenOn(page: string, before: FoundOnSite, after: FoundOnSite): SiteProblem | undefined {
  const on = ({ problems }: FoundOnSite) =>
    problems.filter(({ code, advice, pages }) => code === 'policy-forbids' && advice && pages.includes(page));
  const known = new Set(on(before).map(({ message }) => message));
  return on(after).find(({ message }) => !known.has(message));
}

function bytesAt(path: string): Uint8Array | undefined {
  try {
    return readBytes(path, path);
  } catch {
    return undefined;
  }
}

/** The site with what files will hold; the kit is where its URL says, wherever that leads. */
function siteWith(site: SiteFolder, changed: ReadonlyMap<string, Uint8Array>, kit: KitAtHand): Site {
  const { url } = kit;
  const inKit = (address: string): string | undefined => {
    if (url === undefined || !address.startsWith(url)) return undefined;
    const path = pathIn(address.slice(url.length), '', { ...site, root: kit.folder });
    return path !== undefined && isBelow(path, kit.folder) ? path : undefined;
  };
  return {
    pages: site.pages.map((page) => {
      const after = changed.get(page.address);
      return after ? { ...page, read: () => after } : page;
    }),
    otherHost: (address) => (inKit(address) === undefined ? site.otherHost(address) : undefined),
    adopted: site.adopted,
    addressOf: async (address, from) => inKit(address) ?? (await site.addressOf(address, from)),
    shown: site.shown,
    named: (file) => site.named(file),
    read: (path) => Promise.resolve(changed.get(resolve(path)) ?? bytesAt(path)),
    nearest: (address, from) => site.nearest(address, from),
  };
}

/** A page with its rules, and what draws what is asked for. */
interface Reading {
  page: string;
  rules: readonly FaceRule[];
  faces: readonly MatchedFace[];
  /** Of files of the kit. */
  stops: WeightStops;
}

async function readings(
  { pages }: FoundOnSite,
  supplies: KnownSupplies,
  stops: WeightStops,
): Promise<Map<string, Reading>> {
  const rules = pages.map(({ fontFaces }) => fontFaces.map(faceRuleOf));
  await addSupplies(
    rules.map((own) => ({ rules: own })),
    { read: (address) => Promise.resolve(bytesAt(address)) },
    supplies,
  );
  return new Map(
    pages.map(({ page, faces }, i) => {
      const matched = Array.from(faces.values(), (face) => matchedFace(face, rules[i]));
      return [page, { page, rules: rules[i], faces: matched, stops }];
    }),
  );
}

const isOfHosts = ({ rule }: FaceRule, site: SiteFolder, folders: readonly AdoptedFolder[]): boolean =>
  folders.some((folder) => isOfHost(folder, resolve(site.base, rule.file)));

/** Whether a page drew a family of the kit by what a host serves, and then has neither that nor any rule of the family. */
function hasLostKit(
  before: Reading,
  after: Reading,
  own: ReadonlySet<string>,
  isServed: (rule: FaceRule) => boolean,
): boolean {
  const named = (rule: FaceRule) => rule.family.toLowerCase();
  const left = new Set(after.rules.map(named));
  return before.faces.some(({ groups }) =>
    groups.some(({ face }) => face && isServed(face) && own.has(named(face)) && !left.has(named(face))),
  );
}

interface Drawn {
  drawing: Drawing | undefined;
  /** In words. */
  name: string;
}

const byLocalFont: Drawn = { drawing: undefined, name: 'a local font' };

/** What a page asks for, by character. */
interface Asked {
  face: MatchedFace;
  stack: readonly string[];
  drawn: Map<number, Drawn>;
}

/** @param mayVary whether scripts ran, which may write other texts each time */
function otherwiseOn(
  before: Reading,
  after: Reading,
  own: ReadonlySet<string>,
  nameFor: (family: string) => string | undefined,
  mayVary: boolean,
): DrawnOtherwise[] {
  const declared = new Set([
    ...own,
    ...[...before.rules, ...after.rules].map(({ family }) => family.toLowerCase()),
  ]);
  const now = askedOn(after, declared, () => undefined);
  const found: DrawnOtherwise[] = [];
  for (const [key, { face, stack, drawn }] of askedOn(before, declared, nameFor)) {
    const next = now.get(key)?.drawn;
    // As the rules that are then would draw the same texts.
    const same = mayVary ? drawnIn(matchedFace(face, after.rules), after) : undefined;
    const apart = takenApart(after.rules, face.asked).map((rules) =>
      drawnIn(matchedFace(face, rules), { ...after, rules }),
    );
    const { weight, style, stretch } = face.asked;
    const label = faceLabel({ weight: [weight, weight], style, stretch: [stretch, stretch] });
    for (const [character, first] of drawn) {
      if (needsNoGlyph(character)) continue;
      const seconds = [
        next?.get(character) ?? same?.get(character),
        ...apart.map((one) => one.get(character)),
      ];
      const [judgement, second] = worst(
        seconds.map((one = byLocalFont) => [
          judgeDrawing(first.drawing, one.drawing, face.asked, stack),
          one,
        ]),
      );
      if (judgement === 'the same') continue;
      found.push({
        page: before.page,
        family: face.stack[0] ?? '',
        face: label,
        character,
        before: first.name,
        after: second.name,
        judgement,
      });
    }
  }
  return found;
}

type Judged = [judgement: Judgement, drawn: Drawn];

/** Of what browsers make of the same rules. */
const worst = (all: readonly Judged[]): Judged =>
  all.find(([judgement]) => judgement !== 'the same' && judgement !== 'better') ?? all[0];

/** Local fonts of a stack don't tell it from others: what they draw is drawn by local fonts. */
function askedOn(
  reading: Reading,
  declared: ReadonlySet<string>,
  nameFor: (family: string) => string | undefined,
): Map<string, Asked> {
  const found = new Map<string, Asked>();
  for (const face of reading.faces) {
    const { weight, style, stretch } = face.asked;
    const stack = face.stack
      .map((name) => (nameFor(name) ?? name).toLowerCase())
      .filter((name) => declared.has(name));
    const key = JSON.stringify([stack, weight, style, stretch, face.mayFake]);
    const asked: Asked = found.get(key) ?? { face, stack, drawn: new Map() };
    found.set(key, asked);
    for (const [character, by] of drawnIn(face, reading)) asked.drawn.set(character, by);
  }
  return found;
}

function drawnIn(face: MatchedFace, reading: Reading): Map<number, Drawn> {
  const found = new Map<number, Drawn>();
  for (const { face: rule, drawn, possible } of face.groups) {
    const by = rule ? drawnByRule(rule, face, reading) : byLocalFont;
    for (const character of [...drawn, ...possible]) found.set(character, by);
  }
  return found;
}

function drawnByRule(rule: FaceRule, face: MatchedFace, { rules, stops }: Reading): Drawn {
  const faked = fakedBy(rule, face);
  const { family, style } = rule;
  const stop = stopFor(rule, face.asked.weight, stops);
  const weight = stop === undefined ? weightsOf(rule, rules) : ([stop, stop] as Range);
  const made = faked.length > 0 ? `, ${faked.join(' and ')} faked` : '';
  return {
    drawing: drawingOf(rule, face.asked, faked, stop),
    name: `${family} ${rangeText(weight).replace(' ', '–')}${style === 'normal' ? '' : ` ${style}`}${made}`,
  };
}

/** All weights for which a file is declared without a gap: a kit may declare them in several rules. */
function weightsOf({ family, style, stretch, weight, source }: FaceRule, all: readonly FaceRule[]): Range {
  let [low, high] = weight;
  const same = all.filter(
    (one) =>
      source?.url !== undefined &&
      one.source?.url === source.url &&
      one.family.toLowerCase() === family.toLowerCase() &&
      one.style === style &&
      one.stretch[0] === stretch[0] &&
      one.stretch[1] === stretch[1],
  );
  for (let before = Infinity; before !== high - low;) {
    before = high - low;
    for (const {
      weight: [from, to],
    } of same)
      if (from <= high + 1 && to >= low - 1) [low, high] = [Math.min(low, from), Math.max(high, to)];
  }
  return [low, high];
}
