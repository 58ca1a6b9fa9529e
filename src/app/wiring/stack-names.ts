import type { KitConfig } from '../../config/schema.js';
import { faceStyleOf } from '../../core/face/index.js';
import type { StackNames } from '../../site/edits/stack-edits.js';
import { openSources } from '../building/open-sources.js';
import type { FoundOnSite } from '../../site/scanning/page-scanner.js';

/**
 * What stacks call the families of a kit: their names in the config; by the name inside their files, or without its spaces, they
 * are called by pages that were made for other files. Names that a rule of the site declares, or that are not ASCII, stay.
 */
export async function stackNames(
  config: KitConfig,
  base: string,
  { pages }: Pick<FoundOnSite, 'pages'>,
): Promise<StackNames> {
  const own = new Map(config.families.map((one) => [one.family.toLowerCase(), one]));
  const declared = new Set(
    pages.flatMap(({ fontFaces }) => fontFaces.map(({ family }) => family.toLowerCase())),
  );
  const nameOf = new Map<string, string | undefined>();
  for (const { family, files } of config.families) {
    const inside = (await openSources(files, base)).map(({ font }) => faceStyleOf(font).face.family);
    for (const name of [family, ...inside]) {
      for (const other of [name, name.replaceAll(' ', '')]) {
        const key = other.toLowerCase();
        if (own.has(key) || declared.has(key) || !isAscii.test(other)) continue;
        // A name that files of two families have is neither's.
        nameOf.set(key, nameOf.has(key) && nameOf.get(key) !== family ? undefined : family);
      }
    }
  }
  return {
    nameFor: (family) => nameOf.get(family.toLowerCase()),
    fallbackFor: (family) => own.get(family.toLowerCase())?.stack ?? [],
  };
}

const isAscii = /^[\x20-\x7e]+$/;
