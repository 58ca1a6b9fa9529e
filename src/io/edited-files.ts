import { createHash } from 'node:crypto';
import {
  closeSync,
  existsSync,
  fsyncSync,
  ftruncateSync,
  openSync,
  readdirSync,
  readFileSync,
  realpathSync,
  rmdirSync,
  statSync,
  writeSync,
} from 'node:fs';
import { dirname, isAbsolute, join, normalize, resolve } from 'node:path';
import { DenseGlyphError } from '../errors.js';
import { removeLeftovers, removeQuietly, writeWhole, writingFailed } from './write-whole.js';

/** A file of the user's that is to be another. */
export interface EditedFile {
  /** Relative to the folder that edits are of, with slashes. */
  file: string;
  before: Uint8Array;
  after: Uint8Array;
}

/** What came of a file that was to be as it was. */
export interface UndoneFile {
  file: string;
  /**
   * `merged`: somebody changed it since, and just what was put in was taken back; `changed`: that was not possible, so it was left
   * alone; `gone`: it isn't there now, and is remembered; `lost`: what it was isn't kept any more.
   */
  state: 'restored' | 'merged' | 'untouched' | 'changed' | 'gone' | 'lost';
  /** What it was and what it becomes; where it changes. */
  before?: Uint8Array;
  after?: Uint8Array;
  /** Of `changed`: lines that stand in the way, from 1. */
  lines?: number[];
}

/** How what was put into a file is taken back where somebody changed other places of it. */
export type Merge = (
  wired: Uint8Array,
  now: Uint8Array,
  original: Uint8Array,
) => { merged: Uint8Array } | { lines: number[] };

interface Entry {
  file: string;
  /** A digest, by which the content is kept. */
  before: string;
  /** Digests of what it became: several, where it was edited again. */
  after: string[];
}

interface State {
  files: Entry[];
  /** What was begun and isn't done: files that are being written, by what they become. */
  begun?: { is: 'writing' | 'undoing'; files: { file: string; from: string; to: string }[] } | undefined;
}

const digestOf = (bytes: Uint8Array): string => createHash('sha256').update(bytes).digest('hex');
const isDigest = (text: unknown): text is string => typeof text === 'string' && /^[0-9a-f]{64}$/.test(text);

/** Whether a path stays in the folder that it starts from. */
const isWithin = (file: unknown): file is string =>
  typeof file === 'string' && !isAbsolute(file) && !normalize(file).split(/[\\/]/).includes('..');

/**
 * Edits of files that can be taken back, also after a process that was ended halfway: what each file was, and what it becomes, is
 * kept before the first one is touched. What was begun is finished by the next call, whatever that does.
 */
export class EditedFiles {
  private readonly state: string;
  private readonly journal: string;

  /**
   * @param folder that paths start from @param state a folder that isn't published
   * @param merge for files that somebody changed since
   */
  constructor(
    private readonly folder: string,
    state: string,
    private readonly merge: Merge,
  ) {
    this.state = join(state, 'edits');
    this.journal = join(this.state, 'journal.json');
  }

  /** Finishes what a process began that was ended, and takes away what it left unfinished. @throws DenseGlyphError */
  finish(): void {
    const state = this.read();
    this.clean(state.files.map(({ file }) => file));
    const { begun } = state;
    if (!begun) return this.tidy(state);
    for (const { file, from, to } of begun.files) {
      const path = resolve(this.folder, file);
      if (!existsSync(path)) continue;
      const now = digestOf(readFileSync(path));
      const next = now === to ? undefined : this.blob(to);
      // A file with several names is written in its place: ended there, it is neither.
      if (next && (now === from || isTorn(path))) this.replace(file, next);
    }
    this.end(
      begun.is === 'undoing'
        ? { files: state.files.filter((one) => !isUndone(one, begun.files)) }
        : { files: state.files },
    );
  }

