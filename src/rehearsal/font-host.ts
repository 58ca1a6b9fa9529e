import { createServer, type IncomingMessage, type Server, type ServerResponse } from 'node:http';
import type { AddressInfo } from 'node:net';
import { openFont, writeFont } from '../core/containers/index.js';
import { fontFaceText } from '../core/face/index.js';
import { sourcesOf } from '../core/source/index.js';
import { slug } from '../core/face/slug.js';
import { fontOf, type Font } from '../core/sfnt/font.js';
import { subsetFont } from '../core/subset/index.js';
import { parseUnicodeRanges } from '../core/text/parse-ranges.js';
import { mappedCharacters } from '../core/text/mapped-characters.js';
import { CodePointSet } from '../core/text/code-point-set.js';
import { sampleFonts } from '../io/sample.js';
import { unicodeRangeText } from '../core/text/unicode-ranges.js';

/** What goes wrong on request, by the path that it happens at. */
export type Fault =
  | 'slow'
  | 'cut off'
  | 'missing'
  | 'too often'
  | 'broken'
  | 'page instead'
  | 'circle'
  | 'longer than said'
  | 'hangs';

/** A service that hosts faces, of which there are two origins: stylesheets, and files. */
export interface FontHost {
  /** `http://127.0.0.1:…` */
  styles: string;
  files: string;
  /** What happens to requests for paths that contain a text. */
  faults: Map<string, Fault>;
  /** Paths that were asked for, with who asked. */
  requests: { path: string; agent: string }[];
  close: () => Promise<void>;
}

/** With the faces of the sample site. */
export const startSampleHost = async (): Promise<FontHost> => startFontHost(await sampleFonts());

/** What partial files are cut by. */
const cuts: Readonly<Record<string, string>> = {
  basic: 'U+20-7E, U+A0-FF, U+2010-2027, U+20AC',
  more: 'U+100-24F, U+1E00-1EFF',
  greek: 'U+370-3FF',
};

/**
 * How a family is sent: in one file a face, in cuts of it, or in cuts that are made for screens each by itself, so that nobody can
 * make one file of them again.
 */
const deliveries = { '?cut': 'cut', '?cut=apart': 'cut apart' } as const;
type Delivery = 'whole' | (typeof deliveries)[keyof typeof deliveries];
const deliveryFor = (search: string): Delivery => deliveries[search as keyof typeof deliveries] ?? 'whole';

/** OpenType, gasp: smoothed at all sizes up to one that no other part has. */
function smoothedApart(font: Font, part: string): Font {
  const upTo = 0x100 + Object.keys(cuts).indexOf(part);
  const ranges = [0, 1, 0, 2, upTo, 0xf, 0xffff, 0xf].flatMap((word) => [word >> 8, word & 0xff]);
  return fontOf(font.flavour, font.tables().set('gasp', new Uint8Array(ranges)));
}

interface HostedFile {
  bytes: Uint8Array;
  type: string;
}

/**
 * Serves faces as services do: `/css/<family>.css` with rules that differ by who asks, cut into ranges for browsers that know
 * them with `?cut` or `?cut=apart`, and files that may be kept for a year. On this machine only.
 *
 * @param fonts TrueType or OpenType files
 */
