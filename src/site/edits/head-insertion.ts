// HTML: the head element

import { parse, type DefaultTreeAdapterMap } from 'parse5';

type Element = DefaultTreeAdapterMap['element'];

const isElement = (node: DefaultTreeAdapterMap['node'], tagName: string): node is Element =>
  'tagName' in node && node.tagName === tagName;

/**
 * A page with markup put into its head, before the first stylesheet link, so that the page's own rules come later.
 * The rest of the page stays as it is, character for character. Where the page leaves out its head tags, the
 * markup goes where the head's content ends.
 *
 * @param html the page
 * @param markup elements that belong into a head
 */
export function insertIntoHead(html: string, markup: string): string {
  const at = behindEncoding(html, headPlace(html));
  return html.slice(0, at) + markup + html.slice(at);
}

/** Where that is, in characters. */
export function headPlace(html: string): number {
  const document = parse(html, { sourceCodeLocationInfo: true });
  const root = document.childNodes.find((node) => isElement(node, 'html')) as Element;
  const head = root.childNodes.find((node) => isElement(node, 'head')) as Element;
  const sheet = head.childNodes.find((node) => {
    if (isElement(node, 'style')) return true;
    return (
      isElement(node, 'link') &&
      node.attrs.some(({ name, value }) => name === 'rel' && /\bstylesheet\b/i.test(value))
    );
  }) as Element | undefined;
  const lastChild = [...head.childNodes].reverse().find((node) => node.sourceCodeLocation);
  // What isn't closed ends behind the text.
  return Math.min(
    html.length,
    sheet?.sourceCodeLocation?.startOffset ??
      head.sourceCodeLocation?.endTag?.startOffset ??
      lastChild?.sourceCodeLocation?.endOffset ??
      head.sourceCodeLocation?.startTag?.endOffset ??
      root.sourceCodeLocation?.startTag?.endOffset ??
      document.childNodes.find((node) => node.nodeName === '#documentType')?.sourceCodeLocation?.endOffset ??
      0,
  );
}

/**
 * A place, or behind what names the encoding where that comes later: browsers look for it in the first 1024 bytes (HTML, section
 * 4.2.5.4).
 */
export function behindEncoding(html: string, place: number): number {
  if (!/<meta\s[^>]*charset/i.test(html.slice(place))) return place;
  const root = parse(html, { sourceCodeLocationInfo: true }).childNodes.find((node) =>
    isElement(node, 'html'),
  );
  const head = (root as Element).childNodes.find((node) => isElement(node, 'head')) as Element;
  const named = head.childNodes.find(
    (node) =>
      isElement(node, 'meta') &&
      node.attrs.some(
        ({ name, value }) => name === 'charset' || (name === 'http-equiv' && /^content-type$/i.test(value)),
      ),
  ) as Element | undefined;
  const end = named?.sourceCodeLocation?.endOffset ?? 0;
  const line = /^[ \t]*\r?\n/.exec(html.slice(end, end + 200));
  return Math.max(place, end > 0 && line ? end + line[0].length : end);
}
