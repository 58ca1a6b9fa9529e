import { existsSync, lstatSync, readdirSync, realpathSync, renameSync, rmdirSync, statSync } from 'node:fs';
import { readFile, readdir, writeFile } from 'node:fs/promises';
import { dirname, join, relative } from 'node:path';
import { DenseGlyphError } from '../errors.js';
import { Journal } from './journal.js';
import { isLeftover, makeFolder, removeQuietly, writeWhole, writingFailed } from './write-whole.js';

/** Where a kit goes: absolute folders. */
export interface KitPlaces {
  /** The published one. */
  folder: string;
  facts: string;
  /** For what isn't whole yet, best on the same file system as `folder`; it isn't published. */
  state: string;
}

/** What goes there, by path, each file before those that name it. */
export interface KitContents {
  files: ReadonlyMap<string, Uint8Array>;
  facts: ReadonlyMap<string, Uint8Array>;
}

/** What tells a kit's files from others. */
export interface KitMarks {
  /** The files of a kit, by what its kit.json says. */
  listedIn: (bytes: Uint8Array) => readonly string[];
  /** Whether a file is a kit's by what it says itself, where its kit.json is lost. */
  isOfKit: (path: string, bytes: Uint8Array) => boolean;
}

/**
 * Writes a kit so that its folder holds a whole one at every instant, whenever the process is ended: files in the order in which they
 * come, those that others name first, each by a rename; then its facts; what the kit has no more goes last. A folder that holds the
 * same already is left alone, and so is one that holds files of somebody else; beside facts there may be others. A link is followed.
 *
 * @returns whether anything changed
 * @throws DenseGlyphError `output-foreign`, `output-unwritable`, `output-busy`
 */
export async function writeKit(places: KitPlaces, contents: KitContents, marks: KitMarks): Promise<boolean> {
  const { folder, state } = places;
  try {
    const [target, facts] = [followed(folder), followed(places.facts)];
    const journal = await Journal.open(state, target);
    return await new KitWriter({ target, facts, shown: folder }, contents, journal, marks).write();
  } catch (cause) {
    throw writingFailed(cause, folder);
  }
}

/** What a link leads to. @throws DenseGlyphError `output-foreign` for a file, `output-unwritable` for a link to nothing */
function followed(folder: string): string {
  const entry = lstatSync(folder, { throwIfNoEntry: false });
  if (!entry) return folder;
  const info = statSync(folder, { throwIfNoEntry: false });
  if (!info)
    throw new DenseGlyphError(
      'output-unwritable',
      'it is a link to nothing',
      { file: folder },
      'make the folder',
    );
  if (!info.isDirectory())
    throw new DenseGlyphError('output-foreign', 'it is a file, not a folder', { file: folder });
  return realpathSync(folder);
}

function foreignIn(file: string, [first, ...others]: readonly string[]): DenseGlyphError {
  const more = others.length > 0 ? ` and ${others.length} more` : '';
  return new DenseGlyphError('output-foreign', `it holds ${first}${more}, which no kit put there`, { file });
}

const readIfThere = (path: string): Promise<Uint8Array | undefined> => readFile(path).catch(() => undefined);

/** Files that a folder hasn't as they are to be. */
async function changedIn(folder: string, files: ReadonlyMap<string, Uint8Array>): Promise<string[]> {
  const changed: string[] = [];
  for (const [path, bytes] of files) {
    const found = await readIfThere(join(folder, path));
    if (!found || Buffer.compare(found, bytes) !== 0) changed.push(path);
  }
  return changed;
}

class KitWriter {
  /** Paths that weren't there before. */
  private readonly added: string[] = [];
  /** Whether a file that was there says something else now. */
  private hasReplaced = false;

  /** @param place `shown` is the published folder as the user named it */
  constructor(
    private readonly place: { target: string; facts: string; shown: string },
    private readonly contents: KitContents,
    private readonly journal: Journal,
    private readonly marks: KitMarks,
  ) {}

