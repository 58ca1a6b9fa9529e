// CSS Generated Content 3, Counter Styles 3, Text 4, Text Decoration 4: what styles draw that no text holds

import { ident, string, tokenTypes } from 'css-tree';
import { counterSymbols, markerSymbols } from '../data/counter-styles.js';
import type { Token } from './css-tokens.js';
import { declarationsOf, type Declaration } from './declarations.js';
import { isTextTransform, type TextTransform } from './transformed-text.js';

/** What a stylesheet draws besides the text of its pages. */
export interface GeneratedText {
  /** By what draws it, as a user would write that: `content`, `list-style: lower-roman`. */
  drawn: Map<string, string>;
  /** Names of attributes whose values are drawn. */
  attributes: Set<string>;
  /** How text is changed before it is drawn, with what changes it. */
  transforms: Map<TextTransform, string>;
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
/** Text Decoration 4, section 4.1: filled and open. */
const emphasisMarks: ReadonlyMap<string, string> = new Map([
  ['dot', '•◦'],
  ['circle', '●○'],
  ['double-circle', '◉◎'],
  ['triangle', '▲△'],
  ['sesame', '﹅﹆'],
  ['filled', '●﹅'],
  ['open', '○﹆'],
]);
/** Where a font has none, browsers make them of capitals. */
const smallCapitals: ReadonlySet<string> = new Set([
  'small-caps',
  'all-small-caps',
  'petite-caps',
  'all-petite-caps',
]);

/**
 * @param css a stylesheet, or the declarations of a style attribute
 * @returns more than any page draws, as rules aren't matched with elements; nothing for what isn't CSS
 */
export function generatedTextOf(css: string): GeneratedText {
  const found: GeneratedText = {
    drawn: new Map(),
    attributes: new Set(),
    transforms: new Map(),
    quotes: false,
  };
  for (const declaration of declarationsOf(css)) read(declaration, found);
  return found;
}

function read({ property: written, value, atRule }: Declaration, found: GeneratedText): void {
  const property = written.replace(/^-(webkit|moz|epub)-/, '');
  const isCustom = property.startsWith('--');
  if (atRule === 'counter-style') return readCounterStyle(property, value, found);
  if (isCustom || drawingStrings.has(property)) draw(found, property, stringsOf(value));
  if (isCustom || property === 'text-transform') {
    for (const name of identsOf(value).filter(isTextTransform)) {
      found.transforms.set(name, `text-transform: ${name}`);
    }
  }
  if (isCustom || property === 'font' || property === 'font-variant' || property === 'font-variant-caps') {
    const name = identsOf(value).find((one) => smallCapitals.has(one));
    if (name !== undefined && !found.transforms.has('uppercase')) found.transforms.set('uppercase', name);
  }
  if (property === 'content') readContent(value, found);
  if (property.startsWith('list-style')) countWith(counterSymbols, identsOf(value), found);
  if (property.startsWith('text-emphasis')) {
    draw(
      found,
      'text-emphasis',
      identsOf(value).map((name) => emphasisMarks.get(name) ?? ''),
    );
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

const stringsOf = (value: readonly Token[]): string[] =>
  value.flatMap(({ type, text }) => (type === tokenTypes.String ? [string.decode(text)] : []));

/** In small letters, as keywords are compared. */
const identsOf = (value: readonly Token[]): string[] =>
  value.flatMap(({ type, text }) => (type === tokenTypes.Ident ? [text.toLowerCase()] : []));
