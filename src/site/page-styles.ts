// HTML: style elements, style attributes and stylesheet links

import { parse, type DefaultTreeAdapterTypes } from 'parse5';

/** Where a page's styles stand. */
export interface PageStyles {
  /** Contents of style elements. */
  stylesheets: string[];
  /** Values of style attributes. */
  declarations: string[];
  /** Stylesheets that are linked, as the page writes them. */
  links: string[];
}

export function pageStyles(html: string): PageStyles {
  const styles: PageStyles = { stylesheets: [], declarations: [], links: [] };
  const waiting: DefaultTreeAdapterTypes.Node[] = [parse(html)];
  for (let node = waiting.pop(); node; node = waiting.pop()) {
    if ('tagName' in node) readElement(node, styles);
    if ('childNodes' in node) waiting.push(...node.childNodes);
    if ('content' in node) waiting.push(node.content);
  }
  return styles;
}

function readElement(
  { tagName, attrs, childNodes }: DefaultTreeAdapterTypes.Element,
  styles: PageStyles,
): void {
  const valueOf = (attribute: string) => attrs.find(({ name }) => name === attribute)?.value;
  const style = valueOf('style');
  if (style !== undefined) styles.declarations.push(style);
  if (tagName === 'style') {
    styles.stylesheets.push(childNodes.map((child) => ('value' in child ? child.value : '')).join(''));
  }
  const href = valueOf('href');
  if (tagName === 'link' && href !== undefined && /\bstylesheet\b/i.test(valueOf('rel') ?? '')) {
    styles.links.push(href);
  }
}
