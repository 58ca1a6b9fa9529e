import { readdir } from 'node:fs/promises';
import { dirname, join, resolve } from 'node:path';
import { infoOf, readBytes, shownPath } from './read.js';

/** The files of a site, as the readers of pages ask for them. @param folder of the call: paths are shown from there */
export const siteFiles = (folder: string) => ({
  read: (path: string): Uint8Array => readBytes(path, shownPath(path, folder)),
  shown: (path: string): string => shownPath(path, folder),
  linked: (link: string, from: string): string | undefined => linkedFile(link, from, folder),
});

/** The HTML files below a folder, as sorted paths relative to it. */
export async function pagesIn(folder: string): Promise<string[]> {
  const entries = await readdir(folder, { recursive: true });
  return entries
    .map((entry) => entry.replaceAll('\\', '/'))
    .filter((entry) => entry.endsWith('.html'))
    .sort();
}

/**
 * The file that a link stands for, if it is here. Where a site's root is, nobody has said: the nearest folder that fits.
 *
 * @param from the file that the link stands in
 * @param folder the last one that a path with a slash before it may start from
 */
function linkedFile(link: string, from: string, folder: string): string | undefined {
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

const isFile = (path: string) => infoOf(path)?.isFile() === true;

function foldersUpTo(start: string, end: string): string[] {
  const folders = [start];
  for (let at = start; at !== end && dirname(at) !== at;) folders.push((at = dirname(at)));
  return folders;
}
