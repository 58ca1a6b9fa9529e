import { relative } from 'node:path';
import { DenseGlyphError } from '../../../errors.js';
import type { HeadlessBrowser } from '../../../io/browsers/chromium.js';
import type { Environment } from '../../../io/browsers/environment.js';
import type { Site } from '../../../site/scanning/site.js';
import { isWebUrl } from '../../../io/addresses.js';
import { readSite, type SiteFolder } from '../../../io/site-folder.js';
import type { OnPages, SiteProblem } from '../../../site/usage/found-on-pages.js';
import type { AdoptedSheets } from '../adopted-sheets.js';
import type { OnProgress } from '../../progress.js';
import type { SiteState } from './states.js';

export interface OpenedSite {
  site: Site | SiteFolder;
  /** What could not be had. */
  problems: OnPages<SiteProblem>[];
  /** Ends what was started for it. */
  end: () => Promise<void>;
}

export interface SiteRequest {
  /** Folders, files or globs of pages, or one URL; the current folder if none is named. */
  site: readonly string[];
  /** What paths start from, and how they are shown. */
  folder: string;
  /** What URLs with a slash start from; the folder that is named, for files the current one. */
  root?: string | undefined;
  /** Where stylesheets of hosts are that came home, by their addresses in full. */
  home?: AdoptedSheets | undefined;
  /** The Content-Security-Policy that a server sends with all pages. */
  policy?: string | undefined;
  /** Whether an installed Chromium runs the scripts of each page first. */
  runScripts?: boolean | undefined;
  /** What files hold in the place of what is on disk, where scripts run: by their paths, absolute. */
  changed?: ReadonlyMap<string, Uint8Array> | undefined;
  /** Variables; `PATH` and `DENSE_GLYPH_CHROMIUM` say where Chromium is. */
  environment?: Environment | undefined;
  /** Of a URL, how many pages are read that links lead to; 200 if left out. */
  mostPages?: number | undefined;
  /** Paths of URLs below the origin: of a URL these pages in the place of what links lead to; of a folder those that scripts draw. */
  routes?: readonly string[] | undefined;
  /** Pages that show some of their text only after something happened; for pages whose scripts run. */
  states?: readonly SiteState[] | undefined;
}

const usualPages = 200;

/**
 * A site on disk or behind a URL, as it stands or as scripts make it.
 *
 * @throws DenseGlyphError `file-unreadable`, `site-unreachable`, `browser-missing`, `call-invalid`
 */
export async function openSite(request: SiteRequest, progress?: OnProgress): Promise<OpenedSite> {
  const {
    site: named,
    folder,
    root,
    home,
    runScripts = false,
    mostPages = usualPages,
    environment,
    routes,
    states = [],
    policy,
  } = request;
  if (!runScripts && states.length > 0)
    throw new DenseGlyphError(
      'call-invalid',
      'states are shown by pages whose scripts run',
      {},
      'write site: { scripts: true }, or call it with --run-scripts',
    );
  const url = named.find((one) => isWebUrl(one));
  if (url !== undefined && named.length > 1) {
    const advice = 'name the URL alone; links lead to the other pages';
    throw new DenseGlyphError('call-invalid', `${url} stands beside other names`, {}, advice);
  }
  if (url === undefined) {
    const site = await readSite(named, folder, { root, home, policy });
    if (!runScripts && routes !== undefined && routes.length > 0)
      throw new DenseGlyphError(
        'call-invalid',
        `no file is ${routes[0]}`,
        {},
        'write site: { scripts: true } for pages that scripts draw',
      );
    return runScripts
      ? withScripts(site, request, progress)
      : { site, problems: [], end: () => Promise.resolve() };
  }
  const browser = runScripts ? await startBrowser(environment) : undefined;
  try {
    const { readOnlineSite } = await import('./online-site.js');
    const read = browser && (await import('./run-pages.js')).readerBy(browser);
    const site = await readOnlineSite(
      { start: new URL(url).href, mostPages, read, routes, states, policy },
      progress,
    );
    return { site, problems: site.problems, end: site.end };
  } finally {
    await browser?.end();
  }
}

const startBrowser = async (environment: Environment = {}): Promise<HeadlessBrowser> =>
  (await import('../../../io/browsers/chromium.js')).HeadlessBrowser.start(environment);

async function withScripts(
  site: SiteFolder,
  { environment, changed, routes = [], states = [], mostPages = usualPages, site: named }: SiteRequest,
  progress?: OnProgress,
): Promise<OpenedSite> {
  const outside = site.pages.find(({ address }) => relative(site.root, address).startsWith('..'));
  if (outside) {
    const advice = 'name with --root the folder that the site is served from';
    throw new DenseGlyphError('call-invalid', 'it lies outside of the root', { file: outside.page }, advice);
  }
  const [{ serveFolder }, { readByBrowser }] = await Promise.all([
    import('../../../io/static-server.js'),
    import('./run-pages.js'),
  ]);
  const served = await serveFolder(site.root, 0, changed, true);
  const browser = await startBrowser(environment).catch(async (cause: unknown) => {
    await served.close();
    throw cause;
  });
  try {
    const isWhole = routes.length === 0 && named.length <= 1;
    const { pages, problems } = await readByBrowser(
      browser,
      { site, origin: served.origin, routes, states, mostPages, followsRoutes: isWhole },
      progress,
    );
    // Threads would read the files again; what scripts made of them is here.
    const { root: _, base: __, home: ___, ...rest } = site;
    return { site: { ...rest, pages }, problems, end: () => Promise.resolve() };
  } finally {
    await Promise.all([browser.end(), served.close()]);
  }
}
