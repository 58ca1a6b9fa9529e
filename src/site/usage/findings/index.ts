/** What is wrong on a site, each with the rule or the line to change. */
import { finding, type Finding } from '../../../findings.js';
import type { FaceRule } from '../declared-faces.js';
import type { OnPages } from '../found-on-pages.js';
import type { HostedReference } from '../hosted-references.js';
import { fakedStyles, LackingCharacters, undeclaredFamily } from './asked-faces.js';
import { Collector, type SiteFinding } from './collector.js';
import type { FoundOnSite, PageDemand } from './demand.js';
import { declaredRules } from './declared-rules.js';
import { hostedReference, siteProblem } from './files.js';
import { preloadedFonts } from './preloaded-fonts.js';

export type { FoundOnSite, PageDemand, SiteFinding };

/**
 * All that is found on a site, the gravest first.
 *
 * @param more what whoever knows more than the pages finds in the rules of one
 */
export function siteFindings(
  pages: readonly PageDemand[],
  found: FoundOnSite,
  more: (rules: readonly FaceRule[]) => Finding[] = () => [],
): SiteFinding[] {
  const collected = new Collector();
  const lacking = new LackingCharacters();
  const unread = found.hosted.filter(
    ({ kind, isRead }) => (kind === 'stylesheet' || kind === 'import') && !isRead,
  );
  const families = new Set(pages.flatMap(({ faces }) => faces.flatMap(({ stack }) => stack.slice(0, 1))));
  for (const page of pages) {
    for (const face of page.faces) {
      if (face.groups.length === 0) continue;
      const asked = { page: page.page, face, rules: page.rules };
      if (!mayBeDeclared(page.page, face.stack[0], unread, families)) undeclaredFamily(asked, collected);
      fakedStyles(asked, collected);
      lacking.look(asked);
    }
    preloadedFonts(page, collected);
    if (page.isBounded) {
      const message = 'the page has more rules and elements than are compared with each other';
      collected.add(finding('page-bounded', message, { file: page.page }), [page.page]);
    }
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
  for (const { page, rules } of pages) for (const one of more(rules)) collected.add(one, [page]);
  for (const problem of found.problems) siteProblem(problem, collected);
  for (const references of byAddress(found.hosted)) hostedReference(references, collected);
  return collected.all();
}

/**
 * Whether a stylesheet of another host that nobody has read here may declare a family: its address names it, or none that any
 * page asks for.
 *
 * @param asked families that pages ask for
 */
function mayBeDeclared(
  page: string,
  family: string | undefined,
  unread: readonly OnPages<HostedReference>[],
  asked: ReadonlySet<string>,
): boolean {
  const names = (url: string, one: string | undefined) =>
    one !== undefined && plain(url).includes(plain(one));
  return unread.some(
    ({ url, pages }) =>
      pages.includes(page) && (names(url, family) || ![...asked].some((one) => names(url, one))),
  );
}

const plain = (text: string): string => text.toLowerCase().replace(/%20|[^\p{L}\p{N}]/gu, '');

/** References that ask for the same are told once. */
function byAddress(hosted: FoundOnSite['hosted']): OnPages<HostedReference>[][] {
  const groups = new Map<string, OnPages<HostedReference>[]>();
  for (const one of hosted) {
    const key = `${one.kind} ${one.url}`;
    groups.set(key, [...(groups.get(key) ?? []), one]);
  }
  return [...groups.values()];
}
