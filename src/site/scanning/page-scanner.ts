import type { Site, SitePage } from './site.js';
import type { PageSheet } from '../cascade/style-rules.js';
import { ofLines } from '../css/properties/index.js';
import type { FontFaceDescriptors } from '../css/rules.js';
import { DenseGlyphError } from '../../errors.js';
import { baseOf } from '../html/base-url.js';
import { elementsWithin, ownText, readDocument, treesWithin, type SiteElement } from '../html/document.js';
import { asUnnamedEncoding, decodedPage } from '../html/encoding.js';
import { stylesheetsOf, type ForbiddenFile, type StylesheetSource } from '../cascade/page-stylesheets.js';
import { hostedReferences, type HostedReference } from '../usage/hosted-references.js';
import { policiesOf, withSelf, type PagePolicies } from '../policies/content-security-policy.js';
import { SiteStyles } from '../cascade/site-styles.js';
import { everyScreen, type LineFace, type PageFace } from '../usage/page-face.js';
import { pageFaces, type StyledPage } from '../usage/page-faces.js';
import { pageBlocks } from '../usage/page-blocks.js';
import { preloadsOf, type Preload } from '../usage/preloads.js';
import type { DrawnPiece } from '../usage/drawn-text.js';
import type { LinkedStylesheet, OnPages, SiteProblem } from '../usage/found-on-pages.js';
import type { TextBlock } from '../usage/text-blocks.js';
import type { PageRequest } from './requests.js';
import { SiteStylesheets } from './site-stylesheets.js';

/** A page with what was found on it; plain data, as it may come from another thread. */
export interface ScannedPage {
  page: string;
  languages: string[];
  faces: Map<string, PageFace>;
  /** Faces that it measures lines by, besides. */
  lines: LineFace[];
  fontFaces: FontFaceDescriptors[];
  /** Files that it links, and those that they import. */
  stylesheets: string[];
  preloads: Preload[];
  /** Scripts of a page that has hardly any text without them. */
  scripts: number;
  /** Whether it has scripts at all. */
  hasScripts: boolean;
  /** Whether it has more rules and elements than were compared. */
  isBounded: boolean;
  /** Whether browsers know how to read it. */
  isEncodingNamed: boolean;
  /** Where lines are asked for: the blocks of its text, by how wide the screen is. */
  blocks?: Map<number, TextBlock[]>;
  /** Where requests are asked for: what it fetches before it is drawn, in the order in which browsers come to it. */
  requests?: PageRequest[];
}

/** What is told of pages besides; each costs nothing where nobody asks for it. */
export interface ScanOptions {
  /** Whether to note which elements draw a face. */
  withPlaces?: boolean;
  /** Called for each piece of text that a page may draw. */
  onPiece?: ((piece: DrawnPiece, page: string) => void) | undefined;
  /** How wide the screens are for which blocks of text are told, CSS pixels. */
  widths?: readonly number[] | undefined;
  withRequests?: boolean;
  /** Of which pages blocks and requests are told, by their names; of all if left out. */
  setPages?: ReadonlySet<string> | undefined;
}

/** What was found on some pages. */
export interface FoundOnSite {
  pages: ScannedPage[];
  problems: OnPages<SiteProblem>[];
  hosted: OnPages<HostedReference>[];
  sheets: OnPages<LinkedStylesheet>[];
}

/** Scans pages of a site one by one; what pages have in common is looked at once. */
export class PageScanner {
  private readonly stylesheets: SiteStylesheets;
  private readonly styles = new SiteStyles();
  /** What blocks of text go by: rules keep more then. */
  private readonly lines: { stylesheets: SiteStylesheets; styles: SiteStyles };

  constructor(
    private readonly site: Site,
    private readonly options: ScanOptions = {},
  ) {
    this.stylesheets = new SiteStylesheets(site);
    this.lines = { stylesheets: new SiteStylesheets(site, ofLines), styles: new SiteStyles(ofLines) };
  }

  /** A page in a list; nothing, and a problem, where it can't be read. */
  async scanned(page: SitePage): Promise<ScannedPage[]> {
    try {
      const scanned = await this.scan(page);
      return [page.isAfterSteps ? asPossible(scanned) : scanned];
    } catch (cause) {
      if (!(cause instanceof DenseGlyphError)) throw cause;
      const problem = { code: 'page-unreadable', url: page.page, file: page.page, line: 0 } as const;
      this.stylesheets.problems.add(problem.code, { ...problem, reason: cause.reason }, [page.page]);
      return [];
    }
  }

