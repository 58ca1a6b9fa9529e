import { createTwoFilesPatch } from 'diff';
import { join, relative, resolve, sep } from 'node:path';
import { loadConfig } from '../../config/load.js';
import type { KitConfig } from '../../config/schema.js';
import { DenseGlyphError } from '../../errors.js';
import { finding, type Finding } from '../../findings.js';
import { EditedFiles, type EditedFile, type Merge, type UndoneFile } from '../../io/edited-files.js';
import { filesOf } from '../../io/earlier-files.js';
import { projectTemplates, stylesheetsBelow } from '../../io/project-fonts.js';
import { isFolder, readBytes } from '../../io/read.js';
import { readSite } from '../../io/site-folder.js';
import { pasted, type PastedForm } from '../../kit/files/pasted.js';
import { standInStacks } from '../../kit/files/stand-in-stacks.js';
import { withoutFirst } from '../../site/edits/three-way.js';
import { adoptedFolders, adoptedSheets } from '../project/adopted-sheets.js';
import type { OnProgress } from '../progress.js';
import type { ReadingOptions } from '../project/config-site.js';
import { siteRequest } from '../project/config-request.js';
import type { KnownSupplies } from '../project/font-supplies.js';
import { openSite } from '../project/reading/open-site.js';
import { scannedSite, type FoundOnSite } from '../project/reading/scan-threads.js';
import { editableText } from './edited-text.js';
import { addressFindings, kitAtHand, type KitAtHand } from '../project/kit-at-hand.js';
import { wiredPages } from './pages.js';
import { pinnedFiles } from './pinned.js';
import { Replaced } from './replaced.js';
import { heldFindings, otherwiseFindings } from './otherwise-findings.js';
import { drawnOtherwise, type DrawnOtherwise } from './second-reading.js';
import { stackNames, stackProperties } from './stack-names.js';
import { wiredStylesheets } from './stylesheets.js';
import { wiredTemplates } from './templates.js';

export interface WireRequest extends ReadingOptions {
  /** What paths start from. */
  folder: string;
  /** The config, where it isn't found from the folder upwards. */
  config?: string | undefined;
  /** Whether to say what would be changed, or taken back, and change nothing. */
  dryRun?: boolean | undefined;
  /** Whether to take back what was changed. */
  undo?: boolean | undefined;
  /** Whether to change nothing at all where a page would be drawn worse than before. */
  strict?: boolean | undefined;
  /** Whether to write pages that would be drawn worse than before, too. */
  force?: boolean | undefined;
  /** Whether stacks that name a family under another name, or nothing behind it, are changed too; what stands in for it always is. */
  stacks?: boolean | undefined;
  /** What to give for pages that don't exist yet, in the place of changing some. */
  print?: PastedForm | undefined;
}

export interface WireResult {
  wireVersion: 2;
  /** The config that was found, and the site's root, as the user would write them. */
  config: string;
  site: string;
  /** Files that were changed, or would be: relative to the config, with what changes in each as a unified diff. */
  files: { file: string; diff: string }[];
  /** Files that had the kit already, or have no use for it. */
  unchanged: number;
  /** Pages and stylesheets that stay as they are, as a page would be drawn worse: as scan names them. */
  held: string[];
  /** Whether nothing was written because of those. */
  isHeld: boolean;
  /** What stays, what goes unseen, and where a page is drawn otherwise than before. */
  findings: Finding[];
  /** What became of each file, for `undo`. */
  undone?: (Omit<UndoneFile, 'before' | 'after'> & { diff?: string })[];
  /** What to paste, for `print`, and where to. */
  printed?: { text: string; where: string };
}

/**
 * Puts the kit into the pages of its site, and takes out what it replaces; or takes that back.
 *
 * @throws DenseGlyphError `config-missing`, `config-invalid`, `kit-missing`, `file-unreadable`, `output-unwritable`
 * @example await wire({ folder: process.cwd() });
 */
