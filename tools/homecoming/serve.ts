// Servers of this machine that write down what was asked, and send texts compressed as others do
import { createServer, type IncomingMessage, type ServerResponse } from 'node:http';
import type { AddressInfo } from 'node:net';
import { readFileSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import { mediaTypeOf } from '#src/io/media-types.js';

export interface CountedRequest {
  path: string;
  /** As they were sent, without headers. */
  bytes: number;
  status: number;
}

export interface CountingServer {
  origin: string;
  /** Origins of servers that belong to it. */
  others?: readonly string[];
  /** Requests since the last call. */
  take: () => CountedRequest[];
  /** What an answer waits for. */
  held: (url: string) => Promise<void>;
  close: () => Promise<void>;
}

const isText = /^text|json|svg|xml/;

/**
 * @param contentOf what is behind a URL; undefined for what isn't there
 * @param caching what is said of how long answers may be kept
 */
export async function serveCounting(
  contentOf: (url: string, request: IncomingMessage) => { bytes: Uint8Array; type: string } | undefined,
  caching = 'max-age=600',
): Promise<CountingServer> {
  const requests: CountedRequest[] = [];
  const counting: CountingServer = {
    origin: '',
    take: () => requests.splice(0),
    held: () => Promise.resolve(),
    close: () =>
      new Promise((done) => {
        server.close(() => done());
        server.closeAllConnections();
      }),
  };
  const answer = async (request: IncomingMessage, response: ServerResponse): Promise<void> => {
    const path = request.url ?? '/';
    await counting.held(path);
    const found = contentOf(path, request);
    const headers = { 'access-control-allow-origin': '*', 'cache-control': caching };
    if (!found) {
      requests.push({ path, bytes: 0, status: 404 });
      response.writeHead(404, headers).end();
      return;
    }
    const body = isText.test(found.type) ? gzipSync(found.bytes) : found.bytes;
    requests.push({ path, bytes: body.length, status: 200 });
    const encoding = body === found.bytes ? {} : { 'content-encoding': 'gzip' };
    response.writeHead(200, { ...headers, ...encoding, 'content-type': found.type }).end(body);
  };
  const server = createServer((request, response) => void answer(request, response));
  await new Promise<void>((done) => server.listen(0, '127.0.0.1', done));
  counting.origin = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
  return counting;
}

/** A file of a folder, by the path of a URL; an index of a folder. */
export function fileAt(folder: string, url: string): { bytes: Uint8Array; type: string } | undefined {
  try {
    const path = join(folder, join('/', decodeURIComponent(url.replace(/[?#].*$/s, ''))));
    const file = statSync(path).isDirectory() ? join(path, 'index.html') : path;
    return { bytes: readFileSync(file), type: mediaTypeOf(file) };
  } catch {
    return undefined;
  }
}
