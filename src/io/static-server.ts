import { createServer, type Server } from 'node:http';
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
 * @throws Error with the code `EADDRINUSE` if the port is taken
 */
export async function serveFolder(
  folder: string,
  port = 0,
  changed: ReadonlyMap<string, Uint8Array> = new Map(),
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
    const path = pathOf(folder, request.url ?? '/');
    const instead = path === undefined ? undefined : changed.get(path);
    if (path !== undefined && instead) {
      const type = /\.css$/i.test(path) ? 'text/css' : 'text/html';
      response.writeHead(200, { 'content-type': type }).end(instead);
      return;
    }
    files(request, response, () => {
      response.writeHead(404, { 'content-type': 'text/plain' }).end('Not found\n');
    });
  });
  await new Promise<void>((done, failed) => {
    server.once('error', failed);
    server.listen(port, '127.0.0.1', done);
  });
  const address = server.address();
  const listening = typeof address === 'object' && address ? address.port : port;
  return { origin: `http://127.0.0.1:${listening}`, close: () => closed(server) };
}

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
