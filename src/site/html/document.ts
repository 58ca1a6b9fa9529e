// HTML: documents as trees, with where each element stands in the source

import { parse } from 'parse5';
import type { SiteElement, SiteNode, SiteText } from './tree.js';
import { treeBuilding, type BuiltElement } from './tree-building.js';

export type { SiteElement, SiteNode, SiteText };

/** How deep elements may lie in each other; deeper ones are left out, as browsers give up at about as many. */
const deepest = 512;

/** Which lines elements stand in: asked for at once, when somebody needs one, or never. */
export type Lines = 'noted' | 'on demand' | 'none';

/** What styles in a page itself look like; whoever asks for them asks for their lines. */
const ownStyles = /\sstyle\s*=|<style|<font\b/i;

/**
 * The root element of a page. Comments, processing instructions and the content of templates are left out.
 *
 * @param lines to note lines takes longer than to read the page; on demand, a page without styles of its own is read again
 * where one is asked for
 */
export function readDocument(html: string, lines: Lines = 'on demand'): SiteElement {
  const isNoted = lines === 'noted' || (lines === 'on demand' && ownStyles.test(html));
  const root = builtRoot(html, isNoted);
  if (lines === 'on demand' && !isNoted) {
    let known: number[] | undefined;
    const lines = { of: (at: number) => (known ??= linesIn(html))[at] ?? 0 };
    number(root, (element) => (element.lines = lines));
  }
  return root;
}

function builtRoot(html: string, isNoted: boolean): BuiltElement {
  const document = parse(html, { sourceCodeLocationInfo: isNoted, treeAdapter: treeBuilding() });
  const isRoot = (node: SiteNode): node is BuiltElement => node.kind === 'element' && node.name === 'html';
  const root = document.children.find(isRoot)!;
  root.parent = undefined;
  settle(root, 1);
  return root;
}

function linesIn(html: string): number[] {
  const lines: number[] = [];
  number(builtRoot(html, true), ({ number: at, ownLine }) => (lines[at] = ownLine));
  return lines;
}

/** Numbers the elements of a document, which is the same each time that it is read. */
function number(root: BuiltElement, visit: (element: BuiltElement) => void): void {
  let count = 0;
  for (const tree of treesWithin(root)) {
    for (const element of elementsWithin(tree) as readonly BuiltElement[]) {
      element.number = count++;
      visit(element);
    }
  }
}

/** Counts the elements in an element, and takes templates out: a shadow root hangs on its host. */
function settle(element: BuiltElement, depth: number): void {
  if (depth > deepest) element.children = [];
  let hasTemplates = false;
  for (const child of element.children) {
    if (child.kind === 'text') continue;
    if (child.content) {
      hasTemplates = true;
      addTemplate(element, child, child.content, depth);
    } else {
      child.index = element.elements.push(child) - 1;
      settle(child, depth + 1);
    }
  }
  if (hasTemplates)
    element.children = element.children.filter((child) => !('content' in child && child.content));
  if (element.shadow) assignSlots(element, element.shadow);
}

/** A declarative shadow root (HTML, section 4.12.3); what other templates hold isn't drawn. */
function addTemplate(host: BuiltElement, template: BuiltElement, content: BuiltElement, depth: number): void {
  if (!template.attributes.has('shadowrootmode') || host.shadow) return;
  content.host = host;
  host.shadow = content;
  settle(content, depth + 1);
}

/** HTML, section 4.8.3; DOM, section 4.2.2.3: children of a host go to the slots of its shadow tree by name. */
function assignSlots(host: SiteElement, shadow: SiteElement): void {
  const slots = new Map<string, SiteElement>();
  for (const element of elementsWithin(shadow)) {
    const name = element.attributes.get('name') ?? '';
    if (element.name === 'slot' && !slots.has(name)) slots.set(name, element);
  }
  for (const child of host.children) {
    const slot = slots.get(child.kind === 'element' ? (child.attributes.get('slot') ?? '') : '');
    if (!slot) continue;
    (slot.assigned ??= []).push(child);
    if (child.kind === 'element') child.slot = slot;
  }
}

/** Those of whole trees, which are gone through often. */
const known = new WeakMap<SiteElement, readonly SiteElement[]>();

/** An element and all below it, in the order of the document; not what is in shadow trees. */
export function elementsWithin(root: SiteElement): readonly SiteElement[] {
  const before = known.get(root);
  if (before) return before;
  const found: SiteElement[] = [];
  const waiting = [root];
  for (let element = waiting.pop(); element; element = waiting.pop()) {
    found.push(element);
    for (let i = element.elements.length - 1; i >= 0; i--) waiting.push(element.elements[i]);
  }
  if (root.parent === undefined) known.set(root, found);
  return found;
}

/** The root of a page, then those of its shadow trees. */
export function treesWithin(root: SiteElement): SiteElement[] {
  const trees = [root];
  for (const tree of trees) {
    for (const { shadow } of elementsWithin(tree)) if (shadow) trees.push(shadow);
  }
  return trees;
}

/** The text of an element's own text nodes, as of style and title. */
export const ownText = ({ children }: SiteElement): string =>
  children.map((child) => (child.kind === 'text' ? child.text : '')).join('');

const notRead: ReadonlySet<string> = new Set(['script', 'style']);
const readAttributes = ['alt', 'label', 'placeholder', 'title', 'value'];

/** The texts of a document in any order: what stands in elements, and attributes that browsers may draw. */
export function textsWithin(html: string): string[] {
  return treesWithin(readDocument(html, 'none')).flatMap((tree) =>
    elementsWithin(tree)
      .filter(({ name }) => !notRead.has(name))
      .flatMap((element) => [
        ownText(element),
        ...readAttributes.flatMap((name) => element.attributes.get(name) ?? []),
      ]),
  );
}
