import { relative } from 'node:path';
import { DenseGlyphError } from '../../errors.js';
import { script as snapshot } from '../../browser/built/snapshot.js';
import type { HeadlessBrowser } from '../../io/browsers/chromium.js';
import type { Environment } from '../../io/browsers/environment.js';
import type { Site, SitePage } from '../../site/scanning/site.js';
import { readSite, type SiteFolder } from '../../io/site-folder.js';
import type { OnPages, SiteProblem } from '../../site/usage/found-on-pages.js';
import type { AdoptedSheets } from '../adoption/adopted-sheets.js';
import type { PageReader } from './online-site.js';
import { Steps, type OnProgress } from '../progress.js';

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
  /** Whether an installed Chromium runs the scripts of each page first. */
  runScripts?: boolean | undefined;
  /** What files hold in the place of what is on disk, where scripts run: by their paths, absolute. */
  changed?: ReadonlyMap<string, Uint8Array> | undefined;
  /** Variables; `PATH` and `DENSE_GLYPH_CHROMIUM` say where Chromium is. */
  environment?: Environment | undefined;
  /** Of a URL, how many pages are read that links lead to; 200 if left out. */
  mostPages?: number | undefined;
}

const usualPages = 200;
const isUrl = (text: string) => /^https?:\/\//i.test(text);

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
  } = request;
  const url = named.find(isUrl);
  if (url !== undefined && named.length > 1) {
    const advice = 'name the URL alone; links lead to the other pages';
    throw new DenseGlyphError('call-invalid', `${url} stands beside other names`, {}, advice);
  }
  if (url === undefined) {
    const site = await readSite(named, folder, { root, home });
    return runScripts
      ? withScripts(site, request, progress)
      : { site, problems: [], end: () => Promise.resolve() };
  }
  const browser = runScripts ? await startBrowser(environment) : undefined;
  try {
    const { readOnlineSite } = await import('./online-site.js');
    const read = browser && readerBy(browser);
    const site = await readOnlineSite(new URL(url).href, mostPages, read, progress);
    return { site, problems: site.problems, end: site.end };
  } finally {
    await browser?.end();
  }
}

const startBrowser = async (environment: Environment = {}): Promise<HeadlessBrowser> =>
  (await import('../../io/browsers/chromium.js')).HeadlessBrowser.start(environment);

const readerBy =
  (browser: HeadlessBrowser): PageReader =>
  async (url) => {
    try {
      const { url: last, value } = await browser.run(url, snapshot, 'denseGlyphSnapshot');
      return { url: last, html: value };
    } catch (cause) {
      return { reason: cause instanceof Error ? cause.message.replace(/\s+at http.*$/s, '') : String(cause) };
    }
  };

/** Pages that a browser reads at once. */
const atOnce = 2;

async function withScripts(
  site: SiteFolder,
  { environment, changed }: Pick<SiteRequest, 'environment' | 'changed'>,
  progress?: OnProgress,
): Promise<OpenedSite> {
  const outside = site.pages.find(({ address }) => relative(site.root, address).startsWith('..'));
  if (outside) {
    const advice = 'name with --root the folder that the site is served from';
    throw new DenseGlyphError('call-invalid', 'it lies outside of the root', { file: outside.page }, advice);
  }
  const { serveFolder } = await import('../../io/static-server.js');
  const served = await serveFolder(site.root, 0, changed);
  const browser = await startBrowser(environment).catch(async (cause: unknown) => {
    await served.close();
    throw cause;
  });
  const read = readerBy(browser);
  const steps = new Steps(
    'running scripts',
    site.pages.map(({ size }) => size),
    progress,
  );
  const problems: OnPages<SiteProblem>[] = [];
  const pages: (SitePage | undefined)[] = site.pages.map(() => undefined);
  const waiting = [...site.pages.entries()];
  const work = async () => {
    for (let next = waiting.shift(); next; next = waiting.shift()) {
      const [i, page] = next;
      steps.begin(page.page);
      const path = relative(site.root, page.address).split(/[\\/]/).map(encodeURIComponent).join('/');
      const found = await read(`${served.origin}/${path}`);
      if ('reason' in found || !found.url.startsWith(`${served.origin}/`)) {
        const { page: file } = page;
        const reason = 'reason' in found ? found.reason : `it leads to ${found.url}`;
        const problem = { code: 'page-unreadable', url: file, file, line: 0, reason } as const;
        problems.push({ ...problem, pages: [file] });
      } else {
        // Scripts write addresses in full; ours is gone when the pages are scanned.
        const html = found.html.replaceAll(served.origin, '');
        pages[i] = { ...page, read: () => html };
      }
      steps.end(page.size);
    }
  };
  try {
    await Promise.all(Array.from({ length: atOnce }, work));
  } finally {
    await Promise.all([browser.end(), served.close()]);
  }
  // Threads would read the files again; what scripts made of them is here.
  const { root: _, base: __, home: ___, ...rest } = site;
  return {
    site: { ...rest, pages: pages.filter((page) => page !== undefined) },
    problems,
    end: () => Promise.resolve(),
  };
}
