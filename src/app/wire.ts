import { createTwoFilesPatch } from 'diff';
import { dirname, extname, join, posix, relative, resolve } from 'node:path';
import { loadConfig } from '../config/load.js';
import type { KitConfig } from '../config/schema.js';
import { DenseGlyphError } from '../errors.js';
import { EditedFiles, type EditedFile, type UndoneFile } from '../io/edited-files.js';
import { filesOf } from '../io/earlier-files.js';
import { projectTemplates, stylesheetsBelow } from '../io/project-fonts.js';
import { readBytes } from '../io/read.js';
import { readSite, type SiteFolder } from '../io/site-folder.js';
import { headMarkup } from '../kit/files/head.js';
import { pasted, type PastedForm } from '../kit/files/pasted.js';
import type { Manifest } from '../kit/files/manifest.js';
import { applied } from '../site/edits/edits.js';
import { stylesheetEdits, type ReplacedRules } from '../site/edits/stylesheet-edits.js';
import { stackEdits, withStacks, type StackNames } from '../site/edits/stack-edits.js';
import { wiredTemplate, type WiredTemplate } from '../site/edits/template-edits.js';
import { wiredPage, type PageReference, type PageWiring } from '../site/edits/page-edits.js';
import { adoptedLedger } from './adopted-ledger.js';
import type { OnProgress } from './progress.js';
import type { FoundOnSite } from './scan-pages.js';
import { stackNames } from './stack-names.js';
import { scannedSite } from './scan-threads.js';

export interface WireRequest {
  /** What paths start from. */
  folder: string;
  /** The config, where it isn't found from the folder upwards. */
  config?: string | undefined;
  /** Whether to say what would be changed, and change nothing. */
  dryRun?: boolean | undefined;
  /** Whether to take back what was changed. */
  undo?: boolean | undefined;
  /** Whether stacks that name a family under another name, or nothing behind it, are changed too. */
  stacks?: boolean | undefined;
  /** What to give for pages that don't exist yet, in the place of changing some. */
  print?: PastedForm | undefined;
}

/** What a person has to do. */
export interface ByHand {
  /** Relative to the site. */
  file: string;
  line: number;
  /** In words. */
  what: string;
}

export interface WireResult {
  wireVersion: 1;
  /** The site's root, as the user would write it. */
  site: string;
  /** Files that were changed, or would be: relative to the config, with what changes in each as a unified diff. */
  files: { file: string; diff: string }[];
  /** Files that had the kit already. */
  unchanged: number;
  byHand: ByHand[];
  /** What became of each file, for `undo`. */
  undone?: UndoneFile[];
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
  const { config, base } = await loadConfig(request.folder, request.config);
  const root = resolve(base, config.site?.root ?? '.');
  const shown = relative(request.folder, root).replaceAll('\\', '/') || '.';
  const edited = new EditedFiles(base, join(base, '.dense-glyph'));
  const result = { wireVersion: 1 as const, site: shown, files: [], unchanged: 0, byHand: [] };
  if (request.undo) return { ...result, undone: edited.undo() };
  const kit = resolve(base, config.output.folder);
  const manifest = manifestIn(kit, config.output.folder);
  if (request.print) {
    const url = config.output.url ?? `/${relative(root, kit).replaceAll('\\', '/')}`;
    const css = textOf(readBytes(join(kit, 'kit.css'), 'kit.css'));
    const packages = dependenciesOf(base);
    const parts = { url: url.endsWith('/') ? url : `${url}/`, preloads: manifest.preloads, css, packages };
    return { ...result, printed: pasted(request.print, parts) };
  }
  const named = config.site?.pages?.map((page) => join(root, page)) ?? [root];
  const site = await readSite(named, root, root);
  const found = await scannedSite(site, false, progress);
  const wiring = new SiteWiring({ config, base, root, kit, manifest, site, found });
  if (request.stacks) await wiring.readNames(await stylesheetsBelow(root));
  const templates = wiring.templates(await projectTemplates(base));
  const changes = [...wiring.pages(), ...wiring.stylesheets(), ...templates];
  const changed = changes.filter(({ before, after }) => Buffer.compare(before, after) !== 0);
  if (!request.dryRun) edited.write(changed);
  return {
    ...result,
    files: changed.map(({ file, before, after }) => ({
      file,
      diff: createTwoFilesPatch(file, file, textOf(before), textOf(after), undefined, undefined, {
        context: 2,
      }),
    })),
    unchanged: changes.length - changed.length,
    byHand: wiring.byHand,
  };
}

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

