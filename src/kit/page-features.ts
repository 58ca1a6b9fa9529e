import { readFileSync, statSync } from 'node:fs';
import { dirname, join, relative, resolve } from 'node:path';
import { importsOf, pageStyles, requestedFeatures } from '../site/index.js';
import { isPage, mayHaveStyles, type RequestedFeatures } from './styled-files.js';

/**
 * The features that pages and stylesheets turn on. Stylesheets that are linked or imported by a path are read too; those
 * of other hosts, and those that aren't there, are left alone.
 *
 * @param paths pages and stylesheets, absolute; other files say nothing of features
 * @param folder what a path that starts with a slash may start from, besides the folders between it and the page
 */
export function featuresOfPages(paths: readonly string[], folder: string): RequestedFeatures {
  const found = new Map<string, string[]>();
  const waiting = paths.filter(mayHaveStyles);
  const seen = new Set(waiting);
  for (let path = waiting.pop(); path !== undefined; path = waiting.pop()) {
    const { features, links } = readStyles(path, readFileSync(path, 'utf8'));
    for (const tag of features) found.set(tag, [...(found.get(tag) ?? []), relative(folder, path) || path]);
    for (const link of links) {
      const target = pathOf(link, path, folder);
      if (target === undefined || seen.has(target)) continue;
      seen.add(target);
      waiting.push(target);
    }
  }
  for (const files of found.values()) files.sort();
  return new Map([...found].sort(([a], [b]) => (a < b ? -1 : 1)));
}

function readStyles(path: string, text: string): { features: Set<string>; links: string[] } {
  if (!isPage(path)) return { features: requestedFeatures(text), links: importsOf(text) };
  const { stylesheets, declarations, links } = pageStyles(text);
  const features = new Set([
    ...stylesheets.flatMap((css) => [...requestedFeatures(css)]),
    ...declarations.flatMap((css) => [...requestedFeatures(css)]),
  ]);
  return { features, links: [...links, ...stylesheets.flatMap(importsOf)] };
}

/** The file that a link stands for, if it is here. Where a site's root is, nobody has said: the nearest folder that fits. */
function pathOf(link: string, from: string, folder: string): string | undefined {
  if (/^([a-z][a-z0-9+.-]*:|\/\/)/i.test(link)) return undefined;
  let path: string;
  try {
    path = decodeURIComponent(link.replace(/[?#].*$/s, ''));
  } catch {
    return undefined;
  }
  if (path === '') return undefined;
  const roots = path.startsWith('/') ? foldersUpTo(dirname(from), folder) : [dirname(from)];
  return roots.map((root) => resolve(join(root, path))).find(isFile);
}

const isFile = (path: string) => statSync(path, { throwIfNoEntry: false })?.isFile() === true;

function foldersUpTo(start: string, end: string): string[] {
  const folders = [start];
  for (let at = start; at !== end && dirname(at) !== at;) folders.push((at = dirname(at)));
  return folders;
}
