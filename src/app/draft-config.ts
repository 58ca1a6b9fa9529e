import { relative, resolve } from 'node:path';
import type { Source } from '../core/source/index.js';
import { post } from '../core/tables/index.js';
import { slug } from '../core/face/slug.js';
import { DenseGlyphError } from '../errors.js';
import { readSite } from '../io/site-folder.js';
import { scannedSite } from './scan-threads.js';
import type { FoundOnSite } from './scan-pages.js';
import type { OnProgress } from './progress.js';

/** What a config is drafted from. */
export interface DraftRequest {
  /** What paths start from. */
  folder: string;
  /** The kit's folder. */
  out: string;
  /** The folder that is served as the site. */
  site?: string | undefined;
  /** Its pages, where they were read already. */
  pages?: FoundOnSite['pages'];
}

/** A config as a file would hold it, and why it is so. */
export interface DraftedConfig {
  config: { site?: { root: string }; output: { folder: string }; families: DraftedFamily[] };
  /** In words, a line each. */
  reasons: string[];
}

export interface DraftedFamily {
  family: string;
  files: string[];
  role: string;
  fallback: string[];
}

/** How a site uses a family. */
interface Use {
  /** Pieces of text behind rules with these selectors. */
  body: number;
  headings: number;
  code: number;
  /** The stack behind it, as the first rule has it that has one. */
  fallback: readonly string[];
}

/**
 * Drafts the config of a kit from font files at hand: families, weights and styles from inside, roles and fallbacks from how
 * the site uses them, else from the kind of face.
 *
 * @throws DenseGlyphError `file-unreadable` for a site without pages
 */
export async function draftConfig(
  sources: readonly Source[],
  request: DraftRequest,
  progress?: OnProgress,
): Promise<DraftedConfig> {
  const reasons: string[] = [];
  const groups = familiesOf(sources, reasons);
  const uses = request.site === undefined ? new Map<string, Use>() : await usesOf(request, progress);
  const families = groups.map(({ family, list }): DraftedFamily => {
    const use = uses.get(family.toLowerCase());
    return {
      family,
      files: [...new Set(list.map(({ path }) => path.replace(/#\d+$/, '')))],
      role: '',
      fallback: use && use.fallback.length > 0 ? [...use.fallback] : [kindOf(list[0])],
    };
  });
  giveRoles(families, uses, groups, reasons);
  return {
    config: {
      ...(request.site === undefined ? {} : { site: { root: pathFrom(request.folder, request.site) } }),
      output: { folder: pathFrom(request.folder, request.out) },
      families,
    },
    reasons,
  };
}

const pathFrom = (folder: string, path: string): string =>
  relative(folder, resolve(folder, path)).replaceAll('\\', '/') || '.';

function familiesOf(sources: readonly Source[], reasons: string[]): { family: string; list: Source[] }[] {
  const groups = new Map<string, Source[]>();
  for (const source of sources) {
    const { family } = source.face;
    if (family === '') {
      const advice = 'write a config that names its family';
      throw new DenseGlyphError('face-missing', 'it says no family', { file: source.path }, advice);
    }
    groups.set(family, [...(groups.get(family) ?? []), source]);
  }
  return Array.from(groups, ([family, list]) => ({ family, list: withoutCovered(family, list, reasons) }));
}

/** Static files of weights that a variable one has too. */
function withoutCovered(family: string, list: readonly Source[], reasons: string[]): Source[] {
  const variable = list.filter(({ face }) => face.weight[0] < face.weight[1]);
  const isCovered = ({ face }: Source) =>
    face.weight[0] === face.weight[1] &&
    variable.some(
      (other) =>
        other.face.style === face.style &&
        other.face.weight[0] <= face.weight[0] &&
        other.face.weight[1] >= face.weight[1],
    );
  const covered = list.filter(isCovered);
  if (covered.length > 0)
    reasons.push(
      `${family}: ${covered.map(({ path }) => path).join(', ')} not used, as a variable file has them`,
    );
  return list.filter((source) => !isCovered(source));
}

/** The generic family that suits a face. */
function kindOf({ font, face }: Source): string {
  if (font.optional(post)?.isFixedPitch) return 'monospace';
  return /serif|slab|antiqua|roman|garamond|bodoni|times/i.test(face.family) && !/sans/i.test(face.family)
    ? 'serif'
    : 'sans-serif';
}

async function usesOf(
  { folder, site, pages: known }: DraftRequest,
  progress?: OnProgress,
): Promise<Map<string, Use>> {
  if (known) return usesOnPages(known);
  const { pages } = await scannedSite(await readSite([site!], folder), false, progress);
  return usesOnPages(pages);
}

const headings = /(^|[\s,>+~])h[1-6]\b|title|head/i;
const code = /(^|[\s,>+~])(code|pre|kbd|samp|tt)\b|mono|code/i;

function usesOnPages(pages: FoundOnSite['pages']): Map<string, Use> {
  const uses = new Map<string, Use>();
  for (const { faces } of pages) {
    for (const { stack, rules, drawn, possible } of faces.values()) {
      const [family, ...fallback] = stack;
      if (family === undefined || drawn.size + possible.size === 0) continue;
      const key = family.toLowerCase();
      const use = uses.get(key) ?? { body: 0, headings: 0, code: 0, fallback };
      if (use.fallback.length === 0) use.fallback = fallback;
      uses.set(key, use);
      for (const { property, selector, pieces } of rules.values()) {
        if (property !== 'font-family') continue;
        use[kindOfText(selector)] += pieces;
      }
    }
  }
  return uses;
}

/** A rule that is for other text too, as a reset of everything, is for the body. */
function kindOfText(selectors: string): 'body' | 'headings' | 'code' {
  const all = selectors.split(',');
  if (all.every((selector) => code.test(selector))) return 'code';
  return all.every((selector) => headings.test(selector)) ? 'headings' : 'body';
}

/** The family of most text is the body, of those for headings the one with most of them. */
function giveRoles(
  families: DraftedFamily[],
  uses: ReadonlyMap<string, Use>,
  groups: readonly { list: Source[] }[],
  reasons: string[],
): void {
  const taken = new Set<string>();
  const give = (family: DraftedFamily | undefined, role: string, why: string) => {
    if (!family || family.role !== '' || taken.has(role)) return;
    family.role = role;
    taken.add(role);
    reasons.push(`${family.family}: role ${role}, ${why}`);
  };
  const mostOf = (kind: 'body' | 'headings' | 'code') =>
    families
      .map((family) => ({ family, pieces: uses.get(family.family.toLowerCase())?.[kind] ?? 0 }))
      .filter(({ family, pieces }) => pieces > 0 && family.role === '')
      .sort((a, b) => b.pieces - a.pieces)[0]?.family;
  give(mostOf('body'), 'body', 'as most text asks for it');
  give(mostOf('headings'), 'heading', 'as headings ask for it');
  give(mostOf('code'), 'code', 'as code asks for it');
  if (!taken.has('body')) {
    const text = families.find((_, i) => kindOf(groups[i].list[0]) !== 'monospace');
    give(text ?? families[0], 'body', 'as it is the first one');
  }
  for (const [i, family] of families.entries()) {
    if (kindOf(groups[i].list[0]) === 'monospace') give(family, 'code', 'as its letters have one width');
    give(family, slug(family.family), 'after its name');
  }
}
