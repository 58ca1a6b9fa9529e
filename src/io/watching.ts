import { watch } from 'chokidar';
import { stat } from 'node:fs/promises';
import { statSync } from 'node:fs';
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
 * Milliseconds after which it is looked whether what is named is still there, and the same: a watch stays with a folder that was
 * renamed or taken away, and says nothing of the one that came in its place.
 */
const lookAgain = 500;

/** What tells a file or a folder from another one in its place; undefined for none. */
const identityOf = (path: string): string | undefined => {
  const found = statSync(path, { throwIfNoEntry: false });
  return found && `${found.dev} ${found.ino}`;
};

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
    try {
      await told(paths);
    } finally {
      isTelling = false;
    }
    if (changed.size > 0) timer ??= setTimeout(() => void tell(), together);
  };
  const named = new Map<string, string | undefined>();
  /** What is named may lie in such a folder itself. */
  const isLeftOut = (path: string) => {
    const around = [...named.keys()].filter((one) => path === one || path.startsWith(`${one}${sep}`));
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
    if (named.has(path)) named.set(path, identityOf(path));
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
  const again = setInterval(() => {
    for (const [path, before] of named) {
      const now = identityOf(path);
      if (now === before) continue;
      named.set(path, now);
      watcher.unwatch(path);
      if (now !== undefined) watcher.add(path);
      note(path);
    }
  }, lookAgain);
  return {
    look: (paths) => {
      const fresh = paths.filter((path) => !named.has(path));
      for (const path of fresh) named.set(path, identityOf(path));
      watcher.add(fresh);
    },
    end: async () => {
      clearTimeout(timer);
      clearInterval(again);
      await watcher.close();
    },
  };
}
