import { dirname, join, resolve } from 'node:path';
import { sourcesOf, type Source } from '../core/source/index.js';
import { fontPaths, licenceTextsFor, readFontFiles } from '../io/font-files.js';
import { faceRuleOf } from '../site/usage/declared-faces.js';
import { adoptedLedger, type AdoptedFace, type AdoptedLedger } from './adopted-ledger.js';

/**
 * Font files, opened, with the licence texts beside them. Of adopted ones the ledger knows weight, style and stretch, as pages
 * have asked for them, and which characters partial files are for. Those that were joined to one, or that others replace, go
 * where these are there too.
 *
 * @param files font files, archives, folders or globs
 * @throws DenseGlyphError with the file named
 */
export async function openSources(files: readonly string[], base: string): Promise<Source[]> {
  const sources: Source[] = [];
  const paths = await fontPaths(files, base);
  const folders = new Map(paths.map((path) => [dirname(path), adoptedIn(dirname(path))]));
  const named = new Set(paths);
  const needless = new Set(
    [...folders].flatMap(([folder, ledger]) => {
      const isNamed = (file: string) => named.has(join(folder, file));
      return [
        ...(ledger?.joined ?? []).flatMap(({ file, from }) => (isNamed(file) ? from : [])),
        ...(ledger?.replaced ?? []).flatMap(({ file, by }) => (by.some(isNamed) ? [file] : [])),
      ].map((file) => join(folder, file));
    }),
  );
  for (const path of paths) {
    if (needless.has(path)) continue;
    const folder = dirname(path);
    const entryAt = (source: Source) => entryOf(folders.get(folder), folder, resolve(base, source.path));
    for (const file of await readFontFiles(path, base)) {
      const opened = sourcesOf(file, await licenceTextsFor(file, base));
      sources.push(...opened.map((source) => asAdopted(source, entryAt(source))));
    }
  }
  return sources;
}

function adoptedIn(folder: string): AdoptedLedger | undefined {
  try {
    return adoptedLedger(folder);
  } catch {
    // A file of another program that has the same name.
    return undefined;
  }
}

function entryOf(ledger: AdoptedLedger | undefined, folder: string, path: string): AdoptedFace | undefined {
  const entries: readonly AdoptedFace[] = [
    ...(ledger?.adopted ?? []),
    ...(ledger?.joined ?? []),
    ...(ledger?.replaced ?? []),
  ];
  return entries.find(({ file }) => join(folder, file) === path);
}

function asAdopted(source: Source, adopted: AdoptedFace | undefined): Source {
  if (!adopted) return source;
  const { family, weight, style, stretch, unicodeRange } = adopted;
  const nowhere = { file: '', line: 0, column: 0, display: undefined, sources: [], conditions: [] };
  const rule = faceRuleOf({ ...nowhere, family, weight, style, stretch, unicodeRange });
  return {
    ...source,
    face: { ...source.face, family, weight: rule.weight, style: rule.style, stretch: rule.stretch },
    ...(rule.characters ? { ranges: rule.characters } : {}),
  };
}
