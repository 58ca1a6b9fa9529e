import { relative, resolve } from 'node:path';
import { loadConfig } from '../../config/load.js';
import { readConfig } from '../../config/read.js';
import type { KitConfig } from '../../config/schema.js';
import type { Source } from '../../core/source/index.js';
import { DenseGlyphError } from '../../errors.js';
import { finding, type Finding } from '../../findings.js';
import { filesOf } from '../../io/earlier-files.js';
import { overBudget } from '../../kit/budget.js';
import { earlierCosts, earlierParts } from '../../kit/earlier.js';
import { projectBrowsers } from '../../io/browsers.js';
import { temporaryState } from '../../io/journal.js';
import { writeKit, type KitPlaces } from '../../io/kit-folder.js';
import { processors } from '../../io/processors.js';
import type { KitAddress } from '../../kit/kit.js';
import { makeKit, type KitRequest } from '../../kit/make.js';
import type { Manifest } from '../../kit/files/manifest.js';
import { filesListed, isOfKit, kitUrl, readManifest } from '../../kit/files/read-manifest.js';
import { chosenFaces } from '../../kit/planning/chosen.js';
import { cutToPages } from '../../kit/planning/plan.js';
import { unmetDemand } from '../../kit/planning/unmet.js';
import { kitTextFaces, standInsOfKit, type FittedKit, type KitText } from '../../kit/stand-ins/index.js';
import { reachOf } from '../../kit/reach.js';
import { version } from '../../version.js';
import type { DraftedConfig } from '../drafting/draft-for-fonts.js';
import { Steps, type OnProgress } from '../progress.js';
import { adoptedFolders } from '../project/adopted-sheets.js';
import type { BuildMemory } from '../project/build-memory.js';
import { withCatalogues } from './catalogue-texts.js';
import { configSite, demandingPages, nothingFound, type ReadingOptions } from '../project/config-site.js';
import { keptDemand, type KeptDemand } from '../project/kept-demand.js';
import { keptStylesheets } from './kept-stylesheets.js';
import { isKitFolder } from '../project/kit-at-hand.js';
import { openSources } from '../project/open-sources.js';

export interface BuildRequest extends ReadingOptions {
  /** What paths start from, and how they are shown. */
  folder: string;
  /** The config, where it isn't found from the folder upwards. */
  config?: string | undefined;
  /** Font files, archives, folders or globs, in the place of a config. */
  fonts?: readonly string[] | undefined;
  /** The kit's folder, for `fonts`. */
  out?: string | undefined;
  /** The folder that is served as the site, for `fonts`. */
  site?: string | undefined;
  /** What `scan --save` found, a file, in the place of reading pages. */
  demand?: string | undefined;
  /** Whether to go by a demand that was kept alone: without one faces stay as they are. */
  keptOnly?: boolean | undefined;
  /** Another place for the kit than the config says: a folder, and what browsers ask for, undefined for relative URLs. */
  into?: { folder: string; facts: string; url: string | undefined } | undefined;
}

/** What a kit was made from, for who builds it again when some of it changes: paths, absolute. */
export interface BuildInputs {
  /** Of the config. */
  base: string;
  files: string[];
  /** The folder of the site, where its pages were read. */
  site: string | undefined;
  /** Whether the kit has what its faces have beyond the pages. */
  keepsRest: boolean;
}

export interface BuildResult {
  buildVersion: 1;
  /** The kit's folder, as the user would write it. */
  folder: string;
  /** Where what is known of it is, as the user would write it. */
  facts: string;
  /** The config that was found, as the user would write its path; left out where fonts were named. */
  config?: string;
  /** Where a server has the pages, so that no file of theirs is at hand. */
  servedAt?: string;
  /** False where the folder held the same already. */
  changed: boolean;
  manifest: Manifest;
  /** Where it is over its budget, what was passed over, and, with its pages, what these ask for and it lacks. */
  findings: Finding[];
  /** Without a config file: the config that gives the same, and why it is so. */
  drafted?: DraftedConfig;
}

/**
 * Builds the kit that a config file describes, or one from fonts that are named, and writes it.
 *
 * @throws DenseGlyphError, or AggregateError of them for several mistakes in the config
 * @example const { manifest } = await build({ folder: process.cwd() });
 */
export const build = async (request: BuildRequest, progress?: OnProgress): Promise<BuildResult> =>
  (await buildFrom(request, progress)).result;

/** The same, with what it was made from. @param memory of earlier builds of the same request */
export async function buildFrom(
  request: BuildRequest,
  progress?: OnProgress,
  memory?: BuildMemory,
): Promise<{ result: BuildResult; inputs: BuildInputs }> {
  const { config, base, file, drafted } = await configOf(request, progress);
  const { folder, facts, files, isSiteRead, ...built } = await buildKit(
    config,
    base,
    request,
    progress,
    memory,
  );
  const own = file === undefined ? [] : [resolve(request.folder, file)];
  const root = config.site?.root;
  return {
    result: {
      buildVersion: 1,
      folder: relative(request.folder, folder) || folder,
      facts: relative(request.folder, facts) || facts,
      ...(file === undefined ? {} : { config: file }),
      ...(config.site?.url !== undefined && config.site.root === undefined
        ? { servedAt: config.site.url }
        : {}),
      ...built,
      ...(drafted ? { drafted } : {}),
    },
    inputs: {
      base,
      files: [...own, ...files],
      site: isSiteRead && root !== undefined ? resolve(base, root) : undefined,
      keepsRest: config.rest === 'keep',
    },
  };
}

