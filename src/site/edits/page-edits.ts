// HTML, sections 4.2.4 and 4.2.6: what a kit changes in a page

import { parse, type DefaultTreeAdapterMap } from 'parse5';
import { applied, removal, type Edit } from './edits.js';
import { headPlace } from './head-insertion.js';
import { stylesheetEdits, type ReplacedRules } from './stylesheet-edits.js';

type Element = DefaultTreeAdapterMap['element'];

/** A reference of a page that may go. */
export type PageReference = 'stylesheet' | 'hint' | 'preload';

/** How a kit stands in a page. */
export interface PageWiring {
  /** Elements for the head, a line each, with URLs that fit the page. */
  markup: string;
  isReplaced: (kind: PageReference, url: string) => boolean;
  rules: ReplacedRules;
}

const opening = '<!-- dense-glyph: the kit, put here by wire -->';
const closing = '<!-- dense-glyph: end -->';

/**
 * A page with a kit put into its head, once, where the first stylesheet stood that it replaces, and without the references that
 * it replaces. Everything else stays character for character.
 *
 * @param html decoded so that every byte that isn't ASCII is some character
 */
export function wiredPage(html: string, wiring: PageWiring): string {
  const [mark] = byteOrderMark.exec(html) ?? [''];
  return mark + wired(html.slice(mark.length), wiring);
}

/** As a character, or as the three that its bytes are. */
const byteOrderMark = /^(?:\ufeff|\u00ef\u00bb\u00bf)/;

function wired(html: string, wiring: PageWiring): string {
  const edits: Edit[] = [];
  const known = blockIn(html);
  let place: number | undefined;
  // As browsers read it that run no scripts: what stands in noscript is read too.
  const root = parse(html, { sourceCodeLocationInfo: true, scriptingEnabled: false });
  for (const element of elementsOf(root)) {
    const at = element.sourceCodeLocation;
    if (!at || (known && at.startOffset >= known.start && at.endOffset <= known.end)) continue;
    if (element.tagName === 'style' && at.startTag) {
      const start = at.startTag.endOffset;
      const end = at.endTag?.startOffset ?? at.endOffset;
      for (const edit of stylesheetEdits(html.slice(start, end), wiring.rules))
        edits.push({ ...edit, start: edit.start + start, end: edit.end + start });
    }
    const reference = element.tagName === 'link' ? referenceOf(element) : undefined;
    if (!reference || !wiring.isReplaced(reference.kind, reference.url)) continue;
    const edit = removal(html, at.startOffset, at.endOffset);
    edits.push(edit);
    if (reference.kind === 'stylesheet') place ??= edit.start;
  }
  const newline = html.includes('\r\n') ? '\r\n' : '\n';
  const lines = [opening, ...wiring.markup.trimEnd().split('\n'), closing];
  if (known) edits.push({ ...known, text: lines.join(newline + indentBefore(html, known.start)) });
  else if (place !== undefined) {
    const indent = /^[ \t]*/.exec(html.slice(place))![0];
    edits.push({ start: place, end: place, text: lines.map((line) => indent + line + newline).join('') });
  } else {
    const at = headPlace(html);
    const indent = indentBefore(html, at);
    edits.push({ start: at, end: at, text: lines.map((line) => line + newline + indent).join('') });
  }
  return applied(html, merged(edits));
}

/** White space before a place, where nothing else stands before it on its line. */
function indentBefore(text: string, at: number): string {
  const before = text.slice(text.lastIndexOf('\n', at - 1) + 1, at);
  return /^[ \t]*$/.test(before) ? before : '';
}

/** What is put where something goes is put in its place. */
function merged(edits: readonly Edit[]): Edit[] {
  const insertion = edits.find(({ start, end }) => start === end);
  const same = insertion && edits.find((one) => one !== insertion && one.start === insertion.start);
  if (!insertion || !same) return [...edits];
  return [...edits.filter((one) => one !== insertion && one !== same), { ...same, text: insertion.text }];
}

/** Where an earlier run put the kit. */
function blockIn(html: string): { start: number; end: number } | undefined {
  const start = html.indexOf(opening);
  const end = html.indexOf(closing, start);
  return start < 0 || end < 0 ? undefined : { start, end: end + closing.length };
}

function referenceOf(element: Element): { kind: PageReference; url: string } | undefined {
  const value = (name: string) => element.attrs.find((one) => one.name === name)?.value;
  const url = value('href')?.trim();
  const words = value('rel')?.toLowerCase().split(/\s+/) ?? [];
  if (url === undefined) return undefined;
  if (words.includes('stylesheet')) return { kind: 'stylesheet', url };
  if (words.includes('preconnect') || words.includes('dns-prefetch')) return { kind: 'hint', url };
  if (!words.includes('preload')) return undefined;
  const as = value('as')?.toLowerCase();
  if (as === 'style') return { kind: 'stylesheet', url };
  return as === 'font' ? { kind: 'preload', url } : undefined;
}

function* elementsOf(node: DefaultTreeAdapterMap['parentNode']): Generator<Element> {
  for (const child of node.childNodes) {
    if (!('tagName' in child)) continue;
    yield child;
    yield* elementsOf(child);
  }
}