  /** @throws DenseGlyphError `file-unreadable` */
  private async scan(page: SitePage): Promise<ScannedPage> {
    const content = page.read();
    // What a browser gives has other lines than the source.
    if (typeof content === 'string') {
      const scanned = await this.scanText(page, content, false);
      for (const earlier of page.earlier ?? []) {
        const { faces } = await this.scanText(page, earlier, false);
        for (const [key, face] of faces) addFace(scanned.faces, key, face);
      }
      return scanned;
    }
    const scanned = await this.scanText(page, await decodedPage(content, page.charset));
    const otherwise = page.charset === undefined ? asUnnamedEncoding(content) : undefined;
    if (otherwise !== undefined) {
      scanned.isEncodingNamed = false;
      const { faces } = await this.scanText(page, otherwise);
      for (const [key, face] of faces) addAsPossible(scanned.faces, key, face);
    }
    return scanned;
  }

  private async scanText(page: SitePage, html: string, isSource = true, depth = 0): Promise<ScannedPage> {
    const { withPlaces = false, onPiece, widths, withRequests = false, setPages } = this.options;
    const isSet = setPages?.has(page.page) ?? true;
    const lines = !isSource ? 'none' : withPlaces ? 'noted' : 'on demand';
    const root = readDocument(html, lines);
    const base = baseOf(root);
    const otherHost = (address: string) => this.site.otherHost(address, page.address);
    const policies = policiesOf(root, page.policies ?? [], otherHost);
    const { files, fontFaces, ...styled } = await this.styled(root, page, base, policies);
    await this.stylesheets.checkFaces(fontFaces, page, base);
    for (const one of hostedReferences(root, page.page, otherHost))
      this.stylesheets.hosted.add(one.kind, one, [page.page]);
    const found = pageFaces(
      { root, file: page.page, ...styled, fontFaces, withPlaces },
      this.styles,
      onPiece && ((piece) => onPiece(piece, page.page)),
    );
    const frames = await this.framesIn(page, root, depth);
    for (const inner of frames) {
      for (const [key, face] of inner.faces) addFace(found.faces, key, face);
      for (const face of inner.lines) found.lines.push({ ...face, screens: onEvery(face) });
      fontFaces.push(...inner.fontFaces);
    }
    return {
      page: page.page,
      ...found,
      fontFaces,
      stylesheets: [...files, ...frames.flatMap(({ stylesheets }) => stylesheets)],
      preloads: await this.stylesheets.checkPreloads(preloadsOf(root, page.page), page, base),
      scripts: isSource ? scriptsInstead(root) : 0,
      hasScripts: elementsWithin(root).some(isScript),
      isEncodingNamed: true,
      ...(isSet && widths ? { blocks: await this.blocksOf(root, page, base, widths, policies) } : {}),
      ...(isSet && withRequests ? { requests: await this.stylesheets.requestsOf(root, page, base) } : {}),
    };
  }

  private async styled(
    root: SiteElement,
    page: SitePage,
    base: string | undefined,
    policies: PagePolicies,
  ): ReturnType<typeof styledPage> {
    const styled = await styledPage(root, page, this.stylesheets.for(page, base), policies);
    for (const one of styled.forbidden)
      this.stylesheets.problems.add(one.by.directive, forbiddenProblem(one), [page.page]);
    return styled;
  }

  private async blocksOf(
    root: SiteElement,
    page: SitePage,
    base: string | undefined,
    widths: readonly number[],
    policies: PagePolicies,
  ): Promise<Map<number, TextBlock[]>> {
    const { stylesheets, styles } = this.lines;
    const styled = await styledPage(root, page, stylesheets.for(page, base), policies);
    return pageBlocks({ root, file: page.page, ...styled }, styles, widths);
  }

  /** Documents that stand in the page itself (HTML, section 4.8.5); addresses in them start where the page's do. */
  private async framesIn(page: SitePage, root: SiteElement, depth: number): Promise<ScannedPage[]> {
    const frames: ScannedPage[] = [];
    if (depth >= deepestFrame) return frames;
    for (const { name, attributes } of elementsWithin(root)) {
      const html = name === 'iframe' ? attributes.get('srcdoc') : undefined;
      if (html !== undefined) frames.push(await this.scanText(page, html, false, depth + 1));
    }
    return frames;
  }

  /** What was found beside the demand since the last call. */
  takeFound(): Omit<FoundOnSite, 'pages'> {
    const { problems, hosted, linkedSheets } = this.stylesheets;
    const found = { problems: problems.all(), hosted: hosted.all(), sheets: linkedSheets.all() };
    for (const one of [problems, hosted, linkedSheets]) one.clear();
    return found;
  }
}

