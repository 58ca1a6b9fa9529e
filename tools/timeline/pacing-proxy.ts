// A proxy of this machine that paces what goes through it as a line does.
import { createServer, request as ask, type IncomingMessage, type ServerResponse } from 'node:http';
import type { AddressInfo } from 'node:net';
import { setTimeout as pause } from 'node:timers/promises';
import { gzipSync } from 'node:zlib';
import type { Connection } from '#src/kit/timeline/index.js';

export interface PacingProxy {
  port: number;
  /** Forgets its connections, for another visit. */
  reset: () => void;
  close: () => void;
}

const packet = 1400;
const now = () => performance.now();

/** Set-up once for each server, a round trip for each request, and one bandwidth for all. */
export async function startPacingProxy({ rtt, down, setUp }: Connection): Promise<PacingProxy> {
  let ready = new Map<string, number>();
  let free = 0;
  const until = async (time: number) => {
    const left = time - now();
    if (left > 0) await pause(left);
  };
  const fetched = (request: IncomingMessage, url: URL): Promise<{ answer: IncomingMessage; body: Buffer }> =>
    new Promise((done, failed) => {
      const { hostname, port, pathname, search } = url;
      const headers = { ...request.headers, host: url.host, 'accept-encoding': 'identity' };
      const forwarded = ask(
        { hostname, port, path: pathname + search, method: request.method, headers },
        (answer) => {
          const pieces: Buffer[] = [];
          answer.on('data', (piece: Buffer) => pieces.push(piece));
          answer.on('end', () => done({ answer, body: Buffer.concat(pieces) }));
        },
      );
      forwarded.on('error', failed);
      request.pipe(forwarded);
    });
  const answer = async (request: IncomingMessage, response: ServerResponse) => {
    const url = new URL(request.url ?? '');
    const asked = now();
    if (!ready.has(url.host)) ready.set(url.host, asked + setUp * rtt);
    const found = await fetched(request, url);
    const isText = /text|javascript|json|svg/.test(found.answer.headers['content-type'] ?? '');
    const isEncoded = found.answer.headers['content-encoding'] !== undefined;
    const body = isText && !isEncoded ? gzipSync(found.body) : found.body;
    const { 'content-length': _, 'transfer-encoding': _2, ...headers } = found.answer.headers;
    await until(Math.max(asked, ready.get(url.host)!) + rtt);
    response.writeHead(found.answer.statusCode ?? 502, {
      ...headers,
      ...(isText && !isEncoded ? { 'content-encoding': 'gzip' } : {}),
      'content-length': body.length,
    });
    for (let at = 0; at < body.length; at += packet) {
      const piece = body.subarray(at, at + packet);
      free = Math.max(free, now()) + ((piece.length + (at === 0 ? 300 : 0)) * 8) / down;
      await until(free);
      response.write(piece);
    }
    response.end();
  };
  const server = createServer((request, response) => {
    answer(request, response).catch(() => response.destroy());
  });
  await new Promise<void>((done) => server.listen(0, '127.0.0.1', done));
  return {
    port: (server.address() as AddressInfo).port,
    reset: () => {
      ready = new Map();
      free = 0;
    },
    close: () => {
      server.closeAllConnections();
      server.close();
    },
  };
}
