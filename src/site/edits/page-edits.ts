// HTML, sections 4.2.4 and 4.2.6: what a kit changes in a page

import escapeHtml from 'escape-html';
import { parse, type DefaultTreeAdapterMap } from 'parse5';
import { applied, removal, withoutInner, type Edit } from './edits.js';
import { attributeText, elementsOf, nodesOf, type Element, type Node } from './elements.js';
import { markInRange } from '../css/loading-mark.js';
import { behindEncoding, headPlace } from './head-insertion.js';
import { stylesheetEdits, type ReplacedRules, type Verdict } from './stylesheet-edits.js';

/** A reference of a page that a kit may have something to do with. */
export type PageReference = 'stylesheet' | 'hint' | 'preload';

/** How a kit stands in a page. */
export interface PageWiring {
  /** Elements for the head, a line each, with URLs that fit the page; undefined for a page that has no use for the kit. */
  markup: string | undefined;
  /** What becomes of a reference. @param isAskedOtherwise whether other elements that stay name the same host */
  verdict: (kind: PageReference, url: string, isAskedOtherwise: (host: string) => boolean) => Verdict;
  /** Whether a stylesheet that stays may declare a family of the kit: then the kit comes after it, as the last rule counts. */
  mayDeclare: (url: string) => boolean;
  rules: ReplacedRules;
}

/** The comments around what was put in. */
export interface Markers {
  opening: string;
  closing: string;
}

/** What they say. */
export const markerTexts = { opening: 'dense-glyph: the kit, put here by wire', closing: 'dense-glyph: end' };

export const htmlMarkers: Markers = {
  opening: `<!-- ${markerTexts.opening} -->`,
  closing: `<!-- ${markerTexts.closing} -->`,
};

/**
 * A page with a kit in its head, once, where the first stylesheet stood that it replaces, and without the references that it
 * replaces. Everything else stays character for character.
 *
 * @returns undefined where the page would be read otherwise besides
 */
export function wiredPage(html: string, wiring: PageWiring): string | undefined {
  const mark = html.startsWith('\ufeff') ? '\ufeff' : '';
  const own = html.slice(mark.length);
  const after = wired(own, wiring);
  return after === own || readsTheSame(own, after, wiring) ? mark + after : undefined;
}

function wired(html: string, wiring: PageWiring): string {
  const known = blockIn(html);
  const { edits, place, after } = referenceEdits(html, wiring, known);
  if (wiring.markup === undefined) {
    const gone = known ? [removal(html, known.start, known.end)] : [];
    return applied(html, withoutInner([...edits, ...gone]));
  }
  const stays = known && (after === undefined || known.start >= after) ? known : undefined;
  const moved = known && !stays ? [removal(html, known.start, known.end)] : [];
  const at = behindEncoding(html, Math.max(place ?? headPlace(html), after ?? 0));
  return applied(
    html,
    merged([...withoutInner([...edits, ...moved]), insertion(html, wiring.markup, htmlMarkers, stays, at)]),
  );
}

/** Where a line after a place starts, if nothing else stands on it. */
function behind(html: string, at: number): number {
  const rest = /^[ \t]*\r?\n/.exec(html.slice(at, at + 200));
  return rest ? at + rest[0].length : at;
}

/** What becomes of the references of a page. */
interface ReferenceEdits {
  edits: Edit[];
  /** Where the first stylesheet stood that goes. */
  place?: number | undefined;
  /** Behind the last stylesheet that stays and may declare a family of the kit. */
  after?: number | undefined;
}

