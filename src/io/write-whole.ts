import { mkdirSync, renameSync, rmSync, writeFileSync } from 'node:fs';
import { basename, dirname, join } from 'node:path';
import { DenseGlyphError } from '../errors.js';

/** A name beside the final one, on the same file system, so that a rename can put it in place. */
export const beside = (path: string, what: string): string =>
  join(dirname(path), `.${basename(path)}.${what}-${Math.random().toString(36).slice(2, 10)}`);

/**
 * Writes a file as a whole or not at all. At once, as loading the other way takes longer than most files.
 *
 * @throws DenseGlyphError `output-unwritable`
 */
export function writeWhole(path: string, bytes: Uint8Array | string): void {
  const temporary = beside(path, 'new');
  try {
    mkdirSync(dirname(path), { recursive: true });
    writeFileSync(temporary, bytes);
    renameSync(temporary, path);
  } catch (cause) {
    removeQuietly(temporary);
    throw writingFailed(cause, path);
  }
}

/** Where nothing could be written, there may be nothing to remove, and nowhere to look for it. */
function removeQuietly(path: string): void {
  try {
    rmSync(path, { force: true });
  } catch {
    // What kept it from being written is the error to tell.
  }
}

const reasons: Readonly<Record<string, string>> = {
  EACCES: 'it may not be written',
  EPERM: 'it may not be written',
  EROFS: 'its file system is read-only',
  ENOSPC: 'there is no space left',
  EDQUOT: 'the quota is used up',
  EEXIST: 'a file is where a folder is needed',
  ENOTDIR: 'a file is where a folder is needed',
  EISDIR: 'it is a folder',
  ENAMETOOLONG: 'its name is too long',
};

/** What the system says of a write, as an error that a person can act on; other errors stay as they are. */
export function writingFailed(cause: unknown, file: string): unknown {
  const { code } = cause as NodeJS.ErrnoException;
  if (cause instanceof DenseGlyphError || code === undefined || !/^E[A-Z0-9]+$/.test(code)) return cause;
  const reason = reasons[code] ?? `it cannot be written (${code})`;
  return new DenseGlyphError('output-unwritable', reason, { file }, undefined, cause);
}
