// CSS Values 4, sections 6 and 10: lengths, as far as they are known without a layout

import { tokenTypes } from 'css-tree';
import { componentsOf, splitAt, textOf, tokensOf, type Token } from './tokens.js';

/** What relative lengths are relative to; all in CSS pixels. */
export interface LengthContext {
  /** Of the element; of its parent where its own size is computed. */
  fontSize: number;
  /** Of the root element. */
  rootSize: number;
  viewport: { readonly width: number; readonly height: number };
}

/** A sum of what is known, and of what only a face or a box around says. */
export interface Length {
  px: number;
  /** Advances of a zero in the element's face. */
  ch: number;
  /** Of what is around, 100 for all of it. */
  percent: number;
}

const pixels = (px: number): Length => ({ px, ch: 0, percent: 0 });

/** @returns undefined for what is no length, and for what has to wait for a layout */
export function lengthIn(tokens: readonly Token[], context: LengthContext): Length | undefined {
  const parts = componentsOf(tokens);
  return parts.length === 1 ? componentValue(parts[0], context) : undefined;
}

function componentValue(tokens: readonly Token[], context: LengthContext): Length | undefined {
  const [first] = tokens;
  if (first?.type === tokenTypes.Function || first?.text === '(') return functionValue(tokens, context);
  if (tokens.length !== 1) return undefined;
  if (first.type === tokenTypes.Percentage) return { px: 0, ch: 0, percent: parseFloat(first.text) };
  if (first.type === tokenTypes.Number) return Number(first.text) === 0 ? pixels(0) : undefined;
  if (first.type !== tokenTypes.Dimension) return undefined;
  const [, amount, unit] = /^([-+]?(?:\d+\.?\d*|\.\d+)(?:e[-+]?\d+)?)([a-z]+)$/i.exec(first.text) ?? [];
  if (unit === undefined) return undefined;
  const plain = unit.toLowerCase();
  if (plain === 'ch') return { px: 0, ch: Number(amount), percent: 0 };
  const size = unitSize(plain, context);
  return size === undefined ? undefined : pixels(Number(amount) * size);
}

function unitSize(unit: string, { fontSize, rootSize, viewport }: LengthContext): number | undefined {
  const absolute = absoluteUnits[unit];
  if (absolute !== undefined) return absolute;
  const { width, height } = viewport;
  switch (unit.replace(/^[sld](?=v(?:w|h|i|b|min|max)$)/, '')) {
    case 'em':
      return fontSize;
    case 'ex':
      return fontSize / 2;
    case 'rem':
      return rootSize;
    case 'vw':
    case 'vi':
      return width / 100;
    case 'vh':
    case 'vb':
      return height / 100;
    case 'vmin':
      return Math.min(width, height) / 100;
    case 'vmax':
      return Math.max(width, height) / 100;
    default:
      return undefined;
  }
}

const absoluteUnits: Readonly<Record<string, number | undefined>> = {
  px: 1,
  in: 96,
  cm: 96 / 2.54,
  mm: 96 / 25.4,
  q: 96 / 101.6,
  pt: 96 / 72,
  pc: 16,
};

function functionValue(tokens: readonly Token[], context: LengthContext): Length | undefined {
  const name = tokens[0].text.toLowerCase();
  if (tokens.at(-1)?.text !== ')') return undefined;
  const inside = tokens.slice(1, -1);
  if (name === 'calc(' || name === '(') {
    const value = sumOf(trimmed(inside), context);
    return typeof value === 'number' ? undefined : value;
  }
  const values = splitAt(inside, ',').map((part) => sumOf(trimmed(part), context));
  const known = values.map((value) =>
    value !== undefined && typeof value !== 'number' && value.ch === 0 && value.percent === 0
      ? value.px
      : NaN,
  );
  if (known.some(Number.isNaN)) return undefined;
  if (name === 'min(') return pixels(Math.min(...known));
  if (name === 'max(') return pixels(Math.max(...known));
  const [low, middle, high] = known;
  return name === 'clamp(' && known.length === 3 ? pixels(Math.max(low, Math.min(middle, high))) : undefined;
}

const trimmed = (tokens: readonly Token[]) => tokensOf(textOf(tokens));

type Term = Length | number | undefined;

/** `a + b - c`, where each is a product. */
function sumOf(tokens: readonly Token[], context: LengthContext): Term {
  const parts = componentsOf(tokens);
  let sum: Term = productOf(parts, 0, context);
  for (let at = endOfProduct(parts, 0); at < parts.length; at = endOfProduct(parts, at + 1)) {
    const operator = textOf(parts[at]);
    if (operator !== '+' && operator !== '-') return undefined;
    sum = added(sum, productOf(parts, at + 1, context), operator === '+' ? 1 : -1);
  }
  return sum;
}

const isSign = (part: readonly Token[] | undefined) => part !== undefined && /^[+-]$/.test(textOf(part));

function endOfProduct(parts: readonly Token[][], start: number): number {
  let at = start;
  while (at < parts.length && !isSign(parts[at])) at++;
  return at;
}

/** `a * b / c`; spaces around the signs may be left out. */
function productOf(parts: readonly Token[][], start: number, context: LengthContext): Term {
  const all = parts.slice(start, endOfProduct(parts, start)).flat();
  const factors: Token[][] = [[]];
  const operators: string[] = [];
  let depth = 0;
  for (const token of all) {
    if (depth === 0 && (token.text === '*' || token.text === '/')) {
      operators.push(token.text);
      factors.push([]);
    } else factors[factors.length - 1].push(token);
    if (token.text.endsWith('(')) depth++;
    else if (token.text === ')') depth--;
  }
  return factors
    .map((factor) => termOf(trimmed(factor), context))
    .reduce((product, factor, i) => multiplied(product, factor, operators[i - 1]));
}

function termOf(tokens: readonly Token[], context: LengthContext): Term {
  if (tokens.length === 1 && tokens[0].type === tokenTypes.Number) return Number(tokens[0].text);
  if (tokens[0]?.text === '(' || tokens[0]?.text.toLowerCase() === 'calc(')
    return sumOf(trimmed(tokens.slice(1, -1)), context);
  return componentValue(tokens, context);
}

function multiplied(a: Term, b: Term, operator: string): Term {
  if (a === undefined || b === undefined) return undefined;
  if (operator === '/') return typeof b === 'number' ? multiplied(a, 1 / b, '*') : undefined;
  if (typeof a === 'number') return typeof b === 'number' ? a * b : multiplied(b, a, operator);
  return typeof b === 'number' ? { px: a.px * b, ch: a.ch * b, percent: a.percent * b } : undefined;
}

function added(a: Term, b: Term, sign: 1 | -1): Term {
  if (typeof a === 'number' && typeof b === 'number') return a + sign * b;
  if (typeof a !== 'object' || typeof b !== 'object') return undefined;
  return { px: a.px + sign * b.px, ch: a.ch + sign * b.ch, percent: a.percent + sign * b.percent };
}
