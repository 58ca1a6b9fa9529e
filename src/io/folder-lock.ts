import { readFileSync, renameSync, rmdirSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { setTimeout as pause } from 'node:timers/promises';
import { DenseGlyphError } from '../errors.js';
import { isRunning, ownId } from './running.js';
import { makeFolder, writingFailed } from './write-whole.js';

const lockName = '.dense-glyph.lock';

/** Milliseconds between looks, and after which nobody goes on waiting. */
const betweenLooks = 100;
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
    const holder = holderOf(lock);
    if (holder === undefined) removeAbandoned(lock);
    else if (Date.now() - start < patience) await pause(betweenLooks);
    else
      throw new DenseGlyphError(
        'output-unwritable',
        `process ${holder} has been writing there for long`,
        { file: folder },
        `end it, or remove ${lockName} from the folder if that process is something else`,
      );
  }
  own.add(lock);
  try {
    return await use();
  } finally {
    own.delete(lock);
    rmSync(lock, { force: true });
    removeIfEmpty(folder);
  }
}

/** @returns whether the lock is ours now */
function take(folder: string, lock: string): boolean {
  try {
    makeFolder(folder);
    writeFileSync(lock, `${ownId()}\n`, { flag: 'wx' });
    return true;
  } catch (cause) {
    if ((cause as NodeJS.ErrnoException).code === 'EEXIST' && readOr(lock) !== undefined) return false;
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

/** The process that holds a lock; undefined where it isn't there any more. */
function holderOf(lock: string): number | undefined {
  const id = Number(readOr(lock)?.trim());
  if (!(id > 0)) return undefined;
  const isHeld = id === ownId() ? own.has(lock) : isRunning(id);
  return isHeld ? id : undefined;
}

/** Under another name first: of several processes that want it away one has it. */
function removeAbandoned(lock: string): void {
  const aside = `${lock}-${ownId()}`;
  try {
    renameSync(lock, aside);
  } catch {
    return; // another one was first
  }
  rmSync(aside, { force: true });
}

/** Where nothing came of it. */
function removeIfEmpty(folder: string): void {
  try {
    rmdirSync(folder);
  } catch {
    // There is something in it.
  }
}
