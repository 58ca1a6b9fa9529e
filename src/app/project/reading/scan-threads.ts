import { Steps, type OnProgress } from '../../progress.js';
import type { Site } from '../../../site/scanning/site.js';
import type { SiteFolder } from '../../../io/site-folder.js';
import { processorsFor } from '../../../io/processors.js';
import { newProblems, newReferences, newStylesheets } from '../../../site/usage/found-on-pages.js';
import { PageScanner, type FoundOnSite, type ScanOptions } from '../../../site/scanning/page-scanner.js';

export type { FoundOnSite };

/** Pages of a folder that a thread scans: paths, absolute. */
export interface ScanTask {
  base: string;
  root: string;
  paths: string[];
  told: ToldOfPages;
  home: ReadonlyMap<string, string>;
  policy: string | undefined;
}

/** What is told of pages, as plain data. */
export type ToldOfPages = Pick<ScanOptions, 'withPlaces' | 'widths' | 'withRequests' | 'setPages'>;

/** So many bytes of pages are worth another thread, which takes a tenth of a second to start. */
const bytesForThread = 1_500_000;
/** Pages that are given to a thread at once. */
const pagesAtOnce = 16;

/** Threads read the files again: not what a browser or a plan made of them. */
const isFolder = (site: Site | SiteFolder): site is SiteFolder => 'root' in site;

/** All pages of a site, a large folder's by several threads. */
export async function scannedSite(
  site: Site | SiteFolder,
  told: ToldOfPages,
  progress?: OnProgress,
): Promise<FoundOnSite> {
  const sizes = site.pages.map(({ size }) => size);
  const steps = new Steps('reading pages', sizes, progress);
  const bytes = sizes.reduce((sum, size) => sum + size, 0);
  const threads = isFolder(site) ? processorsFor(bytes / bytesForThread) : 1;
  if (isFolder(site) && threads > 1) return byThreads(site, told, threads, steps);
  const scanner = new PageScanner(site, told);
  const pages: FoundOnSite['pages'] = [];
  for (const page of site.pages) {
    steps.begin(page.page);
    pages.push(...(await scanner.scanned(page)));
    steps.end(page.size);
  }
  return { pages, ...scanner.takeFound() };
}

async function byThreads(
  site: SiteFolder,
  told: ToldOfPages,
  count: number,
  steps: Steps,
): Promise<FoundOnSite> {
  const { Threads } = await import('../../../io/threads.js');
  const threads = new Threads<ScanTask, FoundOnSite>('scan-thread', count);
  const problems = newProblems();
  const hosted = newReferences();
  const sheets = newStylesheets();
  const { base, root, home, policy } = site;
  const groups = Array.from({ length: Math.ceil(site.pages.length / pagesAtOnce) }, (_, i) =>
    site.pages.slice(i * pagesAtOnce, (i + 1) * pagesAtOnce),
  );
  try {
    const found = await Promise.all(
      groups.map(async (group) => {
        const paths = group.map(({ address }) => address);
        const ofGroup = await threads.run({ base, root, paths, told, home, policy });
        for (const { page, size } of group) {
          steps.begin(page);
          steps.end(size);
        }
        return ofGroup;
      }),
    );
    // In the order of the pages, whichever thread was first.
    for (const others of found) {
      for (const one of others.problems) problems.add(one.code, one, one.pages);
      for (const one of others.hosted) hosted.add(one.kind, one, one.pages);
      for (const one of others.sheets) sheets.add('sheet', one, one.pages);
    }
    return {
      pages: found.flatMap(({ pages }) => pages),
      problems: problems.all(),
      hosted: hosted.all(),
      sheets: sheets.all(),
    };
  } finally {
    await threads.end();
  }
}
