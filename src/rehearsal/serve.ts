import { createServer } from 'node:http';
import sirv from 'sirv';
import { DenseGlyphError } from '../errors.js';

/**
 * Serves a folder on this machine only, and keeps the process alive.
 *
 * @param port 0 for any that is free
 * @returns the address, without a slash at the end
 * @throws DenseGlyphError `call-invalid` if the port is taken
 */
export async function serveFolder(folder: string, port: number): Promise<string> {
  const files = sirv(folder, { dev: true, dotfiles: false });
  const server = createServer((request, response) => {
    files(request, response, () => {
      response.writeHead(404, { 'content-type': 'text/plain' }).end('Not found\n');
    });
  });
  await new Promise<void>((done, failed) => {
    server.once('error', (cause: NodeJS.ErrnoException) => {
      const taken = new DenseGlyphError(
        'call-invalid',
        `port ${port} is taken`,
        {},
        'choose another with --port',
      );
      failed(cause.code === 'EADDRINUSE' ? taken : cause);
    });
    server.listen(port, '127.0.0.1', done);
  });
  const address = server.address();
  return `http://127.0.0.1:${typeof address === 'object' && address ? address.port : port}`;
}