export async function wire(request: WireRequest, progress?: OnProgress): Promise<WireResult> {
  const { config, base, file } = await loadConfig(request.folder, request.config);
  const root = resolve(base, config.site?.root ?? '.');
  const shown = relative(request.folder, root).replaceAll('\\', '/') || '.';
  const edited = new EditedFiles(base, join(base, config.output.facts, 'memory'), mergedBytes);
  const result = {
    wireVersion: 2 as const,
    config: file,
    site: shown,
    files: [],
    unchanged: 0,
    held: [],
    isHeld: false,
    findings: [],
  };
  if (request.undo) return { ...result, undone: edited.undo(request.dryRun).map(toldUndone) };
  if (config.site?.url !== undefined && config.site.root === undefined && !request.print)
    throw new DenseGlyphError(
      'config-invalid',
      'site.url is a running server, and has no pages to write into',
      {},
      'say with site.root where its pages are, or paste what wire --print gives; bundlers have a plugin',
    );
  if (!isFolder(root))
    throw new DenseGlyphError(
      'config-invalid',
      `site.root is "${config.site?.root}", and there is no such folder`,
      {},
      'name the folder that is served as the site',
    );
  const kit = kitAtHand(config, base, root);
  if (request.print) return { ...result, printed: printedFor(request.print, kit, base) };
  if (!request.dryRun) edited.finish();
  const { changed, unchanged, held, findings } = await plannedChanges(
    request,
    { config, base, root, kit },
    progress,
  );
  const isHeld = request.strict === true && held.length > 0;
  if (!request.dryRun && !isHeld) edited.write(changed);
  return {
    ...result,
    files: changed.map(({ file: name, before, after }) => ({
      file: name,
      diff: diffOf(name, before, after),
    })),
    unchanged,
    held,
    isHeld,
    findings: [...findings, ...addressFindings(kit, config.output.folder)],
  };
}

function printedFor(form: PastedForm, kit: KitAtHand, base: string): { text: string; where: string } {
  const url = kit.url ?? `/${kit.fromRoot}/`;
  const css = textOf(readBytes(join(kit.folder, 'kit.css'), 'kit.css'));
  const { preloads, plan } = kit.manifest;
  const module = `./${relative(base, join(kit.facts, 'kit.mjs')).replaceAll('\\', '/')}`;
  return pasted(form, {
    url,
    preloads,
    plan,
    loader: kit.loader,
    css,
    module,
    packages: dependenciesOf(base),
  });
}

/** What a call goes by. */
interface Wiring {
  config: KitConfig;
  /** Absolute, as is `root`. */
  base: string;
  root: string;
  kit: KitAtHand;
}

interface Planned {
  changed: EditedFile[];
  unchanged: number;
  /** Files that stay as they are, as a page would be drawn worse. */
  held: string[];
  findings: Finding[];
}

/** The site as it is, read once. */
async function siteAtHand(request: WireRequest, { config, base, root }: Wiring, progress?: OnProgress) {
  const folders = adoptedFolders(base);
  const runs = request.runScripts === true || config.site?.scripts === true;
  const reading = siteRequest({ ...config.site, url: undefined }, root, runs);
  const site = await readSite(reading.site, root, {
    root,
    home: adoptedSheets(folders),
    policy: reading.policy,
  });
  const open = reading.runScripts
    ? (changed: ReadonlyMap<string, Uint8Array>) =>
        openSite({ ...reading, environment: request.environment, home: site.home, changed }, progress)
    : undefined;
  const opened = await open?.(new Map());
  const found = await scannedSite(opened?.site ?? site, {}, progress);
  await opened?.end();
  return { folders, site, open, found, problems: [...(opened?.problems ?? []), ...found.problems] };
}

