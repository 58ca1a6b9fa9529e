import { DenseGlyphError } from '../errors.js';
import { readBytes } from '../io/read.js';
import { serveFolder as served } from '../io/static-server.js';

/**
 * Serves a folder on this machine only, and keeps the process alive.
 *
 * @param port 0 for any that is free
 * @param besides files that are served though their folder begins with a dot, absolute
 * @returns the address, without a slash at the end
 * @throws DenseGlyphError `call-invalid` if the port is taken
 */
export async function serveFolder(
  folder: string,
  port: number,
  besides: readonly string[] = [],
): Promise<string> {
  try {
    return (await served(folder, port, new Map(besides.map((path) => [path, readBytes(path, path)])))).origin;
  } catch (cause) {
    if ((cause as NodeJS.ErrnoException).code !== 'EADDRINUSE') throw cause;
    throw new DenseGlyphError('call-invalid', `port ${port} is taken`, {}, 'choose another with --port');
  }
}