async function configOf(
  { folder, config: file, fonts = [], out, site, ...reading }: BuildRequest,
  progress?: OnProgress,
): Promise<{ config: KitConfig; base: string; file?: string; drafted?: DraftedConfig }> {
  if (fonts.length === 0) {
    const lost = out === undefined ? site && '--site' : '--out';
    if (lost) {
      const advice = 'name the fonts, or write it into the config';
      throw new DenseGlyphError('call-invalid', `${lost} is for fonts that are named`, {}, advice);
    }
    return loadConfig(folder, file);
  }
  if (file !== undefined) {
    const advice = 'name either the fonts or the config';
    throw new DenseGlyphError('call-invalid', 'both fonts and a config are named', {}, advice);
  }
  if (out === undefined)
    throw new DenseGlyphError('call-invalid', '--out is missing', {}, 'say where the kit goes: --out <dir>');
  const { draftForFonts } = await import('../drafting/draft-for-fonts.js');
  const drafted = await draftForFonts(fonts, { folder, out, site, ...reading }, progress);
  return { config: readConfig(drafted.config, 'the drafted config'), base: folder, drafted };
}

/**
 * Builds the kit of a config and writes it.
 *
 * @param base the folder that the paths in the config start from
 * @returns the kit's folder, absolute, its manifest, and whether anything changed
 * @throws DenseGlyphError
 */
async function buildKit(
  written: KitConfig,
  base: string,
  options: ReadingOptions & Pick<BuildRequest, 'demand' | 'folder' | 'keptOnly' | 'into'>,
  progress?: OnProgress,
  memory?: BuildMemory,
): Promise<Omit<BuildResult, 'buildVersion'> & { files: string[]; isSiteRead: boolean }> {
  const findings: Finding[] = [];
  if (!options.into) refuseInPackages(written);
  const sources = memory?.sources ?? (await sourcesOf(written, base, findings));
  if (memory) memory.sources = sources;
  const { config: read, files: catalogues } = await withCatalogues(written, base, sources);
  const { into } = options;
  const config = into ? { ...read, output: { ...read.output, ...into } } : read;
  const site = configSite(config, base, options);
  const chosen = memory?.chosen ?? chosenFaces(config, sources);
  const faces = memory?.chosen ? memory.faces : kitTextFaces(chosen);
  if (memory) Object.assign(memory, { chosen, faces });
  const { folder, facts, state } = placesOf(config, base);
  const kept = options.runScripts === true ? undefined : demandOf(config, base, options, findings);
  const isSiteRead = kept === undefined && options.keptOnly !== true;
  const found =
    kept || isSiteRead
      ? await demandingPages(config, site, faces, folder, kept, progress, memory)
      : nothingFound;
  const { pages, byScript, texts, visits } = found;
  findings.push(...found.findings);
  findings.push(...unmetDemand(pages, chosen));
  const cut = await cutToPages(config, chosen, pages);
  const steps = new Steps(
    'making the kit',
    cut.families.flatMap(({ faces }) => faces.map(({ source }) => source.size)),
    progress,
  );
  const text = { faces, pages: texts };
  const fitted = memory && rememberedFit(memory, text, config);
  const earlier = earlierKit(facts, folder, base);
  const kit = await makeKit({
    config,
    cut,
    ...earlier,
    text,
    fitted,
    screenfuls: memory?.screenfuls,
    visits,
    kept: keptStylesheets(adoptedFolders(base), cut, pages),
    reach: reachOf(config.reach, config.reach ? undefined : projectBrowsers(base)),
    address: addressOf(config, base),
    version: version(),
    processors: processors(),
    begin: ({ source }) => steps.begin(source.path),
    end: ({ source }) => steps.end(source.size),
  });
  const { manifest } = kit;
  const marks = { listedIn: filesListed, isOfKit };
  const changed = await writeKit({ folder, facts, state }, kit, marks);
  if (byScript.length > 0) findings.push(textByScript(byScript));
  findings.push(...aboutFacts(config, base));
  return {
    folder,
    facts,
    changed,
    manifest,
    findings: [...findings, ...overBudget(manifest, config.budget ?? {})],
    files: filesBehind(config, base, sources, catalogues, options),
    isSiteRead,
  };
}

/** What packages bring is made anew with each installation. */
function refuseInPackages({ output }: KitConfig): void {
  for (const [key, path] of Object.entries({ folder: output.folder, facts: output.facts }))
    if (path.split(/[\\/]/).includes('node_modules'))
      throw new DenseGlyphError(
        'config-invalid',
        `output.${key} is "${path}", which is lost when packages are installed`,
        {},
        'name a folder of your own',
      );
}

