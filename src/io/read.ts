import { readFileSync, statSync } from 'node:fs';
import { relative } from 'node:path';
import { DenseGlyphError } from '../errors.js';

/**
 * In one read, as the asynchronous one gathers a large file in pieces and joins them.
 *
 * @param path absolute
 * @param shown the path as the user would write it
 * @throws DenseGlyphError `file-unreadable`
 */
export function readBytes(path: string, shown: string): Uint8Array {
  try {
    return readFileSync(path);
  } catch (cause) {
    throw new DenseGlyphError('file-unreadable', readingFailed(cause), { file: shown }, undefined, cause);
  }
}

function readingFailed(cause: unknown): string {
  const { code } = cause as NodeJS.ErrnoException;
  if (code === 'ENOENT') return 'there is no such file';
  if (code === 'EACCES' || code === 'EPERM') return 'it may not be read';
  if (code === 'EISDIR') return 'it is a folder';
  return `it cannot be read (${code ?? String(cause)})`;
}

/** Bytes of a file; 0 for what can't be read, which is said when it is. */
export const sizeOfFile = (path: string): number => statSync(path, { throwIfNoEntry: false })?.size ?? 0;

/** A path as the user would write it, with slashes. @param base the folder of the call or of the config */
export const shownPath = (path: string, base: string): string =>
  relative(base, path).replaceAll('\\', '/') || path;
