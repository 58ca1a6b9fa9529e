import { dirname, resolve } from 'node:path';
import { DenseGlyphError, inFile } from '../errors.js';
import type { NamedFile } from '../core/source/named-file.js';
import { infoOf, readBytes, shownPath } from './read.js';

/** A font file that a call or a config names, by itself or in an archive. */
export interface FontFile extends NamedFile {
  /** The archive or the file itself, absolute. */
  from: string;
  /** Licence texts in the same archive; undefined for files outside, which `licenceTextsFor` looks for. */
  licenceTexts?: NamedFile[];
}

/**
 * The paths that files, folders and globs stand for, absolute. Globs and folders take a library that a plain file doesn't need.
 *
 * @param base the folder that relative paths start from
 * @throws DenseGlyphError `file-unreadable`
 */
export async function fontPaths(fonts: readonly string[], base: string): Promise<string[]> {
  if (fonts.every((font) => /^[^*?[\]{}()!]+\.(ttf|otf|ttc|otc|woff2?|eot|zip)$/i.test(font))) {
    return [...new Set(fonts.map((font) => resolve(base, font)))];
  }
  const { expandPaths } = await import('./paths.js');
  const extensions = ['ttf', 'otf', 'ttc', 'otc', 'woff', 'woff2', 'eot', 'zip'];
  return expandPaths(fonts, base, { extensions, noun: 'font file' });
}

/**
 * Reads a file: the font itself, or the fonts of an archive.
 *
 * @param path absolute
 * @param base the folder that shown paths start from
 * @throws DenseGlyphError with the file named
 */
export async function readFontFiles(path: string, base: string): Promise<FontFile[]> {
  const archive = archiveAround(path);
  if (archive !== undefined) {
    const all = await readFontFiles(archive, base);
    const found = all.filter((one) => one.path === shownPath(path, base));
    if (found.length > 0) return found;
    const advice = `it holds ${all
      .map((one) => one.path)
      .slice(0, 6)
      .join(', ')}`;
    throw new DenseGlyphError(
      'file-unreadable',
      'the archive has no such file',
      { file: shownPath(path, base) },
      advice,
    );
  }
  const shown = shownPath(path, base);
  const bytes = readBytes(path, shown);
  const whole: FontFile = { path: shown, bytes, from: path };
  if (bytes[0] !== 0x50) return [whole];
  const { isArchive, readArchive } = await import('./archive.js');
  if (!isArchive(bytes)) return [whole];
  const { fonts, licenceTexts } = await inFile(shown, () => readArchive(bytes));
  const { licenceTextsAround } = await import('./licence-texts.js');
  const within = (file: NamedFile): NamedFile => ({ ...file, path: `${shown}/${file.path}` });
  return fonts.map((font) => ({
    ...within(font),
    from: path,
    licenceTexts: licenceTextsAround(font.path, licenceTexts).map(within),
  }));
}

/** The file that a path leads through, as in `family.zip/Regular.ttf`; undefined where it leads to a file itself. */
function archiveAround(path: string): string | undefined {
  for (let at = dirname(path); dirname(at) !== at; at = dirname(at)) {
    const info = infoOf(at);
    if (info) return info.isFile() ? at : undefined;
  }
  return undefined;
}

/** The licence texts that go with a font file: in its archive, or beside it. */
export async function licenceTextsFor(file: FontFile, base: string): Promise<NamedFile[]> {
  if (file.licenceTexts) return file.licenceTexts;
  const { licenceTextsIn } = await import('./licence-texts.js');
  return licenceTextsIn(dirname(shownPath(file.from, base)), base);
}
