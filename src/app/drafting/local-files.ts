import { fontPaths } from '../../io/font-files.js';
import { readBytes } from '../../io/read.js';
import { sha256 } from '../../kit/digest.js';
import type { FontFaceDescriptors } from '../../site/css/rules.js';
import type { Site } from '../../site/scanning/site.js';
import type { FoundOnSite } from '../project/reading/scan-threads.js';

/**
 * Pages of a running server whose rules name files of this folder: those with the same bytes.
 *
 * @param paths font files, archives, folders or globs @param folder that they start from, absolute
 * @returns the pages, and what of the server is no file here, a sentence each without its full stop
 */
export async function withLocalFiles(
  pages: FoundOnSite['pages'],
  { read, shown }: Pick<Site, 'read' | 'shown'>,
  paths: readonly string[],
  folder: string,
): Promise<{ pages: FoundOnSite['pages']; notes: string[] }> {
  const here = new Map((await fontPaths(paths, folder)).map((path) => [sha256(readBytes(path, path)), path]));
  const found = new Map<string, string | undefined>();
  const notes: string[] = [];
  const fileOf = async (address: string, family: string): Promise<string | undefined> => {
    if (found.has(address)) return found.get(address);
    const bytes = await read(address);
    const path = bytes && here.get(sha256(bytes));
    found.set(address, path);
    if (bytes && path === undefined)
      notes.push(`${shown(address)} (${family}) is none of the fonts here: name its file, and it is cut too`);
    return path;
  };
  const localised = async (rule: FontFaceDescriptors): Promise<FontFaceDescriptors> => {
    const sources: FontFaceDescriptors['sources'] = [];
    let isFirst = true;
    for (const source of rule.sources) {
      const { address } = source;
      if (address === undefined || !/^https?:/i.test(address)) {
        sources.push(source);
        continue;
      }
      // Browsers take the first that they can read; the others are for older ones.
      const path = isFirst ? await fileOf(address, rule.family) : undefined;
      isFirst = false;
      const { address: _, ...rest } = source;
      sources.push(path === undefined ? rest : { ...rest, address: path });
    }
    return { ...rule, sources };
  };
  const known = new Map<string, Promise<FontFaceDescriptors>>();
  const once = (rule: FontFaceDescriptors) => {
    const key = JSON.stringify([rule, [...(rule.others ?? [])]]);
    const before = known.get(key) ?? localised(rule);
    known.set(key, before);
    return before;
  };
  const local: FoundOnSite['pages'] = [];
  for (const page of pages) {
    const fontFaces: FontFaceDescriptors[] = [];
    for (const rule of page.fontFaces) fontFaces.push(await once(rule));
    local.push({ ...page, fontFaces });
  }
  return { pages: local, notes };
}
