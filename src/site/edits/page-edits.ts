// HTML, sections 4.2.4 and 4.2.6: what a kit changes in a page

import { parse } from 'parse5';
import { applied, removal, type Edit } from './edits.js';
import { elementsOf, type Element } from './elements.js';
import { headPlace } from './head-insertion.js';
import { stylesheetEdits, type ReplacedRules } from './stylesheet-edits.js';

/** A reference of a page that may go. */
export type PageReference = 'stylesheet' | 'hint' | 'preload';

/** How a kit stands in a page. */
export interface PageWiring {
  /** Elements for the head, a line each, with URLs that fit the page. */
  markup: string;
  isReplaced: (kind: PageReference, url: string) => boolean;
  rules: ReplacedRules;
}

/** The comments around what was put in. */
export interface Markers {
  opening: string;
  closing: string;
}

/** What they say. */
export const markerTexts = { opening: 'dense-glyph: the kit, put here by wire', closing: 'dense-glyph: end' };

const htmlMarkers: Markers = {
  opening: `<!-- ${markerTexts.opening} -->`,
  closing: `<!-- ${markerTexts.closing} -->`,
};

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
  const known = blockIn(html, htmlMarkers);
  const { edits, place = headPlace(html) } = referenceEdits(html, wiring, known);
  return applied(html, merged([...edits, insertion(html, wiring.markup, htmlMarkers, known, place)]));
}

/**
 * Takes out what a kit replaces, but for what stands in its own block.
 *
 * @returns also where the first stylesheet stood that goes
 */
export function referenceEdits(
  html: string,
  wiring: Omit<PageWiring, 'markup'>,
  known: Block | undefined,
): { edits: Edit[]; place?: number } {
  const edits: Edit[] = [];
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
  return { edits, ...(place === undefined ? {} : { place }) };
}

/**
 * Puts a kit in, between its comments.
 *
 * @param known where it stands already
 * @param place where it goes otherwise: where lines start that go, or before what stands there
 */
export function insertion(
  text: string,
  markup: string,
  { opening, closing }: Markers,
  known: Block | undefined,
  place: number,
): Edit {
  const newline = text.includes('\r\n') ? '\r\n' : '\n';
  const lines = [opening, ...markup.trimEnd().split('\n'), closing];
  if (known) return { ...known, text: lines.join(newline + indentBefore(text, known.start)) };
  const isLineStart = place === 0 || text[place - 1] === '\n';
  if (isLineStart) {
    const indent = /^[ \t]*/.exec(text.slice(place))![0];
    return { start: place, end: place, text: lines.map((line) => indent + line + newline).join('') };
  }
  const indent = indentBefore(text, place);
  return { start: place, end: place, text: lines.map((line) => line + newline + indent).join('') };
}

/** White space before a place, where nothing else stands before it on its line. */
function indentBefore(text: string, at: number): string {
  const before = text.slice(text.lastIndexOf('\n', at - 1) + 1, at);
  return /^[ \t]*$/.test(before) ? before : '';
}

/** What is put where something goes is put in its place. */
export function merged(edits: readonly Edit[]): Edit[] {
  const inserted = edits.find(({ start, end }) => start === end);
  const same = inserted && edits.find((one) => one !== inserted && one.start === inserted.start);
  if (!inserted || !same) return [...edits];
  return [...edits.filter((one) => one !== inserted && one !== same), { ...same, text: inserted.text }];
}

/** Where a kit stands, with its comments. */
export interface Block {
  start: number;
  end: number;
}

/** Where an earlier run put the kit. */
export function blockIn(html: string, { opening, closing }: Markers): Block | undefined {
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