const decoder = new TextDecoder();
const textOf = (bytes: Uint8Array) => decoder.decode(bytes);
// Positions are those of bytes; what isn't ASCII goes through as it is, in whatever encoding.
const asCharacters = (bytes: Uint8Array) => Buffer.from(bytes).toString('latin1');
const asBytes = (text: string) => new Uint8Array(Buffer.from(text, 'latin1'));

function manifestIn(kit: string, shown: string): Manifest {
  const bytes = filesOf(kit)('kit.json');
  if (!bytes)
    throw new DenseGlyphError(
      'kit-missing',
      'there is no kit in it',
      { file: shown },
      'call dense-glyph build',
    );
  return JSON.parse(textOf(bytes)) as Manifest;
}

/** What the parts of a wiring are made from. */
interface WiringParts {
  config: KitConfig;
  base: string;
  root: string;
  /** The kit's folder, absolute. */
  kit: string;
  manifest: Manifest;
  site: SiteFolder;
  found: FoundOnSite;
}

/** Knows what the kit replaces on a site. */
class SiteWiring {
  readonly byHand: ByHand[] = [];
  private readonly families: ReadonlySet<string>;
  /** Families by the stylesheet that was brought home. */
  private readonly adopted = new Map<string, string[]>();
  private readonly hosts = new Set<string>();
  /** Files of the site that rules name which go. */
  private readonly replacedFiles = new Set<string>();
  /** Where stacks are changed too. */
  private stacks: { names: StackNames; files: readonly string[] } | undefined;

  constructor(private readonly parts: WiringParts) {
    const { manifest, base, found } = parts;
    this.families = new Set(manifest.families.map(({ family }) => family.toLowerCase()));
    const folders = manifest.families.flatMap(({ faces }) =>
      faces.map(({ source }) => dirname(resolve(base, source.path))),
    );
    for (const folder of new Set(folders)) this.readLedger(folder);
    for (const { fontFaces } of found.pages) {
      for (const { family, sources } of fontFaces) {
        if (!this.families.has(family.toLowerCase())) continue;
        for (const { address } of sources) if (address !== undefined) this.replacedFiles.add(address);
      }
    }
    for (const { kind, url, file, line } of found.hosted) this.noteByHand(kind, url, file, line);
  }

  pages(): EditedFile[] {
    return this.parts.site.pages.flatMap(({ page, address }) => {
      const before = readBytes(address, page);
      const markup = this.markupFor(page, before);
      if (markup === undefined) return [];
      const html = asCharacters(before);
      const wired = wiredPage(html, {
        markup,
        isReplaced: this.replacedIn(html, address),
        rules: this.rules,
      });
      const after = this.stacks ? withStacks(wired, this.stacks.names) : wired;
      return [{ file: this.fromBase(address), before, after: asBytes(after) }];
    });
  }

