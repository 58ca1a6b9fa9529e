import { readFileSync } from 'node:fs';
import { resolve } from 'node:path';
import { DenseGlyphError } from '../core/errors.js';
import type { NamedFile } from '../kit/named-file.js';

/** A font file that a call names, by itself or in an archive. */
export interface InputFont extends NamedFile {
  /** The archive or the file itself, absolute. */
  from: string;
  /** Licence texts in the same archive; undefined for files outside. */
  licenceTexts?: NamedFile[];
}

/**
 * The paths that a call names. Globs and folders take a library that a plain file doesn't need.
 *
 * @throws DenseGlyphError `file-unreadable`
 */
export async function fontPaths(fonts: readonly string[], folder: string): Promise<string[]> {
  if (fonts.every((font) => /^[^*?[\]{}()!]+\.(ttf|otf|ttc|otc|woff2?|eot|zip)$/i.test(font))) {
    return [...new Set(fonts.map((font) => resolve(folder, font)))];
  }
  const { expandPaths } = await import('../kit/sources.js');
  return expandPaths(fonts, folder);
}

/**
 * Reads a file: the font itself, or the fonts of an archive.
 *
 * @param shown the path as the user would write it
 * @throws DenseGlyphError
 */
export async function fontsIn(path: string, shown: string): Promise<InputFont[]> {
  const bytes = read(path, shown);
  const { isArchive, readArchive } = bytes[0] === 0x50 ? await import('../kit/archive.js') : {};
  if (!isArchive?.(bytes) || !readArchive) return [{ path: shown, bytes, from: path }];
  const { fonts, licenceTexts } = await readArchive(bytes).catch((cause: unknown) => {
    throw cause instanceof DenseGlyphError ? cause.inFile(shown) : cause;
  });
  const { licenceTextsAround } = await import('../kit/licence-texts.js');
  return fonts.map((font) => ({
    bytes: font.bytes,
    path: `${shown}/${font.path}`,
    from: path,
    licenceTexts: licenceTextsAround(font.path, licenceTexts),
  }));
}

/** In one read, as the asynchronous one gathers a large file in pieces and joins them. */
function read(path: string, shown: string): Uint8Array {
  try {
    return readFileSync(path);
  } catch (cause) {
    const missing = (cause as NodeJS.ErrnoException).code === 'ENOENT';
    const reason = missing ? 'there is no such file' : 'it cannot be read';
    throw new DenseGlyphError('file-unreadable', reason, { file: shown });
  }
}
