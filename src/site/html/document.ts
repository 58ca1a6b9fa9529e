// HTML: documents as trees, with where each element stands in the source

import { parse, type DefaultTreeAdapterTypes } from 'parse5';

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
  /** The content of a template or of a declarative shadow root. */
  shadow?: SiteElement;
}

export interface SiteText {
  kind: 'text';
  text: string;
  line: number;
}

export type SiteNode = SiteElement | SiteText;

/** How deep elements may lie in each other; deeper ones are left out, as browsers give up at about as many. */
const deepest = 512;

/** The root element of a page. Comments and processing instructions are left out. */
export function readDocument(html: string): SiteElement {
  const document = parse(html, { sourceCodeLocationInfo: true });
  const root = document.childNodes.find(
    (node) => node.nodeName === 'html',
  ) as DefaultTreeAdapterTypes.Element;
  const made = elementOf(root, undefined, 0);
  fill(made, root, 1);
  return made;
}

const noClasses: ReadonlySet<string> = new Set();

function elementOf(
  source: DefaultTreeAdapterTypes.Element,
  parent: SiteElement | undefined,
  index: number,
): SiteElement {
  const attributes = new Map<string, string>();
  for (const { name, value } of source.attrs) attributes.set(name, value);
  const names = attributes.get('class');
  return {
    kind: 'element',
    name: source.tagName,
    attributes,
    parent,
    children: [],
    elements: [],
    index,
    line: source.sourceCodeLocation?.startLine ?? 0,
    classes: names ? new Set(names.split(/[\t\n\f\r ]+/).filter(Boolean)) : noClasses,
  };
}

function fill(target: SiteElement, source: DefaultTreeAdapterTypes.ParentNode, depth: number): void {
  if (depth > deepest) return;
  for (const node of source.childNodes) {
    if (node.nodeName === '#text' && 'value' in node) {
      target.children.push({ kind: 'text', text: node.value, line: node.sourceCodeLocation?.startLine ?? 0 });
    } else if ('tagName' in node) {
      if (node.tagName === 'template') addTemplate(target, node, depth);
      else addElement(target, node, depth);
    }
  }
}

function addElement(target: SiteElement, node: DefaultTreeAdapterTypes.Element, depth: number): void {
  const child = elementOf(node, target, target.elements.length);
  target.elements.push(child);
  target.children.push(child);
  fill(child, node, depth + 1);
}

/** A declarative shadow root hangs on its parent; what other templates hold isn't drawn. */
function addTemplate(target: SiteElement, node: DefaultTreeAdapterTypes.Element, depth: number): void {
  const isShadow = node.attrs.some(({ name }) => name === 'shadowrootmode');
  if (!isShadow || target.shadow || !('content' in node)) return;
  const shadow = elementOf(node, undefined, 0);
  fill(shadow, (node as DefaultTreeAdapterTypes.Template).content, depth + 1);
  target.shadow = shadow;
}

/** An element and all below it, in the order of the document. */
export function* elementsWithin(root: SiteElement): Generator<SiteElement> {
  const waiting = [root];
  for (let element = waiting.pop(); element; element = waiting.pop()) {
    yield element;
    for (let i = element.elements.length - 1; i >= 0; i--) waiting.push(element.elements[i]);
  }
}

/** The text of an element's own text nodes, as of style and title. */
export const ownText = ({ children }: SiteElement): string =>
  children.map((child) => (child.kind === 'text' ? child.text : '')).join('');
