import type { DefaultTreeAdapterMap } from 'parse5';

export type Element = DefaultTreeAdapterMap['element'];

/** All elements within a node, in the order of the document; not those of templates. */
export function* elementsOf(node: DefaultTreeAdapterMap['parentNode']): Generator<Element> {
  for (const child of node.childNodes) {
    if (!('tagName' in child)) continue;
    yield child;
    yield* elementsOf(child);
  }
}
