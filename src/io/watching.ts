import { watch } from 'chokidar';
import { stat } from 'node:fs/promises';
import { sep } from 'node:path';

/** Files and folders that are looked at until somebody has seen enough. */
export interface Watching {
  /** What is looked at from now on; absolute. */
  look: (paths: readonly string[]) => void;
  end: () => Promise<void>;
}

/** Milliseconds in which changes are told together: an editor writes a file in several steps. */
const together = 60;

/**
 * Tells what changes below some paths.
 *
 * Also what changed since a moment, before anybody looked.
 *
 * @param since that moment, as `Date.now()` tells it
 * @param ignored folders, absolute, whose files are left out, as are `node_modules` and names that begin with a dot
 * @param told called with paths, absolute; not again before it has ended
 */
export function watchFiles(
  since: number,
  ignored: () => readonly string[],
  told: (paths: string[]) => Promise<void>,
): Watching {
  const changed = new Set<string>();
  let timer: NodeJS.Timeout | undefined;
  let isTelling = false;
  const tell = async () => {
    timer = undefined;
    if (isTelling || changed.size === 0) return;
    isTelling = true;
    const paths = [...changed];
    changed.clear();
    await told(paths);
    isTelling = false;
    if (changed.size > 0) timer ??= setTimeout(() => void tell(), together);
  };
  const named = new Set<string>();
  /** What is named may lie in such a folder itself. */
  const isLeftOut = (path: string) => {
    const around = [...named].filter((one) => path === one || path.startsWith(`${one}${sep}`));
    const inner = path.slice(Math.max(0, ...around.map(({ length }) => length)));
    return (
      /[\\/](?:node_modules|\.[^\\/]+)(?:[\\/]|$)/.test(inner) ||
      ignored().some((folder) => path === folder || path.startsWith(`${folder}${sep}`))
    );
  };
  const watcher = watch([], { ignored: isLeftOut, alwaysStat: true });
  const note = (path: string) => {
    changed.add(path);
    if (!isTelling) timer ??= setTimeout(() => void tell(), together);
  };
  watcher.on('all', (event, path, stats) => {
    if (event === 'addDir' || event === 'unlinkDir') return;
    // What is found in the beginning was there before, unless it was written meanwhile.
    if (event === 'add' && stats !== undefined && stats.ctimeMs < since) void noteIfWritten(path);
    else note(path);
  });
  /** A file is looked up before it is watched, and may be written between the two. */
  const noteIfWritten = async (path: string) => {
    const now = await stat(path).catch(() => undefined);
    if (!watcher.closed && (now === undefined || now.ctimeMs >= since)) note(path);
  };
  return {
    look: (paths) => {
      const fresh = paths.filter((path) => !named.has(path));
      for (const path of fresh) named.add(path);
      watcher.add(fresh);
    },
    end: async () => {
      clearTimeout(timer);
      await watcher.close();
    },
  };
}
