import { fileURLToPath } from 'node:url';
import { HttpClient, type ClientOptions } from '../../io/http/index.js';
import { isBelow, readBytes } from '../../io/read.js';
import {
  readRules,
  type FontFaceDescriptors,
  type FontFaceSource,
  type StyleRules,
} from '../../site/css/rules.js';
import { decodedStylesheet } from '../../site/html/encoding.js';
import { fetchFailure } from './fetch-failure.js';

/** A face that a stylesheet declares, with its sources as full addresses. */
export interface HostedFace extends FontFaceDescriptors {
  /** The stylesheet that was asked for. */
  stylesheet: string;
  sources: (FontFaceSource & { url: string })[];
  /** As it was read. */
  rule: FontFaceDescriptors;
}

export interface AskedStylesheet {
  url: string;
  families: Set<string>;
}

/** A stylesheet as a host gave it to a browser of today. */
export interface HostedSheet {
  /** After redirects: what its addresses start from. */
  address: string;
  css: string;
  rules: StyleRules;
}

/** What could not be had, and why. */
export interface Failure {
  url: string;
  reason: string;
}

/**
 * What a browser calls itself that takes a format and no better one: hosts answer with what it can read. In the order in which
 * rules are written, so that newer browsers have the last word.
 */
const askers: Readonly<Record<string, string>> = {
  eot: 'Mozilla/4.0 (compatible; MSIE 8.0; Windows NT 6.1)',
  ttf: 'Mozilla/5.0 (Linux; U; Android 4.1.2; en) AppleWebKit/534.30 (KHTML, like Gecko) Version/4.0 Mobile Safari/534.30',
  woff: 'Mozilla/5.0 (Windows NT 6.1; WOW64; Trident/7.0; rv:11.0) like Gecko',
  woff2:
    'Mozilla/5.0 (Windows NT 10.0; Win64; x64) AppleWebKit/537.36 (KHTML, like Gecko) Chrome/140.0.0.0 Safari/537.36',
};

/** Why something that a stylesheet of a host names is left alone. */
const notOfHosts = 'a file of this machine, which a stylesheet has no business with';

/** How deep stylesheets may import each other, and how many are read for one call. */
const deepest = 8;
const mostStylesheets = 200;

/** Asks for stylesheets as browsers do, once for each format, with what they import. */
export class HostedStylesheets {
  readonly faces: HostedFace[] = [];
  readonly stylesheets = new Map<string, AskedStylesheet>();
  /** Those that browsers of today were given, by the address that was asked, with what they import. */
  readonly sheets = new Map<string, HostedSheet>();
  readonly failures: Failure[] = [];
  private readonly clients: [format: string, client: HttpClient][];
  private readonly seen = new Set<string>();

  /** @param formats that browsers need, WOFF2 always */
  constructor(formats: readonly string[], options: Omit<ClientOptions, 'userAgent'>) {
    this.clients = Object.entries(askers)
      .filter(([format]) => format === 'woff2' || formats.includes(format))
      .map(([format, userAgent]) => [format, new HttpClient({ userAgent, ...options })]);
  }

  /** Notes the faces of a stylesheet. Where it can't be had, that is noted. */
  async ask(url: string): Promise<void> {
    for (const [format, client] of this.clients) await this.askAs(format, client, url, url, 0);
  }

  /**
   * Notes the faces of a stylesheet on disk, and of those that it imports.
   *
   * @param address what its URLs start from: of the file @param file as the user would write it
   * @param within the folder that files which it names lie below, absolute
   */
  async readText(css: string, address: string, file: string, within: string, depth = 0): Promise<void> {
    const rules = readRules(css, file);
    const isLocal = (url: string) => !url.startsWith('file:') || isBelow(fileURLToPath(url), within);
    this.noteFaces(rules.fontFaces, address, file, isLocal);
    for (const one of rules.imports) {
      if (!URL.canParse(one.url, address)) continue;
      const { href, protocol } = new URL(one.url, address);
      if (protocol !== 'file:') await this.ask(href);
      else if (!isLocal(href)) this.failures.push({ url: one.url, reason: `it lies outside of ${within}` });
      else if (depth < deepest && !this.seen.has(href)) {
        this.seen.add(href);
        const path = fileURLToPath(href.replace(/[?#].*$/s, ''));
        await this.readText(decodedStylesheet(readBytes(path, path)), href, file, within, depth + 1);
      }
    }
  }

  async end(): Promise<void> {
    for (const [, client] of this.clients) await client.end();
  }

  private async askAs(
    format: string,
    client: HttpClient,
    url: string,
    first: string,
    depth: number,
  ): Promise<void> {
    const key = `${format} ${url}`;
    if (this.seen.has(key)) return;
    if (this.seen.size >= mostStylesheets || depth > deepest) {
      const reason =
        depth > deepest ? `it is imported ${depth} levels deep` : `${mostStylesheets} were read already`;
      if (format === 'woff2') this.failures.push({ url, reason });
      return;
    }
    this.seen.add(key);
    const answer = await client.get(url, 'text/css,*/*;q=0.1').catch((cause: unknown) => cause as Error);
    const reason = fetchFailure(answer, 'text/css');
    if (reason !== undefined || answer instanceof Error) {
      if (!this.failures.some((one) => one.url === url))
        this.failures.push({ url, reason: reason ?? 'it gave nothing' });
      return;
    }
    const css = decodedStylesheet(answer.bytes);
    const rules = readRules(css, url);
    if (format === 'woff2') this.sheets.set(url, { address: answer.url, css, rules });
    this.noteFaces(rules.fontFaces, answer.url, first);
    for (const one of rules.imports) {
      if (!URL.canParse(one.url, answer.url)) continue;
      const { href, protocol } = new URL(one.url, answer.url);
      if (/^https?:$/.test(protocol)) await this.askAs(format, client, href, first, depth + 1);
      else if (format === 'woff2') this.failures.push({ url: one.url, reason: notOfHosts });
    }
  }

  /**
   * @param address what their URLs start from @param stylesheet as the ledger names it
   * @param isLocal whether a file of this machine may be read; none that a host names
   */
  noteFaces(
    faces: readonly FontFaceDescriptors[],
    address: string,
    stylesheet: string,
    isLocal: (url: string) => boolean = (url) => !url.startsWith('file:'),
  ): void {
    const known = this.stylesheets.get(stylesheet) ?? { url: stylesheet, families: new Set<string>() };
    this.stylesheets.set(stylesheet, known);
    for (const face of faces) {
      known.families.add(face.family);
      const sources = face.sources.flatMap((source) => {
        if (source.url === undefined || !URL.canParse(source.url, address)) return [];
        const url = new URL(source.url, address).href;
        if (isLocal(url)) return [{ ...source, url }];
        this.failures.push({ url: source.url, reason: notOfHosts });
        return [];
      });
      this.faces.push({ ...face, sources, stylesheet, rule: face });
    }
  }
}
