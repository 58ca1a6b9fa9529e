// CSS Fonts 4, section 4: the @font-face rule

import { drawingDescriptors, type DrawingDescriptors } from './descriptors.js';
import type { Range, Slope } from './style.js';

export type FontDisplay = 'auto' | 'block' | 'swap' | 'fallback' | 'optional';

export interface FontFaceRule {
  family: string;
  weight: Range;
  style: Slope;
  /** Percent. */
  stretch: Range;
  /** Degrees, where an oblique face names them. */
  slant?: Range | undefined;
  /** Left out where nobody said. */
  display?: FontDisplay | undefined;
  descriptors?: DrawingDescriptors | undefined;
  /** In the order in which a browser tries them. */
  sources: readonly ({ url: string; format: string } | { local: string })[];
  /** As `unicode-range` writes it; for all characters if left out. */
  unicodeRange?: string | undefined;
}

/** What `format()` calls each kind of file (CSS Fonts 4, section 4.3.1). */
export const formatHints = {
  woff2: 'woff2',
  woff: 'woff',
  ttf: 'truetype',
  otf: 'opentype',
  eot: 'embedded-opentype',
  svg: 'svg',
} as const;

/** A string in double quotes (CSSOM, "serialize a string"); it ends no style element that it stands in. */
export function cssString(value: string): string {
  const escaped = value
    .replace(/["\\]/g, '\\$&')
    .replace(/[\p{Cc}<]/gu, (c) => `\\${c.charCodeAt(0).toString(16)} `);
  return `"${escaped}"`;
}

/** Families that CSS defines itself; they are written without quotes. */
const genericFamilies = new Set([
  'serif',
  'sans-serif',
  'monospace',
  'cursive',
  'fantasy',
  'system-ui',
  'ui-serif',
  'ui-sans-serif',
  'ui-monospace',
  'ui-rounded',
  'math',
  'emoji',
]);

/** A value for `font-family`. Names of one plain word and generic families stay without quotes. */
export function fontFamilyList(families: readonly string[]): string {
  return families
    .map((family) =>
      genericFamilies.has(family) || /^[A-Za-z][A-Za-z-]*$/.test(family) ? family : cssString(family),
    )
    .join(', ');
}

/** A URL for `url()`, quoted, with the characters escaped that a path may not hold. */
const urlFunction = (url: string) => `url(${cssString(encodeURI(url))})`;

/** One number for a single value, two for a range. */
export function rangeText([lowest, highest]: Range, unit = ''): string {
  return lowest === highest ? `${lowest}${unit}` : `${lowest}${unit} ${highest}${unit}`;
}

export function fontFaceText(rule: FontFaceRule): string {
  const descriptors = [
    `font-family: ${cssString(rule.family)};`,
    `font-style: ${rule.style}${rule.slant ? ` ${rangeText(rule.slant, 'deg')}` : ''};`,
    `font-weight: ${rangeText(rule.weight)};`,
  ];
  if (rule.stretch[0] !== 100 || rule.stretch[1] !== 100) {
    descriptors.push(`font-stretch: ${rangeText(rule.stretch, '%')};`);
  }
  if (rule.display !== undefined) descriptors.push(`font-display: ${rule.display};`);
  for (const name of drawingDescriptors) {
    const value = rule.descriptors?.[name];
    if (value !== undefined) descriptors.push(`${name}: ${value};`);
  }
  const sources = rule.sources.map((one) =>
    'local' in one
      ? `local(${cssString(one.local)})`
      : `${urlFunction(one.url)} format(${cssString(one.format)})`,
  );
  descriptors.push(`src: ${sources.join(',\n    ')};`);
  if (rule.unicodeRange !== undefined) descriptors.push(`unicode-range: ${rule.unicodeRange};`);
  return `@font-face {\n  ${descriptors.join('\n  ')}\n}\n`;
}
