// HTML, section 4.2.4; Resource Hints: what a page asks of other hosts

import { elementsWithin, ownText, type SiteElement } from '../html/document.js';

export interface HostedReference {
  kind: 'stylesheet' | 'import' | 'font' | 'preconnect' | 'dns-prefetch' | 'preload' | 'script';
  url: string;
  file: string;
  line: number;
  /** Of a stylesheet: whether it was read, as it had come home. */
  isRead?: boolean;
}

const kinds: readonly HostedReference['kind'][] = ['preconnect', 'dns-prefetch', 'preload'];

/** What scripts do that bring faces. */
const loadsFaces = /new FontFace\s*\(|document\.fonts\.(add|load)\b|createElement\(\s*["'`]link["'`]\s*\)/;
const addressInScript = /["'`(]((?:https?:)?\/\/[^"'`\s)]+)/g;
/** In a script's address. */
const saysFont = /font|typeface|webtype/i;

/**
 * References to other hosts that have to do with fonts; stylesheets are told where they are read.
 *
 * @param otherHost the host that an address leads to, if that isn't the site itself
 */
export function hostedReferences(
  root: SiteElement,
  file: string,
  otherHost: (address: string) => string | undefined,
): HostedReference[] {
  const found: HostedReference[] = [];
  for (const element of elementsWithin(root)) {
    const { name, attributes } = element;
    if (name === 'script') {
      for (const url of addressesOf(element)) {
        if (otherHost(url) !== undefined) found.push({ kind: 'script', url, file, line: element.line });
      }
    }
    const url = attributes.get('href');
    if (name !== 'link' || url === undefined || otherHost(url) === undefined) continue;
    const words = attributes.get('rel')?.toLowerCase().split(/\s+/) ?? [];
    const kind = kinds.find((one) => words.includes(one));
    if (kind === undefined || (kind === 'preload' && attributes.get('as') !== 'font')) continue;
    found.push({ kind, url, file, line: element.line });
  }
  return found;
}

/** Addresses of a script that brings faces, known by what it does or by what it is called. */
function addressesOf(script: SiteElement): string[] {
  const source = script.attributes.get('src');
  if (source !== undefined) return saysFont.test(source) ? [source] : [];
  const code = ownText(script);
  if (!loadsFaces.test(code)) return [];
  return Array.from(code.matchAll(addressInScript), ([, url]) => url).filter((url) => !isNamespace.test(url));
}

/** Names of vocabularies, which nobody asks for. */
const isNamespace = /^https?:\/\/www\.w3\.org\//;
