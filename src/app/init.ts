import { dirname, join, relative, resolve } from 'node:path';
import type { Source } from '../core/source/index.js';
import { mappedCharacters } from '../core/text/mapped-characters.js';
import { DenseGlyphError } from '../errors.js';
import { filesOf } from '../io/earlier-files.js';
import { projectBrowsers } from '../io/browsers.js';
import { projectFonts, projectSite } from '../io/project-fonts.js';
import { readSite } from '../io/site-folder.js';
import { writeWhole } from '../io/write-whole.js';
import { adoptedLedger } from './adopted-ledger.js';
import { draftConfig, type DraftedFamily } from './draft-config.js';
import { openSources } from './open-sources.js';
import type { OnProgress } from './progress.js';
import type { FoundOnSite } from './scan-pages.js';
import { scannedSite } from './scan-threads.js';

export interface InitRequest {
  /** Font files, archives, folders or globs; all below the folder if none is named. */
  fonts?: readonly string[] | undefined;
  /** What paths start from, and where the config goes. */
  folder: string;
  /** The folder that is served as the site; the likeliest below the folder if left out. */
  site?: string | undefined;
  /** Who answers what would be guessed otherwise. */
  questions?: InitQuestions | undefined;
}

/** What a person is asked, with a guess each. */
export interface InitQuestions {
  /** @returns those that go into the kit */
  families: (found: readonly { family: string; isUsed: boolean; use: string }[]) => Promise<string[]>;
  /** @param taken roles of other families */
  role: (family: string, guess: string, taken: readonly string[]) => Promise<string>;
  /** @returns undefined for URLs that are relative to each page */
  url: (guess: string) => Promise<string | undefined>;
}

export interface InitResult {
  initVersion: 1;
  /** The config that was written, as the user would write its path. */
  file: string;
  /** What is in it. */
  text: string;
  /** Families in it, and those that no page draws. */
  families: string[];
  undrawn: string[];
}

const configName = 'dense-glyph.config.yaml';

/**
 * Drafts a config from the fonts and the site at hand.
 *
 * @throws DenseGlyphError `output-foreign` where there is a config, `face-missing` where there are no fonts
 * @example await init({ folder: process.cwd() });
 */
export async function init(request: InitRequest, progress?: OnProgress): Promise<InitResult> {
  const { folder } = request;
  if (filesOf(folder)(configName) !== undefined)
    throw new DenseGlyphError(
      'output-foreign',
      'there is a config already',
      { file: configName },
      'change it by hand, or move it away',
    );
  const site = request.site ?? (await projectSite(folder));
  const named = request.fonts ?? [];
  const paths = named.length > 0 ? named : await projectFonts(folder);
  if (paths.length === 0)
    throw new DenseGlyphError(
      'face-missing',
      'there is no font file here',
      {},
      'name the fonts: dense-glyph init <fonts…>',
    );
  const sources = await openSources(paths, folder);
  const pages = site === undefined ? [] : await pagesOf(site, folder, progress);
  const notes: string[] = [];
  const best = withoutDoubles(renamed(sources, pages, folder), notes);
  const drawn = usedFamilies(pages);
  const chosen = await chosenSources(best, drawn, request.questions);
  const undrawn = [...new Set(best.filter((one) => !chosen.includes(one)).map(({ face }) => face.family))];
  const out = site === undefined || site === '.' ? 'type' : `${site.replace(/\/$/, '')}/type`;
  const { config, reasons } = await draftConfig(chosen, { folder, out, site, pages }, progress);
  const url = await askRest(config, reasons, request.questions);
  const text = configText(config, { reasons, notes, undrawn, pages, drawn, folder, url });
  writeWhole(join(folder, configName), text);
  return {
    initVersion: 1,
    file: configName,
    text,
    families: config.families.map(({ family }) => family),
    undrawn,
  };
}

