import { isBelow } from '../../io/read.js';
import type { Source } from '../../core/source/index.js';
import type { SitePage } from '../../site/scanning/site.js';
import type { DemandingPage } from '../../kit/planning/demand.js';
import type { PageSetting } from '../../kit/planning/kept-setting.js';
import type { ChosenFamily } from '../../kit/planning/chosen.js';
import type { Screenfuls } from '../../kit/planning/plan-loading.js';
import type { FittedKit, KitTextFace, PageParagraphs } from '../../kit/stand-ins/index.js';

/** A page that was read. */
export interface KnownPage {
  address: string;
  page: DemandingPage;
  /** How it sets its text, where that was asked of it. */
  setting: PageSetting | undefined;
}

/**
 * What one build after another needs not find out again: fonts that are open, pages that were read, stand-ins that were fitted. What
 * a build gives doesn't hang on it, but for stand-ins: those stay behind by a change of text until they are fitted again.
 */
export class BuildMemory {
  /** Of each family, in the order of the config. */
  sources: Source[][] | undefined;
  /** Faces as they were chosen of them, and their text. */
  chosen: readonly ChosenFamily[] | undefined;
  faces: readonly KitTextFace[] = [];
  paragraphs = new WeakMap<PageSetting, PageParagraphs<KitTextFace>[]>();
  screenfuls: Screenfuls = new WeakMap();
  /** What was fitted last, and whether the next build goes by it. */
  fitted: FittedKit | undefined;
  keepsFit = false;
  /** Whether stand-ins were fitted to other text than pages have by now. */
  isFitLate = false;
  /** By their names: a page and its states have one address. */
  private readonly pages = new Map<string, KnownPage>();

  /**
   * What of it is of no use once files have changed.
   *
   * @param paths absolute @param site its folder, where pages were read; absolute @param isPage whether a file is a page of it
   */
  forget(
    paths: Iterable<string>,
    { site, isPage }: { site: string | undefined; isPage: (path: string) => boolean },
  ): void {
    for (const path of paths) {
      const isInSite = site !== undefined && isBelow(path, site);
      if (isInSite && isPage(path)) {
        // What isn't a file itself, a route or a state, is drawn by any.
        for (const [name, { address }] of this.pages)
          if (address === path || !isPage(address)) this.pages.delete(name);
      } else {
        // A stylesheet may be of any page; a config or a font of everything.
        this.pages.clear();
        if (isInSite) continue;
        this.sources = undefined;
        this.chosen = undefined;
        this.fitted = undefined;
        this.paragraphs = new WeakMap();
        this.screenfuls = new WeakMap();
      }
    }
  }

  page({ page }: SitePage): KnownPage | undefined {
    return this.pages.get(page);
  }

  keepPage({ page }: SitePage, known: KnownPage): void {
    this.pages.set(page, known);
  }
}
