// CSS Fonts 4: the values of font properties

import { tokenTypes } from 'css-tree';
import { componentsOf, nameOf, splitAt, textOf, tokensOf, type Token } from './tokens.js';

/** @returns family names in order, undefined for what is no list of them */
export function familiesIn(tokens: readonly Token[]): string[] | undefined {
  const names = splitAt(tokens, ',').map((part) => nameOf(trimmed(part)));
  return names.length > 0 && names.every((name) => name !== undefined) ? names : undefined;
}

const trimmed = (tokens: readonly Token[]) => tokensOf(textOf(tokens));

/** @param parent the weight that `bolder` and `lighter` start from (section 2.2.1) */
export function weightIn(tokens: readonly Token[], parent: number): number | undefined {
  const [token, ...rest] = tokens;
  if (!token || rest.length > 0) return undefined;
  if (token.type === tokenTypes.Number) {
    const weight = Number(token.text);
    return weight >= 1 && weight <= 1000 ? weight : undefined;
  }
  if (token.type !== tokenTypes.Ident) return undefined;
  switch (token.text.toLowerCase()) {
    case 'normal':
      return 400;
    case 'bold':
      return 700;
    case 'bolder':
      return parent < 350 ? 400 : parent < 550 ? 700 : Math.max(900, parent);
    case 'lighter':
      return parent < 100 ? parent : parent < 550 ? 100 : parent < 750 ? 400 : 700;
    default:
      return undefined;
  }
}

/** Of a longhand of `font-synthesis` (section 2.8). */
export function synthesisIn(tokens: readonly Token[]): boolean | undefined {
  const text = textOf(tokens).toLowerCase();
  return text === 'auto' || text === 'oblique-only' ? true : text === 'none' ? false : undefined;
}

export type TextStyle = 'normal' | 'italic' | 'oblique';

export function styleIn(tokens: readonly Token[]): TextStyle | undefined {
  const [first, ...rest] = componentsOf(tokens).map(textOf);
  const word = first?.toLowerCase();
  if (word === 'oblique') {
    if (rest.length > 1 || (rest[0] !== undefined && !/^[-+]?[\d.]+(deg|rad|grad|turn)$/i.test(rest[0])))
      return undefined;
    return rest[0] !== undefined && parseFloat(rest[0]) === 0 ? 'normal' : 'oblique';
  }
  return rest.length === 0 && (word === 'normal' || word === 'italic') ? word : undefined;
}

const stretchWords: Readonly<Record<string, number>> = {
  'ultra-condensed': 50,
  'extra-condensed': 62.5,
  condensed: 75,
  'semi-condensed': 87.5,
  normal: 100,
  'semi-expanded': 112.5,
  expanded: 125,
  'extra-expanded': 150,
  'ultra-expanded': 200,
};

/** Percent. */
export function stretchIn(tokens: readonly Token[]): number | undefined {
  const text = textOf(tokens).toLowerCase();
  if (/^[\d.]+%$/.test(text)) return parseFloat(text);
  return Object.hasOwn(stretchWords, text) ? stretchWords[text] : undefined;
}

/** What `font` sets; what it doesn't name is reset (section 2.9). */
export interface FontShorthand {
  families: string[];
  weight: Token[] | undefined;
  style: TextStyle;
  stretch: number;
  caps: string;
  /** undefined for fonts of the system. */
  size?: Token[];
  lineHeight?: Token[];
}

const systemFonts = /^(caption|icon|menu|message-box|small-caption|status-bar|-webkit-.*|-moz-.*)$/i;
const sizeWords = /^(xx-small|x-small|small|medium|large|x-large|xx-large|xxx-large|smaller|larger|math)$/i;
const isAngle = (text: string) => /^[-+]?[\d.]+(deg|rad|grad|turn)$/i.test(text);
const isSize = (text: string) =>
  sizeWords.test(text) ||
  (/^[+]?[\d.]+(%|[a-z]+)$/i.test(text) && !isAngle(text)) ||
  /^(calc|clamp|min|max|round|var|env)\(/i.test(text) ||
  text === '0';

export function fontIn(tokens: readonly Token[]): FontShorthand | undefined {
  const [only, ...others] = componentsOf(tokens);
  if (only && others.length === 0 && systemFonts.test(textOf(only))) {
    return { families: ['system-ui'], weight: undefined, style: 'normal', stretch: 100, caps: 'normal' };
  }
  const found: FontShorthand = {
    families: [],
    weight: undefined,
    style: 'normal',
    stretch: 100,
    caps: 'normal',
  };
  let at = 0;
  // Style, caps, weight and stretch stand before the size, each once; `normal` is any of them.
  const given: string[] = [];
  for (; at < tokens.length; at++) {
    if (tokens[at].type === tokenTypes.WhiteSpace) continue;
    const text = tokens[at].text.toLowerCase();
    if (isSize(text)) break;
    const before = tokens.slice(0, at).filter(({ type }) => type !== tokenTypes.WhiteSpace);
    if (isAngle(text) && before.at(-1)?.text.toLowerCase() === 'oblique') continue;
    const kind = takeWord(text, tokens[at], found);
    if (kind === undefined || (kind !== 'normal' && given.includes(kind))) return undefined;
    given.push(kind);
  }
  if (given.length > 4) return undefined;
  const behind = sizeAndFamilies(componentsOf(tokens.slice(at)));
  return behind && { ...found, ...behind };
}

/** @returns which of them a word says; undefined for what is none */
function takeWord(text: string, token: Token, found: FontShorthand): string | undefined {
  if (text === 'normal') return text;
  if (text === 'italic' || text === 'oblique') found.style = text;
  else if (text === 'small-caps') found.caps = text;
  else if (weightIn([token], 400) !== undefined) found.weight = [token];
  else if (Object.hasOwn(stretchWords, text)) found.stretch = stretchWords[text];
  else return undefined;
  if (text === 'italic' || text === 'oblique') return 'style';
  if (text === 'small-caps') return 'caps';
  return Object.hasOwn(stretchWords, text) ? 'stretch' : 'weight';
}

function sizeAndFamilies(
  rest: readonly Token[][],
): Pick<FontShorthand, 'families' | 'size' | 'lineHeight'> | undefined {
  // The size, and a line height behind a slash, with or without spaces.
  let start = 1;
  const isSlash = (i: number) => rest[i] !== undefined && textOf(rest[i]).startsWith('/');
  if (rest[0] && textOf(rest[0]).endsWith('/')) start = 2;
  else if (isSlash(1)) start = textOf(rest[1]) === '/' ? 3 : 2;
  const [size, height] = splitAt(rest.slice(0, start).flat(), '/');
  if (size === undefined || !isSize(textOf(size))) return undefined;
  const families = familiesIn(
    tokensOf(
      rest
        .slice(start)
        .map(textOf)
        .join(' ')
        .replace(/\s*,\s*/g, ', '),
    ),
  );
  return families && { families, size, ...(height === undefined ? {} : { lineHeight: height }) };
}
