import { HttpClient, type ClientOptions } from '../io/http/index.js';
import { readRules, type FontFaceDescriptors, type FontFaceSource } from '../site/css/rules.js';
import { decodedStylesheet } from '../site/html/encoding.js';
import { fetchFailure } from './fetch-failure.js';

/** A face that a stylesheet declares, with its sources as full addresses. */
export interface HostedFace extends FontFaceDescriptors {
  /** The stylesheet that was asked for. */
  stylesheet: string;
  sources: (FontFaceSource & { url: string })[];
}

export interface AskedStylesheet {
  url: string;
  families: string[];
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

/** How deep stylesheets may import each other, and how many are read for one call. */
const deepest = 8;
const mostStylesheets = 200;

/** Asks for stylesheets as browsers do, once for each format, with what they import. */
export class HostedStylesheets {
  readonly faces: HostedFace[] = [];
  readonly stylesheets = new Map<string, AskedStylesheet>();
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

  /** Notes the faces of a stylesheet that is at hand. @param address what its URLs start from */
  async readText(css: string, address: string, file: string): Promise<void> {
    const rules = readRules(css, file);
    this.noteFaces(rules.fontFaces, address, file);
    for (const one of rules.imports)
      if (URL.canParse(one.url, address)) await this.ask(new URL(one.url, address).href);
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
    if (this.seen.has(key) || this.seen.size >= mostStylesheets || depth > deepest) return;
    this.seen.add(key);
    const answer = await client.get(url, 'text/css,*/*;q=0.1').catch((cause: unknown) => cause as Error);
    const reason = fetchFailure(answer, 'text/css');
    if (reason !== undefined || answer instanceof Error) {
      if (!this.failures.some((one) => one.url === url))
        this.failures.push({ url, reason: reason ?? 'it gave nothing' });
      return;
    }
    const rules = readRules(decodedStylesheet(answer.bytes), url);
    this.noteFaces(rules.fontFaces, answer.url, first);
    for (const one of rules.imports)
      if (URL.canParse(one.url, answer.url))
        await this.askAs(format, client, new URL(one.url, answer.url).href, first, depth + 1);
  }

  /** @param address what their URLs start from @param stylesheet as the ledger names it */
  noteFaces(faces: readonly FontFaceDescriptors[], address: string, stylesheet: string): void {
    const known = this.stylesheets.get(stylesheet) ?? { url: stylesheet, families: [] };
    this.stylesheets.set(stylesheet, known);
    for (const face of faces) {
      if (!known.families.includes(face.family)) known.families.push(face.family);
      const sources = face.sources.flatMap((source) =>
        source.url !== undefined && URL.canParse(source.url, address)
          ? [{ ...source, url: new URL(source.url, address).href }]
          : [],
      );
      this.faces.push({ ...face, sources, stylesheet });
    }
  }
}
