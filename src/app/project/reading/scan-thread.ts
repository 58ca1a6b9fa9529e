/** The thread that scans pages for `scan-threads`. */
import { openFolder } from '../../../io/site-folder.js';
import { answerTasks } from '../../../io/threads.js';
import { PageScanner, type FoundOnSite } from '../../../site/scanning/page-scanner.js';
import type { ScanTask } from './scan-threads.js';

const scanners = new Map<string, PageScanner>();

answerTasks(async ({ base, root, paths, told, ...options }: ScanTask): Promise<FoundOnSite> => {
  const site = openFolder(base, root, paths, options);
  let scanner = scanners.get(base);
  if (!scanner) scanners.set(base, (scanner = new PageScanner(site, told)));
  const pages: FoundOnSite['pages'] = [];
  for (const page of site.pages) pages.push(...(await scanner.scanned(page)));
  return { pages, ...scanner.takeFound() };
});
