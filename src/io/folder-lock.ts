import { constants, copyFileSync, readFileSync, renameSync, rmdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { setTimeout as pause } from 'node:timers/promises';
import { DenseGlyphError } from '../errors.js';
import { isRunning, ownId } from './running.js';
import { makeFolder, removeQuietly, writingFailed } from './write-whole.js';

const lockName = '.dense-glyph.lock';

/** Milliseconds between looks, and after which nobody goes on waiting. */
const betweenLooks = 50;
const patience = 300_000;

/** Locks that this process holds. */
const own = new Set<string>();

/**
 * Does something while nobody else does the like in the same folder, in this process or another; waits until that is done. A lock
 * whose process isn't there any more counts for nothing.
 *
 * @param folder absolute; made where it isn't there
 * @throws DenseGlyphError `output-unwritable` where another process takes too long, or no file can be there
 */
export async function aloneIn<Result>(folder: string, use: () => Promise<Result>): Promise<Result> {
  const lock = join(folder, lockName);
  const start = Date.now();
  while (!take(folder, lock)) {
    const holder = readOr(lock);
    if (holder !== undefined && isAbandoned(holder, lock)) removeAbandoned(lock, holder);
    else if (Date.now() - start < patience) await pause(betweenLooks);
    else
      throw new DenseGlyphError(
        'output-unwritable',
        'another process has been writing there for long',
        { file: folder },
        `end it, or remove ${lockName} from the folder if there is none`,
      );
  }
  own.add(lock);
  try {
    return await use();
  } finally {
    own.delete(lock);
    removeQuietly(lock);
    removeIfEmpty(folder);
  }
}

/** @returns whether the lock is ours now */
function take(folder: string, lock: string): boolean {
  try {
    makeFolder(folder);
  } catch (cause) {
    throw writingFailed(cause, folder);
  }
  try {
    writeFileSync(lock, `${ownId()}`, { flag: 'wx' });
    return true;
  } catch (cause) {
    // Somebody has it, or took an empty folder away with it.
    if (/^(EEXIST|ENOENT)$/.test((cause as NodeJS.ErrnoException).code ?? '')) return false;
    throw writingFailed(cause, folder);
  }
}

const readOr = (path: string): string | undefined => {
  try {
    return readFileSync(path, 'utf8');
  } catch {
    return undefined;
  }
};

/** Whether the process that a lock names isn't there any more. One that says nothing yet was made a moment ago. */
function isAbandoned(holder: string, lock: string): boolean {
  const id = Number(holder);
  if (!(id > 0)) return holder !== '';
  return id === ownId() ? !own.has(lock) : !isRunning(id);
}

/** Under another name first: of several processes one takes it away, and what another one made meanwhile comes back. */
function removeAbandoned(lock: string, holder: string): void {
  const aside = `${lock}-${ownId()}`;
  try {
    renameSync(lock, aside);
    if (readOr(aside) !== holder) copyFileSync(aside, lock, constants.COPYFILE_EXCL);
  } catch {
    // Another one was first.
  }
  removeQuietly(aside);
}

/** Where nothing came of it. */
function removeIfEmpty(folder: string): void {
  try {
    rmdirSync(folder);
  } catch {
    // There is something in it.
  }
}
