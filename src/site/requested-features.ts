// CSS Fonts 4, section 6: the font features that styles turn on

import { string, tokenTypes, url } from 'css-tree';
import { tokensOf, type Token } from './css-tokens.js';
import { declarationsOf, type Declaration } from './declarations.js';

/** What the values of `font-variant` and its longhands turn on (CSS Fonts 4, sections 6.3 to 6.10). */
const featuresOfValues = new Map<string, readonly string[]>(
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

/** Rules inside `@font-feature-values` (section 6.9), and what a number in them stands for. */
const featuresOfNames = new Map<string, (number: number) => readonly string[]>(
  Object.entries({
    stylistic: () => ['salt'],
    swash: () => ['swsh', 'cswh'],
    ornaments: () => ['ornm'],
    annotation: () => ['nalt'],
    styleset: (number: number) => [`ss${padded(number)}`],
    'character-variant': (number: number) => [`cv${padded(number)}`],
  }),
);

/** What Chromium and WebKit set digits with that stand side by side in a vertical line (CSS Writing Modes 4, section 9.1.3). */
const narrowForms = ['hwid', 'twid', 'qwid'];

const padded = (number: number) => String(number).padStart(2, '0');

/**
 * Features that styles turn on, wherever they do; those that they turn off again elsewhere are among them. Values of custom
 * properties count too, as a feature may be turned on through one.
 *
 * @param css a stylesheet, or the declarations of a style attribute
 * @returns tags; nothing for what isn't CSS
 */
export function requestedFeatures(css: string): Set<string> {
  const found = new Set<string>();
  for (const declaration of declarationsOf(css)) {
    for (const tag of featuresOf(declaration)) found.add(tag);
  }
  return found;
}

function featuresOf({ property, value, atRule }: Declaration): string[] {
  const ofNames = featuresOfNames.get(atRule);
  if (ofNames)
    return value.flatMap(({ type, text }) => (type === tokenTypes.Number ? ofNames(Number(text)) : []));
  if (property === 'font-feature-settings') return settingsOf(value);
  if (property === 'text-combine-upright') return narrowForms;
  if (property === 'font' || property.startsWith('font-variant')) return valuesOf(value);
  return property.startsWith('--') ? [...settingsOf(value), ...valuesOf(value)] : [];
}

const valuesOf = (parts: readonly Token[]): string[] =>
  parts.flatMap(({ type, text }) =>
    type === tokenTypes.Ident ? (featuresOfValues.get(text.toLowerCase()) ?? []) : [],
  );

/** `"smcp", "ss01" 2, "liga" off`: each tag but those that are off. */
function settingsOf(parts: readonly Token[]): string[] {
  return parts.flatMap(({ type, text }, i) => {
    const tag = text.slice(1, -1);
    if (type !== tokenTypes.String || !/^[\x20-\x7e]{4}$/.test(tag)) return [];
    const next = parts.at(i + 1)?.text ?? '';
    return /^(0+|off)$/i.test(next) ? [] : [tag];
  });
}

/** What a stylesheet imports, as it writes it. */
export function importsOf(css: string): string[] {
  const tokens = tokensOf(css);
  return tokens.flatMap(({ type, text }, i) => {
    if (type !== tokenTypes.AtKeyword || text.toLowerCase() !== '@import') return [];
    const isFunction = tokens.at(i + 1)?.type === tokenTypes.Function;
    const target = tokens.at(i + (isFunction ? 2 : 1));
    if (target?.type === tokenTypes.String) return [string.decode(target.text)];
    return target?.type === tokenTypes.Url ? [url.decode(target.text)] : [];
  });
}
