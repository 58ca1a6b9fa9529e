// CSS Generated Content 3, Counter Styles 3, Text 4, Text Decoration 4: what styles draw that no text holds

import { ident, string, tokenTypes } from 'css-tree';
import { counterSymbols, markerSymbols } from '../../data/counter-styles.js';
import { expanded, type CustomProperties } from '../css/custom-properties.js';
import type { Declaration, Token } from '../css/stylesheet.js';
import { emphasisMarks } from './drawn-marks.js';
import { isTextTransform, type TextTransform } from './transformed-text.js';

/** What a stylesheet draws besides the text of its pages. */
export interface GeneratedText {
  /** By what draws it, as a user would write that: `content`, `list-style: lower-roman`. */
  drawn: Map<string, string>;
  /** Names of attributes whose values are drawn. */
  attributes: Set<string>;
  /** How text is changed before it is drawn, with what changes it. */
  transforms: Map<TextTransform, string>;
  /** The word that asks for small capitals: browsers make them of capitals where a font has none. */
  smallCapitals?: string;
  /** Whether the quotation marks of the language are drawn. */
  quotes: boolean;
}

/** Properties that draw their strings. */
const drawingStrings: ReadonlySet<string> = new Set([
  'content',
  'quotes',
  'list-style',
  'list-style-type',
  'text-overflow',
  'block-ellipsis',
  'hyphenate-character',
  'text-emphasis',
  'text-emphasis-style',
]);
const counterDescriptors: ReadonlySet<string> = new Set([
  'symbols',
  'additive-symbols',
  'prefix',
  'suffix',
  'negative',
  'pad',
]);
const smallCapitals: ReadonlySet<string> = new Set([
  'small-caps',
  'all-small-caps',
  'petite-caps',
  'all-petite-caps',
]);

/**
 * @param properties custom properties of all styles of a page
 * @returns more than any page draws, as rules aren't matched with elements
 */
export function generatedTextOf(
  declarations: readonly Declaration[],
  properties: CustomProperties,
): GeneratedText {
  const found: GeneratedText = {
    drawn: new Map(),
    attributes: new Set(),
    transforms: new Map(),
    quotes: false,
  };
  for (const declaration of declarations) {
    if (declaration.property.startsWith('--')) continue;
    const value = expanded(declaration.value, properties);
    if (declaration.atRule === 'counter-style') readCounterStyle(declaration.property, value, found);
    else read(declaration.property, value, found);
  }
  return found;
}

function read(property: string, value: readonly Token[], found: GeneratedText): void {
  if (drawingStrings.has(property)) draw(found, property, stringsOf(value));
  const names = identsOf(value);
  switch (property) {
    case 'content':
      return readContent(value, found);
    case 'list-style':
    case 'list-style-type':
      return countWith(counterSymbols, names, found);
    case 'text-emphasis':
    case 'text-emphasis-style': {
      const marks = names.map((name) => emphasisMarks.get(name) ?? '');
      return draw(found, 'text-emphasis', marks);
    }
    case 'text-transform':
      for (const name of names.filter(isTextTransform)) {
        found.transforms.set(name, `text-transform: ${name}`);
      }
      return;
    case 'font':
    case 'font-variant':
    case 'font-variant-caps': {
      const name = names.find((one) => smallCapitals.has(one));
      if (name !== undefined) found.smallCapitals ??= name;
    }
  }
}

/** Strings are drawn by themselves; functions draw attributes and counters, keywords quotation marks. */
function readContent(value: readonly Token[], found: GeneratedText): void {
  const names = identsOf(value);
  if (names.includes('open-quote') || names.includes('close-quote')) found.quotes = true;
  for (const [i, { type, text }] of value.entries()) {
    if (type !== tokenTypes.Function) continue;
    const name = text.toLowerCase();
    const first = value.at(i + 1);
    if (name === 'attr(' && first?.type === tokenTypes.Ident) {
      found.attributes.add(ident.decode(first.text).toLowerCase());
    }
    if (name === 'counter(' || name === 'counters(') {
      countWith(counterSymbols, ['decimal', ...names], found);
      countWith(markerSymbols, names, found);
    }
  }
}

function readCounterStyle(property: string, value: readonly Token[], found: GeneratedText): void {
  if (counterDescriptors.has(property)) {
    // Words are symbols too.
    const symbols = value.filter(({ type }) => type === tokenTypes.Ident || type === tokenTypes.String);
    draw(
      found,
      '@counter-style',
      symbols.map(({ type, text }) => (type === tokenTypes.String ? string : ident).decode(text)),
    );
  }
  if (property === 'system' || property === 'fallback') countWith(counterSymbols, identsOf(value), found);
  // The fallback is decimal where nothing is said.
  if (property === 'system') countWith(counterSymbols, ['decimal'], found);
}

/** @param names of styles, among other words */
function countWith(
  symbols: ReadonlyMap<string, string>,
  names: readonly string[],
  found: GeneratedText,
): void {
  for (const name of names) {
    const characters = symbols.get(name);
    if (characters !== undefined) draw(found, `list-style: ${name}`, [characters, '. ']);
  }
}

function draw({ drawn }: GeneratedText, by: string, texts: readonly string[]): void {
  const text = texts.join('');
  if (text !== '') drawn.set(by, (drawn.get(by) ?? '') + text);
}

/** Functions that name pictures by strings. */
const pictures = /^(url|src|image|(-webkit-)?(image-set|cross-fade))\($/i;

function stringsOf(value: readonly Token[]): string[] {
  const strings: string[] = [];
  let depth = 0;
  for (const { type, text } of value) {
    if (type === tokenTypes.Function && (depth > 0 || pictures.test(text))) depth++;
    else if (type === tokenTypes.LeftParenthesis && depth > 0) depth++;
    else if (type === tokenTypes.RightParenthesis && depth > 0) depth--;
    else if (type === tokenTypes.String && depth === 0) strings.push(string.decode(text));
  }
  return strings;
}

/** In small letters, as keywords are compared. */
const identsOf = (value: readonly Token[]): string[] =>
  value.flatMap(({ type, text }) => (type === tokenTypes.Ident ? [text.toLowerCase()] : []));
