import { DenseGlyphError } from '../../../errors.js';
import { version } from '../../../version.js';
import { HttpClient, networkReason, statusReason, type Fetched } from '../../../io/http/index.js';
import type { Site, SitePage } from '../../../site/scanning/site.js';
import { baseOf } from '../../../site/html/base-url.js';
import { readDocument } from '../../../site/html/document.js';
import { decodedPage } from '../../../site/html/encoding.js';
import { pageLinks } from '../../../site/html/links.js';
import type { OnPages, SiteProblem } from '../../../site/usage/found-on-pages.js';
import type { OnProgress } from '../../progress.js';
import type { PageReader } from './page-reader.js';
import { hasSteps, stateName, type SiteState } from './states.js';

export interface OnlineSite extends Site {
  problems: OnPages<SiteProblem>[];
  end: () => Promise<void>;
}

/** Pages that are read at once. */
const atOnce = 2;

export interface OnlineRequest {
  start: string;
  mostPages: number;
  /** For pages that a browser reads. */
  read?: PageReader | undefined;
  /** Paths of the pages, in the place of what links lead to. */
  routes?: readonly string[] | undefined;
  /** Pages after something happened on them; a browser reads those. */
  states?: readonly SiteState[] | undefined;
  /** The Content-Security-Policy that a server sends with all pages. */
  policy?: string | undefined;
}

/**
 * The pages of a site that links lead to, from a start on; same origin only.
 *
 * @throws DenseGlyphError `site-unreachable` if the first page can't be had
 */
