import { createHash } from 'node:crypto';
import {
  accessSync,
  constants,
  linkSync,
  readdirSync,
  readFileSync,
  renameSync,
  rmdirSync,
  writeFileSync,
} from 'node:fs';
import { hostname, tmpdir, userInfo } from 'node:os';
import { join } from 'node:path';
import { setTimeout as pause } from 'node:timers/promises';
import { DenseGlyphError } from '../errors.js';
import { isRunning, ownId } from './running.js';
import { makeFolder, removeQuietly } from './write-whole.js';

/** Who has the right to write a folder. */
interface Lock {
  process: number;
  host: string;
}

/** Milliseconds to wait for another process that writes the same folder. */
const patience = 30_000;
const interval = 40;

/**
 * The right to write a folder, which one process at a time has, and what earlier ones had begun that were ended. Both are files
 * in a state folder, which isn't published and goes when nobody needs it.
 */
export class Journal {
  private constructor(
    private readonly state: string,
    /** Of the files, without their ends. */
    private readonly name: string,
    /** Paths that processes may have left in the folder which were ended before they were done. */
    readonly begun: readonly string[],
  ) {}

  /**
   * @param state the folder for it; one for temporary files is taken where it can't be written
   * @param folder absolute
   * @throws DenseGlyphError `output-busy` where another process goes on writing the folder
   */
  static async open(state: string, folder: string): Promise<Journal> {
    const own = writable(state);
    const name = createHash('sha256').update(folder).digest('hex').slice(0, 16);
    const lock = join(own, `${name}.lock`);
    for (const start = Date.now(); ; await pause(interval)) {
      makeFolder(own);
      removeStages(own);
      const other = readLock(lock);
      if (held.has(lock) || (other && isAtWork(other))) {
        if (Date.now() - start < patience) continue;
        const reason = `process ${other?.process ?? ownId()} is writing it`;
        throw new DenseGlyphError('output-busy', reason, { file: folder });
      }
      if (other) takeAway(lock, other, stageOf(own));
      if (!claim(lock, stageOf(own))) continue;
      held.add(lock);
      return new Journal(own, name, readPaths(join(own, `${name}.json`)));
    }
  }

  /** A folder on the way, for files that aren't whole yet. */
  get stage(): string {
    return stageOf(this.state);
  }

  /** Says which paths are written from now on. */
  begin(paths: readonly string[]): void {
    const next = join(this.stage, 'paths');
    makeFolder(this.stage);
    writeFileSync(next, JSON.stringify([...new Set([...this.begun, ...paths])]));
    renameSync(next, this.pathsFile);
  }

  /** All is done: nothing is left to say. */
  close(): void {
    removeQuietly(this.pathsFile);
    this.leave();
  }

  /** Gives the right back without being done; the next process finds what may have been written. */
  leave(): void {
    removeQuietly(this.stage);
    const lock = join(this.state, `${this.name}.lock`);
    removeQuietly(lock);
    held.delete(lock);
    try {
      rmdirSync(this.state);
    } catch {
      // Something is left to say, or somebody else is at work.
    }
  }

  private get pathsFile(): string {
    return join(this.state, `${this.name}.json`);
  }
}

/** Locks of this process. */
const held = new Set<string>();

const stageOf = (state: string) => join(state, `stage-${ownId()}`);

/** A link to a file that is whole already, so that nobody reads half a lock. @returns false where another one was sooner */
function claim(lock: string, stage: string): boolean {
  const own = join(stage, 'lock');
  makeFolder(stage);
  writeFileSync(own, JSON.stringify({ process: ownId(), host: hostname() } satisfies Lock));
  try {
    linkSync(own, lock);
    return true;
  } catch (cause) {
    if ((cause as NodeJS.ErrnoException).code === 'EEXIST') return false;
    throw cause;
  }
}

/** Takes the lock of a process that is gone; one of somebody who was sooner goes back. */
function takeAway(lock: string, stale: Lock, stage: string): void {
  const taken = join(stage, 'taken');
  makeFolder(stage);
  try {
    renameSync(lock, taken);
    if (readLock(taken)?.process !== stale.process) linkSync(taken, lock);
  } catch {
    // Another one was sooner.
  }
}

function writable(state: string): string {
  try {
    makeFolder(state);
    accessSync(state, constants.W_OK);
    return state;
  } catch {
    return temporaryState();
  }
}

/** A state folder among temporary files, of this user. */
export const temporaryState = (): string => join(tmpdir(), `dense-glyph-${userInfo().uid}`);

/** Of processes that are gone. */
function removeStages(state: string): void {
  for (const name of readdirSync(state)) {
    const id = /^stage-(\d+)$/.exec(name)?.[1];
    if (id !== undefined && Number(id) !== ownId() && !isRunning(Number(id)))
      removeQuietly(join(state, name));
  }
}

function readLock(file: string): Lock | undefined {
  try {
    const { process, host } = JSON.parse(readFileSync(file, 'utf8')) as Partial<Lock>;
    return { process: Number(process), host: String(host) };
  } catch {
    return undefined;
  }
}

function readPaths(file: string): string[] {
  try {
    return (JSON.parse(readFileSync(file, 'utf8')) as unknown[]).map(String);
  } catch {
    return [];
  }
}

/** Of another machine nobody can say; it is believed to be. */
const isAtWork = ({ process, host }: Lock): boolean =>
  process !== ownId() && (host !== hostname() || isRunning(process));