/** Those of families that pages use, or that a person wants. */
async function chosenSources(
  sources: readonly Source[],
  used: ReadonlyMap<string, FamilyUse>,
  questions: InitQuestions | undefined,
): Promise<readonly Source[]> {
  const isUsed = (family: string) => used.size === 0 || used.has(family.toLowerCase());
  const guess = sources.filter(({ face }) => isUsed(face.family));
  if (!questions) return guess.length > 0 ? guess : sources;
  const families = [...new Set(sources.map(({ face }) => face.family))];
  const wanted = await questions.families(
    families.map((family) => {
      const use = useText(used.get(family.toLowerCase()));
      return { family, isUsed: guess.length === 0 || isUsed(family), use: use || 'no page draws it' };
    }),
  );
  return sources.filter(({ face }) => wanted.includes(face.family));
}

/** Roles, which are changed in the config, and the URL of the kit. */
async function askRest(
  { families, site, output }: Awaited<ReturnType<typeof draftConfig>>['config'],
  reasons: string[],
  questions: InitQuestions | undefined,
): Promise<string | undefined> {
  if (!questions) return undefined;
  for (const [i, family] of families.entries()) {
    const taken = families.slice(0, i).map(({ role }) => role);
    family.role = await questions.role(family.family, family.role, taken);
  }
  reasons.length = 0;
  return questions.url(urlGuess(site?.root, output.folder));
}

const urlGuess = (root: string | undefined, folder: string): string =>
  `/${relative(root ?? '.', folder).replaceAll('\\', '/')}/`;

async function pagesOf(site: string, folder: string, progress?: OnProgress): Promise<FoundOnSite['pages']> {
  const { pages } = await scannedSite(await readSite([site], folder), false, progress);
  return pages;
}

/** On how many pages each face of a family is, and whether one of them draws it at once. */
interface FamilyUse {
  faces: Map<string, number>;
  isDrawn: boolean;
}

/** Families that pages draw, or may draw, by their names in small letters. */
function usedFamilies(pages: FoundOnSite['pages']): Map<string, FamilyUse> {
  const found = new Map<string, FamilyUse>();
  for (const { faces } of pages) {
    for (const { asked, stack, drawn, possible } of faces.values()) {
      if (drawn.size + possible.size === 0) continue;
      const label = `${asked.weight}${asked.style === 'normal' ? '' : ` ${asked.style}`}`;
      for (const family of stack) {
        const name = family.toLowerCase();
        const known = found.get(name) ?? { faces: new Map<string, number>(), isDrawn: false };
        known.faces.set(label, (known.faces.get(label) ?? 0) + 1);
        known.isDrawn ||= drawn.size > 0;
        found.set(name, known);
      }
    }
  }
  return found;
}

/** Sources under the names that stylesheets call them by: those of the ledger, and of the site's own rules. */
function renamed(sources: readonly Source[], pages: FoundOnSite['pages'], folder: string): Source[] {
  const names = new Map<string, string>();
  for (const { fontFaces } of pages)
    for (const { family, sources: files } of fontFaces)
      for (const { address } of files) if (address !== undefined) names.set(address, family);
  const folders = new Set(sources.map(({ path }) => dirname(resolve(folder, path))));
  for (const one of folders) {
    const ledger = ledgerIn(one);
    for (const { file, family } of ledger?.adopted ?? []) names.set(join(one, file), family);
  }
  return sources.map((source) => {
    const family = names.get(resolve(folder, source.path));
    return family === undefined ? source : { ...source, face: { ...source.face, family } };
  });
}

/** A ledger of another program is none of ours. */
function ledgerIn(folder: string) {
  try {
    return adoptedLedger(folder);
  } catch {
    return undefined;
  }
}

/** Of files that draw the same face, the one with most characters. */
function withoutDoubles(sources: readonly Source[], notes: string[]): Source[] {
  const best = new Map<string, { source: Source; characters: number }>();
  for (const source of sources) {
    const { family, weight, style, stretch } = source.face;
    const key = JSON.stringify([family.toLowerCase(), weight, style, stretch, source.ranges ?? null]);
    const characters = mappedCharacters(source.font).size;
    const known = best.get(key);
    if (known) {
      const [kept, left] = characters > known.characters ? [source, known.source] : [known.source, source];
      notes.push(`${left.path} is not used, as ${kept.path} draws the same face`);
    }
    if (!known || characters > known.characters) best.set(key, { source, characters });
  }
  return [...best.values()].map(({ source }) => source);
}

