import { basename, dirname, join, relative, resolve, sep } from 'node:path';
import { glob, isDynamicPattern } from 'tinyglobby';
import { DenseGlyphError } from '../errors.js';
import { policiesBelow } from './header-file.js';
import { pathOfAddress, plainAddress } from './addresses.js';
import { entriesOf, infoOf, isReadable, readBytes, shownPath, sizeOfFile } from './read.js';

/** A page on disk. */
export interface FolderPage {
  /** As the user would write it, with slashes. */
  page: string;
  /** Absolute. */
  address: string;
  size: number;
  /** Content-Security-Policy headers that it comes with. */
  policies: readonly string[];
  read(): Uint8Array;
}

/** A site on disk, as another thread can open it again. */
export interface SiteFolder {
  /** What paths are shown from, absolute. */
  base: string;
  /** What URLs with a slash start from, absolute. */
  root: string;
  pages: readonly FolderPage[];
  /** Where stylesheets of other hosts are that came home, by their addresses in full. */
  home: ReadonlyMap<string, string>;
  /** The Content-Security-Policy that a server sends with all pages. */
  policy: string | undefined;
  otherHost: (address: string) => string | undefined;
  adopted: (address: string) => string | undefined;
  addressOf(address: string, from: string): Promise<string | undefined>;
  shown: (address: string) => string;
  named(file: string): Promise<Uint8Array>;
  read(address: string): Promise<Uint8Array>;
  nearest(address: string, from: string): string | undefined;
}

export interface SiteOptions {
  /** What URLs with a slash start from; the folder that is named, for files the current one. */
  root?: string | undefined;
  home?: ReadonlyMap<string, string> | undefined;
  /** The Content-Security-Policy that a server sends with all pages, besides what a file of headers says. */
  policy?: string | undefined;
}

/** Folders that are no part of a site, by name. */
const leftOut: ReadonlySet<string> = new Set(['node_modules']);
const isPage = (name: string) => /\.x?html?$/i.test(name);

/**
 * The pages that folders, files and globs stand for. Kits, node_modules and folders that begin with a dot are left out.
 *
 * @param named relative to `folder`; nothing for `folder` itself
 * @throws DenseGlyphError `file-unreadable`
 */
export async function readSite(
  named: readonly string[],
  folder: string,
  { root, home, policy }: SiteOptions = {},
): Promise<SiteFolder> {
  const paths = new Set<string>();
  let base = folder;
  for (const one of named.length > 0 ? named : ['.']) {
    const path = resolve(folder, one);
    const info = infoOf(path);
    let found: string[] = [];
    if (info?.isDirectory()) {
      if (named.length <= 1) base = path;
      found = pagesBelow(path);
    } else if (info) found = [path];
    else if (isDynamicPattern(one))
      found = (await glob(one, { cwd: folder, absolute: true })).filter(isPage).sort();
    if (found.length === 0) {
      const reason =
        info?.isDirectory() || isDynamicPattern(one) ? 'there is no page in it' : 'there is no such file';
      throw new DenseGlyphError(
        'file-unreadable',
        reason,
        { file: one },
        'name a folder, files or globs of pages',
      );
    }
    for (const page of info?.isDirectory() ? found.sort() : found) paths.add(page);
  }
  return openFolder(base, root === undefined ? base : resolve(folder, root), [...paths], { home, policy });
}

const nowhere: ReadonlyMap<string, string> = new Map();

