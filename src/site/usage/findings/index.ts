/** What is wrong on a site, each with the rule or the line to change. */
import { finding } from '../../../findings.js';
import { fakedStyles, LackingCharacters, undeclaredFamily } from './asked-faces.js';
import { Collector, type SiteFinding } from './collector.js';
import type { FoundOnSite, PageDemand } from './demand.js';
import { declaredRules } from './declared-rules.js';
import { hostedReference, missingFile } from './files.js';
import { preloadedFonts } from './preloaded-fonts.js';

export type { FoundOnSite, PageDemand, SiteFinding };

/** All that is found on a site, the gravest first. */
export function siteFindings(pages: readonly PageDemand[], found: FoundOnSite): SiteFinding[] {
  const collected = new Collector();
  const lacking = new LackingCharacters();
  for (const page of pages) {
    for (const face of page.faces) {
      if (face.groups.length === 0) continue;
      const asked = { page: page.page, face, rules: page.rules };
      undeclaredFamily(asked, collected);
      fakedStyles(asked, collected);
      lacking.look(asked);
    }
    preloadedFonts(page, collected);
    if (!page.isEncodingNamed) {
      const message = 'the page has letters beyond ASCII and names no encoding';
      collected.add(finding('encoding-missing', message, { file: page.page }), [page.page]);
    }
    if (page.scripts > 0) {
      const message = `the page has hardly any text of its own, and ${page.scripts === 1 ? 'a script' : `${page.scripts} scripts`}`;
      collected.add(finding('text-by-script', message, { file: page.page }), [page.page]);
    }
  }
  lacking.tell(collected);
  declaredRules(pages, found.sheets, collected);
  for (const problem of found.problems) missingFile(problem, collected);
  for (const reference of found.hosted) hostedReference(reference, collected);
  return collected.all();
}
