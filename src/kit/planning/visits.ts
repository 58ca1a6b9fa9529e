import { deflateSync } from 'node:zlib';
import { blockIn } from '../../site/edits/page-edits.js';
import type { BlockingFile, PageVisit } from '../timeline/index.js';
import type { PageRequest } from '../../site/scanning/requests.js';
import type { ScannedPage } from '../../site/scanning/page-scanner.js';
import type { Site, SitePage } from '../../site/scanning/site.js';

/** Headers of an answer, bytes. */
const headers = 300;
const ownOrigin = 'the site';

/** What a visit to each page fetches before its first drawing, as far as files say; texts as servers compress them. */
export class Visits {
  private readonly sizes = new Map<string, Promise<number>>();

  /** @param kitFolder an address; what lies in it is the kit's own */
  constructor(
    private readonly site: Site,
    private readonly kitFolder: string | undefined,
  ) {}

  async of(page: SitePage, { requests = [], fontFaces }: ScannedPage): Promise<PageVisit> {
    const text = page.sent?.() ?? page.read();
    const kept: BlockingFile[] = [];
    const hosted: BlockingFile[] = [];
    const keys = requests.map(({ address, url }) => (address === undefined ? url : this.site.shown(address)));
    for (const [i, request] of requests.entries()) {
      if (request.holdsUp === 'nothing' || request.isHint || !request.isInHead || isForOthers(request))
        continue;
      if (this.isOfKit(request.address)) continue;
      const { kind, host, from } = request;
      if (kind !== 'stylesheet' && kind !== 'script') continue;
      const file: BlockingFile = {
        key: keys[i],
        origin: host ?? ownOrigin,
        bytes: await this.sizeOf(request),
        kind,
        ...(from === undefined ? {} : { from: keys[from] }),
      };
      if (kept.some(({ key }) => key === file.key) || hosted.some(({ key }) => key === file.key)) continue;
      // A hosted stylesheet that is at hand came home with its faces.
      const isReplaced = host !== undefined && request.address !== undefined;
      (isReplaced ? hosted : kept).push(file);
    }
    const hosts = requests.flatMap(({ kind, host }) => (kind === 'connection' && host ? [host] : []));
    return {
      page: page.page,
      bytes: deflateSync(withoutBlock(text)).length + headers,
      origin: ownOrigin,
      blocking: kept,
      hosted:
        hosted.length === 0
          ? undefined
          : { stylesheets: hosted, fontOrigin: fontHost(fontFaces, hosted[0]), preconnects: hosts },
    };
  }

  private isOfKit(address: string | undefined): boolean {
    return this.kitFolder !== undefined && address?.startsWith(this.kitFolder) === true;
  }

  private async sizeOf({ address, bytes = 0 }: PageRequest): Promise<number> {
    if (address === undefined) return bytes + headers;
    let size = this.sizes.get(address);
    if (!size)
      this.sizes.set(
        address,
        (size = this.site.read(address).then((read) => (read ? deflateSync(read).length : bytes) + headers)),
      );
    return size;
  }
}

/** Without what an earlier call of wire put in, which this plan decides. */
export function withoutBlock(page: string | Uint8Array): string | Uint8Array {
  // A character for each byte, as the comments around it are ASCII.
  const html = typeof page === 'string' ? page : Buffer.from(page).toString('latin1');
  const block = blockIn(html);
  if (!block) return page;
  const left = html.slice(0, block.start) + html.slice(block.end);
  return typeof page === 'string' ? left : Buffer.from(left, 'latin1');
}

/** Whether only print or another screen asks for it: it is fetched later, and holds nothing up. */
const isForOthers = ({ conditions }: PageRequest): boolean =>
  conditions.some(({ kind, text }) => kind === 'media' && /^\s*(?:print|speech)\b/i.test(text));

/** Where hosted faces come from. */
function fontHost(fontFaces: ScannedPage['fontFaces'], { origin }: BlockingFile): string {
  for (const { sources } of fontFaces)
    for (const source of sources) {
      const host = /^(?:https?:)?\/\/([^/]+)/i.exec('url' in source ? String(source.url) : '')?.[1];
      if (host) return host;
    }
  return origin;
}
