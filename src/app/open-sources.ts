import { dirname, join, resolve } from 'node:path';
import { sourcesOf, type Source } from '../core/source/index.js';
import { fontPaths, licenceTextsFor, readFontFiles } from '../io/font-files.js';
import { faceRuleOf } from '../site/usage/declared-faces.js';
import { adoptedLedger, type AdoptedFile } from './adopted-ledger.js';

/**
 * Font files, opened, with the licence texts beside them. Of adopted ones the ledger knows weight, style and stretch, as pages
 * have asked for them, and which characters partial files are for.
 *
 * @param files font files, archives, folders or globs
 * @throws DenseGlyphError with the file named
 */
export async function openSources(files: readonly string[], base: string): Promise<Source[]> {
  const sources: Source[] = [];
  const ledgers = new Map<string, ReadonlyMap<string, AdoptedFile>>();
  for (const path of await fontPaths(files, base)) {
    const folder = dirname(path);
    let adopted = ledgers.get(folder);
    if (!adopted) ledgers.set(folder, (adopted = adoptedIn(folder)));
    for (const file of await readFontFiles(path, base)) {
      const opened = sourcesOf(file, await licenceTextsFor(file, base));
      sources.push(...opened.map((source) => asAdopted(source, adopted.get(resolve(base, source.path)))));
    }
  }
  return sources;
}

/** By their paths. */
function adoptedIn(folder: string): ReadonlyMap<string, AdoptedFile> {
  try {
    return new Map(adoptedLedger(folder)?.adopted.map((one) => [join(folder, one.file), one]));
  } catch {
    // A file of another program that has the same name.
    return new Map();
  }
}

function asAdopted(source: Source, adopted: AdoptedFile | undefined): Source {
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