export async function startFontHost(
  fonts: readonly { path: string; bytes: Uint8Array }[],
): Promise<FontHost> {
  const faults = new Map<string, Fault>();
  const requests: FontHost['requests'] = [];
  const hosted = new Map<string, HostedFile>();
  const families = new Map<string, ReturnType<typeof sourcesOf>[number][]>();
  for (const source of fonts.flatMap((font) => sourcesOf(font, [])))
    families.set(slug(source.face.family), [...(families.get(slug(source.face.family)) ?? []), source]);

  const files = await listen((request, response) => {
    const { pathname: path } = new URL(request.url ?? '/', 'http://host');
    requests.push({ path, agent: request.headers['user-agent'] ?? '' });
    const file = hosted.get(path);
    const etag = `"${path.length}-${file?.bytes.length ?? 0}"`;
    if (request.headers['if-none-match'] === etag && !faultAt(faults, path)) {
      response.writeHead(304, { etag }).end();
      return;
    }
    const headers = { 'access-control-allow-origin': '*', 'cache-control': 'max-age=31536000', etag };
    answer(response, faultAt(faults, path), file, headers);
  });
  const origin = `http://127.0.0.1:${(files.address() as AddressInfo).port}`;
  const styles = await listen((request, response) => {
    const { pathname: path, search } = new URL(request.url ?? '/', 'http://host');
    const agent = request.headers['user-agent'] ?? '';
    requests.push({ path, agent });
    const family = families.get(/^\/css\/([a-z0-9-]+)\.css$/.exec(path)?.[1] ?? '');
    if (!family) {
      answer(response, faultAt(faults, path), undefined, {});
      return;
    }
    void rulesFor(family, /Chrome|Firefox|AppleWebKit\/6/.test(agent), deliveryFor(search)).then((css) => {
      const file = { bytes: new TextEncoder().encode(css), type: 'text/css' };
      answer(response, faultAt(faults, path), file, { 'cache-control': 'max-age=86400' });
    });
  });

  async function rulesFor(
    family: ReturnType<typeof sourcesOf>[number][],
    isModern: boolean,
    delivery: Delivery,
  ): Promise<string> {
    const rules: string[] = [];
    for (const { face, font, bytes } of family) {
      const name = `${slug(face.family)}-${face.weight.join('-')}-${face.style}`;
      const rule = (file: string, format: string, unicodeRange?: string) =>
        rules.push(
          fontFaceText({
            family: face.family,
            weight: face.weight,
            style: face.style,
            stretch: face.stretch,
            display: 'swap',
            sources: [{ url: origin + file, format }],
            unicodeRange,
          }),
        );
      if (!isModern) {
        hosted.set(`/files/${name}.ttf`, { bytes, type: 'font/ttf' });
        rule(`/files/${name}.ttf`, 'truetype');
        continue;
      }
      const parts = delivery === 'whole' ? [['all', undefined] as const] : Object.entries(cuts);
      for (const [part, ranges] of parts) {
        const path = `/files/${name}-${part}${delivery === 'cut apart' ? '-apart' : ''}.woff2`;
        const available = mappedCharacters(font);
        const wanted = ranges === undefined ? available : parseUnicodeRanges(ranges);
        const characters = new CodePointSet(wanted.codePoints().filter((one) => available.has(one)));
        if (characters.size === 0) continue;
        if (!hosted.has(path)) {
          const cut = ranges === undefined ? openFont(bytes).font : subsetFont(font, { characters }).font;
          const sent = delivery === 'cut apart' ? smoothedApart(cut, part) : cut;
          hosted.set(path, { bytes: (await writeFont(sent, 'woff2')).bytes, type: 'font/woff2' });
        }
        rule(path, 'woff2', ranges === undefined ? undefined : unicodeRangeText(characters.ranges()));
      }
    }
    return rules.join('\n');
  }

  return {
    styles: `http://127.0.0.1:${(styles.address() as AddressInfo).port}`,
    files: origin,
    faults,
    requests,
    close: async () => {
      for (const server of [styles, files]) {
        server.closeAllConnections();
        await new Promise((done) => server.close(done));
      }
    },
  };
}

const faultAt = (faults: ReadonlyMap<string, Fault>, path: string): Fault | undefined =>
  [...faults].find(([part]) => path.includes(part))?.[1];

function listen(handle: (request: IncomingMessage, response: ServerResponse) => void): Promise<Server> {
  const server = createServer(handle);
  return new Promise((done) => server.listen(0, '127.0.0.1', () => done(server)));
}

/** Milliseconds that a slow host takes. */
const delay = 700;

function answer(
  response: ServerResponse,
  fault: Fault | undefined,
  file: HostedFile | undefined,
  headers: Record<string, string>,
): void {
  const page = '<!doctype html><title>Sorry</title><p>The boat is late.';
  if (fault === 'hangs') return;
  if (fault === 'missing' || !file) response.writeHead(404, { 'content-type': 'text/html' }).end(page);
  else if (fault === 'too often') response.writeHead(429, { 'retry-after': '1' }).end();
  else if (fault === 'broken') response.writeHead(503).end();
  else if (fault === 'page instead') response.writeHead(200, { 'content-type': 'text/html' }).end(page);
  else if (fault === 'circle') response.writeHead(302, { location: '?again' }).end();
  else if (fault === 'cut off' || fault === 'longer than said') {
    const length = fault === 'cut off' ? file.bytes.length : Math.floor(file.bytes.length / 2);
    response.writeHead(200, { 'content-type': file.type, 'content-length': `${length}` });
    if (fault === 'cut off') {
      response.write(file.bytes.subarray(0, file.bytes.length >> 1));
      setTimeout(() => response.destroy(), 20);
    } else {
      response.socket?.write(file.bytes);
      response.socket?.end();
    }
  } else {
    const send = () => response.writeHead(200, { ...headers, 'content-type': file.type }).end(file.bytes);
    if (fault === 'slow') setTimeout(send, delay);
    else send();
  }
}
