import { DenseGlyphError } from '../errors.js';
import { serveFolder as served } from '../io/static-server.js';

/**
 * Serves a folder on this machine only, and keeps the process alive.
 *
 * @param port 0 for any that is free
 * @returns the address, without a slash at the end
 * @throws DenseGlyphError `call-invalid` if the port is taken
 */
export async function serveFolder(folder: string, port: number): Promise<string> {
  try {
    return (await served(folder, port)).origin;
  } catch (cause) {
    if ((cause as NodeJS.ErrnoException).code !== 'EADDRINUSE') throw cause;
    throw new DenseGlyphError('call-invalid', `port ${port} is taken`, {}, 'choose another with --port');
  }
}