  /** @throws DenseGlyphError `output-unwritable`, also where a file isn't any more what it was read as: none is touched then */
  write(files: readonly EditedFile[]): void {
    if (files.length === 0) return;
    this.finish();
    for (const { file, before } of files) this.checkUnchanged(file, before);
    const entries = new Map(this.read().files.map((entry) => [entry.file, entry]));
    const begun: NonNullable<State['begun']>['files'] = [];
    for (const { file, before, after } of files) {
      const [now, next] = [digestOf(before), digestOf(after)];
      const known = entries.get(file);
      // What it was before the first edit is what undo brings back, unless somebody changed it in between.
      const ours = known && (known.before === now || known.after.includes(now)) ? known : undefined;
      const original = ours ? undefined : ((known && this.withoutOurs(known, before)) ?? before);
      if (original) this.keep(original);
      this.keep(after);
      entries.set(file, {
        file,
        before: ours?.before ?? digestOf(original!),
        after: [...(ours?.after ?? []), next],
      });
      begun.push({ file, from: now, to: next });
    }
    const all = { files: [...entries.values()] };
    this.save({ ...all, begun: { is: 'writing', files: begun } });
    for (const { file, after } of files) this.replace(file, after);
    this.end(all);
  }

  private checkUnchanged(file: string, before: Uint8Array): void {
    const path = resolve(this.folder, file);
    if (existsSync(path) && digestOf(readFileSync(path)) === digestOf(before)) return;
    const reason = 'somebody changed it since it was read, so nothing was written';
    throw new DenseGlyphError('output-unwritable', reason, { file }, 'call wire again');
  }

  /**
   * Brings files back: those that nobody changed since as they were, of others what was put into them.
   *
   * @param isDry whether to say what would come of each, and change nothing
   */
  undo(isDry = false): UndoneFile[] {
    if (!isDry) this.finish();
    const { files } = this.read();
    const done = files.map((entry) => this.undone(entry));
    if (isDry) return done;
    const begun = done.flatMap((one, i) => {
      const [from, to] = [one.before, one.after].map((bytes) => (bytes ? digestOf(bytes) : files[i].before));
      return isLeft(one) ? [] : [{ file: one.file, from, to }];
    });
    for (const { after } of done) if (after) this.keep(after);
    const left = files.filter((_, i) => isLeft(done[i]));
    if (begun.length > 0) this.save({ files, begun: { is: 'undoing', files: begun } });
    for (const { file, after } of done) if (after) this.replace(file, after);
    this.end({ files: left });
    return done;
  }

  private undone(entry: Entry): UndoneFile {
    const { file, before, after } = entry;
    const path = resolve(this.folder, file);
    if (!existsSync(path)) return { file, state: 'gone' };
    const now = readFileSync(path);
    const digest = digestOf(now);
    if (digest === before) return { file, state: 'untouched' };
    const original = this.blob(before);
    if (!original) return { file, state: 'lost' };
    if (after.includes(digest)) return { file, state: 'restored', before: now, after: original };
    const wired = this.blob(after.at(-1) ?? '');
    const result = wired ? this.merge(wired, now, original) : { lines: [] };
    if ('lines' in result) return { file, state: 'changed', lines: result.lines };
    if (digestOf(result.merged) === digest) return { file, state: 'untouched' };
    return { file, state: 'merged', before: now, after: result.merged };
  }

  /** What a file that somebody changed would be without what was put into it. */
  private withoutOurs({ before, after }: Entry, now: Uint8Array): Uint8Array | undefined {
    const [wired, original] = [this.blob(after.at(-1) ?? ''), this.blob(before)];
    const result = wired && original ? this.merge(wired, now, original) : undefined;
    return result && 'merged' in result ? result.merged : undefined;
  }

  /** What is kept under a digest; nothing where it isn't there, or is something else. */
  private blob(digest: string): Uint8Array | undefined {
    if (!isDigest(digest)) return undefined;
    const path = join(this.state, digest);
    if (!statSync(path, { throwIfNoEntry: false })?.isFile()) return undefined;
    const bytes = readFileSync(path);
    return digestOf(bytes) === digest ? bytes : undefined;
  }

