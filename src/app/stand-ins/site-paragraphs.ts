import { paragraphsOf, type PageParagraphs, type StandInFace } from '../../kit/stand-ins/index.js';
import { PageScanner, type ScannedPage } from '../../site/scanning/page-scanner.js';
import type { Site, SitePage } from '../../site/scanning/site.js';
import { Steps, type OnProgress } from '../progress.js';

/** A telephone, a tablet and a desk. */
export const usualWidths: readonly number[] = [390, 768, 1280];

/** Pages of one site repeat each other; of more than these, some from all over it are taken. */
const mostPages = 40;

/**
 * Paragraphs of a site that are set in faces of the kit.
 *
 * @param onPage called for each page, with what it asks for
 */
export async function siteParagraphs<Face extends StandInFace>(
  site: Site,
  faces: readonly Face[],
  progress?: OnProgress,
  onPage?: (page: SitePage, scanned: ScannedPage) => Promise<void>,
): Promise<PageParagraphs<Face>[]> {
  const step = Math.max(1, Math.ceil(site.pages.length / mostPages));
  const pages = site.pages.filter((_, i) => i % step === 0);
  const scanner = new PageScanner(site, { widths: usualWidths, withRequests: onPage !== undefined });
  const steps = new Steps(
    'setting text',
    pages.map(({ size }) => size),
    progress,
  );
  const found: PageParagraphs<Face>[] = [];
  for (const page of pages) {
    steps.begin(page.page);
    for (const scanned of await scanner.scanned(page)) {
      for (const [width, own] of scanned.blocks ?? [])
        found.push({ page: page.page, width, paragraphs: paragraphsOf(own, faces, page.page) });
      await onPage?.(page, scanned);
    }
    steps.end(page.size);
  }
  return found;
}
