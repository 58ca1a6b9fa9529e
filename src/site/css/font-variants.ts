// CSS Fonts 4, section 6.11: which longhands `font-variant` sets

import { componentsOf, textOf, type Token } from './tokens.js';

/** Longhands of `font-variant`, each with the words and functions that belong to it. */
const longhands = {
  variantLigatures: /^((no-)?(common|discretionary|historical)-ligatures|(no-)?contextual)$/,
  caps: /^((all-)?(small|petite)-caps|unicase|titling-caps)$/,
  variantAlternates:
    /^(historical-forms|(stylistic|styleset|character-variant|swash|ornaments|annotation)\(.*)$/s,
  variantNumeric:
    /^((lining|oldstyle|proportional|tabular)-nums|(diagonal|stacked)-fractions|ordinal|slashed-zero)$/,
  variantEastAsian: /^(jis(78|83|90|04)|simplified|traditional|full-width|proportional-width|ruby)$/,
  variantPosition: /^(sub|super)$/,
} as const;

export type FontVariants = Record<keyof typeof longhands, string>;

export const normalVariants: Readonly<FontVariants> = {
  variantLigatures: 'normal',
  caps: 'normal',
  variantAlternates: 'normal',
  variantNumeric: 'normal',
  variantEastAsian: 'normal',
  variantPosition: 'normal',
};

/** Of each of these only one may be said. */
const exclusive = [
  /^(no-)?common-ligatures$/,
  /^(no-)?discretionary-ligatures$/,
  /^(no-)?historical-ligatures$/,
  /^(no-)?contextual$/,
  longhands.caps,
  /^(lining|oldstyle)-nums$/,
  /^(proportional|tabular)-nums$/,
  /^(diagonal|stacked)-fractions$/,
  /^(jis(78|83|90|04)|simplified|traditional)$/,
  /^(full|proportional)-width$/,
  longhands.variantPosition,
];
const count = (words: readonly string[], group: RegExp): number =>
  words.filter((word) => group.test(word)).length;

/** @returns each longhand's value; undefined for what is no value of the shorthand */
export function variantsIn(tokens: readonly Token[]): FontVariants | undefined {
  const found: FontVariants = { ...normalVariants };
  const words = componentsOf(tokens).map((part) => textOf(part).toLowerCase());
  if (words.length === 1 && words[0] === 'normal') return found;
  if (words.length === 1 && words[0] === 'none') return { ...found, variantLigatures: 'none' };
  for (const word of words) {
    const name = (Object.keys(longhands) as (keyof FontVariants)[]).find((key) => longhands[key].test(word));
    if (name === undefined || exclusive.some((group) => group.test(word) && count(words, group) > 1))
      return undefined;
    found[name] = found[name] === 'normal' ? word : `${found[name]} ${word}`;
  }
  return words.length > 0 ? found : undefined;
}
