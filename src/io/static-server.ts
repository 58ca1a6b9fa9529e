import { createServer, type IncomingMessage, type Server } from 'node:http';
import { join } from 'node:path';
import sirv from 'sirv';
import { pathOfAddress } from './addresses.js';

/** A folder that is served to this machine only. */
export interface ServedFolder {
  /** Without a slash at the end. */
  origin: string;
  close(): Promise<void>;
}

/**
 * Serves a folder as a plain web server does.
 *
 * @param port 0 for any that is free
 * @param changed what files hold in the place of what is on disk, by their paths, absolute
 * @param isApp whether paths that lead to no file are answered with the start page, whose scripts know what to draw there
 * @throws Error with the code `EADDRINUSE` if the port is taken
 */
export async function serveFolder(
  folder: string,
  port = 0,
  changed: ReadonlyMap<string, Uint8Array> = new Map(),
  isApp = false,
): Promise<ServedFolder> {
  const files = sirv(folder, {
    dev: true,
    dotfiles: false,
    // A page says itself what it is encoded in.
    setHeaders: (response, path) => {
      if (/\.html?$/i.test(path) || path.endsWith('/')) response.setHeader('content-type', 'text/html');
    },
  });
  const server = createServer((request, response) => {
    const send = (path: string | undefined, otherwise: () => void) => {
      const instead = path === undefined ? undefined : changed.get(path);
      if (path === undefined || !instead) {
        otherwise();
        return;
      }
      const type = /\.css$/i.test(path) ? 'text/css' : 'text/html';
      response.writeHead(200, { 'content-type': type }).end(instead);
    };
    const missing = () => {
      response.writeHead(404, { 'content-type': 'text/plain' }).end('Not found\n');
    };
    const start = () => {
      if (!isApp || !isForPage(request)) {
        missing();
        return;
      }
      request.url = '/index.html';
      send(join(folder, 'index.html'), () => files(request, response, missing));
    };
    send(pathOf(folder, request.url ?? '/'), () => files(request, response, start));
  });
  await new Promise<void>((done, failed) => {
    server.once('error', failed);
    server.listen(port, '127.0.0.1', done);
  });
  const address = server.address();
  const listening = typeof address === 'object' && address ? address.port : port;
  return { origin: `http://127.0.0.1:${listening}`, close: () => closed(server) };
}

/** Not where a script asks for data, or an element for a file. */
const isForPage = ({ headers, url = '' }: IncomingMessage): boolean =>
  /text\/html/.test(headers.accept ?? '') && !/\.[a-z0-9]+$/i.test(url.replace(/[?#].*/s, ''));

const closed = (server: Server): Promise<void> =>
  new Promise((done) => {
    server.close(() => done());
    server.closeAllConnections();
  });

/** Where the file of a URL is, if it has a name. */
function pathOf(folder: string, url: string): string | undefined {
  const path = pathOfAddress(url);
  return path === undefined ? undefined : join(folder, join('/', path));
}
