import { withoutCredentials } from '../../../errors.js';
import { finding } from '../../../findings.js';
import type { OnPages, SiteProblem } from '../found-on-pages.js';
import type { HostedReference } from '../hosted-references.js';
import type { Collector } from './collector.js';

export function siteProblem(problem: OnPages<SiteProblem>, collected: Collector): void {
  const { code, url, file, line, family, nearest, message, advice, pages } = problem;
  if (message !== undefined) {
    collected.add(finding(code, message, { file, line, ...(advice === undefined ? {} : { advice }) }), pages);
    return;
  }
  if (problem.reason !== undefined) {
    const place = line > 0 ? { file, line } : { file };
    collected.add(finding(code, `${url} cannot be read: ${problem.reason}`, place), pages);
    return;
  }
  const what = family === undefined ? url : `${url} of ${family}`;
  const instead = nearest === undefined ? {} : { advice: `write ${nearest}` };
  collected.add(finding(code, `${what} is not there`, { file, line, ...instead }), pages);
}

/** What each kind of reference is, and what text waits for because of it. */
const kindWords: Readonly<Record<HostedReference['kind'], string>> = {
  stylesheet: 'a stylesheet comes from',
  import: 'a stylesheet is imported from',
  font: 'a font comes from',
  preconnect: 'a connection is made to',
  'dns-prefetch': 'the name is looked up of',
  preload: 'a font is preloaded from',
  script: 'a script brings faces from',
};

/** Requests in a row before text is there, and connections to hosts. */
const waits: Partial<Readonly<Record<HostedReference['kind'], string>>> = {
  stylesheet:
    'text waits for three requests in a row, the page, the stylesheet and then its fonts, and for a connection to each of their hosts, which learn of each visitor',
  import:
    'text waits for four requests in a row, the page, its stylesheet, the imported one and then its fonts, and for a connection to each of their hosts, which learn of each visitor',
  font: 'text waits for three requests in a row, the page, the stylesheet and the font, and for a connection to a host that learns of each visitor',
  preconnect: 'it does no good once the faces come from the site itself, and the host learns of each visitor',
  'dns-prefetch': 'it does no good once the faces come from the site itself',
  script:
    'text waits for the script to come and to run, then for what it asks for, and for a connection to each of their hosts, which learn of each visitor',
};

/** @param references to one address */
export function hostedReference(references: readonly OnPages<HostedReference>[], collected: Collector): void {
  const [{ kind, url, file, line }, ...others] = references;
  const host = /^(?:https?:)?\/\/([^/?#]*)/i.exec(withoutCredentials(url))?.[1] ?? url;
  const also = others.length > 0 ? `, asked in ${references.length} places` : '';
  const message = `${kindWords[kind]} another host, ${host}${also}`;
  const effect = waits[kind];
  const place = { file, line, url, ...(effect ? { effect } : {}) };
  const pages = new Set(references.flatMap((one) => one.pages));
  collected.add(finding('hosted-reference', message, place), pages);
}
