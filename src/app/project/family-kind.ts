import type { Source } from '../../core/source/index.js';
import { post } from '../../core/tables/index.js';
import { mappedCharacters } from '../../core/text/mapped-characters.js';

/** What a family is, from inside. */
export type FamilyKind = 'icons' | 'monospace' | 'serif' | 'sans-serif';

export function kindOf(family: string, { font }: Source): FamilyKind {
  if (areIcons(family, mappedCharacters(font).codePoints())) return 'icons';
  if (font.optional(post)?.isFixedPitch) return 'monospace';
  return /serif|slab|antiqua|roman|garamond|bodoni|times/i.test(family) && !/sans/i.test(family)
    ? 'serif'
    : 'sans-serif';
}

/** Pictures have codes that Unicode leaves to everybody (section 23.5), or none of the letters that text needs. */
function areIcons(family: string, characters: readonly number[]): boolean {
  const isPrivate = (one: number) => (one >= 0xe000 && one <= 0xf8ff) || one >= 0xf0000;
  const own = characters.filter(isPrivate).length;
  if (own > characters.length / 2) return true;
  const saysSo = /icon|glyph|symbol|pictogram|emblem/i.test(family);
  return saysSo && (own > 20 || !characters.some((one) => /^\p{Lu}$/u.test(String.fromCodePoint(one))));
}
