// CSS Fonts 4, section 6: the font features that styles turn on

import { tokenTypes } from 'css-tree';
import { expanded, type CustomProperties } from '../css/custom-properties.js';
import type { Declaration, Token } from '../css/stylesheet.js';

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
 * Features that styles turn on, wherever they do; those that they turn off again elsewhere are among them.
 *
 * @param properties custom properties of all styles of a page
 * @returns tags
 */
export function requestedFeatures(
  declarations: readonly Declaration[],
  properties: CustomProperties,
): Set<string> {
  const found = new Set<string>();
  for (const declaration of declarations) {
    if (declaration.property.startsWith('--')) continue;
    const value = expanded(declaration.value, properties);
    for (const tag of featuresOf({ ...declaration, value })) found.add(tag);
  }
  return found;
}

/** Features that one value of `font-feature-settings`, `font-variant` or a longhand of it turns on. */
export const featuresOfStyle = (property: string, value: readonly Token[]): string[] =>
  featuresOf({ property, value: [...value], atRule: '' });

function featuresOf({
  property,
  value,
  atRule,
}: Pick<Declaration, 'property' | 'value' | 'atRule'>): string[] {
  const ofNames = featuresOfNames.get(atRule);
  if (ofNames)
    return value.flatMap(({ type, text }) => (type === tokenTypes.Number ? ofNames(Number(text)) : []));
  if (property === 'font-feature-settings') return settingsOf(value);
  if (property === 'text-combine-upright') return narrowForms;
  return property === 'font' || property.startsWith('font-variant') ? valuesOf(value) : [];
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
