import type { Site, SitePage } from './site.js';
import { requestsIn, type AskedRequest, type PageRequest } from './requests.js';
import type { SiteElement } from '../html/document.js';
import { ofFaces, type PropertySet } from '../css/properties/index.js';
import { readRules, type FontFaceDescriptors, type StyleRules } from '../css/rules.js';
import { behindBase } from '../html/base-url.js';
import { decodedStylesheet } from '../html/encoding.js';
import type { LinkedSheet, StylesheetSource } from '../cascade/page-stylesheets.js';
import type { Preload } from '../usage/preloads.js';
import type { HostedReference } from '../usage/hosted-references.js';
import { newProblems, newReferences, newStylesheets, type SiteProblem } from '../usage/found-on-pages.js';

/** A stylesheet that was read. */
interface Sheet extends LinkedSheet {
  address: string;
  /** What of its faces' files isn't here. */
  problems: SiteProblem[];
  hosted: HostedReference[];
}

/** How deep stylesheets may import each other. */
const deepestImport = 16;

/** Style elements that stand on many pages are the same mostly; those of applications may differ on each. */
const mostInline = 500;

/** The stylesheets of a site, each read once, and what could not be had. */
export class SiteStylesheets {
  private readonly sheets = new Map<string, Promise<Sheet>>();
  private readonly inline = new Map<string, StyleRules>();
  readonly problems = newProblems();
  readonly hosted = newReferences();
  readonly linkedSheets = newStylesheets();
  /** Addresses by the file that is shown, for links in it. */
  private readonly addresses = new Map<string, string>();

  /** @param properties those that rules keep */
  constructor(
    private readonly site: Site,
    private readonly properties: PropertySet = ofFaces,
  ) {}

  /** @param base what the page's links start from, where it says so */
  for(page: SitePage, base: string | undefined): StylesheetSource {
    this.addresses.set(page.page, page.address);
    return {
      inline: (css, file, line) => {
        const key = `${file}:${line}:${css}`;
        let rules = this.inline.get(key);
        if (!rules) {
          if (this.inline.size >= mostInline) this.inline.clear();
          this.inline.set(key, (rules = readRules(css, file, Math.max(1, line), this.properties)));
        }
        return rules;
      },
      hostOf: (address, from) =>
        this.site.otherHost(
          from === page.page ? behindBase(address, base) : address,
          this.addresses.get(from) ?? '',
        ),
      linked: (address, from, place) =>
        this.linked(from === page.page ? behindBase(address, base) : address, from, place, page.page),
    };
  }

  /** Notes what of the files isn't here that the rules of a page itself name. */
  async checkFaces(
    faces: readonly FontFaceDescriptors[],
    page: SitePage,
    base: string | undefined,
  ): Promise<void> {
    const own = faces.filter(({ file }) => file === page.page);
    for (const one of await this.missingSources(own, page.address, base))
      if ('code' in one) this.problems.add(one.code, one, [page.page]);
      else this.hosted.add(one.kind, one, [page.page]);
  }

  /** Where preloaded fonts are; those that aren't there are noted. */
  async checkPreloads(
    preloads: readonly Omit<Preload, 'address'>[],
    page: SitePage,
    base: string | undefined,
  ): Promise<Preload[]> {
    const checked: Preload[] = [];
    for (const preload of preloads) {
      const url = behindBase(preload.url, base);
      const isHere = this.site.otherHost(url, page.address) === undefined;
      const address = isHere ? await this.site.addressOf(url, page.address) : undefined;
      if (isHere && address === undefined) {
        const { file, line } = preload;
        const why = this.missing(url, page.address);
        this.problems.add('preload', { code: 'font-missing', url, file, line, ...why }, [page.page]);
      }
      checked.push({ ...preload, address });
    }
    return checked;
  }

  /** What a page fetches for its first drawing: what its markup asks for, and behind each stylesheet its imports. */
  async requestsOf(root: SiteElement, page: SitePage, base: string | undefined): Promise<PageRequest[]> {
    const found: PageRequest[] = [];
    for (const asked of requestsIn(root))
      await this.follow({ ...asked, url: behindBase(asked.url, base) }, page.address, undefined, [], found);
    return found;
  }