/** @param paths of the pages, absolute, as are `base` and `root` */
export function openFolder(
  base: string,
  root: string,
  paths: readonly string[],
  { home = nowhere, policy }: Omit<SiteOptions, 'root'> = {},
): SiteFolder {
  const shown = (path: string) => shownPath(path, base);
  const addressOf = (address: string, from: string) => linkedPath(address, from, root);
  const policiesOf = policiesBelow(root);
  const named = policy === undefined ? [] : [policy];
  return {
    base,
    root,
    home,
    policy,
    adopted: (address) => home.get(plainAddress(address)),
    pages: paths.map((path) => ({
      page: shown(path),
      address: path,
      size: sizeOfFile(path),
      policies: [...named, ...policiesOf(relative(root, path).replaceAll('\\', '/'))],
      read: () => readBytes(path, shown(path)),
    })),
    otherHost: (address) => /^(?:https?:)?\/\/(?:[^/?#]*@)?([^/?#]*)/i.exec(address.trim())?.[1],
    shown,
    addressOf: (address, from) => Promise.resolve(addressOf(address, from)),
    named: (file) => Promise.resolve(readBytes(resolve(base, file), file)),
    read: (path) => Promise.resolve(readBytes(path, shown(path))),
    nearest: (address, from) => nearestPath(address, from, root),
  };
}

/** The same where nobody has said what URLs with a slash start from: the nearest folder that fits, up to the root. */
export function withNearestRoots(site: SiteFolder): SiteFolder {
  const { root } = site;
  return {
    ...site,
    addressOf: (address, from) => {
      const found = address.trim().startsWith('/')
        ? foldersUpTo(dirname(from), root).map((folder) => linkedPath(address, from, folder))
        : [linkedPath(address, from, root)];
      return Promise.resolve(found.find((path) => path !== undefined));
    },
  };
}

function foldersUpTo(start: string, end: string): string[] {
  const folders = [start];
  for (let at = start; at !== end && dirname(at) !== at;) folders.push((at = dirname(at)));
  return folders;
}

/** Pages below a folder; of a folder that may not be read itself, so that whoever reads it says so. */
function pagesBelow(folder: string): string[] {
  const found: string[] = [];
  const waiting = [folder];
  for (let one = waiting.pop(); one !== undefined; one = waiting.pop()) {
    const entries = entriesOf(one);
    if (entries === undefined) found.push(one);
    else if (!entries.some(({ name }) => name === 'kit.json'))
      for (const entry of entries) {
        if (entry.name.startsWith('.') || leftOut.has(entry.name)) continue;
        if (entry.isDirectory()) waiting.push(join(one, entry.name));
        else if (isPage(entry.name)) found.push(join(one, entry.name));
      }
  }
  return found;
}

/** Of an address without a scheme. */
function pathOf(address: string): string | undefined {
  const path = pathOfAddress(address);
  return path === undefined || /^[a-z][a-z0-9+.-]*:/i.test(path) ? undefined : path;
}

function linkedPath(address: string, from: string, root: string): string | undefined {
  const path = pathOf(address.trim());
  if (path === undefined) return undefined;
  const full = addressedPath(path, from, root);
  // What a server may not read isn't there for browsers either.
  return isReadable(full) ? full : undefined;
}

/** As URLs have it: a path that leads out of the root ends at the root. Files outside of it are beside each other. */
function addressedPath(path: string, from: string, root: string): string {
  const inside = relative(root, from);
  if (path.startsWith('/')) return join(root, path);
  if (inside.startsWith('..')) return resolve(dirname(from), path);
  return join(root, join('/', dirname(inside), path));
}

/** How many entries are looked at for a file that a path misses. */
const mostEntries = 20_000;

function nearestPath(address: string, from: string, root: string): string | undefined {
  const path = pathOf(address.trim());
  if (path === undefined) return undefined;
  const wanted = basename(path).toLowerCase();
  const found: string[] = [];
  const waiting = [root];
  let looked = 0;
  for (let folder = waiting.pop(); folder !== undefined && looked < mostEntries; folder = waiting.pop()) {
    for (const entry of entriesOf(folder) ?? []) {
      looked++;
      if (entry.name.startsWith('.') || leftOut.has(entry.name)) continue;
      if (entry.isDirectory()) waiting.push(join(folder, entry.name));
      else if (entry.name.toLowerCase() === wanted) found.push(join(folder, entry.name));
    }
  }
  const steps = (one: string) => relative(dirname(from), one).split(sep).length;
  const [best] = found.sort((a, b) => steps(a) - steps(b));
  return best === undefined ? undefined : relative(dirname(from), best).replaceAll('\\', '/');
}