  async write(): Promise<boolean> {
    try {
      const { files, facts } = this.contents;
      const old = await this.known(await this.present());
      const changed = await changedIn(this.place.target, files);
      const told = await this.toldNow();
      const gone = old.filter((path) => !files.has(path));
      const isSame = changed.length + told.length + gone.length === 0;
      if (!isSame) this.journal.begin([...files.keys(), ...old]);
      for (const path of changed) await this.put(path, files.get(path)!);
      for (const path of told) await this.placed(join(this.place.facts, path), facts.get(path)!);
      for (const path of gone) this.remove(path);
      this.journal.close();
      return !isSame;
    } catch (cause) {
      this.giveUp();
      throw cause;
    }
  }

  /** Files in the folder, as paths with slashes. */
  private async present(): Promise<string[]> {
    const { target } = this.place;
    if (!existsSync(target)) return [];
    const entries = await readdir(target, { recursive: true, withFileTypes: true });
    return entries
      .filter((entry) => !entry.isDirectory())
      .map((entry) =>
        relative(target, join(entry.parentPath ?? entry.path, entry.name)).replaceAll('\\', '/'),
      );
  }

  /** Of those the kit's own. @throws DenseGlyphError `output-foreign` where there are others */
  private async known(present: readonly string[]): Promise<string[]> {
    const own = new Set([...(await this.listed()), ...this.journal.begun]);
    const unlisted = present.filter((path) => !own.has(path) && !isLeftover(path.replace(/^.*\//, '')));
    const isKits = await Promise.all(unlisted.map((path) => this.isKits(path)));
    const foreign = unlisted.filter((_, i) => !isKits[i]);
    if (foreign.length > 0) throw foreignIn(this.place.shown, foreign);
    return [...present];
  }

  /** Facts that are to be written. @throws DenseGlyphError `output-foreign` where files of somebody else have their names */
  private async toldNow(): Promise<string[]> {
    const { facts } = this.place;
    const told = await changedIn(facts, this.contents.facts);
    const taken = told.filter((name) => existsSync(join(facts, name)));
    const isOurs = (await this.listed()).length > 0 || this.journal.begun.length > 0;
    if (taken.length > 0 && !isOurs) throw foreignIn(facts, taken);
    return told;
  }

  /** What the manifest of the last build lists. */
  private async listed(): Promise<readonly string[]> {
    const bytes = await readIfThere(join(this.place.facts, 'kit.json'));
    return bytes ? this.marks.listedIn(bytes) : [];
  }

  /** Whether a file that no manifest lists would be the same, or says itself that it is a kit's. */
  private async isKits(path: string): Promise<boolean> {
    const bytes = await readIfThere(join(this.place.target, path));
    if (!bytes) return false;
    const next = this.contents.files.get(path);
    return (next && Buffer.compare(next, bytes) === 0) || this.marks.isOfKit(path, bytes);
  }

  private async put(path: string, bytes: Uint8Array): Promise<void> {
    const final = join(this.place.target, path);
    const isNew = !existsSync(final);
    await this.placed(final, bytes);
    if (isNew) this.added.push(path);
    else this.hasReplaced = true;
  }

  /** @param final absolute */
  private async placed(final: string, bytes: Uint8Array): Promise<void> {
    const staged = join(this.journal.stage, 'file');
    makeFolder(this.journal.stage);
    await writeFile(staged, bytes);
    makeFolder(dirname(final));
    try {
      renameSync(staged, final);
    } catch (cause) {
      // On another file system it has to be made beside.
      if ((cause as NodeJS.ErrnoException).code !== 'EXDEV') throw cause;
      writeWhole(final, bytes);
    }
  }

  /** A file, and folders that are empty then. */
  private remove(path: string): void {
    const { target } = this.place;
    removeQuietly(join(target, path));
    for (let folder = dirname(path); folder !== '.'; folder = dirname(folder)) {
      if (readdirSync(join(target, folder)).length > 0) return;
      rmdirSync(join(target, folder));
    }
  }

  /** As long as no file says anything new, what was added can go; after that the next build goes on from here. */
  private giveUp(): void {
    if (!this.hasReplaced) for (const path of this.added) this.remove(path);
    if (this.hasReplaced || this.journal.begun.length > 0) this.journal.leave();
    else this.journal.close();
  }
}
