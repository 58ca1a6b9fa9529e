// CSS Fonts 4, section 6: the OpenType features that values turn on

import { tokenTypes } from 'css-tree';
import type { Token } from './tokens.js';

/** What the words of `font-variant` and its longhands turn on (sections 6.3 to 6.10). */
const featuresOfWords = new Map<string, readonly string[]>(
  Object.entries({
    'discretionary-ligatures': ['dlig'],
    'historical-ligatures': ['hlig'],
    'small-caps': ['smcp'],
    'all-small-caps': ['smcp', 'c2sc'],
    'petite-caps': ['pcap'],
    'all-petite-caps': ['pcap', 'c2pc'],
    unicase: ['unic'],
    'titling-caps': ['titl'],
    'lining-nums': ['lnum'],
    'oldstyle-nums': ['onum'],
    'proportional-nums': ['pnum'],
    'tabular-nums': ['tnum'],
    'diagonal-fractions': ['frac', 'numr', 'dnom'],
    'stacked-fractions': ['afrc'],
    ordinal: ['ordn'],
    'slashed-zero': ['zero'],
    sub: ['subs'],
    super: ['sups'],
    'historical-forms': ['hist'],
    jis78: ['jp78'],
    jis83: ['jp83'],
    jis90: ['jp90'],
    jis04: ['jp04'],
    simplified: ['smpl'],
    traditional: ['trad'],
    'full-width': ['fwid'],
    'proportional-width': ['pwid'],
    ruby: ['ruby'],
  }),
);

const padded = (number: number) => String(number).padStart(2, '0');

/** Rules inside of `@font-feature-values` (section 6.9), and what a number in them stands for. */
const featuresOfBlocks = new Map<string, (number: number) => readonly string[]>(
  Object.entries({
    stylistic: () => ['salt'],
    swash: () => ['swsh', 'cswh'],
    ornaments: () => ['ornm'],
    annotation: () => ['nalt'],
    styleset: (number: number) => [`ss${padded(number)}`],
    'character-variant': (number: number) => [`cv${padded(number)}`],
  }),
);

/** What a value in a block of `@font-feature-values` stands for. @param block as in `styleset` */
export function blockFeatures(block: string, value: readonly Token[]): string[] {
  const features = featuresOfBlocks.get(block);
  return value.flatMap(({ type, text }) =>
    type === tokenTypes.Number ? [...(features?.(Number(text)) ?? [])] : [],
  );
}

/** What a value of `font-variant` or a longhand of it turns on. */
export const variantFeatures = (value: readonly Token[]): string[] =>
  value.flatMap(({ type, text }) =>
    type === tokenTypes.Ident ? [...(featuresOfWords.get(text.toLowerCase()) ?? [])] : [],
  );

/** Of `font-feature-settings`, as in `"smcp", "ss01" 2, "liga" off`: each tag but those that are off (section 6.12). */
export function settingFeatures(value: readonly Token[]): string[] {
  const parts = value.filter(({ type }) => type !== tokenTypes.WhiteSpace);
  return parts.flatMap(({ type, text }, i) => {
    const tag = text.slice(1, -1);
    if (type !== tokenTypes.String || !/^[\x20-\x7e]{4}$/.test(tag)) return [];
    return /^(0+|off)$/i.test(parts.at(i + 1)?.text ?? '') ? [] : [tag];
  });
}
