import { relative } from 'node:path';
import { readBytes } from '../../io/read.js';
import type { SiteFolder } from '../../io/site-folder.js';
import { pinnedAddresses } from '../../site/edits/page-edits.js';
import { editableText } from './edited-text.js';
import { pathIn } from './pages.js';

/** Files of the site whose digest a page states (Subresource Integrity): changed, no browser would take them. Absolute. */
export function pinnedFiles(site: SiteFolder): ReadonlySet<string> {
  const found = new Set<string>();
  for (const { address } of site.pages) {
    let html: string;
    try {
      html = editableText(readBytes(address, address)).text;
    } catch {
      // It is told by what reads it to change it.
      continue;
    }
    const page = relative(site.root, address).replaceAll('\\', '/');
    for (const url of pinnedAddresses(html)) {
      const path = pathIn(url, page, site);
      if (path !== undefined) found.add(path);
    }
  }
  return found;
}