  private keep(bytes: Uint8Array): void {
    const digest = digestOf(bytes);
    if (!this.blob(digest)) writeWhole(join(this.state, digest), bytes);
  }

  /** A link goes on leading to the file, the file keeps its permissions, and its other names go on being names of it. */
  private replace(file: string, bytes: Uint8Array): void {
    const path = realpathSync(resolve(this.folder, file));
    const info = statSync(path);
    if (info.nlink > 1) writeInPlace(path, bytes);
    else writeWhole(path, bytes, info.mode & 0o7777);
  }

  /** The journal says first that a file is as it is; what was kept for it goes then. */
  private end(state: State): void {
    if (state.files.length > 0) this.save(state);
    else removeQuietly(this.journal);
    this.tidy(state);
  }

  private save(state: State): void {
    writeWhole(this.journal, `${JSON.stringify({ journalVersion: 2, ...state })}\n`);
  }

  /** Takes away what nobody needs any more. */
  private tidy({ files }: State): void {
    const names = existsSync(this.state) ? readdirSync(this.state) : [];
    const needed = new Set(files.flatMap(({ before, after }) => [before, after.at(-1)]));
    for (const name of names) if (isDigest(name) && !needed.has(name)) removeQuietly(join(this.state, name));
    if (names.length > 0) removeLeftovers(this.state);
    for (const folder of [this.state, dirname(this.state)])
      if (existsSync(folder) && readdirSync(folder).length === 0) rmdirSync(folder);
  }

  /** What processes left beside files that were ended. */
  private clean(files: readonly string[]): void {
    const paths = files.map((file) => resolve(this.folder, file)).filter((path) => existsSync(path));
    for (const folder of new Set(paths.map((path) => dirname(realpathSync(path))))) removeLeftovers(folder);
  }

  /** @throws DenseGlyphError `output-foreign` for what is no journal */
  private read(): State {
    if (!existsSync(this.journal)) return { files: [] };
    try {
      const { files, begun } = JSON.parse(readFileSync(this.journal, 'utf8')) as Partial<State>;
      // A folder that comes from somebody else may bring a journal along.
      const own = files!.filter(
        ({ file, before, after }) =>
          isWithin(file) && isDigest(before) && Array.isArray(after) && after.every(isDigest),
      );
      const known = new Set(own.map(({ file }) => file));
      const left = begun?.files.filter(
        ({ file, from, to }) => known.has(file) && isDigest(from) && isDigest(to),
      );
      return { files: own, begun: begun && left ? { is: begun.is, files: left } : undefined };
    } catch (cause) {
      const reason = 'this is no list of what wire changed, or it is damaged';
      const advice = 'move it away; what the files were lies beside it, each under its digest';
      throw new DenseGlyphError('output-foreign', reason, { file: this.journal }, advice, cause);
    }
  }
}

/** Whether undo has to come back to it. */
const isLeft = ({ state }: UndoneFile): boolean =>
  state === 'changed' || state === 'gone' || state === 'lost';

const isUndone = ({ file }: Entry, done: readonly { file: string }[]): boolean =>
  done.some((one) => one.file === file);

/** Whether a file has several names, so that it could not be replaced as a whole. */
const isTorn = (path: string): boolean => statSync(path).nlink > 1;

/** @throws DenseGlyphError `output-unwritable` */
function writeInPlace(path: string, bytes: Uint8Array): void {
  try {
    const file = openSync(path, 'r+');
    try {
      let done = 0;
      while (done < bytes.length) done += writeSync(file, bytes, done, bytes.length - done, done);
      ftruncateSync(file, bytes.length);
      fsyncSync(file);
    } finally {
      closeSync(file);
    }
  } catch (cause) {
    throw writingFailed(cause, path);
  }
}
