// Media Queries 5, Conditional Rules 5: under which screens a rule holds

import { parse, type CssNode } from 'css-tree';
import type { Condition } from './rules.js';
import { splitAt, textOf, tokensOf } from './tokens.js';

/** A screen, or a sheet of paper. */
export interface Environment {
  type: 'screen' | 'print';
  /** CSS pixels. */
  width: number;
  height: number;
  scheme: 'light' | 'dark';
  /** Preferences that are taken as the visitor's, by feature: `prefers-reduced-motion: reduce`. */
  preferences: ReadonlyMap<string, string>;
  /** Whether containers are of the size that rules ask for. */
  containers: boolean;
}

/** Whether all of the conditions hold. */
export const holds = (conditions: readonly Condition[], environment: Environment): boolean =>
  conditions.every(({ kind, text }) => {
    if (kind === 'supports') return supports(text);
    if (kind === 'container') return environment.containers;
    return mediaHolds(text, environment);
  });

type MediaQuery = Extract<CssNode, { type: 'MediaQuery' }>;

const known = new Map<string, readonly MediaQuery[]>();

/** The queries of a list; one that can't be read never holds, and leaves the others alone (Media Queries 5, section 3.2). */
function queriesIn(text: string): readonly MediaQuery[] {
  let queries = known.get(text);
  if (!queries) {
    queries = splitAt(tokensOf(text), ',').flatMap((tokens) => queryIn(textOf(tokens)));
    known.set(text, queries);
  }
  return queries;
}

function queryIn(text: string): MediaQuery[] {
  let failed = false;
  try {
    const query = parse(text, { context: 'mediaQuery', onParseError: () => (failed = true) });
    return failed || query.type !== 'MediaQuery' ? [] : [query];
  } catch {
    return [];
  }
}

/** @param text a media query list; an empty one always holds */
export const mediaHolds = (text: string, environment: Environment): boolean =>
  text.trim() === '' || queriesIn(text).some((query) => queryHolds(query, environment));

function queryHolds(query: MediaQuery, environment: Environment): boolean {
  const { modifier, mediaType, condition } = query as unknown as {
    modifier: string | null;
    mediaType: string | null;
    condition: CssNode | null;
  };
  const isType = mediaType === null || mediaType === 'all' || mediaType.toLowerCase() === environment.type;
  const isMet = isType && (condition === null || (conditionHolds(condition, environment) ?? false));
  return modifier?.toLowerCase() === 'not' ? !isMet : isMet;
}

/** @returns undefined for what isn't known, which neither holds nor doesn't */
function conditionHolds(node: CssNode, environment: Environment): boolean | undefined {
  const { type } = node as { type: string };
  if (type === 'Condition') {
    const parts = [...(node as unknown as { children: Iterable<CssNode> }).children];
    let result: boolean | undefined;
    let operator = '';
    let isNegated = false;
    for (const part of parts) {
      if (part.type === 'Identifier') {
        const word = part.name.toLowerCase();
        if (word === 'not') isNegated = true;
        else operator = word;
        continue;
      }
      const inner = conditionHolds(part, environment);
      const value = isNegated && inner !== undefined ? !inner : inner;
      isNegated = false;
      if (operator === '') result = value;
      else if (operator === 'and') result = result === true && value === true;
      else result = result === true || value === true;
    }
    return result;
  }
  if (type === 'Feature') return featureHolds(node as unknown as FeatureNode, environment);
  if (type === 'FeatureRange') return rangeHolds(node as unknown as RangeNode, environment);
  return undefined;
}

interface FeatureNode {
  name: string;
  value: CssNode | null;
}

interface RangeNode {
  left: CssNode;
  leftComparison: string;
  middle: CssNode;
  rightComparison: string | null;
  right: CssNode | null;
}

function featureHolds({ name, value }: FeatureNode, environment: Environment): boolean | undefined {
  const plain = name.toLowerCase();
  const [, bound, feature] = /^(?:-webkit-)?(min-|max-)?(?:device-)?(.*)$/.exec(plain) ?? [];
  const actual = amountOf(feature, environment);
  if (actual !== undefined) {
    const wanted = value === null ? undefined : pixelsOf(value);
    if (wanted === undefined) return value === null && bound === undefined ? actual > 0 : undefined;
    if (bound === 'min-') return actual >= wanted;
    return bound === 'max-' ? actual <= wanted : actual === wanted;
  }
  const word = value?.type === 'Identifier' ? value.name.toLowerCase() : undefined;
  const own = discreteOf(plain, environment);
  if (own === undefined) return undefined;
  return word === undefined ? own !== 'none' && own !== 'no-preference' : own === word;
}

function rangeHolds(range: RangeNode, environment: Environment): boolean | undefined {
  const valueOf = (node: CssNode | null) => {
    if (!node) return undefined;
    return node.type === 'Identifier' ? amountOf(node.name.toLowerCase(), environment) : pixelsOf(node);
  };
  const [left, middle, right] = [range.left, range.middle, range.right].map(valueOf);
  const compared = (a: number | undefined, comparison: string | null, b: number | undefined) =>
    a === undefined || b === undefined || comparison === null ? undefined : comparisons[comparison]?.(a, b);
  const first = compared(left, range.leftComparison, middle);
  if (range.right === null) return first;
  return first === true && compared(middle, range.rightComparison, right) === true;
}

