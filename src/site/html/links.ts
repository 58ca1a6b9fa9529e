// HTML, section 4.6: where the links of a page lead

import { elementsWithin, type SiteElement } from './document.js';

/** What no page is, by the end of its path. */
const notPage =
  /\.(pdf|zip|gz|tgz|png|jpe?g|gif|svg|webp|avif|ico|mp[34]|webm|ogg|css|m?js|json|xml|rss|atom|txt|csv|woff2?|ttf|otf|eot|docx?|xlsx?|exe|dmg|apk)$/i;

/** A fragment that scripts read as a path. */
const isRoute = (hash: string): boolean => /^#!?\//.test(hash);

/** URLs of pages on the same origin, without fragments but those that are paths, each once. @param url of the page, or what its `base` says */
export function pageLinks(root: SiteElement, url: string): string[] {
  const found = new Set<string>();
  for (const { name, attributes } of elementsWithin(root)) {
    const href = name === 'a' || name === 'area' ? attributes.get('href') : undefined;
    if (href === undefined || attributes.has('download') || !URL.canParse(href, url)) continue;
    const target = new URL(href, url);
    if (!isRoute(target.hash)) target.hash = '';
    if (target.origin === new URL(url).origin && !notPage.test(target.pathname)) found.add(target.href);
  }
  return [...found];
}
