import type { DefaultTreeAdapterMap } from 'parse5';

export type Element = DefaultTreeAdapterMap['element'];
export type Node = DefaultTreeAdapterMap['childNode'];

/** All nodes within a node, in the order of the document; not those of templates. Pages may nest as deep as they like. */
export function* nodesOf(parent: DefaultTreeAdapterMap['parentNode']): Generator<Node> {
  const waiting = [...parent.childNodes].reverse();
  for (let node = waiting.pop(); node; node = waiting.pop()) {
    yield node;
    if ('childNodes' in node)
      for (let i = node.childNodes.length - 1; i >= 0; i--) waiting.push(node.childNodes[i]);
  }
}

/** The elements among them. */
export function* elementsOf(parent: DefaultTreeAdapterMap['parentNode']): Generator<Element> {
  for (const node of nodesOf(parent)) if ('tagName' in node) yield node;
}

/** The raw text of an attribute with its name, as in `nonce="…"`; undefined where it isn't there. */
export function attributeText(
  html: string,
  { sourceCodeLocation }: Element,
  name: string,
): string | undefined {
  const at = sourceCodeLocation?.attrs?.[name];
  return at && html.slice(at.startOffset, at.endOffset);
}
