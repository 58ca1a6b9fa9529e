import { paragraphsOf, type PageParagraphs, type StandInFace } from '../../kit/stand-ins/index.js';
import type { PageSetting } from '../../kit/planning/kept-demand.js';
import type { Visits } from '../../kit/planning/visits.js';
import type { BuildMemory } from '../building/build-memory.js';
import { PageScanner } from '../../site/scanning/page-scanner.js';
import type { Site } from '../../site/scanning/site.js';
import { Steps, type OnProgress } from '../progress.js';

/** A telephone, a tablet and a desk. */
export const usualWidths: readonly number[] = [390, 768, 1280];

/** Pages of one site repeat each other; of more than these, some from all over it are taken. */
const mostPages = 40;

/**
 * How pages of a site set their text, and what they fetch first.
 *
 * @param visits told where it is asked for
 * @param memory of pages that were read before
 */
export async function pageSettings(
  { pages: all, ...site }: Site,
  visits: Visits | undefined,
  progress?: OnProgress,
  memory?: BuildMemory,
): Promise<PageSetting[]> {
  // What something has to happen for isn't there when a page is drawn.
  const onLoad = all.filter(({ isAfterSteps }) => isAfterSteps !== true);
  const step = Math.max(1, Math.ceil(onLoad.length / mostPages));
  const pages = onLoad.filter((_, i) => i % step === 0);
  const scanner = new PageScanner(
    { ...site, pages },
    { widths: usualWidths, withRequests: visits !== undefined },
  );
  const steps = new Steps(
    'setting text',
    pages.map(({ size }) => size),
    progress,
  );
  const found: PageSetting[] = [];
  for (const page of pages) {
    const known = memory?.page(page)?.setting;
    if (known) {
      found.push(known);
      continue;
    }
    steps.begin(page.page);
    for (const scanned of await scanner.scanned(page)) {
      const setting = {
        page: page.page,
        blocks: [...(scanned.blocks ?? [])],
        visit: await visits?.of(page, scanned),
      };
      memory?.keepSetting(page, setting);
      found.push(setting);
    }
    steps.end(page.size);
  }
  return found;
}

/** Paragraphs of pages that are set in faces of the kit. @param known those of settings that were looked at before */
export const paragraphsIn = <Face extends StandInFace>(
  settings: readonly PageSetting[],
  faces: readonly Face[],
  known = new WeakMap<PageSetting, PageParagraphs<Face>[]>(),
): PageParagraphs<Face>[] =>
  settings.flatMap((setting) => {
    const { page, blocks } = setting;
    const found =
      known.get(setting) ??
      blocks.map(([width, own]) => ({ page, width, paragraphs: paragraphsOf(own, faces, page) }));
    known.set(setting, found);
    return found;
  });

/** Paragraphs of a site that are set in faces of the kit. */
export const siteParagraphs = async <Face extends StandInFace>(
  site: Site,
  faces: readonly Face[],
  progress?: OnProgress,
): Promise<PageParagraphs<Face>[]> => paragraphsIn(await pageSettings(site, undefined, progress), faces);
