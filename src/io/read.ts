import {
  accessSync,
  constants,
  type Dirent,
  existsSync,
  readdirSync,
  readFileSync,
  realpathSync,
  type Stats,
  statSync,
} from 'node:fs';
import { dirname, isAbsolute, join, relative, resolve } from 'node:path';
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
    const info = statSync(path);
    if (!info.isFile() && !info.isDirectory())
      throw Object.assign(new Error('no file'), { code: 'ENOTFILE' });
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
  if (code === 'ENOTDIR') return 'there is no such file';
  if (code === 'ENOTFILE') return 'it is a pipe, a socket or a device, not a file';
  if (code === 'ELOOP') return 'it is a link that leads to itself';
  return `it cannot be read (${code ?? String(cause)})`;
}

/** Bytes of a file; 0 for what can't be read, which is said when it is. */
export const sizeOfFile = (path: string): number => infoOf(path)?.size ?? 0;

/** What is at a path; nothing where there is nothing, or a file is in the place of a folder above. */
export function infoOf(path: string): Stats | undefined {
  try {
    return statSync(path);
  } catch {
    return undefined;
  }
}

/** What is in a folder; undefined where it may not be read. */
export function entriesOf(folder: string): Dirent[] | undefined {
  try {
    return readdirSync(folder, { withFileTypes: true });
  } catch {
    return undefined;
  }
}

/** A path as the user would write it, with slashes. @param base the folder of the call or of the config */
export const shownPath = (path: string, base: string): string =>
  relative(base, path).replaceAll('\\', '/') || path;

/** Whether what a path leads to lies below a folder; links are followed. @param folder absolute */
export function isBelow(path: string, folder: string): boolean {
  const real = (one: string) => {
    try {
      return realpathSync(one);
    } catch {
      return resolve(one);
    }
  };
  const steps = relative(real(folder), real(path));
  return steps !== '' && !isAbsolute(steps) && !/^\.\.(?:[\\/]|$)/.test(steps);
}

/** The folder of the package that a file is of; its own where it is of none. @param path absolute */
export function packageOf(path: string): string {
  for (let folder = dirname(path); dirname(folder) !== folder; folder = dirname(folder))
    if (existsSync(join(folder, 'package.json'))) return folder;
  return dirname(path);
}

/** Whether it is a file that may be read. @param path absolute */
export function isReadable(path: string): boolean {
  try {
    if (!isFile(path)) return false;
    accessSync(path, constants.R_OK);
    return true;
  } catch {
    return false;
  }
}

/** @param path absolute */
export const isFile = (path: string): boolean => infoOf(path)?.isFile() ?? false;

export const isFolder = (path: string): boolean => infoOf(path)?.isDirectory() ?? false;