/** Takes out what a kit replaces, but for what stands in its own block. */
export function referenceEdits(
  html: string,
  wiring: Omit<PageWiring, 'markup'>,
  known: Block | undefined,
): ReferenceEdits {
  const found: ReferenceEdits = { edits: [] };
  // As browsers read it that run no scripts: what stands in noscript is read too.
  const root = parse(html, { sourceCodeLocationInfo: true, scriptingEnabled: false });
  const all = [...elementsOf(root)].filter((element) => {
    const at = element.sourceCodeLocation;
    return at && !(known && at.startOffset >= known.start && at.endOffset <= known.end);
  });
  const links = all.flatMap((element) => {
    const reference = element.tagName === 'link' ? referenceOf(element) : undefined;
    return reference ? [{ element, ...reference }] : [];
  });
  const isNever = () => false;
  const stayed = new Set(all);
  for (const { element, kind, url } of links)
    if (kind === 'hint' || wiring.verdict(kind, url, isNever) !== 'stays') stayed.delete(element);
  const isAskedOtherwise = (host: string) => [...stayed].some((element) => mentions(element, host));
  for (const element of all) {
    const at = element.sourceCodeLocation!;
    if (element.tagName !== 'style' || !at.startTag) continue;
    const start = at.startTag.endOffset;
    const own = stylesheetEdits(html.slice(start, at.endTag?.startOffset ?? at.endOffset), wiring.rules);
    for (const edit of own) found.edits.push({ ...edit, start: edit.start + start, end: edit.end + start });
  }
  for (const { element, kind, url } of links) {
    const { startOffset, endOffset } = element.sourceCodeLocation!;
    const verdict = wiring.verdict(kind, url, isAskedOtherwise);
    if (verdict === 'stays') {
      if (kind === 'stylesheet' && wiring.mayDeclare(url)) found.after = behind(html, endOffset);
      continue;
    }
    const edit = removal(html, startOffset, endOffset);
    if (kind === 'stylesheet') found.place ??= verdict === 'goes' ? edit.start : startOffset;
    if (verdict === 'goes') found.edits.push(edit);
    else found.edits.push(...readdressed(html, element, verdict.becomes));
  }
  return found;
}

/** The nonce that the styles or scripts of a page bear, as it is written: `nonce="…"`; what is put in bears it too. */
export function nonceOf(html: string): string | undefined {
  if (!/\snonce\b/i.test(html)) return undefined;
  for (const element of elementsOf(parse(html, { sourceCodeLocationInfo: true, scriptingEnabled: false }))) {
    if (!/^(?:link|style|script)$/.test(element.tagName)) continue;
    const text = attributeText(html, element, 'nonce');
    if (text !== undefined) return text;
  }
  return undefined;
}

/** What a page links whose content it states by a digest (Subresource Integrity, section 3.5). */
export function pinnedAddresses(html: string): string[] {
  if (!/\bintegrity\b/i.test(html)) return [];
  return [...elementsOf(parse(html, { scriptingEnabled: false }))].flatMap((element) => {
    const isPinned = element.attrs.some(({ name, value }) => name === 'integrity' && value.trim() !== '');
    const url = isPinned && element.tagName === 'link' ? referenceOf(element)?.url : undefined;
    return url ?? [];
  });
}

/** Whether an element names a host: in an address, or in code. */
const mentions = ({ attrs, childNodes, tagName }: Element, host: string): boolean =>
  attrs.some(({ value }) => value.includes(`//${host}`)) ||
  (/^(?:script|style)$/.test(tagName) &&
    childNodes.some((child) => 'value' in child && child.value.includes(`//${host}`)));

/** A link with another address; what was said of the other's content goes. */
function readdressed(html: string, element: Element, address: string): Edit[] {
  const places = element.sourceCodeLocation?.attrs ?? {};
  return Object.entries(places).flatMap(([name, { startOffset, endOffset }]): Edit[] => {
    if (name === 'href')
      return [{ start: startOffset, end: endOffset, text: `href="${escapeHtml(address)}"` }];
    if (name !== 'integrity' && name !== 'crossorigin') return [];
    const before = /\s*$/.exec(html.slice(0, startOffset))![0].length;
    return [{ start: startOffset - before, end: endOffset, text: '' }];
  });
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
  const same =
    inserted &&
    edits.find((one) => one !== inserted && one.start <= inserted.start && one.end > inserted.start);
  if (!inserted || !same || same.text !== '') return [...edits];
  return [...edits.filter((one) => one !== inserted && one !== same), { ...same, text: inserted.text }];
}

