import { createTwoFilesPatch } from 'diff';
import { join, relative, resolve } from 'node:path';
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
import { withoutFirst } from '../../site/edits/three-way.js';
import { adoptedFolders, adoptedSheets } from '../adoption/adopted-sheets.js';
import type { OnProgress } from '../progress.js';
import type { ReadingOptions } from '../building/config-site.js';
import { siteRequest } from '../scanning/config-request.js';
import { openSite } from '../scanning/open-site.js';
import { scannedSite } from '../scanning/scan-threads.js';
import { editableText } from './edited-text.js';
import { addressFindings, kitAtHand, type KitAtHand } from './kit-at-hand.js';
import { wiredPages } from './pages.js';
import { Replaced } from './replaced.js';
import { drawnOtherwise } from './second-reading.js';
import { stackNames } from './stack-names.js';
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
  /** Whether to change nothing where a page would be drawn otherwise than before. */
  strict?: boolean | undefined;
  /** Whether stacks that name a family under another name, or nothing behind it, are changed too. */
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
  /** Whether nothing was written, as a page would be drawn otherwise. */
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
  const edited = new EditedFiles(base, join(base, '.dense-glyph'), mergedBytes);
  const result = {
    wireVersion: 2 as const,
    config: file,
    site: shown,
    files: [],
    unchanged: 0,
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
  const { changed, unchanged, otherwise, findings } = await plannedChanges(
    request,
    { config, base, root, kit },
    progress,
  );
  const isHeld = request.strict === true && otherwise.length > 0;
  if (!request.dryRun && !isHeld) edited.write(changed);
  return {
    ...result,
    files: changed.map(({ file: name, before, after }) => ({
      file: name,
      diff: diffOf(name, before, after),
    })),
    unchanged,
    isHeld,
    findings: [...otherwise, ...addressFindings(kit, config.output.folder), ...findings],
  };
}

function printedFor(form: PastedForm, kit: KitAtHand, base: string): { text: string; where: string } {
  const url = kit.url ?? `/${kit.fromRoot}/`;
  const css = textOf(readBytes(join(kit.folder, 'kit.css'), 'kit.css'));
  const { preloads, plan } = kit.manifest;
  return pasted(form, { url, preloads, plan, loader: kit.loader, css, packages: dependenciesOf(base) });
}

/** What a call goes by. */
interface Wiring {
  config: KitConfig;
  /** Absolute, as is `root`. */
  base: string;
  root: string;
  kit: KitAtHand;
}

/** What files become, what of it is drawn otherwise than before, and what stays. */
async function plannedChanges(
  request: WireRequest,
  { config, base, root, kit }: Wiring,
  progress?: OnProgress,
): Promise<{ changed: EditedFile[]; unchanged: number; otherwise: Finding[]; findings: Finding[] }> {
  const folders = adoptedFolders(base);
  const runs = request.runScripts === true || config.site?.scripts === true;
  const reading = siteRequest({ ...config.site, url: undefined }, root, runs);
  const site = await readSite(reading.site, root, { root, home: adoptedSheets(folders) });
  const open = reading.runScripts
    ? (changed: ReadonlyMap<string, Uint8Array>) =>
        openSite({ ...reading, environment: request.environment, home: site.home, changed }, progress)
    : undefined;
  const opened = await open?.(new Map());
  const found = await scannedSite(opened?.site ?? site, false, progress);
  await opened?.end();
  const read = (address: string) => site.read(address).catch(() => undefined);
  const replaced = await Replaced.on(found, kit, folders, read, config.rest === 'keep');
  const names = request.stacks ? await stackNames(config, base, found) : undefined;
  const nameOf = (path: string) => relative(base, path).replaceAll('\\', '/');
  const parts = { site, found, kit, replaced, named: nameOf };
  const pages = await wiredPages({ ...parts, stacks: names });
  const stacks = names && { names, files: await stylesheetsBelow(root) };
  const stylesheets = wiredStylesheets({ ...parts, stacks });
  const templates = wiredTemplates(await projectTemplates(base), parts);
  const changes = [...pages.files, ...stylesheets.files, ...templates.files];
  const changed = changes.filter(({ before, after }) => Buffer.compare(before, after) !== 0);
  const after = new Map(changed.map((one) => [resolve(base, one.file), one.after]));
  const problems = [...(opened?.problems ?? []), ...found.problems];
  const unreadable = problems.filter(({ code }) => code === 'page-unreadable');
  return {
    changed,
    unchanged: changes.length - changed.length,
    otherwise: await drawnOtherwise(found, site, after, kit, open, progress),
    findings: [
      ...replaced.findings,
      ...pages.findings,
      ...stylesheets.findings,
      ...templates.findings,
      ...unreadable.map(({ file, reason }) =>
        finding('page-unreadable', reason ?? 'it cannot be read', { file }),
      ),
    ],
  };
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