/** What files become, what stays, and what is drawn otherwise than before. */
async function plannedChanges(
  request: WireRequest,
  { config, base, root, kit }: Wiring,
  progress?: OnProgress,
): Promise<Planned> {
  const { folders, site, open, found, problems } = await siteAtHand(
    request,
    { config, base, root, kit },
    progress,
  );
  const nameOf = (path: string) => relative(base, path).replaceAll('\\', '/');
  const files = { site, found, kit, named: nameOf };
  const sheets = (await stylesheetsBelow(root)).filter((path) => !path.startsWith(`${kit.folder}${sep}`));
  const pinned = pinnedFiles(site);
  const renamed = request.stacks ? await stackNames(config, base, found) : undefined;
  const names = { ...standInStacks(kit.manifest, stackProperties(site, sheets)), ...renamed };
  const templates = await projectTemplates(base);

  const supplies: KnownSupplies = new Map();
  const held = new Set<string>();
  const worse: DrawnOtherwise[] = [];
  const leftAlone = new Map<string, string>();
  // What is held may leave other pages with something that was to go: they are read again, until none is worse.
  for (;;) {
    const keepsRest = config.rest === 'keep';
    const replaced = await Replaced.on({ found, site, kit, folders, keepsRest, held, supplies });
    const parts = { ...files, replaced, held };
    const made = [
      await wiredPages({ ...parts, stacks: names }),
      wiredStylesheets({ ...parts, stacks: { names, files: sheets }, pinned }),
      wiredTemplates(templates, parts),
    ];
    const changes = made.flatMap((one) => one.files);
    const changed = changes.filter(({ before, after }) => Buffer.compare(before, after) !== 0);
    const after = new Map(changed.map((one) => [resolve(base, one.file), one.after]));
    const reader = { kit, folders, supplies, nameFor: names.nameFor, open };
    const otherwise = await drawnOtherwise(found, site, after, reader, progress);
    const losses = request.force ? [] : otherwise.filter(({ judgement }) => judgement !== 'better');
    const others = heldFor(losses, found, changed, (file) => nameOf(resolve(site.base, file)));
    for (const file of held) others.delete(file);
    if (others.size === 0) {
      const findings = [
        ...heldFindings(worse, kit.manifest, leftAlone),
        ...otherwiseFindings(otherwise),
        ...replaced.findings,
        ...made.flatMap((one) => one.findings),
        ...unreadableFindings(problems),
      ];
      return { changed, unchanged: changes.length - changed.length, held: [...held], findings };
    }
    worse.push(...losses);
    for (const { code, place, message } of made.flatMap((one) => one.findings))
      if (code === 'page-left-alone' && place.file !== undefined) leftAlone.set(place.file, message);
    for (const file of others) held.add(file);
  }
}

const unreadableFindings = (problems: FoundOnSite['problems']): Finding[] =>
  problems
    .filter(({ code }) => code === 'page-unreadable' || code === 'page-unanswered')
    .map(({ code, file, reason }) => finding(code, reason ?? 'it cannot be read', { file }));

/** Pages that would be drawn worse, and the stylesheets among the changes on which they depend. */
function heldFor(
  losses: readonly DrawnOtherwise[],
  found: FoundOnSite,
  changed: readonly EditedFile[],
  nameOf: (file: string) => string,
): Set<string> {
  const pages = new Set(losses.map(({ page }) => page));
  const names = new Set(changed.map(({ file }) => file));
  const sheets = found.pages
    .filter(({ page }) => pages.has(page))
    .flatMap(({ stylesheets }) => stylesheets)
    .filter((file) => names.has(nameOf(file)));
  return new Set([...pages, ...sheets]);
}

const textOf = (bytes: Uint8Array): string => new TextDecoder().decode(bytes);

const diffOf = (file: string, before: Uint8Array, after: Uint8Array): string =>
  createTwoFilesPatch(file, file, textOf(before), textOf(after), undefined, undefined, { context: 2 });

function toldUndone({ before, after, ...undone }: UndoneFile): NonNullable<WireResult['undone']>[number] {
  return before && after ? { ...undone, diff: diffOf(undone.file, before, after) } : undone;
}

/** Takes what wire put into a file out of what somebody made of it since. */
const mergedBytes: Merge = (wired, now, original) => {
  const [first, second, third] = [wired, now, original].map(editableText);
  const result = withoutFirst(first.text, second.text, third.text);
  return 'text' in result ? { merged: second.bytesOf(result.text) } : result;
};

function dependenciesOf(folder: string): string[] {
  const bytes = filesOf(folder)('package.json');
  if (!bytes) return [];
  try {
    const { dependencies, devDependencies } = JSON.parse(textOf(bytes)) as Record<string, object | undefined>;
    return [...Object.keys(dependencies ?? {}), ...Object.keys(devDependencies ?? {})];
  } catch {
    return [];
  }
}