/** Where a kit stands, with its comments. */
export interface Block {
  start: number;
  end: number;
}

/** Where an earlier call put the kit: two comments of a page with nothing but links between them. */
export function blockIn(html: string): Block | undefined {
  if (!html.includes(markerTexts.opening)) return undefined;
  let opening: Node | undefined;
  for (const node of nodesOf(parse(html, { sourceCodeLocationInfo: true, scriptingEnabled: false }))) {
    if (isComment(node, markerTexts.opening)) opening = node;
    else if (opening && isComment(node, markerTexts.closing)) {
      const [start, end] = [opening.sourceCodeLocation?.startOffset, node.sourceCodeLocation?.endOffset];
      if (start !== undefined && end !== undefined && start < end) return { start, end };
    } else if (opening && !isOfBlock(node)) opening = undefined;
  }
  return undefined;
}

const isComment = (node: Node, text: string): boolean => 'data' in node && node.data.trim() === text;

/** Links, the loader, a first part of a face, white space, and elements that the page leaves to be understood. */
const isOfBlock = (node: Node): boolean =>
  'tagName' in node
    ? node.tagName === 'link' || isOfKit(node) || !node.sourceCodeLocation
    : 'value' in node && (node.value.trim() === '' || (node.parentNode !== null && isOfKit(node.parentNode)));

const isOfKit = (node: DefaultTreeAdapterMap['parentNode']): boolean => isLoader(node) || isFirstPart(node);

const isFirstPart = (node: DefaultTreeAdapterMap['parentNode']): boolean =>
  'tagName' in node &&
  node.tagName === 'style' &&
  node.childNodes.some((child) => 'value' in child && markInRange.test(child.value));

const isLoader = (node: DefaultTreeAdapterMap['parentNode']): boolean =>
  'tagName' in node && node.tagName === 'script' && node.attrs.some(({ name }) => name === 'data-base');

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

/** Whether two texts make the same document, but for what a kit replaces and what was put in. */
function readsTheSame(before: string, after: string, wiring: PageWiring): boolean {
  return outline(before, wiring) === outline(after, wiring);
}

/** A document as text, without links that a kit may have to do with, the text of styles, and the amount of white space. */
function outline(html: string, wiring: PageWiring): string {
  const known = blockIn(html);
  let told = '';
  let text = '';
  const flush = () => {
    if (text.trim() !== '') told += `"${text.replace(/\s+/g, ' ').trim()}"`;
    text = '';
  };
  const isKits = (element: Element): boolean => {
    const at = element.sourceCodeLocation;
    if (known && at && at.startOffset >= known.start && at.endOffset <= known.end) return true;
    const reference = element.tagName === 'link' ? referenceOf(element) : undefined;
    return (
      reference !== undefined &&
      (reference.kind === 'hint' ||
        wiring.verdict(reference.kind, reference.url, () => false) !== 'stays' ||
        isOurs(reference.url))
    );
  };
  const isOurs = (url: string) => /(?:^|\/)styles\/[^/]+\.css$/.test(url);
  // What is still to be told, the next one last; undefined where an element ends.
  const waiting: (Node | undefined)[] = [];
  const wait = (nodes: readonly Node[]) => waiting.push(...[...nodes].reverse());
  wait(parse(html, { sourceCodeLocationInfo: true, scriptingEnabled: false }).childNodes);
  while (waiting.length > 0) {
    const node = waiting.pop();
    if (node === undefined) {
      flush();
      told += '</>';
    } else if ('value' in node) text += node.value;
    else if ('tagName' in node) {
      if (isKits(node)) continue;
      flush();
      told += `<${node.tagName} ${JSON.stringify(node.attrs.map(({ name, value }) => [name, value]))}>`;
      waiting.push(undefined);
      if ('content' in node) wait(node.content.childNodes);
      if (node.tagName !== 'style') wait(node.childNodes);
    } else if ('data' in node && !Object.values(markerTexts).includes(node.data.trim())) {
      flush();
      told += `<!--${node.data}-->`;
    }
  }
  flush();
  return told;
}
