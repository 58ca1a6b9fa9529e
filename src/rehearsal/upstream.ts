import { createReadStream, realpathSync, statSync } from 'node:fs';
import { request as ask, type IncomingHttpHeaders, type IncomingMessage } from 'node:http';
import { request as askSafely } from 'node:https';
import { join, sep } from 'node:path';
import { Readable } from 'node:stream';
import { pathOfAddress } from '../io/addresses.js';
import { mediaTypeOf } from '../io/media-types.js';

/** What a site answers. */
export interface Answer {
  status: number;
  headers: IncomingHttpHeaders;
  body: Readable;
}

/** Where a site comes from. */
export interface Upstream {
  ask(request: Pick<IncomingMessage, 'method' | 'url' | 'headers'>, body: Readable): Promise<Answer>;
  /** The server behind it, if there is one: upgrades go there. */
  server?: URL;
}

/** A folder as a plain web server serves it. Nothing outside of it is read, also by links; nothing whose name starts with a dot. */
export function folderUpstream(folder: string): Upstream {
  const root = realpathSync(folder);
  return {
    ask: ({ method, url = '/' }) => {
      if (method !== 'GET' && method !== 'HEAD')
        return Promise.resolve(told(405, 'Only GET and HEAD are answered here.', { allow: 'GET, HEAD' }));
      const found = fileAt(root, url);
      if (found === undefined) return Promise.resolve(told(404, 'There is no such file.'));
      if ('moved' in found)
        return Promise.resolve(told(301, 'The folder has a slash at its end.', { location: found.moved }));
      const type = mediaTypeOf(found.file);
      return Promise.resolve({
        status: 200,
        headers: { 'content-type': type, 'content-length': `${found.size}`, 'cache-control': 'no-store' },
        body: method === 'HEAD' ? Readable.from([]) : createReadStream(found.file),
      });
    },
  };
}

function fileAt(root: string, url: string): { file: string; size: number } | { moved: string } | undefined {
  const path = pathOfAddress(url);
  if (
    path === undefined ||
    path.includes('\0') ||
    path.split(/[\\/]/).some((part) => /^\.[^.]|^\.\.$/.test(part))
  )
    return undefined;
  const candidates = path.endsWith('/') ? [`${path}index.html`] : [path, `${path}.html`];
  for (const candidate of candidates) {
    try {
      const file = realpathSync(join(root, candidate));
      if (file !== root && !file.startsWith(root + sep)) continue;
      const found = statSync(file);
      if (found.isFile()) return { file, size: found.size };
      if (found.isDirectory() && candidate === path) {
        const [before, query = ''] = url.split(/(?=[?#])/, 2);
        // Two slashes would be another host.
        return { moved: `${before.replace(/^\/+/, '/')}/${query}` };
      }
    } catch {
      // Told by whoever finds none.
    }
  }
  return undefined;
}

const told = (status: number, text: string, headers: IncomingHttpHeaders = {}): Answer => ({
  status,
  headers: { 'content-type': 'text/plain; charset=utf-8', ...headers },
  body: Readable.from([`${text}\n`]),
});

/** Headers between two programs, not for those behind (RFC 9110, section 7.6.1). */
const betweenTwo = [
  'connection',
  'keep-alive',
  'proxy-connection',
  'te',
  'trailer',
  'transfer-encoding',
  'upgrade',
];

/** A running server. What it answers stays as it is. @param server as in `http://localhost:5173` */
export function serverUpstream(server: URL): Upstream {
  const start = server.protocol === 'https:' ? askSafely : ask;
  return {
    server,
    ask: ({ method, url = '/', headers }, body) =>
      new Promise((done, failed) => {
        const forwarded = start(
          new URL(server.origin),
          { method, path: url, headers: { ...withoutHops(headers), host: server.host } },
          (answer) => {
            done({
              status: answer.statusCode ?? 502,
              headers: stayingHere(withoutHops(answer.headers), server),
              body: answer,
            });
          },
        );
        forwarded.on('error', failed);
        body.on('error', () => forwarded.destroy());
        body.pipe(forwarded);
      }),
  };
}

/** A redirect to the server itself leads to the rehearsal of it. */
function stayingHere(headers: IncomingHttpHeaders, { origin }: URL): IncomingHttpHeaders {
  const { location } = headers;
  if (location === undefined || !URL.canParse(location) || new URL(location).origin !== origin)
    return headers;
  return { ...headers, location: location.slice(origin.length) || '/' };
}

function withoutHops(headers: IncomingHttpHeaders): IncomingHttpHeaders {
  const named = (headers.connection ?? '').split(',').map((name) => name.trim().toLowerCase());
  return Object.fromEntries(
    Object.entries(headers).filter(([name]) => !betweenTwo.includes(name) && !named.includes(name)),
  );
}
