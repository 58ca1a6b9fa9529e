import { createServer, request as ask, type IncomingMessage, type ServerResponse } from 'node:http';
import { connect, type AddressInfo, type Socket } from 'node:net';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { gzipSync } from 'node:zlib';
import type { Connection } from '../../config/connections.js';
import { PacedLine } from '../paced-line.js';

/** A proxy of this machine that paces what goes through it as a line does, to whichever hosts. */
export interface PacingProxy {
  port: number;
  /** Forgets its connections, for another visit. */
  reset: () => void;
  close: () => void;
}

/** Texts are compressed as servers compress them. What is encrypted goes through in packets, with a server's set-up before it. */
export async function startPacingProxy(connection: Connection): Promise<PacingProxy> {
  let line = new PacedLine(connection);
  const answer = async (request: IncomingMessage, response: ServerResponse) => {
    const url = new URL(request.url ?? '');
    const asked = performance.now();
    const now = line;
    const found = await fetched(request, url);
    const isText = /text|javascript|json|svg/.test(found.answer.headers['content-type'] ?? '');
    const isEncoded = found.answer.headers['content-encoding'] !== undefined;
    const body = isText && !isEncoded ? gzipSync(found.body) : found.body;
    const { 'content-length': _, 'transfer-encoding': _2, ...headers } = found.answer.headers;
    await now.reach(url.host, asked);
    response.writeHead(found.answer.statusCode ?? 502, {
      ...headers,
      ...(isText && !isEncoded ? { 'content-encoding': 'gzip' } : {}),
      'content-length': body.length,
    });
    await pipeline(Readable.from(now.carry([body])), response);
  };
  const server = createServer((request, response) => {
    answer(request, response).catch(() => response.destroy());
  });
  server.on('connect', (request: IncomingMessage, socket: Socket) => {
    tunnel(request, socket, line).catch(() => socket.destroy());
  });
  await new Promise<void>((done) => server.listen(0, '127.0.0.1', done));
  return {
    port: (server.address() as AddressInfo).port,
    reset: () => {
      line = new PacedLine(connection);
    },
    close: () => {
      server.closeAllConnections();
      server.close();
    },
  };
}

function fetched(request: IncomingMessage, url: URL): Promise<{ answer: IncomingMessage; body: Buffer }> {
  return new Promise((done, failed) => {
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
}

async function tunnel(request: IncomingMessage, socket: Socket, line: PacedLine): Promise<void> {
  const [host, port = '443'] = (request.url ?? '').split(/:(?=\d+$)/);
  const behind = connect({ host, port: Number(port) });
  const end = () => {
    socket.destroy();
    behind.destroy();
  };
  socket.on('error', end).on('close', end);
  behind.on('error', end);
  await line.reach(request.url ?? '', performance.now());
  socket.write('HTTP/1.1 200 Connection established\r\n\r\n');
  socket.pipe(behind);
  await pipeline(Readable.from(line.carry(behind)), socket);
}