  /** Of the site itself, where they have something that goes. */
  stylesheets(): EditedFile[] {
    const { found, root } = this.parts;
    const names = new Set<string>();
    for (const { kind, file } of found.hosted) if (kind === 'import' || kind === 'font') names.add(file);
    for (const { fontFaces } of found.pages) for (const { file } of fontFaces) names.add(file);
    const paths = new Set([...names].map((name) => resolve(root, name)));
    for (const path of this.stacks?.files ?? []) paths.add(path);
    return [...paths].flatMap((path) => {
      const name = relative(root, path);
      if (!/\.css$/i.test(name) || !relative(this.parts.kit, path).startsWith('..')) return [];
      const before = readBytes(path, name);
      const css = asCharacters(before);
      const mark = css.startsWith('ï»¿') ? 3 : 0;
      const kept = applied(css.slice(mark), stylesheetEdits(css.slice(mark), this.rules));
      const own = this.stacks ? applied(kept, stackEdits(kept, this.stacks.names)) : kept;
      const after = css.slice(0, mark) + own;
      return [{ file: this.fromBase(path), before, after: asBytes(after) }];
    });
  }

  /** Files that pages are made from, where their heads are plain HTML; the others are listed. */
  templates(paths: readonly string[]): EditedFile[] {
    const { config, manifest } = this.parts;
    const { url } = config.output;
    return paths.flatMap((path) => {
      const before = readBytes(path, path);
      const source = asCharacters(before);
      const made = wiredTemplate(source, extname(path).slice(1), {
        markup: url === undefined ? '' : headMarkup(manifest.preloads, url.endsWith('/') ? url : `${url}/`),
        isReplaced: this.replacedIn(source, path),
        rules: this.rules,
      });
      const isEdited = 'text' in made && url !== undefined && made.text !== source;
      this.noteTemplate(path, isEdited ? made.text : source, whyNot(made, url));
      return isEdited ? [{ file: this.fromBase(path), before, after: asBytes(made.text) }] : [];
    });
  }

