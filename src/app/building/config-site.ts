import { join, resolve } from 'node:path';
import type { KitConfig } from '../../config/schema.js';
import { DenseGlyphError } from '../../errors.js';
import type { Environment } from '../../io/browsers/environment.js';
import { isFolder } from '../../io/read.js';
import type { DemandingPage } from '../../kit/planning/demand.js';
import { demandingPage } from '../../kit/planning/plan.js';
import { adoptedFolders, adoptedSheets, type AdoptedSheets } from '../adoption/adopted-sheets.js';
import type { KitTextFace, PageParagraphs } from '../../kit/stand-ins/index.js';
import type { PageVisit } from '../../kit/index.js';
import type { OnProgress } from '../progress.js';
import { siteParagraphs } from '../stand-ins/site-paragraphs.js';
import { openSite, type OpenedSite } from '../scanning/open-site.js';
import { scannedSite } from '../scanning/scan-threads.js';
import { Visits } from '../../kit/planning/visits.js';

/** How the pages of a config are read. */
export interface ReadingOptions {
  /** Whether their scripts run first, also where the config doesn't say so. */
  runScripts?: boolean | undefined;
  environment?: Environment | undefined;
}

/** The site of a config, opened. @param base the folder of the config, absolute */
export interface ConfigSite {
  /** Absolute. */
  root: string;
  home: AdoptedSheets;
  open: (progress?: OnProgress) => Promise<OpenedSite | undefined>;
}

/**
 * @throws DenseGlyphError `config-invalid` where its root isn't there
 */
export function configSite(
  { site }: Pick<KitConfig, 'site'>,
  base: string,
  { runScripts = false, environment }: ReadingOptions,
): ConfigSite {
  const root = resolve(base, site?.root ?? '.');
  if (site && !isFolder(root))
    throw new DenseGlyphError(
      'config-invalid',
      `site.root is "${site.root}", and there is no such folder`,
      {},
      'name the folder that is served as the site; paths start from the folder of the config',
    );
  const home = adoptedSheets(adoptedFolders(base));
  return {
    root,
    home,
    open: async (progress) => {
      const named = site?.pages?.map((page) => join(root, page)) ?? [root];
      const scripts = runScripts || site?.scripts === true;
      try {
        return await openSite(
          { site: named, folder: root, root, runScripts: scripts, environment, home },
          progress,
        );
      } catch (cause) {
        // A site that has no pages yet is no mistake; pages that the config names and that aren't there are.
        if (site?.pages || !(cause instanceof DenseGlyphError) || cause.code !== 'file-unreadable')
          throw cause;
        return undefined;
      }
    },
  };
}

interface FoundOnPages {
  /** Empty where faces aren't cut to them. */
  pages: DemandingPage[];
  byScript: string[];
  /** What is set in faces of the kit. */
  texts: PageParagraphs<KitTextFace>[];
  /** What they fetch before their first drawing. */
  visits: PageVisit[];
}

/** What was found on the pages of a config; nothing where there are none. @param kitFolder absolute */
export async function demandingPages(
  { site, characters }: KitConfig,
  { open }: ConfigSite,
  faces: readonly KitTextFace[],
  kitFolder: string,
  progress?: OnProgress,
): Promise<FoundOnPages> {
  const isDemanding = characters?.fromSite !== false;
  const opened = site && (await open(progress));
  if (!opened) return { pages: [], byScript: [], texts: [], visits: [] };
  try {
    const { pages } = isDemanding ? await scannedSite(opened.site, true, progress) : { pages: [] };
    const read = pages.map(demandingPage);
    const visiting = new Visits(opened.site, kitFolder);
    const visits: PageVisit[] = [];
    const texts = await siteParagraphs(opened.site, faces, progress, async (page, scanned) => {
      visits.push(await visiting.of(page, scanned));
    });
    return {
      pages: read,
      byScript: read.filter(({ scripts }) => scripts > 0).map(({ page }) => page),
      texts,
      visits,
    };
  } finally {
    await opened.end();
  }
}
