// HTML: documents as trees, with where each element stands in the source

import { parse } from 'parse5';
import { treeBuilding, type BuiltElement } from './tree-building.js';

export interface SiteElement {
  kind: 'element';
  /** In small letters; as written in foreign content. */
  name: string;
  attributes: ReadonlyMap<string, string>;
  parent: SiteElement | undefined;
  children: SiteNode[];
  /** Elements among the children, in order, and which of them this one is, from 0. */
  elements: SiteElement[];
  index: number;
  /** Line in the source, from 1; 0 for what the parser added. */
  line: number;
  /** Set of class names. */
  classes: ReadonlySet<string>;
  /** A declarative shadow root. */
  shadow?: SiteElement | undefined;
  /** Of the root of a shadow tree. */
  host?: SiteElement | undefined;
  /** The slot of the parent's shadow tree that the element is put into. */
  slot?: SiteElement | undefined;
  /** Of a slot in a shadow tree: what is put into it. */
  assigned?: SiteNode[] | undefined;
}

export interface SiteText {
  kind: 'text';
  text: string;
  line: number;
}

export type SiteNode = SiteElement | SiteText;

/** How deep elements may lie in each other; deeper ones are left out, as browsers give up at about as many. */
const deepest = 512;

/** The root element of a page, with the lines of elements if they are asked for. Comments, processing instructions and the content of templates are left out. */
export function readDocument(html: string, hasLines = true): SiteElement {
  const document = parse(html, { sourceCodeLocationInfo: hasLines, treeAdapter: treeBuilding() });
  const root = document.children.find(
    (node) => node.kind === 'element' && node.name === 'html',
  ) as BuiltElement;
  root.parent = undefined;
  settle(root, 1);
  return root;
}

/** Numbers the elements in an element, and takes templates out: a shadow root hangs on its host. */
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

/** An element and all below it, in the order of the document; not what is in shadow trees. */
export function* elementsWithin(root: SiteElement): Generator<SiteElement> {
  const waiting = [root];
  for (let element = waiting.pop(); element; element = waiting.pop()) {
    yield element;
    for (let i = element.elements.length - 1; i >= 0; i--) waiting.push(element.elements[i]);
  }
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
