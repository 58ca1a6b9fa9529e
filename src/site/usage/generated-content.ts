// CSS Generated Content 3, Lists 3, Counter Styles 3: what stands in `content`, in markers and in counters

import { ident, string, tokenTypes } from 'css-tree';
import { counterSymbols, markerSymbols } from '../../data/counter-styles.js';
import { quotationMarksOf } from '../../core/text/language-row.js';
import type { ComputedStyle } from '../cascade/computed.js';
import { componentsOf, stringsOf, textOf, tokensOf, type Token } from '../css/tokens.js';
import type { SiteElement } from '../html/document.js';

/** A counter that is open, and the element whose end closes it: the one around what opened it (CSS Lists 3, section 4.4). */
interface OpenCounter {
  value: number;
  scope: SiteElement | undefined;
}

/** Descriptors of `@counter-style` rules, by their names. */
export type CounterStyles = ReadonlyMap<string, ReadonlyMap<string, string>>;

/** Counters with the values that they have at a place of the document. */
export class Counters {
  private readonly stacks = new Map<string, OpenCounter[]>();
  /** Elements at whose end counters are closed. */
  private readonly scopes = new Set<SiteElement | undefined>();
  /** How deep quotation marks are open. */
  quoteDepth = 0;

  /** @param styles of the page's own rules */
  constructor(readonly styles: CounterStyles = new Map()) {}

  enter(element: SiteElement, style: ComputedStyle): void {
    if (element.name === 'ol' || element.name === 'ul' || element.name === 'menu') {
      const start = Number.parseInt(element.attributes.get('start') ?? '1', 10);
      this.open('list-item', (Number.isNaN(start) ? 1 : start) - 1, element.parent);
    }
    if (style.counterReset !== 'none')
      for (const [name, value] of pairsIn(style.counterReset, 0)) this.open(name, value, element.parent);
    if (style.display === 'list-item') {
      const own = Number.parseInt(element.attributes.get('value') ?? '', 10);
      if (!Number.isNaN(own)) this.change('list-item', () => own, element);
      else if (!/\blist-item\b/.test(style.counterIncrement))
        this.change('list-item', (value) => value + 1, element);
    }
    this.count(style, element);
  }

  /** Ends an element. */
  leave(element: SiteElement): void {
    if (!this.scopes.delete(element)) return;
    for (const stack of this.stacks.values()) while (stack.at(-1)?.scope === element) stack.pop();
  }

  /** Counts on by the properties of an element or of a pseudo-element of it. */
  count({ counterIncrement, counterSet }: ComputedStyle, element: SiteElement): void {
    if (counterIncrement !== 'none')
      for (const [name, step] of pairsIn(counterIncrement, 1))
        this.change(name, (value) => value + step, element);
    if (counterSet !== 'none')
      for (const [name, value] of pairsIn(counterSet, 0)) this.change(name, () => value, element);
  }

  value(name: string): number {
    return this.stacks.get(name)?.at(-1)?.value ?? 0;
  }

  all(name: string): readonly number[] {
    const stack = this.stacks.get(name);
    return stack && stack.length > 0 ? stack.map(({ value }) => value) : [0];
  }

  /** One that a sibling opened starts anew; any other is nested in. */
  private open(name: string, value: number, scope: SiteElement | undefined): void {
    const stack = this.stacks.get(name) ?? [];
    this.stacks.set(name, stack);
    const last = stack.at(-1);
    if (last && last.scope === scope) last.value = value;
    else stack.push({ value, scope });
    this.scopes.add(scope);
  }

  /** A counter that isn't there is opened first. */
  private change(name: string, to: (value: number) => number, element: SiteElement): void {
    if (!this.stacks.get(name)?.length) this.open(name, 0, element.parent);
    const last = this.stacks.get(name)!.at(-1)!;
    last.value = to(last.value);
  }
}

/** `a 2 b`: names with numbers. */
function pairsIn(value: string, usual: number): [name: string, value: number][] {
  if (value === 'none') return [];
  const words = componentsOf(tokensOf(value)).map(textOf);
  const pairs: [string, number][] = [];
  for (let i = 0; i < words.length; i++) {
    const next = Number(words[i + 1]);
    const hasNumber = words[i + 1] !== undefined && Number.isInteger(next);
    pairs.push([words[i].replace(/^reversed\((.*)\)$/i, '$1'), hasNumber ? next : usual]);
    if (hasNumber) i++;
  }
  return pairs;
}

