import { cosmiconfig } from 'cosmiconfig';
import { readFileSync } from 'node:fs';
import { basename, dirname, relative, resolve } from 'node:path';
import { DenseGlyphError } from '../errors.js';
import { readConfig } from './read.js';
import type { KitConfig } from './schema.js';

const searchPlaces = [
  'dense-glyph.config.ts',
  'dense-glyph.config.mjs',
  'dense-glyph.config.json',
  'dense-glyph.config.yaml',
  'dense-glyph.config.yml',
  'package.json',
];

export interface LoadedConfig {
  config: KitConfig;
  /** Its path. */
  file: string;
  /** The folder that the paths in it start from. */
  base: string;
}

/**
 * Finds and reads the config.
 *
 * @param folder where to look first; folders above it follow
 * @param path the config itself, where the user names it
 * @throws DenseGlyphError `config-missing` or `config-invalid`; AggregateError of them for several mistakes
 */
export async function loadConfig(folder: string, path?: string): Promise<LoadedConfig> {
  const explorer = cosmiconfig('dense-glyph', {
    searchPlaces,
    packageProp: 'dense-glyph',
    searchStrategy: 'project',
  });
  const shown = path ?? 'dense-glyph.config';
  let found;
  try {
    found = path ? await explorer.load(resolve(folder, path)) : await explorer.search(folder);
  } catch (cause) {
    if ((cause as NodeJS.ErrnoException).code === 'ENOENT') {
      throw new DenseGlyphError('config-missing', 'there is no such file', { file: shown }, undefined, cause);
    }
    const path = (cause as { filepath?: string }).filepath ?? resolve(folder, shown);
    const { reason, ...place } = syntaxMistake(cause, path);
    throw new DenseGlyphError(
      'config-invalid',
      `it cannot be read: ${reason}`,
      { file: relative(folder, path) || shown, ...place },
      'correct its syntax',
      cause,
    );
  }
  if (!found) {
    const reason = `no config in ${folder} or the folders above it`;
    throw new DenseGlyphError(
      'config-missing',
      reason,
      {},
      `dense-glyph init drafts ${searchPlaces[3]}; or name one with --config`,
    );
  }
  const file = relative(folder, found.filepath) || found.filepath;
  return {
    config: readConfig(found.isEmpty ? null : found.config, file),
    file,
    base: dirname(found.filepath),
  };
}

/** What a parser of YAML, JSON or a program says is wrong, and where. */
function syntaxMistake(cause: unknown, file: string): { reason: string; line?: number; column?: number } {
  const { message, mark, reason, stack } = cause as Error & {
    reason?: string;
    mark?: { line: number; column: number };
  };
  if (reason !== undefined && mark) return { reason, line: mark.line + 1, column: mark.column + 1 };
  // A parser's error may begin with the file, and go on with a picture of it.
  const [first = String(cause)] = String(message)
    .split('\n')
    .filter((line) => !/^(?:YAML|JSON) Error in /.test(line));
  // What stands before the place that is wrong.
  const [, before] = /\.\.\."([^]*)" is not valid JSON/.exec(first) ?? [];
  if (before !== undefined) {
    const text = readFileSync(file, 'utf8');
    const at = text.lastIndexOf(before) + before.length;
    const lines = text.slice(0, at).split('\n');
    return { reason: first.replace(/, \.\.\.".*$/s, ''), line: lines.length, column: lines.at(-1)!.length };
  }
  // The loader tries another way then, and tells what came of that.
  if (/^Cannot require\(\)|^require\(\) of ES Module/.test(first))
    return { reason: `it is no module that can be loaded; node --check ${basename(file)} says why` };
  const line = Number(new RegExp(`${basename(file).replace(/[^a-z]/g, '.')}:(\\d+)`).exec(stack ?? '')?.[1]);
  return { reason: first.replace(/\.$/, ''), ...(line > 0 ? { line } : {}) };
}
