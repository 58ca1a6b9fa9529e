import { isWebUrl } from './addresses.js';
import { stat } from 'node:fs/promises';
import { resolve } from 'node:path';
import { escapePath, glob, isDynamicPattern } from 'tinyglobby';
import { DenseGlyphError } from '../errors.js';

/** What a folder stands for: the files in it of one kind. */
export interface FileKind {
  /** Without the dot, in small letters. */
  extensions: readonly string[];
  /** As in `font file`. */
  noun: string;
}

/**
 * The paths that files, folders and globs stand for, sorted, each once.
 *
 * @param base the folder that relative paths start from
 * @param kind which files of a folder are meant
 * @returns absolute paths
 * @throws DenseGlyphError `file-unreadable` for a path or pattern that stands for nothing
 */
export async function expandPaths(
  patterns: readonly string[],
  base: string,
  { extensions, noun }: FileKind,
): Promise<string[]> {
  const inFolder = `**/*.{${[...extensions, ...extensions.map((e) => e.toUpperCase())].join(',')}}`;
  const found = new Set<string>();
  for (const pattern of patterns) {
    if (isWebUrl(pattern)) {
      const advice = `dense-glyph adopt "${pattern}" brings home what is declared there`;
      throw new DenseGlyphError('file-unreadable', 'it is a URL, not a file', { file: pattern }, advice);
    }
    const path = resolve(base, pattern);
    const info = await stat(path).catch(() => undefined);
    let matches: string[] = [];
    if (info?.isDirectory())
      matches = await glob(`${escapePath(pattern)}/${inFolder}`, { cwd: base, absolute: true });
    else if (info) matches = [path];
    else if (isDynamicPattern(pattern)) matches = await glob(pattern, { cwd: base, absolute: true });
    if (matches.length === 0) {
      const reason = info || isDynamicPattern(pattern) ? `matches no ${noun}` : 'there is no such file';
      throw new DenseGlyphError(
        'file-unreadable',
        reason,
        { file: pattern },
        'check the path; it starts from the folder of the config or of the call',
      );
    }
    for (const match of matches) found.add(match);
  }
  return [...found].sort();
}
