import type { Site, SitePage } from '../io/site.js';
import type { PageSheet } from '../site/cascade/style-rules.js';
import type { FontFaceDescriptors } from '../site/css/rules.js';
import { baseOf } from '../site/html/base-url.js';
import { readDocument, treesWithin, type SiteElement } from '../site/html/document.js';
import { decodedPage } from '../site/html/encoding.js';
import { stylesheetsOf } from '../site/html/stylesheets.js';
import { hostedReferences, type HostedReference } from '../site/usage/hosted-references.js';
import { pageFaces, SiteStyles, type PageFace } from '../site/usage/page-faces.js';
import type { OnPages, SiteProblem } from '../site/usage/site-problems.js';
import { SiteStylesheets } from './site-stylesheets.js';

/** A page with what was found on it; plain data, as it may come from another thread. */
export interface ScannedPage {
  page: string;
  languages: string[];
  faces: Map<string, PageFace>;
  fontFaces: FontFaceDescriptors[];
}

/** What was found on some pages. */
export interface FoundOnSite {
  pages: ScannedPage[];
  problems: OnPages<SiteProblem>[];
  hosted: OnPages<HostedReference>[];
}

/** Scans pages of a site one by one; what pages have in common is looked at once. */
export class PageScanner {
  private readonly stylesheets: SiteStylesheets;
  private readonly styles = new SiteStyles();

  constructor(site: Site) {
    this.stylesheets = new SiteStylesheets(site);
  }

  /** @throws DenseGlyphError `file-unreadable` */
  async scan(page: SitePage): Promise<ScannedPage> {
    const content = page.read();
    const html = typeof content === 'string' ? content : await decodedPage(page.page, content);
    const root = readDocument(html);
    const base = baseOf(root);
    const source = this.stylesheets.for(page, base);
    const sheets = new Map<SiteElement | undefined, PageSheet[]>();
    const fontFaces: FontFaceDescriptors[] = [];
    for (const tree of treesWithin(root)) {
      const found = await stylesheetsOf(tree, page.page, source);
      sheets.set(tree === root ? undefined : tree, found.sheets);
      // CSS Scoping 1, section 3.4: names of faces belong to the page; browsers read those of the page only.
      if (tree === root) fontFaces.push(...found.fontFaces);
    }
    await this.stylesheets.checkFaces(fontFaces, page, base);
    for (const one of hostedReferences(root, page.page))
      this.stylesheets.hosted.add(one.kind, one, [page.page]);
    return {
      page: page.page,
      ...pageFaces({ root, file: page.page, sheets, fontFaces }, this.styles),
      fontFaces,
    };
  }

  /** What was found beside the demand since the last call. */
  takeFound(): Omit<FoundOnSite, 'pages'> {
    const { problems, hosted } = this.stylesheets;
    const found = { problems: problems.all(), hosted: hosted.all() };
    problems.clear();
    hosted.clear();
    return found;
  }
}
