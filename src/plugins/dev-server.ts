// The kit while a project is worked on

import { join, sep } from 'node:path';
import { pathOfAddress } from '../io/addresses.js';
import { mediaTypeOf } from '../io/media-types.js';
import { isFile, readBytes } from '../io/read.js';
import type { DevServer } from './bundler.js';
import type { ProjectKit } from './project-kit.js';

/**
 * Makes the kit, and again when something changes that it is made from; pages are loaded anew then.
 *
 * @returns once it is made for the first time, or can't be
 */
export function followChanges(
  server: DevServer,
  kit: ProjectKit,
  { made, failed }: { made: () => void; failed: (cause: unknown) => void },
): Promise<unknown> {
  server.watcher.on('all', (_, file) => {
    if (!kit.concerns(file)) return;
    kit.make().then(({ changed }) => {
      made();
      const sheet = server.moduleGraph.getModuleById(join(kit.folder, 'kit.css'));
      if (sheet) server.moduleGraph.invalidateModule(sheet as never);
      if (changed) server.ws.send({ type: 'full-reload' });
    }, failed);
  });
  return kit.make().then(() => server.watcher.add(kit.inputs?.files ?? []), failed);
}

/** Answers requests below the URL of the kit with its files. @param base what the URLs of the project start with */
export function serveKit(
  server: DevServer,
  kit: ProjectKit,
  url: string,
  base: string,
  isMade: Promise<unknown>,
): void {
  // A server may have taken the base away before it asks.
  const urls = [url, ...(url.startsWith(base) ? [`/${url.slice(base.length)}`] : [])];
  server.middlewares.use((request, response, next) => {
    const path = pathOfAddress(request.url ?? '') ?? '';
    const start = urls.find((one) => path.startsWith(one));
    const file = start === undefined ? undefined : join(kit.folder, path.slice(start.length));
    if (file?.startsWith(`${kit.folder}${sep}`) !== true) {
      next();
      return;
    }
    void isMade.then(() => {
      if (!isFile(file)) {
        next();
        return;
      }
      response.setHeader('content-type', mediaTypeOf(file));
      response.setHeader('cache-control', 'no-cache');
      response.end(readBytes(file, path));
    });
  });
}
