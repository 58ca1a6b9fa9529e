// CSS Syntax 3, section 4: values as tokens

import { ident, string, tokenize, tokenTypes, url } from 'css-tree';

export interface Token {
  type: number;
  /** As it is written. */
  text: string;
}

/** A value without comments, its spaces as one token each. */
export function tokensOf(value: string): Token[] {
  const tokens: Token[] = [];
  tokenize(value, (type, start, end) => {
    if (type === tokenTypes.Comment) return;
    tokens.push({ type, text: type === tokenTypes.WhiteSpace ? ' ' : value.slice(start, end) });
  });
  while (tokens[0]?.type === tokenTypes.WhiteSpace) tokens.shift();
  while (tokens.at(-1)?.type === tokenTypes.WhiteSpace) tokens.pop();
  return tokens;
}

/** Parts of a value between commas (or slashes) that stand in no brackets. */
export function splitAt(tokens: readonly Token[], separator: ',' | '/'): Token[][] {
  const parts: Token[][] = [[]];
  let depth = 0;
  for (const token of tokens) {
    const opens = token.text.endsWith('(') || token.text === '[' || token.text === '{';
    if (opens) depth++;
    else if (token.text === ')' || token.text === ']' || token.text === '}') depth--;
    if (depth === 0 && token.text === separator) parts.push([]);
    else parts[parts.length - 1].push(token);
  }
  return parts;
}

/** The words and values of a part, without the spaces between them; a function stands with all that is in it. */
export function componentsOf(tokens: readonly Token[]): Token[][] {
  const components: Token[][] = [];
  let depth = 0;
  let isOpen = false;
  for (const token of tokens) {
    if (token.type === tokenTypes.WhiteSpace && depth === 0) {
      isOpen = false;
      continue;
    }
    if (!isOpen) components.push([]);
    components[components.length - 1].push(token);
    if (token.text.endsWith('(')) depth++;
    else if (token.text === ')') depth--;
    isOpen = depth > 0;
  }
  return components;
}

export const textOf = (tokens: readonly Token[]): string => tokens.map(({ text }) => text).join('');

/** The address of `url()`, quoted or not; undefined for anything else. */
export function urlOf([first, second]: readonly Token[]): string | undefined {
  if (first?.type === tokenTypes.Url) return url.decode(first.text);
  const isFunction = first?.type === tokenTypes.Function && first.text.toLowerCase() === 'url(';
  return isFunction && second?.type === tokenTypes.String ? string.decode(second.text) : undefined;
}

export const stringOf = ([first, ...rest]: readonly Token[]): string | undefined =>
  rest.length === 0 && first?.type === tokenTypes.String ? string.decode(first.text) : undefined;

/** The strings of a value, decoded. */
export const stringsOf = (tokens: readonly Token[]): string[] =>
  tokens.flatMap(({ type, text }) => (type === tokenTypes.String ? [string.decode(text)] : []));

/** A family name: a string, or words joined by single spaces (CSS Fonts 4, section 2.1); undefined for anything else. */
export function nameOf(tokens: readonly Token[]): string | undefined {
  const quoted = stringOf(tokens);
  if (quoted !== undefined) return quoted;
  const words = tokens.filter(({ type }) => type !== tokenTypes.WhiteSpace);
  if (words.length === 0 || words.some(({ type }) => type !== tokenTypes.Ident)) return undefined;
  return words.map(({ text }) => ident.decode(text)).join(' ');
}
