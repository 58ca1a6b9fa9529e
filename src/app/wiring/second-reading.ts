import { resolve } from 'node:path';
import { faceLabel, rangeText, type Range } from '../../core/face/index.js';
import { finding, type Finding } from '../../findings.js';
import type { SiteFolder } from '../../io/site-folder.js';
import { isBelow, readBytes } from '../../io/read.js';
import type { Site } from '../../site/scanning/site.js';
import {
  faceRuleOf,
  fakedBy,
  matchedFace,
  needsNoGlyph,
  type FaceRule,
} from '../../site/usage/declared-faces.js';
import type { OnProgress } from '../progress.js';
import type { OpenedSite } from '../scanning/open-site.js';
import { addSupplies } from '../scanning/font-supplies.js';
import { scannedSite, type FoundOnSite } from '../scanning/scan-threads.js';
import { hostOf } from './replaced.js';
import type { KitAtHand } from './kit-at-hand.js';
import { pathIn } from './pages.js';

/** Opens pages with what files will hold. */
export type OpenPages = (changed: ReadonlyMap<string, Uint8Array>) => Promise<OpenedSite | undefined>;

/**
 * Reads a site again as it will be, and says where a face is drawn otherwise than before.
 *
 * @param changed what files will hold, by where they are
 * @param open where scripts run first: the pages as those leave them
 */
export async function drawnOtherwise(
  before: FoundOnSite,
  site: SiteFolder,
  changed: ReadonlyMap<string, Uint8Array>,
  kit: KitAtHand,
  open: OpenPages | undefined,
  progress?: OnProgress,
): Promise<Finding[]> {
  if (changed.size === 0) return [];
  const next = siteWith(site, changed, kit);
  const opened = await open?.(changed);
  const after = await scannedSite({ ...next, pages: opened?.site.pages ?? next.pages }, false, progress);
  await opened?.end();
  const read = (address: string) => Promise.resolve(changed.get(address) ?? bytesAt(address));
  const was = await drawings(before, read);
  const is = await drawings(after, read);
  return told(was, is);
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

/** What draws a character: two that say the same draw it alike. */
interface Drawing {
  /** For comparing. */
  key: string;
  /** For people. */
  name: string;
}

/** By page, by what is asked for, by character. */
type Drawings = Map<string, Map<string, { asked: string; drawn: Map<number, Drawing> }>>;

async function drawings(
  { pages }: FoundOnSite,
  read: (address: string) => Promise<Uint8Array | undefined>,
): Promise<Drawings> {
  const rules = pages.map(({ fontFaces }) => fontFaces.map(faceRuleOf));
  await addSupplies(
    rules.map((own) => ({ rules: own })),
    { read },
  );
  return new Map(
    pages.map(({ page, faces }, i) => {
      const asked = Array.from(faces.values(), (face) => {
        const { groups } = matchedFace(face, rules[i]);
        const drawn = new Map<number, Drawing>();
        for (const { face: rule, drawn: list, possible } of groups) {
          const drawing = drawingOf(
            rule && { ...rule, weight: weightsOf(rule, rules[i]) },
            rule ? fakedBy(rule, face) : [],
          );
          for (const character of [...list, ...possible]) drawn.set(character, drawing);
        }
        const { weight, style, stretch } = face.asked;
        const label = faceLabel({ weight: [weight, weight], style, stretch: [stretch, stretch] });
        const stack = face.stack.map((name) => name.toLowerCase());
        return [
          JSON.stringify([stack, label, face.mayFake]),
          { asked: `${face.stack[0] ?? ''} ${label}`.trim(), drawn },
        ] as const;
      });
      return [page, new Map(asked)];
    }),
  );
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

const localFont: Drawing = { key: '', name: 'a local font' };

function drawingOf(rule: FaceRule | undefined, faked: readonly string[]): Drawing {
  if (!rule) return localFont;
  const { family, weight, style, stretch, slant, descriptors } = rule;
  const made = faked.length > 0 ? `, ${faked.join(' and ')} faked` : '';
  return {
    key: JSON.stringify([
      family.toLowerCase(),
      weight,
      style,
      stretch,
      slant ?? null,
      descriptors ?? null,
      faked,
      isHosted(rule) ? 'host' : '',
    ]),
    name: `${family} ${rangeText(weight).replace(' ', '–')}${style === 'normal' ? '' : ` ${style}`}${made}`,
  };
}

/** A face of a host that isn't at hand is another one than that of the kit, whatever its rule says. */
const isHosted = ({ source, supply }: FaceRule): boolean =>
  !supply && hostOf(source?.url ?? '') !== undefined;

/** So many are told. */
const mostTold = 20;

function told(was: Drawings, is: Drawings): Finding[] {
  const found = new Map<string, { what: string; characters: Set<number>; pages: Set<string> }>();
  for (const [page, faces] of was) {
    const now = is.get(page);
    for (const [key, { asked, drawn }] of faces) {
      const after = now?.get(key)?.drawn;
      for (const [character, before] of drawn) {
        const next = after?.get(character) ?? localFont;
        if (next.key === before.key || needsNoGlyph(character)) continue;
        const what = `${asked}: drawn by ${before.name} before, and by ${next.name} then`;
        const known = found.get(what) ?? { what, characters: new Set(), pages: new Set() };
        known.characters.add(character);
        known.pages.add(page);
        found.set(what, known);
      }
    }
  }
  const all = [...found.values()].sort((a, b) => b.pages.size - a.pages.size);
  return all.slice(0, mostTold).map(({ what, characters, pages }) => {
    const signs = [...characters]
      .filter((one) => one > 0x20)
      .slice(0, 8)
      .map((one) => String.fromCodePoint(one))
      .join('');
    const [first] = pages;
    const others = pages.size > 1 ? `, and on ${pages.size - 1} more pages` : '';
    return finding(
      'drawn-otherwise',
      `${what}${signs ? ` (${signs}${characters.size > 8 ? ' …' : ''})` : ''}${others}`,
      { file: first },
    );
  });
}
