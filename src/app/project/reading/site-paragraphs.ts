import { paragraphsOf, type PageParagraphs, type StandInFace } from '../../../kit/stand-ins/index.js';
import type { PageSetting } from '../../../kit/planning/kept-setting.js';
import type { Visits } from '../../../kit/planning/visits.js';
import type { ScannedPage } from '../../../site/scanning/page-scanner.js';
import type { Site, SitePage } from '../../../site/scanning/site.js';
import { scannedSite, type ToldOfPages } from './scan-threads.js';
import type { OnProgress } from '../../progress.js';

/** A telephone, a tablet and a desk. */
const usualWidths: readonly number[] = [390, 768, 1280];

/** Pages of one site repeat each other; of more than these, some from all over it are taken. */
const mostPages = 40;

/** The pages by which text is set, by their names. */
export function setPagesOf({ pages }: Pick<Site, 'pages'>): Set<string> {
  // What something has to happen for isn't there when a page is drawn.
  const onLoad = pages.filter(({ isAfterSteps }) => isAfterSteps !== true);
  const step = Math.max(1, Math.ceil(onLoad.length / mostPages));
  return new Set(onLoad.flatMap(({ page }, i) => (i % step === 0 ? [page] : [])));
}

/** What is asked of a site for how its pages set their text, and what they fetch first. */
export const askedOfSetting = (setPages: ReadonlySet<string>): ToldOfPages => ({
  widths: usualWidths,
  withRequests: true,
  setPages,
});

/** How a page sets its text; undefined where that wasn't asked of it. @param visits told where it is asked for */
export const settingOf = async (
  page: SitePage,
  scanned: ScannedPage,
  visits?: Visits,
): Promise<PageSetting | undefined> =>
  scanned.blocks && {
    page: page.page,
    blocks: [...scanned.blocks],
    visit: await visits?.of(page, scanned),
  };

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
export async function siteParagraphs<Face extends StandInFace>(
  site: Site,
  faces: readonly Face[],
  progress?: OnProgress,
): Promise<PageParagraphs<Face>[]> {
  const set = setPagesOf(site);
  const pages = site.pages.filter(({ page }) => set.has(page));
  const { pages: scanned } = await scannedSite({ ...site, pages }, askedOfSetting(set), progress);
  const named = new Map(pages.map((page) => [page.page, page]));
  const settings = await Promise.all(scanned.map((one) => settingOf(named.get(one.page)!, one)));
  return paragraphsIn(
    settings.filter((one) => one !== undefined),
    faces,
  );
}
