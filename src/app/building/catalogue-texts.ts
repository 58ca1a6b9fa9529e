import { extname, resolve } from 'node:path';
import { load } from 'js-yaml';
import { glob } from 'tinyglobby';
import type { KitConfig } from '../../config/schema.js';
import { DenseGlyphError } from '../../errors.js';
import type { Source } from '../../core/source/index.js';
import { isFile, readBytes } from '../../io/read.js';
import { kindOf } from '../project/family-kind.js';

type CharactersConfig = NonNullable<KitConfig['characters']>;

/**
 * A config whose characters have what the files that it names hold. Messages aren't set in icons, whose names are letters too:
 * those get them where they ask for them themselves.
 *
 * @param base its folder, absolute
 * @param sources of each family, in its order
 */
export async function withCatalogues(
  config: KitConfig,
  base: string,
  sources: readonly (readonly Source[])[],
): Promise<{ config: KitConfig; files: string[] }> {
  const { characters, families } = config;
  const files: string[] = [];
  const withTexts = async (own: CharactersConfig, path: string): Promise<CharactersConfig> => {
    const { from = [], also = '' } = own;
    const texts = [also];
    for (const [i, pattern] of from.entries())
      for (const file of await filesFor(pattern, base, `${path}.from[${i}]`)) {
        files.push(file);
        texts.push(catalogueText(file, new TextDecoder().decode(readBytes(resolve(base, file), file))));
      }
    // Whole, as letters and the marks that nothing composes with them stay together.
    return from.length === 0 ? own : { ...own, also: texts.join('\n') };
  };
  const ofAll = characters && (await withTexts(characters, 'characters'));
  const read: KitConfig = {
    ...config,
    ...(ofAll ? { characters: ofAll } : {}),
    families: await Promise.all(
      families.map(async (family, i) => {
        const areIcons = sources[i].some((source) => kindOf(family.family, source) === 'icons');
        if (family.characters)
          return {
            ...family,
            characters: await withTexts(family.characters, `families[${i}].characters`),
          };
        return areIcons && characters?.from ? { ...family, characters } : family;
      }),
    ),
  };
  return { config: read, files };
}

async function filesFor(pattern: string, base: string, path: string): Promise<string[]> {
  if (isFile(resolve(base, pattern))) return [pattern];
  const files = await glob(pattern, { cwd: base });
  if (files.length === 0)
    throw new DenseGlyphError(
      'config-invalid',
      `${path} is "${pattern}", and no file matches it`,
      {},
      'name files or globs; paths start from the folder of the config',
    );
  return files.sort();
}

/** Of JSON and YAML the values, as keys are for programs; anything else whole. @throws DenseGlyphError `file-unreadable` */
export function catalogueText(file: string, text: string): string {
  const isYaml = /^\.ya?ml$/i.test(extname(file));
  if (!isYaml && !/^\.json$/i.test(extname(file))) return text;
  try {
    return valuesIn(isYaml ? load(text) : (JSON.parse(text) as unknown)).join('\n');
  } catch (cause) {
    const reason = cause instanceof Error ? cause.message.split('\n')[0] : String(cause);
    throw new DenseGlyphError(
      'file-unreadable',
      `it is no ${isYaml ? 'YAML' : 'JSON'}: ${reason}`,
      { file },
      'correct it, or leave it out of characters.from',
      cause,
    );
  }
}

function valuesIn(value: unknown): string[] {
  const texts: string[] = [];
  const seen = new Set<unknown>();
  const waiting = [value];
  while (waiting.length > 0) {
    const next = waiting.pop();
    if (typeof next === 'string') texts.push(next);
    else if (typeof next === 'number') texts.push(String(next));
    else if (typeof next === 'object' && next !== null && !seen.has(next)) {
      seen.add(next);
      waiting.push(...(Object.values(next) as unknown[]));
    }
  }
  return texts;
}