/** @param counters count on by quotation marks */
export function contentText(
  { content, quotes: pairs }: ComputedStyle,
  element: SiteElement,
  counters: Counters,
  language: string,
): string {
  const known = plainContents.get(content);
  if (known !== undefined) return known;
  let text = '';
  for (const part of componentsOf(tokensOf(content))) {
    const [token] = part;
    const written = textOf(part);
    if (written === '/') break; // what follows is read aloud
    if (token.type === tokenTypes.String) text += string.decode(token.text);
    else if (token.type === tokenTypes.Ident)
      text += quoteText(token.text.toLowerCase(), pairs, language, counters);
    else if (token.type === tokenTypes.Function) text += functionText(part, element, counters);
  }
  if (plainContents.size < mostPlain && !/\(|quote/i.test(content)) plainContents.set(content, text);
  return text;
}

/** What values come to that are the same everywhere. */
const plainContents = new Map<string, string>();
const mostPlain = 5000;

function quoteText(word: string, pairs: string, language: string, counters: Counters): string {
  if (!/^(no-)?(open|close)-quote$/.test(word)) return '';
  const isOpen = word.endsWith('open-quote');
  if (!isOpen) counters.quoteDepth = Math.max(0, counters.quoteDepth - 1);
  const depth = counters.quoteDepth;
  if (isOpen) counters.quoteDepth++;
  if (word.startsWith('no-') || pairs === 'none') return '';
  const marks = stringsOf(tokensOf(pairs));
  if (marks.length === 0) return quotationMarksOf(language);
  const at = Math.min(depth * 2, marks.length - 2) + (isOpen ? 0 : 1);
  return marks[at] ?? '';
}

function functionText(part: readonly Token[], element: SiteElement, counters: Counters): string {
  const name = part[0].text.toLowerCase();
  const values = part.slice(1).filter(({ type }) => type !== tokenTypes.WhiteSpace);
  const words = values.filter(({ type }) => type === tokenTypes.Ident).map(({ text }) => ident.decode(text));
  const strings = stringsOf(values);
  switch (name) {
    case 'attr(':
      return element.attributes.get(words[0]?.toLowerCase() ?? '') ?? strings[0] ?? '';
    case 'counter(':
      return counterText(words[1] ?? 'decimal', counters.value(words[0] ?? ''), counters.styles);
    case 'counters(':
      return counters
        .all(words[0] ?? '')
        .map((value) => counterText(words[1] ?? 'decimal', value, counters.styles))
        .join(strings[0] ?? '');
    default:
      return '';
  }
}

/** Markers that browsers draw as shapes. */
const shapes: ReadonlySet<string> = new Set([
  'disc',
  'circle',
  'square',
  'disclosure-open',
  'disclosure-closed',
  'none',
]);

/** Whether a marker is a shape, or nothing. */
export const isShape = (listStyle: string): boolean => shapes.has(listStyle);

/** The marker of a list item. */
export function markerText(listStyle: string, value: number, styles: CounterStyles = new Map()): string {
  const tokens = tokensOf(listStyle);
  if (tokens[0]?.type === tokenTypes.String) return string.decode(tokens[0].text);
  // `symbols()` has no name, and counts with its strings.
  if (/^symbols\($/i.test(tokens[0]?.text ?? '')) return `${stringsIn(tokens)} `;
  const own = styles.get(listStyle);
  if (own)
    return `${counterText(listStyle, value, styles)}${stringsIn(tokensOf(own.get('suffix') ?? '". "'))}`;
  const word = listStyle.toLowerCase();
  if (shapes.has(word)) return '';
  return `${counterText(word, value, styles)}.`;
}

/** Strings and words of a value, together. */
const stringsIn = (tokens: readonly Token[]): string =>
  tokens
    .flatMap(({ type, text }) =>
      type === tokenTypes.String
        ? [string.decode(text)]
        : type === tokenTypes.Ident
          ? [ident.decode(text)]
          : [],
    )
    .join('');

/** Descriptors of a style that hold what it may draw (CSS Counter Styles 3, section 3). */
const drawing = ['prefix', 'symbols', 'additive-symbols', 'negative', 'pad'] as const;
/** Styles may extend and fall back to each other; in a circle that is nothing. */
const deepest = 8;

/** All that a style of the page may count with. */
function ownSymbols(name: string, value: number, styles: CounterStyles, depth: number): string {
  const own = styles.get(name);
  if (!own || depth > deepest) return counterText(name, value, new Map());
  const texts = drawing.map((one) => stringsIn(tokensOf(own.get(one) ?? '')));
  const [, extended] = /^extends\s+(\S+)$/i.exec(own.get('system')?.trim() ?? '') ?? [];
  const others = [extended, own.get('fallback')?.trim() ?? 'decimal'].filter((one) => one !== undefined);
  return texts.join('') + others.map((one) => ownSymbols(one, value, styles, depth + 1)).join('');
}

/** @returns more than the number itself where the style's way of counting isn't known: all of its symbols */
function counterText(style: string, value: number, styles: CounterStyles): string {
  if (styles.has(style)) return ownSymbols(style, value, styles, 0);
  switch (style) {
    case 'decimal':
      return String(value);
    case 'decimal-leading-zero':
      return Math.abs(value) < 10 ? `0${value}` : String(value);
    case 'lower-alpha':
    case 'lower-latin':
      return alphabetic(value, 97);
    case 'upper-alpha':
    case 'upper-latin':
      return alphabetic(value, 65);
    case 'lower-roman':
      return roman(value).toLowerCase();
    case 'upper-roman':
      return roman(value);
    case 'none':
      return '';
    default:
      // As characters, where they stand in a text.
      return counterSymbols.get(style) ?? markerSymbols.get(style) ?? String(value);
  }
}

function alphabetic(value: number, first: number): string {
  if (value < 1) return String(value);
  let text = '';
  for (let left = value; left > 0; left = Math.floor((left - 1) / 26))
    text = String.fromCharCode(first + ((left - 1) % 26)) + text;
  return text;
}

const romanSigns: readonly (readonly [number, string])[] = [
  [1000, 'M'],
  [900, 'CM'],
  [500, 'D'],
  [400, 'CD'],
  [100, 'C'],
  [90, 'XC'],
  [50, 'L'],
  [40, 'XL'],
  [10, 'X'],
  [9, 'IX'],
  [5, 'V'],
  [4, 'IV'],
  [1, 'I'],
];

function roman(value: number): string {
  if (value < 1 || value > 3999) return String(value);
  let text = '';
  let left = value;
  for (const [amount, sign] of romanSigns) {
    for (; left >= amount; left -= amount) text += sign;
  }
  return text;
}