interface DraftNotes {
  reasons: string[];
  notes: string[];
  undrawn: string[];
  pages: FoundOnSite['pages'];
  drawn: ReadonlyMap<string, FamilyUse>;
  folder: string;
  /** Undefined where nobody said. */
  url: string | undefined;
}

/** The config with what it was drafted from as comments; nothing in it that equals a default. */
function configText(
  { site, output, families }: Awaited<ReturnType<typeof draftConfig>>['config'],
  { reasons, notes, undrawn, pages, drawn, folder, url }: DraftNotes,
): string {
  const languages = [...new Set(pages.flatMap((page) => page.languages))].filter(Boolean).sort();
  const browsers = projectBrowsers(folder);
  const lines = [
    '# Drafted by dense-glyph init from the fonts and pages at hand; docs/config.md says what else there is.',
    ...(site
      ? ['site:', `  root: ${quoted(site.root)}`]
      : ['# site: { root: site }   # where the pages are, so that faces are cut to them']),
    'output:',
    `  folder: ${quoted(output.folder)}`,
    url === undefined
      ? `  # url: ${urlGuess(site?.root, output.folder)}   # the same URL on every page, in the place of relative ones`
      : `  url: ${quoted(url)}`,
    ...(browsers ? [] : ['# reach: "defaults"   # a browserslist query; the project names none']),
    ...(languages.length > 0
      ? [
          `# characters: { languages: [${languages.join(', ')}] }   # all that these languages are written with, beside what pages draw`,
        ]
      : []),
    'families:',
    ...families.flatMap((family) => familyLines(family, reasons, drawn)),
    ...undrawn.map((family) => `# ${family} is left out: no page draws it.`),
    ...notes.map((note) => `# ${note}.`),
  ];
  return `${lines.map(inOneLine).join('\n')}\n`;
}

/** A name may hold what ends a comment. */
const inOneLine = (text: string): string => text.replace(/[\p{Cc}\u2028\u2029]+/gu, ' ');

function familyLines(
  { family, files, role, fallback }: DraftedFamily,
  reasons: readonly string[],
  drawn: DraftNotes['drawn'],
): string[] {
  const use = useText(drawn.get(family.toLowerCase()));
  const reason = reasons.find((one) => one.startsWith(`${family}: role ${role}, `));
  const why = reason?.slice(`${family}: role ${role}, `.length);
  return [
    `  - family: ${quoted(family)}${use ? `   # ${use}` : ''}`,
    ...(files.length === 1
      ? [`    files: [${quoted(files[0])}]`]
      : ['    files:', ...files.map((file) => `      - ${quoted(file)}`)]),
    `    role: ${quoted(role)}${why ? `   # ${why}` : ''}`,
    `    fallback: [${fallback.map(quoted).join(', ')}]`,
  ];
}

/** `drawn: 400 on 2 pages`; empty where no page uses it. */
function useText(use: FamilyUse | undefined): string {
  const faces = [...(use?.faces ?? [])].sort(([, a], [, b]) => b - a);
  const texts = faces.map(([face, pages]) => `${face} on ${pages === 1 ? '1 page' : `${pages} pages`}`);
  const shown = `${texts.slice(0, 4).join(', ')}${texts.length > 4 ? ' …' : ''}`;
  return shown === '' ? '' : `${use?.isDrawn ? 'drawn' : 'may be drawn'}: ${shown}`;
}

/** A YAML scalar; plain where it can't be read as anything else. */
const quoted = (text: string): string =>
  /^[A-Za-z][\w ./-]*$/.test(text) && !/^(true|false|yes|no|on|off|null)$/i.test(text) && !/\s$/.test(text)
    ? text
    : JSON.stringify(text);