  private noteTemplate(path: string, source: string, why: string): void {
    for (const [i, line] of textOf(asBytes(source)).split('\n').entries()) {
      for (const [address] of line.matchAll(/(?:https?:)?\/\/[^\s"'`<>)]+/g)) {
        if (!this.hosts.has(hostOf(address) ?? '')) continue;
        const what = `a template asks ${address}${why}; put in its place what wire --print html gives`;
        this.byHand.push({ file: this.fromBase(path), line: i + 1, what });
      }
    }
  }

  /** What goes from a page or a template. */
  private replacedIn(html: string, path: string): PageWiring['isReplaced'] {
    return (kind, url) =>
      this.isReplaced(kind, url, path) && (kind !== 'hint' || !this.isAskedOtherwise(html, url));
  }

  /** @param files stylesheets of the site, absolute */
  async readNames(files: readonly string[]): Promise<void> {
    const { config, base, found } = this.parts;
    const names = await stackNames(config, base, found);
    this.stacks = { names, files };
  }

  private readonly rules: ReplacedRules = {
    isImportReplaced: (url) => this.isStylesheetReplaced(url),
    isFamilyReplaced: (family) => this.families.has(family.toLowerCase()),
  };

  private fromBase(path: string): string {
    return relative(this.parts.base, path).replaceAll('\\', '/');
  }

  private readLedger(folder: string): void {
    const ledger = adoptedLedger(folder);
    for (const { url, families } of ledger?.stylesheets ?? []) {
      this.adopted.set(plain(url), families);
      if (URL.canParse(url)) this.hosts.add(new URL(url).host);
    }
    for (const { from } of ledger?.adopted ?? []) if (URL.canParse(from)) this.hosts.add(new URL(from).host);
  }

  private isReplaced(kind: PageReference, url: string, page: string): boolean {
    if (kind === 'stylesheet') return this.isStylesheetReplaced(url) || this.isOfKit(url, page);
    if (kind === 'hint') return this.hosts.has(hostOf(url) ?? '');
    const host = hostOf(url);
    if (host !== undefined) return this.hosts.has(host);
    return this.isOfKit(url, page) || this.replacedFiles.has(this.pathOf(url, page));
  }

  /** Whether a page asks a host for something that the kit has nothing to do with. */
  private isAskedOtherwise(html: string, url: string): boolean {
    const host = hostOf(url);
    const others = html.replace(/<link\b[^>]*>/gi, (link) => {
      const href = /href\s*=\s*["']?([^"'\s>]+)/i.exec(link)?.[1] ?? '';
      const isHint = /preconnect|dns-prefetch|preload/i.test(link);
      return hostOf(href) === host && (isHint || this.isStylesheetReplaced(href)) ? '' : link;
    });
    return others.includes(`//${host}`);
  }

  private isStylesheetReplaced(url: string): boolean {
    const families = this.adopted.get(plain(url));
    return families?.every((family) => this.families.has(family.toLowerCase())) ?? false;
  }

  /** A link to the kit that somebody put in by hand. */
  private isOfKit(url: string, page: string): boolean {
    if (hostOf(url) !== undefined) return false;
    const path = this.pathOf(url, page);
    return path === join(this.parts.kit, 'kit.css') || path.startsWith(join(this.parts.kit, 'faces/'));
  }

  private pathOf(url: string, page: string): string {
    const plainPath = url.replace(/[?#].*$/s, '');
    return plainPath.startsWith('/') ? join(this.parts.root, plainPath) : resolve(dirname(page), plainPath);
  }

  /** @returns undefined where a person has to do it */
  private markupFor(page: string, bytes: Uint8Array): string | undefined {
    const { config, kit, root } = this.parts;
    const say = (what: string) => void this.byHand.push({ file: page, line: 1, what });
    const isWide = (bytes[0] === 0xff && bytes[1] === 0xfe) || (bytes[0] === 0xfe && bytes[1] === 0xff);
    if (isWide) return say('it is UTF-16; save it as UTF-8, or put kit.head.html into its head');
    const { url } = config.output;
    const preloads = this.preloadsOf(page);
    if (url !== undefined) return headMarkup(preloads, url.endsWith('/') ? url : `${url}/`);
    if (/<base\s[^>]*href/i.test(asCharacters(bytes)))
      return say('it has a base element, which relative URLs start from; set output.url in the config');
    const fromRoot = relative(root, kit).replaceAll('\\', '/');
    return headMarkup(preloads, `${posix.relative(posix.dirname(page), fromRoot)}/`);
  }

  /** Those that the page draws; all of them where the pages weren't read. */
  private preloadsOf(page: string): string[] {
    const { preloads, pages } = this.parts.manifest;
    if (pages.length === 0) return preloads;
    const files = pages.find((one) => one.page === page)?.files ?? [];
    return preloads.filter((file) => files.includes(file));
  }

  private noteByHand(kind: string, url: string, file: string, line: number): void {
    const say = (what: string) => void this.byHand.push({ file, line, what });
    if (kind === 'script') say(`a script asks ${url} for a face; take that out of it`);
    else if ((kind === 'stylesheet' || kind === 'import') && !this.isStylesheetReplaced(url)) {
      const families = this.adopted.get(plain(url));
      const lacking = families?.filter((family) => !this.families.has(family.toLowerCase())) ?? [];
      say(
        families
          ? `${url} declares ${lacking.join(', ')} too, which the kit does not have`
          : `${url} was not brought home; call dense-glyph adopt, or leave it`,
      );
    }
  }
}

/** In words that follow on an address. */
function whyNot(made: WiredTemplate, url: string | undefined): string {
  if ('refusal' in made) return `, and ${made.refusal}`;
  // A template is in no folder that a relative URL could start from.
  return url === undefined ? ', and output.url in the config says no URL that fits every page' : '';
}

/** Without what makes no difference. */
const plain = (url: string): string => {
  const address = url.startsWith('//') ? `https:${url}` : url;
  return URL.canParse(address) ? new URL(address).href : address;
};

const hostOf = (url: string): string | undefined => {
  const address = url.startsWith('//') ? `https:${url}` : url;
  return /^https?:/i.test(address) && URL.canParse(address) ? new URL(address).host : undefined;
};
