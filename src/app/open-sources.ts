import { sourcesOf, type Source } from '../core/source/index.js';
import { fontPaths, licenceTextsFor, readFontFiles } from '../io/font-files.js';

/**
 * Font files, opened, with the licence texts beside them.
 *
 * @param files font files, archives, folders or globs
 * @throws DenseGlyphError with the file named
 */
export async function openSources(files: readonly string[], base: string): Promise<Source[]> {
  const sources: Source[] = [];
  for (const path of await fontPaths(files, base)) {
    for (const file of await readFontFiles(path, base)) {
      sources.push(...sourcesOf(file, await licenceTextsFor(file, base)));
    }
  }
  return sources;
}
