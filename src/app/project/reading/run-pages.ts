import { relative } from 'node:path';
import { script as early } from '../../../browser/built/early.js';
import { script as snapshot } from '../../../browser/built/snapshot.js';
import type { HeadlessBrowser } from '../../../io/browsers/chromium.js';
import type { SiteFolder } from '../../../io/site-folder.js';
import { readDocument } from '../../../site/html/document.js';
import { pageLinks } from '../../../site/html/links.js';
import type { SitePage } from '../../../site/scanning/site.js';
import type { OnPages, SiteProblem } from '../../../site/usage/found-on-pages.js';
import type { OnProgress } from '../../progress.js';
import type { PageReader } from './page-reader.js';
import { hasSteps, stateName, type SiteState } from './states.js';

const scripts = {
  before: early,
  still: 'denseGlyphStill()',
  after: snapshot,
  result: 'denseGlyphSnapshot',
};

/** Pages as their scripts leave them, with what they showed before. */
export const readerBy =
  (browser: HeadlessBrowser): PageReader =>
  async (url, steps) => {
    try {
      const { url: last, value } = await browser.run(url, scripts, steps);
      return { url: last, ...(JSON.parse(value) as { html: string; earlier: string[] }) };
    } catch (cause) {
      return { reason: cause instanceof Error ? cause.message.replace(/\s+at http.*$/s, '') : String(cause) };
    }
  };

/** Pages that a browser reads at once. */
const atOnce = 2;

interface ReadingRequest {
  site: SiteFolder;
  /** Where it is served, and answers routes with its start page. */
  origin: string;
  /** Paths of URLs. */
  routes: readonly string[];
  states: readonly SiteState[];
  mostPages: number;
  /** Whether links that scripts drew to where no file is are pages too. */
  followsRoutes: boolean;
}

/** A page that is to be read. */
interface Visit {
  path: string;
  page: SitePage;
  state?: SiteState;
  /** Who leads there. */
  from: string;
}

/** The pages of a folder, the routes that its scripts draw, and pages after something happened on them. */
export async function readByBrowser(
  browser: HeadlessBrowser,
  { site, origin, routes, states, mostPages, followsRoutes }: ReadingRequest,
  progress?: OnProgress,
): Promise<{ pages: SitePage[]; problems: OnPages<SiteProblem>[] }> {
  const read = readerBy(browser);
  const files = site.pages.map((page) => ({
    path: `/${relative(site.root, page.address).split(/[\\/]/).map(encodeURIComponent).join('/')}`,
    page: page,
    from: page.page,
  }));
  const fileOf = (path: string) => {
    const bare = path.replace(/[?#].*/s, '');
    return files.find((one) =>
      [bare, `${bare}index.html`, `${bare}/index.html`, `${bare}.html`].includes(one.path),
    );
  };
  const routePage = (path: string): SitePage => {
    const start = fileOf(path) ?? fileOf('/');
    const address = `${site.root}${path.replace(/[?#].*/s, '')}`;
    return { page: path, address, size: start?.page.size ?? 0, read: () => '', sent: sentFor(start?.page) };
  };
  const visits: Visit[] = [
    ...files.map((one) => ({ ...one, page: { ...one.page, sent: sentFor(one.page) } })),
    ...routes.map((path) => ({ path, page: routePage(path), from: path })),
    ...states.map((state): Visit => {
      const path = state.page.startsWith('/') ? state.page : `/${state.page}`;
      const page = { ...routePage(path), page: stateName(state), isAfterSteps: hasSteps(state) };
      return { path, page, state, from: state.page };
    }),
  ];
  // A state says nothing of its page on load.
  const seen = new Set(visits.flatMap(({ path, state }) => (state ? [] : [path])));
  const pages: (SitePage | undefined)[] = [];
  const problems: OnPages<SiteProblem>[] = [];
  let next = 0;
  let done = 0;
  const visit = async (place: number): Promise<void> => {
    const { path, page, state, from } = visits[place];
    const found = await read(`${origin}${path}`, state);
    const isElsewhere = !('reason' in found) && !found.url.startsWith(`${origin}/`);
    if ('reason' in found || isElsewhere) {
      const reason = 'reason' in found ? found.reason : `it leads to ${found.url}`;
      const problem = { code: 'page-unreadable', url: page.page, file: from, line: 0, reason } as const;
      problems.push({ ...problem, pages: [page.page] });
    } else {
      // Scripts write addresses in full; ours is gone when the pages are scanned.
      const [html, ...earlier] = [found.html, ...(found.earlier ?? [])].map((one) =>
        one.replaceAll(origin, ''),
      );
      pages[place] = { ...page, read: () => html, earlier };
      if (followsRoutes && !state) follow(found.url, found.html, page);
    }
    progress?.({
      task: 'running scripts',
      item: page.page,
      done: ++done,
      total: visits.length,
      bytes: done,
      totalBytes: visits.length,
    });
  };
  /** A link that the page has without scripts, and that leads nowhere, is a dead one. */
  const follow = (url: string, html: string, { page, sent }: SitePage) => {
    const written = sent ? new Set(pageLinks(readDocument(textOf(sent())), url)) : new Set<string>();
    for (const link of pageLinks(readDocument(html), url)) {
      const path = link.slice(origin.length);
      const isRoute = path.includes('#') || !fileOf(path);
      if (!isRoute || written.has(link) || seen.has(path) || /\.[a-z0-9]+$/i.test(path)) continue;
      seen.add(path);
      if (visits.length < mostPages) visits.push({ path, page: routePage(path), from: page });
    }
  };
  const work = async () => {
    while (next < visits.length) await visit(next++);
  };
  // What the first pages lead to is done by whoever comes next.
  do await Promise.all(Array.from({ length: atOnce }, work));
  while (next < visits.length);
  return { pages: pages.filter((page) => page !== undefined), problems };
}

const textOf = (bytes: Uint8Array): string => new TextDecoder().decode(bytes);

function sentFor(page: SitePage | undefined): SitePage['sent'] {
  if (!page) return undefined;
  return () => {
    const content = page.read();
    return typeof content === 'string' ? new TextEncoder().encode(content) : content;
  };
}
