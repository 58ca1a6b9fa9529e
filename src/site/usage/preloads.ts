// HTML, section 4.6.7.11; Preload: fonts that a page asks for early

import { elementsWithin, type SiteElement } from '../html/document.js';

export interface Preload {
  url: string;
  file: string;
  line: number;
  /** Browsers fetch fonts as from another origin; without it a font comes twice. */
  hasCrossorigin: boolean;
  /** Where the file is; undefined where it isn't, or isn't here. */
  address: string | undefined;
}

/** Fonts that a page preloads. @param file the page */
export function preloadsOf(root: SiteElement, file: string): Omit<Preload, 'address'>[] {
  const found: Omit<Preload, 'address'>[] = [];
  for (const element of elementsWithin(root)) {
    const { name, attributes } = element;
    const url = attributes.get('href');
    const words = attributes.get('rel')?.toLowerCase().split(/\s+/) ?? [];
    if (name !== 'link' || url === undefined || !words.includes('preload')) continue;
    if (attributes.get('as')?.toLowerCase() !== 'font') continue;
    found.push({ url, file, line: element.line, hasCrossorigin: attributes.has('crossorigin') });
  }
  return found;
}