/** What was kept; a bundler goes on without what can't be read, with whole faces. */
function demandOf(
  config: KitConfig,
  base: string,
  options: Pick<BuildRequest, 'demand' | 'folder' | 'keptOnly'>,
  findings: Finding[],
): KeptDemand | undefined {
  try {
    return keptDemand(config, base, options);
  } catch (cause) {
    if (!options.keptOnly || !(cause instanceof DenseGlyphError) || cause.code !== 'file-unreadable')
      throw cause;
    const file = cause.place.file ?? '';
    findings.push(
      finding('demand-unreadable', `${file} can't be used, and faces are whole: ${cause.reason}`, { file }),
    );
    return undefined;
  }
}

/** What a kit is made from, beside the config and the pages: absolute. */
function filesBehind(
  { site }: KitConfig,
  base: string,
  sources: readonly (readonly Source[])[],
  catalogues: readonly string[],
  { demand, folder }: Pick<BuildRequest, 'demand' | 'folder'>,
): string[] {
  const files = [
    ...sources.flatMap((list) => list.map(({ path }) => resolve(base, path.replace(/#\d+$/, '')))),
    ...catalogues.map((one) => resolve(base, one)),
    ...(demand === undefined ? [] : [resolve(folder, demand)]),
    ...(site?.demand === undefined ? [] : [resolve(base, site.demand)]),
  ];
  return [...new Set(files)];
}

/** Fitting takes longer than all else: who waits for a kit gets it with what was fitted before, and the rest in a quiet moment. */
function rememberedFit(memory: BuildMemory, text: KitText, { characters }: KitConfig): FittedKit {
  memory.isFitLate = memory.keepsFit && memory.fitted !== undefined;
  if (!memory.isFitLate || !memory.fitted) memory.fitted = standInsOfKit(text, characters?.languages ?? []);
  return memory.fitted;
}

async function sourcesOf({ families }: KitConfig, base: string, findings: Finding[]): Promise<Source[][]> {
  const sources: Source[][] = [];
  for (const { files } of families)
    sources.push(
      await openSources(files, base, ({ reason, place }) =>
        findings.push(finding('file-passed-over', reason, { ...place })),
      ),
    );
  return sources;
}

function textByScript(pages: readonly string[]): Finding {
  const shown = `${pages.slice(0, 4).join(', ')}${pages.length > 4 ? ` and ${pages.length - 4} more` : ''}`;
  return finding('text-by-script', `scripts bring the text of ${shown}`, {
    effect: 'the languages of these pages came in whole, in the place of what scripts write',
    advice: 'call it with --run-scripts, or write site: { scripts: true }',
  });
}

/**
 * What the kit in a folder holds, where it was made by this version; anything else is no kit to go on from.
 *
 * @throws DenseGlyphError `output-foreign` where the facts are those of another kit that is still there
 */
function earlierKit(
  facts: string,
  folder: string,
  base: string,
): Pick<KitRequest, 'earlier' | 'earlierCosts'> {
  const bytes = filesOf(facts)('kit.json');
  const found = bytes && readManifest(bytes);
  if (!found || !('manifest' in found)) return {};
  const { manifest } = found;
  const its = resolve(facts, manifest.folder);
  if (its !== folder) {
    if (!isKitFolder(its)) return {};
    const other = relative(base, its);
    throw new DenseGlyphError(
      'output-foreign',
      `it says what is in the kit in ${other}`,
      { file: relative(base, facts) },
      `name another folder in output.facts, or take ${other} away if it is of no use any more`,
    );
  }
  if (manifest.madeWith !== version()) return {};
  return { earlier: earlierParts(manifest, filesOf(folder)), earlierCosts: earlierCosts(manifest) };
}

/** Absolute. What isn't whole yet is no visitor's business: beside the facts, unless these are published. */
function placesOf(config: KitConfig, base: string): KitPlaces {
  const { output } = config;
  const [folder, facts] = [resolve(base, output.folder), resolve(base, output.facts)];
  return { folder, facts, state: isPublished(facts, config, base) ? temporaryState() : facts };
}

/** Where a config says itself what is served, and its facts lie there. */
function aboutFacts(config: KitConfig, base: string): Finding[] {
  const [root, file] = [config.site?.root, config.output.facts];
  if (root === undefined || !isPublished(resolve(base, file), config, base)) return [];
  return [finding('facts-published', `${file} lies below site.root (${root})`, { file })];
}

/** Whether a folder lies in the one that is served. */
const isPublished = (folder: string, { site }: KitConfig, base: string): boolean =>
  !relative(resolve(base, site?.root ?? '.'), folder).startsWith('..');

function addressOf({ site, output }: KitConfig, base: string): KitAddress {
  const root = resolve(base, site?.root ?? '.');
  const seenFrom = (folder: string) => {
    const path = relative(folder, resolve(base, output.folder)).replaceAll('\\', '/');
    return path === '' ? '' : `${path}/`;
  };
  const url = kitUrl(output.url);
  const address = { fromRoot: seenFrom(root), fromFacts: seenFrom(resolve(base, output.facts)) };
  return url === undefined ? address : { ...address, url };
}