export async function readOnlineSite(
  { start, mostPages, read, routes = [], states = [], policy }: OnlineRequest,
  progress?: OnProgress,
): Promise<OnlineSite> {
  const client = new HttpClient({ userAgent: `dense-glyph/${version()}` });
  const files = new OnlineFiles(client, new URL(start).origin);
  const pages = new Map<string, SitePage>();
  const problems: OnPages<SiteProblem>[] = [];
  const listed = routes.map((path) => new URL(path, start).href);
  const waiting = (listed.length > 0 ? listed : [start]).map((url, i) => ({
    url,
    from: i === 0 ? '' : 'the config',
  }));
  const seen = new Set(waiting.map(({ url }) => url));
  const named = policy === undefined ? [] : [policy];
  const readPage = read ?? files.page;
  const visit = async ({ url, from }: { url: string; from: string }) => {
    const found = await readPage(url);
    if ('reason' in found) {
      if (from === '')
        throw new DenseGlyphError(
          'site-unreachable',
          found.reason,
          { url },
          'start the site, or correct the address',
        );
      problems.push({
        code: 'page-unanswered',
        url: files.shown(url),
        file: from,
        line: 0,
        reason: found.reason,
        pages: [from],
      });
      return;
    }
    // A redirect may have led to another page, or to another host.
    const page = files.shown(found.url);
    if (new URL(found.url).origin !== files.origin && from !== '') return;
    if (from === '') files.origin = new URL(found.url).origin;
    if (pages.size >= mostPages) return;
    const key = read ? found.url : found.url.replace(/#.*/s, '');
    if (pages.has(key)) return;
    pages.set(key, {
      page,
      address: found.url,
      size: found.html.length,
      read: () => found.bytes ?? found.html,
      earlier: found.earlier,
      charset: found.charset,
      policies: [...named, ...(found.policies ?? [])],
    });
    const total = Math.min(mostPages, pages.size + waiting.length);
    progress?.({ task: 'fetching pages', done: pages.size, total, bytes: 0, totalBytes: 0, item: page });
    if (listed.length > 0) return;
    const root = readDocument(found.html);
    const base = baseOf(root);
    const linksFrom =
      base !== undefined && URL.canParse(base, found.url) ? new URL(base, found.url).href : found.url;
    for (const one of pageLinks(root, linksFrom)) {
      // What stands behind the number sign is drawn by scripts alone.
      const link = read ? one : one.replace(/#.*/s, '');
      if (seen.has(link) || new URL(link).origin !== files.origin) continue;
      seen.add(link);
      waiting.push({ url: link, from: page });
    }
  };
  const visitState = async (state: SiteState) => {
    const url = new URL(state.page, start).href;
    const page = stateName(state);
    const found = await readPage(url, state);
    if ('reason' in found)
      problems.push({
        code: 'page-unanswered',
        url: page,
        file: state.page,
        line: 0,
        reason: found.reason,
        pages: [page],
      });
    else
      pages.set(page, {
        page,
        address: found.url,
        size: found.html.length,
        read: () => found.html,
        earlier: found.earlier,
        policies: named,
        isAfterSteps: hasSteps(state),
      });
  };
  try {
    while (waiting.length > 0 && pages.size < mostPages) {
      await Promise.all(waiting.splice(0, pages.size === 0 ? 1 : atOnce).map(visit));
    }
    for (const state of read ? states : []) await visitState(state);
  } catch (cause) {
    await client.end();
    throw cause;
  }
  return {
    pages: [...pages.values()],
    problems,
    otherHost: files.otherHost,
    shown: files.shown,
    addressOf: files.addressOf,
    unreadable: files.unreadable,
    named: async (file) => (await files.fetched(new URL(file, files.origin).href))?.bytes,
    read: async (url) => (await files.fetched(url))?.bytes,
    nearest: () => undefined,
    end: () => client.end(),
  };
}

/** Files of a site by their URLs, each fetched once. */
class OnlineFiles {
  private readonly known = new Map<string, Promise<Fetched | undefined>>();
  /** Why files couldn't be had of which it isn't known whether they are there. */
  private readonly reasons = new Map<string, string>();

  constructor(
    private readonly client: HttpClient,
    public origin: string,
  ) {}

  /** What follows the host. */
  readonly shown = (url: string): string => {
    const { origin, pathname, search, hash } = new URL(url);
    return origin === this.origin ? pathname + search + hash : url;
  };

  readonly otherHost = (address: string, from: string): string | undefined => {
    if (!URL.canParse(address, from)) return undefined;
    const { origin, host, protocol } = new URL(address, from);
    return origin === this.origin || !/^https?:$/.test(protocol) ? undefined : host;
  };

  readonly page: PageReader = async (url) => {
    try {
      const {
        status,
        mediaType,
        charset,
        bytes,
        policies,
        url: last,
      } = await this.client.get(url, 'text/html');
      if (status !== 200) return { reason: statusReason(status) };
      if (!/^(text\/html|application\/xhtml\+xml)$/.test(mediaType))
        return { reason: `it is no page but ${mediaType || 'of no type'}` };
      return { url: last, html: await decodedPage(bytes, charset), bytes, charset, policies };
    } catch (cause) {
      return { reason: reasonOf(cause) };
    }
  };

  readonly addressOf = async (address: string, from: string): Promise<string | undefined> => {
    if (!URL.canParse(address, from)) return undefined;
    return (await this.fetched(new URL(address, from).href.replace(/#.*$/s, '')))?.url;
  };

  readonly unreadable = (address: string, from: string): string | undefined =>
    URL.canParse(address, from)
      ? this.reasons.get(new URL(address, from).href.replace(/#.*$/s, ''))
      : undefined;

  /** A file, which is kept under the address that a redirect led to as well. */
  async fetched(url: string): Promise<Fetched | undefined> {
    let fetched = this.known.get(url);
    if (!fetched) {
      fetched = this.client.get(url, '*/*').then(
        (found) => {
          const { status } = found;
          if (status === 200) return found;
          if (status !== 404 && status !== 410) this.reasons.set(url, statusReason(status));
          return undefined;
        },
        (cause: unknown) => {
          this.reasons.set(url, reasonOf(cause));
          return undefined;
        },
      );
      this.known.set(url, fetched);
    }
    const found = await fetched;
    if (found) this.known.set(found.url, fetched);
    return found;
  }
}

/** What of an error a person can use. */
const reasonOf = (cause: unknown): string =>
  cause instanceof DenseGlyphError ? cause.reason : networkReason(cause as Error);
