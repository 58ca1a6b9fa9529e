// HTML: the text of a page, where its styles stand, and which elements draw more than their text

import { parse, type DefaultTreeAdapterTypes } from 'parse5';

import { behindBase } from './base-url.js';

type Node = DefaultTreeAdapterTypes.Node;
type Element = DefaultTreeAdapterTypes.Element;

export interface Page {
  /** What it shows, in pieces. */
  text: string[];
  /** Contents of style elements. */
  stylesheets: string[];
  /** Values of style attributes. */
  declarations: string[];
  /** Stylesheets that are linked, as the page writes them, behind what its `base` puts before. */
  links: string[];
  /** BCP 47, as the page writes them. */
  languages: Set<string>;
  /** Counter styles that lists number their items with. */
  counterStyles: Set<string>;
  /** Font features that elements turn on. */
  features: Set<string>;
  /** Whether browsers put quotation marks around an element. */
  quotes: boolean;
  /** Whether a field hides what is typed into it. */
  passwords: boolean;
}

/** Attributes whose value a browser draws. */
const drawnAttributes: ReadonlySet<string> = new Set(['alt', 'label', 'placeholder', 'title', 'value']);
const notDrawn: ReadonlySet<string> = new Set(['script', 'style', 'meta', 'link']);
/** HTML, section 4.4.5: the type of a list. */
const counterStyles: ReadonlyMap<string, string> = new Map([
  ['1', 'decimal'],
  ['a', 'lower-alpha'],
  ['A', 'upper-alpha'],
  ['i', 'lower-roman'],
  ['I', 'upper-roman'],
]);

/** Fields whose text WebKit's own stylesheet sets with features. */
const timeFields: ReadonlySet<string> = new Set(['date', 'datetime-local', 'month', 'time', 'week']);
const featuresOfTimes = ['tnum', 'ss03'];

/** Templates are read too, as scripts will show them. */
export function readPage(html: string): Page {
  const page: Page = {
    text: [],
    stylesheets: [],
    declarations: [],
    links: [],
    languages: new Set(),
    counterStyles: new Set(),
    features: new Set(),
    quotes: false,
    passwords: false,
  };
  let base = '';
  eachNode(html, (node) => {
    if ('tagName' in node && node.tagName === 'base') base ||= valueOf(node, 'href') ?? '';
    if ('tagName' in node) readElement(node, page);
    else if (node.nodeName === '#text' && 'value' in node && !isHidden(node)) page.text.push(node.value);
  });
  page.links = page.links.map((link) => behindBase(link, base));
  return page;
}

/** The values of attributes of these names, in all elements of a page. */
export function attributeValues(html: string, names: ReadonlySet<string>): string[] {
  const values: string[] = [];
  eachNode(html, (node) => {
    if (!('attrs' in node)) return;
    for (const { name, value } of node.attrs) if (names.has(name)) values.push(value);
  });
  return values;
}

function eachNode(html: string, visit: (node: Node) => void): void {
  const waiting: Node[] = [parse(html)];
  for (let node = waiting.pop(); node; node = waiting.pop()) {
    visit(node);
    if ('content' in node) waiting.push(node.content);
    // The first one is taken next, so that text stays in order.
    const children = 'childNodes' in node ? node.childNodes : [];
    for (let i = children.length - 1; i >= 0; i--) waiting.push(children[i]);
  }
}

const isHidden = ({ parentNode }: DefaultTreeAdapterTypes.TextNode) =>
  parentNode !== null && notDrawn.has(parentNode.nodeName);

function readElement(element: Element, page: Page): void {
  if (!notDrawn.has(element.tagName)) {
    for (const { name, value } of element.attrs) if (drawnAttributes.has(name)) page.text.push(value);
  }
  const language = valueOf(element, 'lang');
  if (language) page.languages.add(language);
  readStyles(element, page);
  readDrawing(element, page);
}

const valueOf = ({ attrs }: Element, attribute: string) =>
  attrs.find(({ name }) => name === attribute)?.value;

function readStyles(element: Element, page: Page): void {
  const style = valueOf(element, 'style');
  if (style !== undefined) page.declarations.push(style);
  if (element.tagName === 'style') {
    const pieces = element.childNodes.map((child) => ('value' in child ? child.value : ''));
    page.stylesheets.push(pieces.join(''));
  }
  const href = valueOf(element, 'href');
  const isStylesheet = element.tagName === 'link' && /\bstylesheet\b/i.test(valueOf(element, 'rel') ?? '');
  if (isStylesheet && href !== undefined) page.links.push(href);
}

function readDrawing(element: Element, page: Page): void {
  switch (element.tagName) {
    case 'ol':
    case 'ul':
    case 'li': {
      const type = valueOf(element, 'type') ?? (element.tagName === 'ol' ? '1' : '');
      const counterStyle = counterStyles.get(type);
      if (counterStyle) page.counterStyles.add(counterStyle);
      break;
    }
    case 'q':
      page.quotes = true;
      break;
    case 'input': {
      const type = valueOf(element, 'type')?.toLowerCase() ?? '';
      if (type === 'password') page.passwords = true;
      if (timeFields.has(type)) for (const tag of featuresOfTimes) page.features.add(tag);
      break;
    }
  }
}
