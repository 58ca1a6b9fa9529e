// CSS Fonts 4, section 2.1: the family names of stacks, by position

import { tokenize, tokenTypes } from 'css-tree';
import { parse } from 'parse5';
import { familiesIn, fontIn } from '../css/font-values.js';
import { parseStyles, type ParsedDeclaration, type ParsedItem } from '../css/structure.js';
import { tokensOf } from '../css/tokens.js';
import { elementsOf } from './elements.js';
import { applied, type Edit } from './edits.js';

/** What stacks are to say. */
export interface StackNames {
  /** The kit's name for a family that has another one here; in any case of letters. */
  nameFor: (family: string) => string | undefined;
  /** What is drawn until a family of the kit arrives, where a stack names nothing behind it; empty for other families. */
  fallbackFor: (family: string) => readonly string[];
}

/** @param css a stylesheet, or the value of a style attribute */
export function stackEdits(css: string, names: StackNames, isDeclarations = false, quote = '"'): Edit[] {
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

/** A page with its style elements and attributes changed. Attributes that are written with references are left. */
export function withStacks(html: string, names: StackNames): string {
  const edits: Edit[] = [];
  const add = (start: number, list: readonly Edit[]) => {
    for (const edit of list) edits.push({ ...edit, start: edit.start + start, end: edit.end + start });
  };
  const root = parse(html, { sourceCodeLocationInfo: true, scriptingEnabled: false });
  for (const element of elementsOf(root)) {
    const at = element.sourceCodeLocation;
    if (element.tagName === 'style' && at?.startTag) {
      const start = at.startTag.endOffset;
      add(start, stackEdits(html.slice(start, at.endTag?.startOffset ?? at.endOffset), names));
    }
    const attribute = at?.attrs?.style;
    const written = attribute && html.slice(attribute.startOffset, attribute.endOffset);
    const [, before, mark, value] = /^([^=]*=\s*)(["'])([^]*)\2$/.exec(written ?? '') ?? [];
    if (!attribute || before === undefined || value.includes('&')) continue;
    const start = attribute.startOffset + before.length + 1;
    add(start, stackEdits(value, names, true, mark === '"' ? "'" : '"'));
  }
  return applied(html, edits);
}

/** A family name in a value. */
interface Name {
  start: number;
  end: number;
  family: string;
}

function declarationEdits(
  css: string,
  { name, value, offset }: ParsedDeclaration,
  { nameFor, fallbackFor }: StackNames,
  quote: string,
): Edit[] {
  const isCustom = name.startsWith('--');
  const property = name.toLowerCase();
  if (!isCustom && property !== 'font-family' && property !== 'font') return [];
  const families = property === 'font' ? fontIn(tokensOf(value))?.families : familiesIn(tokensOf(value));
  if (!families || families.length === 0) return [];
  const found = namesBehind(css, offset, families);
  if (!found) return [];
  const quoted = (family: string) => quote + family.replace(/["'\\]/g, '\\$&') + quote;
  const edits = found.flatMap(({ start, end, family }): Edit[] => {
    const instead = nameFor(family);
    return instead === undefined || instead === family ? [] : [{ start, end, text: quoted(instead) }];
  });
  const last = found[found.length - 1];
  const fallback = isCustom ? [] : fallbackFor(nameFor(last.family) ?? last.family);
  if (fallback.length === 0) return edits;
  const text = `, ${fallback.map((one) => (isWord.test(one) ? one : quoted(one))).join(', ')}`;
  const renamed = edits.find(({ start }) => start === last.start);
  if (!renamed) return [...edits, { start: last.end, end: last.end, text }];
  return edits.map((edit) => (edit === renamed ? { ...edit, text: edit.text + text } : edit));
}

/** What needs no quotes; also generic families, which may have none. */
const isWord = /^[a-z-]+$/i;

/** Where the names of a declaration stand; undefined where they can't be told from what stands before them. */
function namesBehind(css: string, offset: number, families: readonly string[]): Name[] | undefined {
  const segments: { type: number; start: number; end: number }[][] = [[]];
  let isValue = false;
  let isOver = false;
  // A declaration ends long before a stylesheet does.
  const end = css.slice(offset).search(/[;}]/);
  tokenize(end < 0 ? css.slice(offset) : css.slice(offset, offset + end), (type, from, to) => {
    if (!isValue) isValue = type === tokenTypes.Colon;
    else if (css[offset + from] === '!') isOver = true;
    else if (type === tokenTypes.Comma) segments.push([]);
    else if (!isOver && type !== tokenTypes.WhiteSpace && type !== tokenTypes.Comment)
      segments[segments.length - 1].push({ type, start: offset + from, end: offset + to });
  });
  if (segments.length !== families.length) return undefined;
  const names = segments.map((tokens, i): Name | undefined => {
    const count = /^["']/.test(css[tokens.at(-1)?.start ?? -1] ?? '') ? 1 : families[i].split(' ').length;
    const own = i === 0 ? tokens.slice(-count) : tokens;
    const isName =
      own.length === count &&
      own.every(({ type }) => type === tokenTypes.String || type === tokenTypes.Ident);
    return isName ? { start: own[0].start, end: own[own.length - 1].end, family: families[i] } : undefined;
  });
  return names.every((one) => one !== undefined) ? names : undefined;
}
