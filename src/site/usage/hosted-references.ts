// HTML, section 4.2.4; Resource Hints: what a page asks of other hosts

import { elementsWithin, type SiteElement } from '../html/document.js';

export interface HostedReference {
  kind: 'stylesheet' | 'import' | 'font' | 'preconnect' | 'dns-prefetch' | 'preload';
  url: string;
  file: string;
  line: number;
}

const kinds: readonly HostedReference['kind'][] = ['preconnect', 'dns-prefetch', 'preload'];

/** Links to other hosts that have to do with fonts; stylesheets are told where they are read. */
export function hostedReferences(root: SiteElement, file: string): HostedReference[] {
  const found: HostedReference[] = [];
  for (const { name, attributes, line } of elementsWithin(root)) {
    const url = attributes.get('href');
    if (name !== 'link' || url === undefined || !/^(https?:)?\/\//i.test(url)) continue;
    const words = attributes.get('rel')?.toLowerCase().split(/\s+/) ?? [];
    const kind = kinds.find((one) => words.includes(one));
    if (kind === undefined || (kind === 'preload' && attributes.get('as') !== 'font')) continue;
    found.push({ kind, url, file, line });
  }
  return found;
}
