import { createReadStream, realpathSync, statSync } from 'node:fs';
import { request as ask, type IncomingHttpHeaders, type IncomingMessage } from 'node:http';
import { request as askSafely } from 'node:https';
import { isAbsolute, join, relative, sep } from 'node:path';
import { Readable } from 'node:stream';
import { pathOfAddress } from '../io/addresses.js';
import { isReadable } from '../io/read.js';
import { mediaTypeOf } from '../io/media-types.js';

/** What a site answers. */
export interface Answer {
  status: number;
  headers: IncomingHttpHeaders;
  body: Readable;
}

/** Where a site comes from. */
export interface Upstream {
  /** @param left when nobody waits for the answer any more */
  ask(
    request: Pick<IncomingMessage, 'method' | 'url' | 'headers'>,
    body: Readable,
    left: AbortSignal,
  ): Promise<Answer>;
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
      if (found === undefined)
        return Promise.resolve(told(404, 'There is no such file, or it may not be read.'));
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
  if (path === undefined || path.includes('\0') || path.split(/[\\/]/).some((part) => part.startsWith('.')))
    return undefined;
  const candidates = path.endsWith('/') ? [`${path}index.html`] : [path, `${path}.html`];
  for (const candidate of candidates) {
    try {
      const file = realpathSync(join(root, candidate));
      const inside = relative(root, file);
      if (inside.split(sep).some((part) => part.startsWith('.')) || isAbsolute(inside)) continue;
      const found = statSync(file);
      if (found.isFile()) return isReadable(file) ? { file, size: found.size } : undefined;
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
    ask: ({ method, url = '/', headers }, body, left) =>
      new Promise((done, failed) => {
        const forwarded = start(
          new URL(server.origin),
          { method, path: url, headers: asFromThere(withoutHops(headers), server), signal: left },
          (answer) => {
            done({
              status: answer.statusCode ?? 502,
              headers: stayingHere(withoutHops(answer.headers), server),
              body: answer,
            });
          },
        );
        forwarded.on('error', failed);
        // Nobody asked for another protocol (RFC 9110, section 15.2.2).
        forwarded.on('upgrade', (_, socket) => {
          socket.destroy();
          failed(new Error('it answered 101 to a plain request'));
        });
        body.on('error', () => forwarded.destroy());
        body.pipe(forwarded);
      }),
  };
}

/** What a browser says of where it is, which is in front of the server, as it would say it there. */
function asFromThere(headers: IncomingHttpHeaders, server: URL): IncomingHttpHeaders {
  const isOwn = headers.origin === `http://${headers.host}`;
  return { ...headers, host: server.host, ...(isOwn ? { origin: server.origin } : {}) };
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