/** The stylesheets of a page with what they say of fonts. */
async function styledPage(
  root: SiteElement,
  { page }: SitePage,
  source: StylesheetSource,
  policies: PagePolicies,
): Promise<Pick<StyledPage, 'sheets' | 'counterStyles' | 'namedFeatures'> & PageFiles> {
  const sheets = new Map<SiteElement | undefined, PageSheet[]>();
  const fontFaces: FontFaceDescriptors[] = [];
  const files: string[] = [];
  const forbidden: ForbiddenFile[] = [];
  const counterStyles = new Map<string, ReadonlyMap<string, string>>();
  const namedFeatures = new Set<string>();
  for (const tree of treesWithin(root)) {
    const found = await stylesheetsOf(tree, page, source, policies);
    forbidden.push(...found.forbidden);
    sheets.set(tree === root ? undefined : tree, found.sheets);
    files.push(...found.files);
    // CSS Scoping 1, section 3.4: names of faces belong to the page; browsers read those of the page only.
    if (tree === root) fontFaces.push(...found.fontFaces);
    for (const [name, descriptors] of found.counterStyles) counterStyles.set(name, descriptors);
    for (const tag of found.namedFeatures) namedFeatures.add(tag);
  }
  return { sheets, fontFaces, files, counterStyles, namedFeatures, forbidden };
}

interface PageFiles {
  fontFaces: FontFaceDescriptors[];
  /** Stylesheets that it links, and those that they import. */
  files: string[];
  /** What policies of the page forbid. */
  forbidden: ForbiddenFile[];
}

/** What is told of a file that a policy of the page forbids. */
function forbiddenProblem({ kind, url, file, line, family, host, by }: ForbiddenFile): SiteProblem {
  const what = url === '' ? 'the style here' : /^data:/i.test(url) ? 'a font in the stylesheet itself' : url;
  const of = family === undefined ? '' : ` of ${family}`;
  const message = `${what}${of} is forbidden by the page’s policy: ${by.directive} ${by.sources.join(' ')}`;
  const isOwn = host === undefined && url !== '' && !/^data:/i.test(url);
  const advice = isOwn ? { advice: `write ${withSelf(by)} into the policy` } : {};
  return { code: 'policy-forbids', url: `${kind} ${url}`, file, line, message, ...advice };
}

/** How deep documents may stand in each other. */
const deepestFrame = 3;

/** Screens of a frame aren't those of the page around it. */
const onEvery = ({ screens }: LineFace): Set<number> => new Set(screens.size > 0 ? [everyScreen] : []);

function addFace(faces: Map<string, PageFace>, key: string, face: PageFace): void {
  const known = faces.get(key);
  if (!known) {
    faces.set(key, { ...face, screens: onEvery(face) });
    return;
  }
  for (const screen of onEvery(face)) known.screens.add(screen);
  for (const character of face.drawn) known.drawn.add(character);
  for (const character of face.possible) known.possible.add(character);
  for (const letter of face.marked) known.marked.add(letter);
  for (const [rule, asker] of face.rules) if (!known.rules.has(rule)) known.rules.set(rule, asker);
  for (const name of ['features', 'variations', 'typedIn'] as const)
    for (const one of face[name]) known[name].add(one);
}

function addAsPossible(faces: Map<string, PageFace>, key: string, face: PageFace): void {
  const known = faces.get(key);
  if (!known) {
    const possible = new Set([...face.drawn, ...face.possible]);
    faces.set(key, { ...face, drawn: new Set(), possible, screens: new Set() });
    return;
  }
  for (const character of [...face.drawn, ...face.possible])
    if (!known.drawn.has(character)) known.possible.add(character);
}

/** What a page shows after something happened, it may draw. */
function asPossible(scanned: ScannedPage): ScannedPage {
  const faces = new Map<string, PageFace>();
  for (const [key, face] of scanned.faces) addAsPossible(faces, key, face);
  return { ...scanned, faces, lines: [] };
}

/** Whether an element is a program, not data (HTML, section 4.12.1). */
const isScript = ({ name, attributes }: SiteElement): boolean =>
  name === 'script' && /^(|module|.*javascript)$/i.test(attributes.get('type') ?? '');

/** Pages with fewer letters are likely to get the others from a script. */
const fewLetters = 60;

function scriptsInstead(root: SiteElement): number {
  let scripts = 0;
  let letters = 0;
  for (const element of elementsWithin(root)) {
    const { name } = element;
    if (name === 'script') {
      if (isScript(element)) scripts++;
    } else if (!/^(style|title|noscript)$/.test(name)) letters += ownText(element).replace(/\s/g, '').length;
    if (letters > fewLetters) return 0;
  }
  return scripts;
}
