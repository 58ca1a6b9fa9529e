import { dirname, join, resolve } from 'node:path';
import type { DeclaredFile, FileEntry } from '../../config/face-choice.js';
import { declaredSource, sourcesOf, type Declaration, type Source } from '../../core/source/index.js';
import { parseUnicodeRanges } from '../../core/text/parse-ranges.js';
import { DenseGlyphError, inFile } from '../../errors.js';
import { fontPaths, licenceTextsFor, readFontFiles } from '../../io/font-files.js';
import { shownPath } from '../../io/read.js';
import { declarationOf, ledgerOrNone, type AdoptedFace, type AdoptedLedger } from './ledger.js';

/** Called with what can't be opened, which is passed over then. */
export type OnTrouble = (trouble: DenseGlyphError) => void;

/**
 * Font files, opened, with the licence texts beside them: one source for each face that a rule declares of a file. What a file is
 * declared as the config says, else the ledger of adopted faces, as pages have asked for them; else the file itself. Adopted
 * files that were joined to one, or that others replace, go where these are there too.
 *
 * @param files font files, archives, folders or globs, or a file with what it is declared as
 * @param trouble for files that can't be opened, where others can; those that are named one by one are an error
 * @throws DenseGlyphError with the file named
 */
export async function openSources(
  files: readonly FileEntry[],
  base: string,
  trouble?: OnTrouble,
): Promise<Source[]> {
  const declared = files.filter((one): one is DeclaredFile => typeof one !== 'string');
  const patterns = files.filter((one): one is string => typeof one === 'string');
  const byFile = new Map<string, DeclaredFile[]>();
  for (const one of declared) {
    const path = resolve(base, one.file);
    byFile.set(path, [...(byFile.get(path) ?? []), one]);
  }
  const named = patterns.length > 0 ? await fontPaths(patterns, base) : [];
  const paths = [...new Set([...byFile.keys(), ...named])];
  const folders = new Map(paths.map((path) => [dirname(path), ledgerOrNone(dirname(path))]));
  const needless = needlessFiles(folders, new Set(named));
  const sources: Source[] = [];
  const troubles: DenseGlyphError[] = [];
  for (const path of paths) {
    const own = byFile.get(path);
    if (!own && needless.has(path)) continue;
    try {
      const ledger = folders.get(dirname(path));
      for (const source of await sourcesAt(path, base))
        sources.push(...asDeclared(source, own?.map(declarationIn) ?? declarationsOf(ledger, source, base)));
    } catch (cause) {
      const isNamed = own !== undefined || patterns.some((pattern) => resolve(base, pattern) === path);
      if (!(cause instanceof DenseGlyphError) || !trouble || isNamed) throw cause;
      troubles.push(cause);
    }
  }
  if (sources.length === 0 && troubles.length > 0) throw troubles[0];
  for (const one of troubles) trouble?.(one);
  return sources;
}

/** One for each of the faces that are declared of a file; the file itself where none is. */
const asDeclared = (source: Source, declarations: readonly Declaration[]): Source[] =>
  declarations.length === 0 ? [source] : declarations.map((one) => declaredSource(source, one));

const declarationsOf = (ledger: AdoptedLedger | undefined, { path }: Source, base: string): Declaration[] =>
  entryOf(ledger, resolve(base, path))?.rules.map(declarationOf) ?? [];

/** @param path absolute */
export async function sourcesAt(path: string, base: string): Promise<Source[]> {
  const sources: Source[] = [];
  for (const file of await readFontFiles(path, base))
    sources.push(...sourcesOf(file, await licenceTextsFor(file, base)));
  if (sources.length === 0)
    throw new DenseGlyphError('file-unreadable', 'there is no font in it', { file: shownPath(path, base) });
  return sources;
}

const declarationIn = ({
  file,
  weight,
  style,
  stretch = [100, 100],
  unicodeRange,
  ...drawing
}: DeclaredFile): Declaration => ({
  // The config calls the family.
  family: '',
  weight,
  style,
  stretch,
  ...drawing,
  characters: unicodeRange === undefined ? undefined : inFile(file, () => parseUnicodeRanges(unicodeRange)),
});

/** Adopted files that are named beside what was made of them. */
function needlessFiles(
  folders: ReadonlyMap<string, AdoptedLedger | undefined>,
  named: ReadonlySet<string>,
): Set<string> {
  const found = new Set<string>();
  for (const [folder, ledger] of folders) {
    const isNamed = (file: string) => named.has(join(folder, file));
    for (const { file, from } of ledger?.joined ?? [])
      if (isNamed(file)) for (const one of from) found.add(join(folder, one));
    for (const { file, by } of ledger?.replaced ?? []) if (by.some(isNamed)) found.add(join(folder, file));
  }
  return found;
}

function entryOf(ledger: AdoptedLedger | undefined, path: string): AdoptedFace | undefined {
  const entries: readonly AdoptedFace[] = [
    ...(ledger?.adopted ?? []),
    ...(ledger?.joined ?? []),
    ...(ledger?.replaced ?? []),
  ];
  return entries.find(({ file }) => join(dirname(path), file) === path);
}