const comparisons: Readonly<Record<string, (a: number, b: number) => boolean>> = {
  '<': (a, b) => a < b,
  '<=': (a, b) => a <= b,
  '>': (a, b) => a > b,
  '>=': (a, b) => a >= b,
  '=': (a, b) => a === b,
};

function amountOf(feature: string, { width, height, type }: Environment): number | undefined {
  switch (feature) {
    case 'width':
      return width;
    case 'height':
      return height;
    case 'aspect-ratio':
      return width / height;
    case 'resolution':
    case 'pixel-ratio':
      return 1;
    case 'color':
      return 8;
    case 'monochrome':
    case 'color-index':
    case 'grid':
      return 0;
    case 'horizontal-viewport-segments':
    case 'vertical-viewport-segments':
      return type === 'screen' ? 1 : undefined;
    default:
      return undefined;
  }
}

function discreteOf(feature: string, environment: Environment): string | undefined {
  const asked = environment.preferences.get(feature);
  if (asked !== undefined) return asked;
  switch (feature) {
    case 'orientation':
      return environment.width > environment.height ? 'landscape' : 'portrait';
    case 'prefers-color-scheme':
      return environment.scheme;
    case 'hover':
    case 'any-hover':
      return 'hover';
    case 'pointer':
    case 'any-pointer':
      return 'fine';
    case 'scripting':
      return 'enabled';
    case 'update':
      return environment.type === 'print' ? 'none' : 'fast';
    case 'color-gamut':
      return 'srgb';
    case 'display-mode':
      return 'browser';
    default:
      return defaults[feature];
  }
}

/** What visitors who ask for nothing have. */
const defaults: Readonly<Record<string, string>> = {
  'prefers-reduced-motion': 'no-preference',
  'prefers-reduced-transparency': 'no-preference',
  'prefers-reduced-data': 'no-preference',
  'prefers-contrast': 'no-preference',
  'forced-colors': 'none',
  'inverted-colors': 'none',
  'dynamic-range': 'standard',
  'overflow-block': 'scroll',
  'overflow-inline': 'scroll',
};

/** Font-relative lengths in a media query are those of the initial font. */
const pixelsPerUnit: Readonly<Record<string, number>> = {
  px: 1,
  em: 16,
  rem: 16,
  ex: 8,
  ch: 8,
  in: 96,
  cm: 37.8,
  mm: 3.78,
  pt: 1.333,
  pc: 16,
  dppx: 1,
  x: 1,
  dpi: 1 / 96,
};

function pixelsOf(node: CssNode): number | undefined {
  const { type } = node as { type: string };
  if (node.type === 'Dimension') {
    const unit = pixelsPerUnit[node.unit.toLowerCase()];
    return unit === undefined ? undefined : Number(node.value) * unit;
  }
  if (node.type === 'Number') return Number(node.value);
  if (type === 'Ratio') {
    const { left, right } = node as unknown as { left: CssNode; right: CssNode | null };
    const number = (side: CssNode | null) => (side?.type === 'Number' ? Number(side.value) : 1);
    return number(left) / number(right);
  }
  return undefined;
}

/** Widths and heights at which media queries change, ascending. */
export function breakpointsOf(texts: Iterable<string>, feature: 'width' | 'height'): number[] {
  const found = new Set<number>();
  const pattern = new RegExp(
    `${feature}\\s*(?::|[<>]=?)\\s*([\\d.]+)(px|r?em)|([\\d.]+)(px|r?em)\\s*[<>]=?\\s*(?=${feature})`,
    'gi',
  );
  for (const text of texts) {
    for (const [, after, afterUnit, before, beforeUnit] of text.matchAll(pattern)) {
      const unit = pixelsPerUnit[(afterUnit ?? beforeUnit).toLowerCase()];
      found.add(Number(after ?? before) * unit);
    }
  }
  return [...found].sort((a, b) => a - b);
}

/** What no browser of today knows; all else is taken as known, as stylesheets ask for what is new. */
const unknownToBrowsers =
  /^\(?\s*(-ms-|-o-|-khtml-|display\s*:\s*-ms|-moz-(?!appearance|orient|user)|behavior)/i;

/** CSS Conditional 3, section 6, as far as a simple answer goes. */
export function supports(text: string): boolean {
  const plain = text.trim();
  if (/^not\b/i.test(plain)) return !supports(plain.slice(3));
  const parts = topLevel(plain, /\s+or\s+/i);
  if (parts.length > 1) return parts.some(supports);
  const all = topLevel(plain, /\s+and\s+/i);
  if (all.length > 1) return all.every(supports);
  if (/^\(\s*(\(|not\b)/i.test(plain) && plain.endsWith(')')) return supports(plain.slice(1, -1));
  return !unknownToBrowsers.test(plain);
}

/** Splits where brackets are closed. */
function topLevel(text: string, separator: RegExp): string[] {
  const parts: string[] = [];
  let depth = 0;
  let start = 0;
  for (let at = 0; at < text.length; at++) {
    if (text[at] === '(') depth++;
    else if (text[at] === ')') depth--;
    if (depth > 0) continue;
    const found = separator.exec(text.slice(at));
    if (found?.index !== 0) continue;
    parts.push(text.slice(start, at));
    at += found[0].length - 1;
    start = at + 1;
  }
  return [...parts, text.slice(start)];
}
