import { resolve } from 'node:path';
import type { KitConfig } from '../../config/schema.js';
import { DenseGlyphError } from '../../errors.js';
import type { Environment } from '../../io/browsers/environment.js';
import { isFolder } from '../../io/read.js';
import type { DemandingPage } from '../../kit/planning/demand.js';
import { demandingPage } from '../../kit/planning/plan.js';
import { adoptedFolders, adoptedSheets, type AdoptedSheets } from './adopted-sheets.js';
import type { KitTextFace, PageParagraphs } from '../../kit/stand-ins/index.js';
import type { PageVisit } from '../../kit/index.js';
import type { OnProgress } from '../progress.js';
import { askedOfSetting, paragraphsIn, setPagesOf, settingOf } from './reading/site-paragraphs.js';
import { siteRequest } from './config-request.js';
import { openSite, type OpenedSite } from './reading/open-site.js';
import { scannedSite, type FoundOnSite } from './reading/scan-threads.js';
import { Visits } from '../../kit/planning/visits.js';
import { demandOfKept } from '../../kit/planning/kept-demand.js';
import { settingOfKept } from '../../kit/planning/kept-setting.js';
import { finding, type Finding } from '../../findings.js';
import { kitOverridden } from '../../kit/replacing/index.js';
import type { ScannedPage } from '../../site/scanning/page-scanner.js';
import { faceRuleOf } from '../../site/usage/declared-faces.js';
import type { SitePage } from '../../site/scanning/site.js';
import type { BuildMemory, KnownPage } from './build-memory.js';
import { staleFindings, type KeptDemand } from './kept-demand.js';

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
  if (site?.root !== undefined && !isFolder(root))
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
      try {
        return await openSite({ ...siteRequest(site, root, runScripts), environment, home }, progress);
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
  /** What was found about them; where a kept demand was read, whether it is of these pages. */
  findings: Finding[];
}

/** Where no page is read. */
export const nothingFound: FoundOnPages = { pages: [], byScript: [], texts: [], visits: [], findings: [] };

/**
 * What was found on the pages of a config, or on them earlier; nothing where there are none.
 *
 * @param kitFolder absolute
 * @param kept a demand that was kept, read in their place
 */
export async function demandingPages(
  { site, characters }: KitConfig,
  { open, root }: ConfigSite,
  faces: readonly KitTextFace[],
  kitFolder: string,
  kept: KeptDemand | undefined,
  progress?: OnProgress,
  memory?: BuildMemory,
): Promise<FoundOnPages> {
  const isDemanding = characters?.fromSite !== false;
  if (kept) {
    const settings = kept.pages.flatMap(({ page, setting }) =>
      setting ? [settingOfKept(page, setting)] : [],
    );
    const read = isDemanding ? kept.pages.map(demandOfKept) : [];
    return {
      pages: read,
      byScript: byScriptOf(read),
      texts: paragraphsIn(settings, faces),
      visits: settings.flatMap(({ visit }) => visit ?? []),
      findings: site?.root === undefined ? [] : staleFindings(kept, root),
    };
  }
  const opened = site && (site.root ?? site.url) !== undefined && (await open(progress));
  if (!opened) return nothingFound;
  try {
    const overridden = new Map<string, Finding>();
    const { known: all, unread } = await readPages(
      opened.site,
      kitFolder,
      isDemanding,
      progress,
      memory,
      ({ fontFaces }) => {
        for (const one of kitOverridden(fontFaces.map(faceRuleOf)))
          overridden.set(JSON.stringify([one.message, one.place]), one);
      },
    );
    const read = isDemanding ? all.map(({ page }) => page) : [];
    const settings = all.flatMap(({ setting }) => setting ?? []);
    return {
      pages: read,
      byScript: byScriptOf(read),
      texts: paragraphsIn(settings, faces, memory?.paragraphs),
      visits: settings.flatMap(({ visit }) => visit ?? []),
      findings: [
        ...[...opened.problems, ...unread].map(({ code, file, url, reason }) =>
          finding(code, reason ?? 'it cannot be read', { file: url ?? file }),
        ),
        ...overridden.values(),
      ],
    };
  } finally {
    await opened.end();
  }
}

/**
 * Each page is read once. Those that a memory has are as they were.
 *
 * @param isDemanding whether all are read, not those by which text is set alone
 */
async function readPages(
  site: OpenedSite['site'],
  kitFolder: string,
  isDemanding: boolean,
  progress: OnProgress | undefined,
  memory: BuildMemory | undefined,
  onPage: (page: ScannedPage) => void,
): Promise<{ known: KnownPage[]; unread: FoundOnSite['problems'] }> {
  const set = setPagesOf(site);
  const asked = isDemanding ? site.pages : site.pages.filter(({ page }) => set.has(page));
  const isFresh = (page: SitePage) => {
    const known = memory?.page(page);
    return known === undefined || (set.has(page.page) && known.setting === undefined);
  };
  const pages = asked.filter(isFresh);
  // A copy would lose what a folder says of itself to threads.
  const open = pages.length === site.pages.length ? site : { ...site, pages };
  const found = await scannedSite(open, { withPlaces: true, ...askedOfSetting(set) }, progress);
  const visits = new Visits(site, kitFolder);
  const read = new Map(found.pages.map((page) => [page.page, page]));
  const known = await Promise.all(
    asked.map(async (page) => {
      const scanned = read.get(page.page);
      if (!scanned) return memory?.page(page) ?? [];
      onPage(scanned);
      const setting = await settingOf(page, scanned, visits);
      const fresh: KnownPage = { address: page.address, page: demandingPage(scanned), setting };
      memory?.keepPage(page, fresh);
      return fresh;
    }),
  );
  return {
    known: known.flat(),
    unread: found.problems.filter(({ code }) => code === 'page-unreadable'),
  };
}

const byScriptOf = (pages: readonly DemandingPage[]): string[] =>
  pages.filter(({ scripts }) => scripts > 0).map(({ page }) => page);
