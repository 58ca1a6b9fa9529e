import { cosmiconfig } from 'cosmiconfig';
import { dirname, relative, resolve } from 'node:path';
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
    const reason = (cause instanceof Error ? cause.message : String(cause)).split('\n')[0];
    throw new DenseGlyphError(
      'config-invalid',
      `it cannot be read: ${reason}`,
      { file: shown },
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
      `write ${searchPlaces[3]}, or name one with --config`,
    );
  }
  const file = relative(folder, found.filepath) || found.filepath;
  return {
    config: readConfig(found.isEmpty ? null : found.config, file),
    file,
    base: dirname(found.filepath),
  };
}
