import { dirname, join, relative, resolve } from 'node:path';
import { DenseGlyphError } from '../../errors.js';
import { isWebUrl } from '../../io/addresses.js';
import { filesOf } from '../../io/earlier-files.js';
import { projectBrowsers } from '../../io/browsers.js';
import { projectFonts, projectSite } from '../../io/project-fonts.js';
import { isFolder } from '../../io/read.js';
import { writeWhole } from '../../io/write-whole.js';
import { adoptedFolders, adoptedSheets } from '../project/adopted-sheets.js';
import type { ReadingOptions } from '../project/config-site.js';
import type { OnProgress } from '../progress.js';
import { isKitFolder } from '../project/kit-at-hand.js';
import { openSite } from '../project/reading/open-site.js';
import { demandText, scanOpened, type ScanResult } from '../scanning/scan.js';
import type { FoundOnSite } from '../project/reading/scan-threads.js';
import { configText, urlGuess } from './config-text.js';
import { draftConfig, type DraftedConfig } from './draft-config.js';
import { foundFaces, type FoundFace } from './found-faces.js';
import { withLocalFiles } from './local-files.js';
import { kindOf } from '../project/family-kind.js';
import { familyUses, useText, type FamilyUses } from './uses.js';

export interface InitRequest extends ReadingOptions {
  /** Font files, archives, folders or globs; all below the folder if none is named. */
  fonts?: readonly string[] | undefined;
  /** What paths start from, and where the config goes. */
  folder: string;
  /** The folder that is served as the site, or where it runs; the likeliest below the folder if left out. */
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
  initVersion: 2;
  /** The config that was written, as the user would write its path. */
  file: string;
  /** What is in it. */
  text: string;
  /** Families in it, and those that no page draws. */
  families: string[];
  undrawn: string[];
  /** What was passed over, and why. */
  notes: string[];
  /** What pages draw that a browser read: a file to build from without one. */
  demand?: string;
}

const demandName = 'dense-glyph.demand.json';
const configName = 'dense-glyph.config.yaml';

/** A kit is made from fonts; its own are no sources. */
const fontsAtHand = async (folder: string): Promise<string[]> =>
  (await projectFonts(folder)).filter((path) => !isKitFolder(dirname(dirname(path))));

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
  const paths = named.length > 0 ? named : await fontsAtHand(folder);
  if (paths.length === 0)
    throw new DenseGlyphError(
      'face-missing',
      'there is no font file here',
      {},
      'name the fonts: dense-glyph init <fonts…>',
    );
  const isApp = request.runScripts === true || isWebUrl(site);
  const {
    pages,
    result,
    notes: remote,
  } = site === undefined
    ? { pages: [], notes: [] }
    : await readPages(site, { ...request, fonts: paths, forBuild: isApp }, progress);
  const uses = familyUses(pages);
  const { faces, notes } = await foundFaces(paths, pages, folder);
  notes.push(...remote);
  if (faces.length === 0)
    throw new DenseGlyphError(
      'face-missing',
      'none of the fonts here can be read',
      {},
      notes.slice(0, 3).join('; '),
    );
  const chosen = await chosenFamilies(faces, uses, request.questions);
  const isChosen = ({ family }: FoundFace) => chosen.has(family);
  const drafting = { folder, out: outFor(site, folder), site, isApp, uses };
  const { config, reasons } = draftConfig(faces.filter(isChosen), drafting);
  const { config: others } = draftConfig(
    faces.filter((face) => !isChosen(face)),
    drafting,
  );
  if (isApp && config.site) config.site.demand = demandName;
  const url = isWebUrl(site) ? '/type/' : await askRest(config, reasons, request.questions);
  const text = configText(config, {
    reasons,
    notes,
    undrawn: others.families,
    languages: [...new Set(pages.flatMap((page) => page.languages))].filter(isTag).sort(),
    uses,
    hasBrowsers: hasBrowsers(folder, notes),
    url,
  });
  if (isApp && result) writeWhole(join(folder, demandName), demandText(result));
  writeWhole(join(folder, configName), text);
  return {
    initVersion: 2,
    file: configName,
    text,
    families: config.families.map(({ family }) => family),
    undrawn: others.families.map(({ family }) => family),
    notes,
    ...(isApp && result ? { demand: demandName } : {}),
  };
}

/** Beside the pages; for a server in the folder that bundlers publish as it is. */
function outFor(site: string | undefined, folder: string): string {
  if (isWebUrl(site)) return isFolder(join(folder, 'public')) ? 'public/type' : 'type';
  return site === undefined || site === '.' ? 'type' : `${site.replace(/\/$/, '')}/type`;
}

const isTag = (language: string): boolean => /^[a-z]{2,8}(?:-[a-z0-9]{1,8})*$/i.test(language);

/** A list that can't be read is told, and is no reason to stop. */
function hasBrowsers(folder: string, notes: string[]): boolean {
  try {
    return projectBrowsers(folder) !== undefined;
  } catch (cause) {
    if (!(cause instanceof DenseGlyphError)) throw cause;
    notes.push(`${cause.reason}; reach says which browsers are served`);
    return false;
  }
}

/** Families that pages use, or that a person wants; icons also where nothing is known of pages. */
async function chosenFamilies(
  faces: readonly FoundFace[],
  uses: FamilyUses,
  questions: InitQuestions | undefined,
): Promise<ReadonlySet<string>> {
  const families = [...new Set(faces.map(({ family }) => family))];
  const isUsed = (family: string) => uses.size === 0 || uses.has(family.toLowerCase());
  if (!questions) return new Set(families.filter(isUsed));
  const wanted = await questions.families(
    families.map((family) => {
      const use = useText(uses.get(family.toLowerCase()));
      const isIcons = faces.some((face) => face.family === family && kindOf(family, face.source) === 'icons');
      return {
        family,
        isUsed: isUsed(family),
        use: use || (isIcons ? 'icons; no page draws it' : 'no page draws it'),
      };
    }),
  );
  return new Set(wanted);
}

/** Roles, which are changed in the config, and the URL of the kit. */
async function askRest(
  { families, site, output }: DraftedConfig['config'],
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

/** The pages of a site, read with the stylesheets that came home. */
export const pagesOf = async (
  site: string,
  options: { folder: string } & ReadingOptions,
  progress?: OnProgress,
): Promise<FoundOnSite['pages']> => (await readPages(site, { ...options, forBuild: false }, progress)).pages;

async function readPages(
  site: string,
  {
    folder,
    fonts = [],
    runScripts,
    environment,
    forBuild,
  }: { folder: string; fonts?: readonly string[]; forBuild: boolean } & ReadingOptions,
  progress?: OnProgress,
): Promise<{ pages: FoundOnSite['pages']; result: ScanResult; notes: string[] }> {
  const root = isWebUrl(site) ? folder : resolve(folder, site);
  const home = adoptedSheets(adoptedFolders(folder));
  const named = isWebUrl(site) ? site : relative(folder, root) || '.';
  const opened = await openSite(
    { site: [named], folder, root, home, runScripts: runScripts === true || isWebUrl(site), environment },
    progress,
  );
  try {
    const { pages, result } = await scanOpened(opened, { withPlaces: forBuild, forBuild }, progress);
    const local = isWebUrl(site)
      ? await withLocalFiles(pages, opened.site, fonts, folder)
      : { pages, notes: [] };
    return { ...local, result };
  } finally {
    await opened.end();
  }
}
