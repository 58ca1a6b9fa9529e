// CSS Fonts 4, section 6.6: browsers make small capitals of capitals where a font has none

import type { LayoutTable, Script } from '../layout/layout-table.js';
import type { Font } from '../sfnt/font.js';
import { cmap } from '../tables/index.js';

/** Scripts with small letters, by their OpenType tags. */
const scripts: readonly (readonly [tag: string, letters: RegExp])[] = [
  ['latn', /\p{Script=Latin}/u],
  ['grek', /\p{Script=Greek}/u],
  ['cyrl', /\p{Script=Cyrillic}/u],
  ['armn', /\p{Script=Armenian}/u],
];

/**
 * Some browsers look whether the script of a text has the feature, others whether it changes the glyph.
 *
 * @returns whether a capital isn't needed for small capitals, as the font has one of its own for the small letter
 */
export function hasOwnSmallCapital(font: Font, gsub: LayoutTable | undefined): (capital: number) => boolean {
  if (!gsub?.features.some(({ tag }) => tag === 'smcp')) return () => false;
  const changed = new Map<string, ReadonlySet<number>>();
  return (capital) => {
    const letter = String.fromCodePoint(capital).toLowerCase();
    const tag = scripts.find(([, letters]) => letters.test(letter))?.[0];
    const script = gsub.scripts.find((one) => one.tag === tag);
    if (!script) return false;
    let glyphs = changed.get(script.tag);
    if (!glyphs) changed.set(script.tag, (glyphs = glyphsOfFeature(gsub, script)));
    return glyphs.has(cmap.glyphIdOf(font.table(cmap), letter.codePointAt(0)!));
  };
}

/** The glyphs that small capitals change in a script, whatever the language. */
function glyphsOfFeature(gsub: LayoutTable, { defaultLanguageSystem, languageSystems }: Script): Set<number> {
  const systems = [defaultLanguageSystem, ...languageSystems.map(({ system }) => system)];
  const ofSystems = systems.map((system) => {
    const features = system?.features.filter((i) => gsub.features[i]?.tag === 'smcp') ?? [];
    const lookups = features.flatMap((i) => gsub.features[i].lookups).filter((i) => i < gsub.lookupCount);
    return new Set(
      lookups
        .flatMap((i) => gsub.lookupAt(i).subtables)
        .flatMap((subtable) => (subtable.kind === 'single' ? [...subtable.glyphs.keys()] : [])),
    );
  });
  return new Set([...ofSystems[0]].filter((glyph) => ofSystems.every((glyphs) => glyphs.has(glyph))));
}