  /** @param within stylesheets that import each other */
  private async follow(
    asked: AskedRequest,
    start: string,
    from: number | undefined,
    within: readonly string[],
    found: PageRequest[],
  ): Promise<void> {
    const host = this.site.otherHost(asked.url, start);
    const home = asked.kind === 'stylesheet' ? this.site.adopted?.(asked.url) : undefined;
    const isFile = asked.kind !== 'connection';
    const address =
      isFile && host === undefined ? await this.site.addressOf(asked.url, start) : isFile ? home : undefined;
    const bytes = address === undefined ? undefined : (await this.site.read(address))?.length;
    const number = found.push({ ...asked, address, host, bytes, from }) - 1;
    if (asked.kind !== 'stylesheet' || asked.isHint || address === undefined) return;
    if (within.includes(address) || within.length >= deepestImport) return;
    let sheet = this.sheets.get(address);
    if (!sheet) this.sheets.set(address, (sheet = this.read(address)));
    for (const { url, line, conditions } of (await sheet).rules.imports)
      await this.follow(
        { ...asked, url, line, conditions: [...asked.conditions, ...conditions] },
        address,
        number,
        [...within, address],
        found,
      );
  }

  /** @param place asked for its line only where there is something to say of it */
  private async linked(address: string, from: string, place: { readonly line: number }, page: string) {
    const start = this.addresses.get(from) ?? '';
    if (this.site.otherHost(address, start) !== undefined) {
      const kind = from === page ? 'stylesheet' : 'import';
      const home = this.site.adopted?.(address);
      const isRead = home !== undefined;
      this.hosted.add(kind, { kind, url: address, file: from, line: place.line, isRead }, [page]);
      if (home === undefined) return undefined;
      return { ...(await this.sheetAt(home, from, place, page)), isOfHost: true };
    }
    const found = await this.site.addressOf(address, start);
    if (found === undefined) {
      const { line } = place;
      const why = this.missing(address, start);
      const problem = { code: 'stylesheet-missing', url: address, file: from, line, ...why } as const;
      this.problems.add(problem.code, problem, [page]);
      return undefined;
    }
    return this.sheetAt(found, from, place, page);
  }

  /** Why a file isn't at hand, and where one of that name is. */
  private missing(url: string, from: string): Pick<SiteProblem, 'reason' | 'nearest'> {
    const reason = this.site.unreadable?.(url, from);
    return reason === undefined ? { nearest: this.site.nearest(url, from) } : { reason };
  }

  /** @param found where it is */
  private async sheetAt(
    found: string,
    from: string,
    place: { readonly line: number },
    page: string,
  ): Promise<LinkedSheet> {
    let sheet = this.sheets.get(found);
    if (!sheet) this.sheets.set(found, (sheet = this.read(found)));
    const { problems, hosted, ...read } = await sheet;
    this.addresses.set(read.file, read.address);
    for (const one of problems) this.problems.add(one.code, one, [page]);
    for (const one of hosted) this.hosted.add(one.kind, one, [page]);
    const { rules, hasOthers, imports } = read.rules;
    if (rules.length === 0 && !hasOthers && imports.length === 0)
      this.linkedSheets.add('sheet', { url: read.file, file: from, line: place.line }, [page]);
    return read;
  }

  private async read(address: string): Promise<Sheet> {
    const file = this.site.shown(address);
    const content = (await this.site.read(address)) ?? new Uint8Array();
    const rules = readRules(decodedStylesheet(content), file, 1, this.properties);
    const missing = await this.missingSources(rules.fontFaces, address);
    const problems = missing.filter((one) => 'code' in one);
    return { file, address, rules, problems, hosted: missing.filter((one) => 'kind' in one) };
  }

  /** Font files that aren't there, or not here. */
  private async missingSources(
    faces: readonly FontFaceDescriptors[],
    from: string,
    base?: string,
  ): Promise<(SiteProblem | HostedReference)[]> {
    const found: (SiteProblem | HostedReference)[] = [];
    for (const { sources, file, line, family } of faces) {
      for (const source of sources) {
        if (source.url === undefined || /^data:/i.test(source.url)) continue;
        const url = behindBase(source.url, base);
        if (this.site.otherHost(url, from) !== undefined) found.push({ kind: 'font', url, file, line });
        else {
          const address = await this.site.addressOf(url, from);
          if (address !== undefined) source.address = address;
          else {
            const why = this.missing(url, from);
            source.isMissing = why.reason === undefined;
            found.push({ code: 'font-missing', url, file, line, family, ...why });
          }
        }
      }
    }
    return found;
  }
}
