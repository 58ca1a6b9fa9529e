import {
  chmodSync,
  existsSync,
  mkdirSync,
  readdirSync,
  renameSync,
  rmSync,
  statSync,
  writeFileSync,
} from 'node:fs';
import { basename, dirname, join } from 'node:path';
import { DenseGlyphError } from '../errors.js';
import { isRunning, ownId } from './running.js';

/** Names that files bear while they are written: `.kit.css.new-4711-x2f9a1`. */
const unfinished = /^\..+\.new-(\d+)-[0-9a-z]{1,8}$/;

/** Whether a name is that of a file which a process left unfinished that isn't there any more. */
export function isLeftover(name: string): boolean {
  const id = unfinished.exec(name)?.[1];
  return id !== undefined && Number(id) !== ownId() && !isRunning(Number(id));
}

/** A name beside the final one, on the same file system, so that a rename can put it in place. */
const beside = (path: string) =>
  join(dirname(path), `.${basename(path)}.new-${ownId()}-${Math.random().toString(36).slice(2, 10)}`);

/** Folders that were looked through for leftovers. */
const cleaned = new Set<string>();

/**
 * Writes a file as a whole or not at all. At once, as loading the other way takes longer than most files. What earlier
 * processes left unfinished in its folder goes.
 *
 * @param mode permissions, where it is to have those of a file before it
 * @throws DenseGlyphError `output-unwritable`
 */
export function writeWhole(path: string, bytes: Uint8Array | string, mode?: number): void {
  const temporary = beside(path);
  try {
    makeFolder(dirname(path));
    if (!cleaned.has(dirname(path))) removeLeftovers(dirname(path));
    writeFileSync(temporary, bytes);
    if (mode !== undefined) chmodSync(temporary, mode);
    renameSync(temporary, path);
  } catch (cause) {
    removeQuietly(temporary);
    throw writingFailed(cause, path);
  }
}

/** A folder with those above it. Not by Node's own way, which never ends where a file system makes none (/proc). */
export function makeFolder(path: string): void {
  const missing: string[] = [];
  for (let at = path; !existsSync(at) && dirname(at) !== at; at = dirname(at)) missing.push(at);
  for (const folder of missing.reverse()) {
    try {
      mkdirSync(folder);
    } catch (cause) {
      // Another process may have made it.
      if (!statSync(folder, { throwIfNoEntry: false })?.isDirectory()) throw cause;
    }
  }
}

/** Takes away what processes left unfinished in a folder that aren't there any more. */
export function removeLeftovers(folder: string): void {
  cleaned.add(folder);
  for (const name of readdirSync(folder)) if (isLeftover(name)) removeQuietly(join(folder, name));
}

/** Where nothing could be written, there may be nothing to remove, and nowhere to look for it. */
export function removeQuietly(path: string): void {
  try {
    rmSync(path, { recursive: true, force: true });
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
  EBUSY: 'it is in use',
  ENOENT: 'its folder is gone, or is a link to nothing',
  ELOOP: 'it is a link that leads to itself',
  ERR_INVALID_ARG_VALUE: 'no file can have this name',
};

/** What the system says of a write, as an error that a person can act on; other errors stay as they are. */
export function writingFailed(cause: unknown, file: string): unknown {
  const { code } = cause as NodeJS.ErrnoException;
  if (cause instanceof DenseGlyphError || code === undefined) return cause;
  if (!/^E[A-Z0-9]+$/.test(code) && !(code in reasons)) return cause;
  const reason = reasons[code] ?? `it cannot be written (${code})`;
  return new DenseGlyphError('output-unwritable', reason, { file }, undefined, cause);
}
