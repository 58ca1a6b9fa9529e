import type { KitConfig } from '../../config/schema.js';
import { faceStyleOf } from '../../core/face/index.js';
import { readBytes } from '../../io/read.js';
import type { SiteFolder } from '../../io/site-folder.js';
import { stylesIn, type StackNames } from '../../site/edits/stack-edits.js';
import { StackProperties } from '../../site/edits/stack-properties.js';
import { openSources } from '../project/open-sources.js';
import type { FoundOnSite } from '../../site/scanning/page-scanner.js';
import { editableText } from './edited-text.js';

/** Which custom properties of a site hold stacks. @param sheets its stylesheets, absolute */
export function stackProperties(site: SiteFolder, sheets: readonly string[]): StackProperties {
  const properties = new StackProperties();
  for (const path of [...sheets, ...site.pages.map(({ address }) => address)]) {
    const text = textAt(path);
    if (!text?.includes('var(')) continue;
    if (path.endsWith('.css')) properties.add(text);
    else for (const css of stylesIn(text)) properties.add(css.text, css.isDeclarations);
  }
  return properties;
}

function textAt(path: string): string | undefined {
  try {
    return editableText(readBytes(path, path)).text;
  } catch {
    // It is told by what reads it to change it.
    return undefined;
  }
}

/**
 * What stacks call the families of a kit: their names in the config; by the name inside their files, or without its spaces, they
 * are called by pages that were made for other files. Names that a rule of the site declares, or that are not ASCII, stay.
 */
export async function stackNames(
  config: KitConfig,
  base: string,
  { pages }: Pick<FoundOnSite, 'pages'>,
): Promise<Pick<StackNames, 'families' | 'nameFor' | 'fallbackFor'>> {
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
    families: [...own.keys(), ...nameOf.keys()],
    nameFor: (family) => nameOf.get(family.toLowerCase()),
    fallbackFor: (family) => own.get(family.toLowerCase())?.stack ?? [],
  };
}

const isAscii = /^[\x20-\x7e]+$/;
