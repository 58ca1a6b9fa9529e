// CSS Fonts 4, section 2.1: the family names of stacks, by position

import { tokenize, tokenTypes } from 'css-tree';
import { parse } from 'parse5';
import { familiesIn, fontIn } from '../css/font-values.js';
import { markInRange } from '../css/loading-mark.js';
import { parseStyles, type ParsedDeclaration, type ParsedItem } from '../css/structure.js';
import { nameOf, tokensOf } from '../css/tokens.js';
import { elementsOf } from './elements.js';
import { applied, type Edit } from './edits.js';

/** What stacks are to say. */
export interface StackNames {
  /** Families that may be changed, in small letters: a text in which none of their first words stands isn't read. */
  families: readonly string[];
  /** The kit's name for a family that has another one here; in any case of letters. */
  nameFor: (family: string) => string | undefined;
  /** The family that stands in for one of the kit, to follow it; undefined for other families. */
  standInFor: (family: string) => string | undefined;
  /** What is drawn until a family of the kit arrives, where a stack names nothing behind it; empty for other families. */
  fallbackFor: (family: string) => readonly string[];
  /** Whether a custom property holds a stack, so that another family may be added to it. */
  holdsStack: (property: string) => boolean;
}

/** @param css a stylesheet, or the value of a style attribute */
export function stackEdits(css: string, names: StackNames, isDeclarations = false, quote = '"'): Edit[] {
  if (!mayName(css, names)) return [];
  const edits: Edit[] = [];
  const visit = (items: readonly ParsedItem[]) => {
    for (const item of items) {
      if (item.kind === 'declaration') edits.push(...declarationEdits(css, item, names, quote));
      else if (item.block && item.name !== 'font-face') visit(item.block);
    }
  };
  visit(parseStyles(css, isDeclarations));
  return edits;
}

/** Names may have more spaces than one between their words, or escapes. */
function mayName(text: string, { families }: StackNames): boolean {
  const small = text.toLowerCase();
  return families.some((family) => small.includes(family.split(' ')[0]));
}

/** What a page says of styles: the text of a style element, or an attribute as declarations. */
interface PageStyles {
  text: string;
  isDeclarations: boolean;
  /** Where the text stands on the page; of an attribute that is the value of a declaration, where that would begin. */
  start: number;
  /** What strings in it may stand in. */
  quote: string;
}

