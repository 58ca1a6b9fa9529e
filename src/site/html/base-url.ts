// HTML, section 4.2.3: what the links of a page start from

import { elementsWithin, type SiteElement } from './document.js';

/** The `href` of the first `base` that has one. */
export function baseOf(root: SiteElement): string | undefined {
  for (const { name, attributes } of elementsWithin(root)) {
    if (name === 'body') break;
    if (name === 'base' && attributes.has('href')) return attributes.get('href');
  }
  return undefined;
}

/** A link that starts neither with a host nor with a slash goes on where `base` ends. */
export const behindBase = (link: string, base: string | undefined): string =>
  base === undefined || /^([a-z][a-z0-9+.-]*:|\/)/i.test(link)
    ? link
    : base.replace(/[?#].*$/s, '').replace(/[^/]*$/, '') + link;
