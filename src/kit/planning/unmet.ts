// What pages ask of a kit that no face of it has

import { matchedFace } from '../../site/usage/declared-faces.js';
import { fakedStyles, LackingCharacters } from '../../site/usage/findings/asked-faces.js';
import { Collector, type SiteFinding } from '../../site/usage/findings/collector.js';
import type { ChosenFamily } from './chosen.js';
import { familiesElsewhere, familyFor, ruleOf, type DemandingPage } from './demand.js';

/**
 * Characters that the kit's families lack and styles that browsers would make up, each with the rule that asks for it. What another
 * family of the stack may draw that the page declares itself isn't told.
 */
export function unmetDemand(
  pages: readonly DemandingPage[],
  families: readonly ChosenFamily[],
): SiteFinding[] {
  const rules = families.flatMap(({ faces }) => faces.map(ruleOf));
  const own = new Set(families.map(({ family }) => family.toLowerCase()));
  const elsewhere = familiesElsewhere(pages);
  const collected = new Collector();
  const lacking = new LackingCharacters();
  for (const page of pages) {
    const declared = new Set(page.declared.map((name) => name.toLowerCase()));
    for (const face of page.faces.values()) {
      const family = familyFor(face, page, families, elsewhere);
      if (family === undefined || face.drawn.size === 0) continue;
      const asked = { ...face.asked, family };
      const drawn = { ...face, asked, possible: new Set<number>() };
      const matched = { page: page.page, face: matchedFace(drawn, rules), rules };
      fakedStyles(matched, collected);
      const mayBeTheirs = face.stack.some((name) => {
        const one = name.toLowerCase();
        return declared.has(one) && !own.has(one);
      });
      if (!mayBeTheirs) lacking.look(matched);
    }
  }
  lacking.tell(collected);
  return collected.all();
}