/** The style elements and attributes of a page. Attributes that are written with references are left out. */
export function stylesIn(html: string): PageStyles[] {
  const found: PageStyles[] = [];
  const root = parse(html, { sourceCodeLocationInfo: true, scriptingEnabled: false });
  for (const element of elementsOf(root)) {
    const at = element.sourceCodeLocation;
    if (element.tagName === 'style' && at?.startTag) {
      const start = at.startTag.endOffset;
      const text = html.slice(start, at.endTag?.startOffset ?? at.endOffset);
      // The first part of a face is the kit's.
      if (!markInRange.test(text)) found.push({ text, isDeclarations: false, start, quote: '"' });
    }
    for (const [name, property] of stackAttributes) {
      const attribute = at?.attrs?.[name];
      if (!attribute || (name === 'face' && element.tagName !== 'font')) continue;
      const written = html.slice(attribute.startOffset, attribute.endOffset);
      const [, before, mark, value] = /^([^=]*=\s*)(["'])([^]*)\2$/.exec(written) ?? [];
      if (before === undefined || value.includes('&')) continue;
      const start = attribute.startOffset + before.length + 1 - property.length;
      found.push({ text: property + value, isDeclarations: true, start, quote: mark === '"' ? "'" : '"' });
    }
  }
  return found;
}

/** A page with the stacks of its styles changed. */
export function withStacks(html: string, names: StackNames): string {
  if (!mayName(html, names)) return html;
  const edits = stylesIn(html).flatMap(({ text, isDeclarations, start, quote }) =>
    stackEdits(text, names, isDeclarations, quote).map((edit) => ({
      ...edit,
      start: edit.start + start,
      end: edit.end + start,
    })),
  );
  return applied(html, edits);
}

/** Attributes that hold declarations, or the value of one (SVG 2, section 6.6; HTML, section 15.3.3). */
const stackAttributes = [
  ['style', ''],
  ['font-family', 'font-family:'],
  ['face', 'font-family:'],
] as const;

/** A family name in a value. */
interface Name {
  start: number;
  end: number;
  family: string;
}

function declarationEdits(
  css: string,
  { name: written, value, offset }: ParsedDeclaration,
  names: StackNames,
  quote: string,
): Edit[] {
  const isCustom = written.startsWith('--');
  const property = written.toLowerCase();
  if (!isCustom && property !== 'font-family' && property !== 'font') return [];
  const families = property === 'font' ? fontIn(tokensOf(value))?.families : familiesIn(tokensOf(value));
  const found = namesBehind(css, offset, property === 'font', families);
  const quoted = (family: string) => quote + family.replace(/["'\\]/g, '\\$&') + quote;
  const isStack = !isCustom || endsInGeneric(families) || names.holdsStack(written);
  const isWhole = families !== undefined && found.length === families.length;
  const nameOfKit = (family: string) => (isWhole ? names.nameFor(family) : undefined) ?? family;
  return found.flatMap(({ start, end, family }, i): Edit[] => {
    const named = nameOfKit(family);
    const others: string[] = [];
    const standIn = isStack ? names.standInFor(named) : undefined;
    if (standIn !== undefined && found[i + 1]?.family.toLowerCase() !== standIn.toLowerCase())
      others.push(quoted(standIn));
    const before = i > 0 ? nameOfKit(found[i - 1].family) : named;
    const own = names.standInFor(before) === family ? before : named;
    if (isWhole && !isCustom && i === found.length - 1)
      others.push(...names.fallbackFor(own).map((one) => (isWord.test(one) ? one : quoted(one))));
    const behind = others.map((one) => `, ${one}`).join('');
    if (named !== family) return [{ start, end, text: quoted(named) + behind }];
    return behind === '' ? [] : [{ start: end, end, text: behind }];
  });
}

/** Nothing but a stack ends so (CSS Fonts 4, section 2.1.1). */
const endsInGeneric = (families: readonly string[] = []): boolean =>
  families.length > 1 && generic.test(families[families.length - 1]);

const generic = /^(?:ui-)?(?:sans-serif|serif|monospace|rounded)$|^(?:system-ui|cursive|fantasy|math)$/i;

/** What needs no quotes; also generic families, which may have none. */
const isWord = /^[a-z-]+$/i;

/** What stands between commas; of `var()` each argument. */
interface Segment {
  tokens: { type: number; start: number; end: number }[];
  isBehindComma: boolean;
}

/** The names of a declaration where they stand. @param families what it says, where that can be told */
function namesBehind(
  css: string,
  offset: number,
  isShorthand: boolean,
  families: readonly string[] | undefined,
): Name[] {
  const segments = segmentsBehind(css, offset);
  return segments.flatMap(({ tokens, isBehindComma }, i): Name[] => {
    const family = families?.[families.length - segments.length + i];
    // Before the first family of the shorthand stand other values.
    const isFirst = isShorthand && !isBehindComma;
    const count = tokens.at(-1)?.type === tokenTypes.String ? 1 : (family?.split(' ').length ?? 0);
    const own = isFirst ? tokens.slice(tokens.length - count) : tokens;
    const isName =
      own.length > 0 &&
      (own[0].type === tokenTypes.String
        ? own.length === 1
        : own.every(({ type }) => type === tokenTypes.Ident));
    if (!isName) return [];
    const [start, end] = [own[0].start, own[own.length - 1].end];
    const name = nameOf(tokensOf(css.slice(start, end)));
    return name === undefined ? [] : [{ start, end, family: name }];
  });
}

function segmentsBehind(css: string, offset: number): Segment[] {
  const segments: Segment[] = [{ tokens: [], isBehindComma: false }];
  /** Of the functions around, whether each is a `var()`. */
  const around: boolean[] = [];
  let isValue = false;
  let isOver = false;
  const next = (isBehindComma: boolean) => segments.push({ tokens: [], isBehindComma });
  // A declaration ends long before a stylesheet does.
  const end = css.slice(offset).search(/[;}]/);
  tokenize(end < 0 ? css.slice(offset) : css.slice(offset, offset + end), (type, from, to) => {
    const [start, stop] = [offset + from, offset + to];
    if (!isValue) {
      isValue = type === tokenTypes.Colon;
      return;
    }
    if (css[start] === '!') isOver = true;
    if (isOver || type === tokenTypes.WhiteSpace || type === tokenTypes.Comment) return;
    if (type === tokenTypes.Function || type === tokenTypes.LeftParenthesis) {
      around.push(/^var\($/i.test(css.slice(start, stop)));
      if (around.at(-1)) next(false);
      else segments[segments.length - 1].tokens.push({ type, start, end: stop });
    } else if (type === tokenTypes.RightParenthesis) {
      if (around.pop()) next(false);
    } else if (!around.every(Boolean)) return;
    else if (type === tokenTypes.Comma) next(true);
    else segments[segments.length - 1].tokens.push({ type, start, end: stop });
  });
  return segments;
}
