import { existsSync, lstatSync, readdirSync, realpathSync, renameSync, rmdirSync, statSync } from 'node:fs';
import { readFile, readdir, writeFile } from 'node:fs/promises';
import { dirname, join, relative } from 'node:path';
import { DenseGlyphError } from '../errors.js';
import { Journal } from './journal.js';
import { isLeftover, makeFolder, removeQuietly, writeWhole, writingFailed } from './write-whole.js';

/**
 * Writes the kit's folder so that it holds a whole kit at every instant, whenever the process is ended: files in the order
 * in which they come, those that others name first, each by a rename; what the kit has no more goes last. A folder that
 * holds the same already is left alone, and so is one that holds files of somebody else. A link is followed.
 *
 * @param folder absolute
 * @param files by path inside it, each before those that name it
 * @param listedIn the files of a kit, by what its kit.json says
 * @param state a folder for what isn't whole yet, best on the same file system, that isn't published
 * @returns whether anything changed
 * @throws DenseGlyphError `output-foreign`, `output-unwritable`, `output-busy`
 */
export async function writeKitFolder(
  folder: string,
  files: ReadonlyMap<string, Uint8Array>,
  state: string,
  listedIn: (bytes: Uint8Array) => readonly string[],
): Promise<boolean> {
  try {
    const target = followed(folder);
    const journal = await Journal.open(state, target);
    return await new KitWriter(target, folder, files, journal, listedIn).write();
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

class KitWriter {
  /** Paths that weren't there before. */
  private readonly added: string[] = [];
  /** Whether a file that was there says something else now. */
  private hasReplaced = false;

  constructor(
    private readonly target: string,
    /** As the user named it. */
    private readonly shown: string,
    private readonly files: ReadonlyMap<string, Uint8Array>,
    private readonly journal: Journal,
    private readonly listedIn: (bytes: Uint8Array) => readonly string[],
  ) {}

  async write(): Promise<boolean> {
    try {
      const present = await this.present();
      const old = await this.known(present);
      const changed = await this.changed();
      const gone = old.filter((path) => !this.files.has(path));
      if (changed.length + gone.length > 0) this.journal.begin([...this.files.keys(), ...old]);
      for (const path of changed) await this.put(path, this.files.get(path)!);
      for (const path of gone) this.remove(path);
      this.journal.close();
      return changed.length > 0 || gone.length > 0;
    } catch (cause) {
      this.giveUp();
      throw cause;
    }
  }

  /** Files in the folder, as paths with slashes. */
  private async present(): Promise<string[]> {
    if (!existsSync(this.target)) return [];
    const entries = await readdir(this.target, { recursive: true, withFileTypes: true });
    return entries
      .filter((entry) => !entry.isDirectory())
      .map((entry) =>
        relative(this.target, join(entry.parentPath ?? entry.path, entry.name)).replaceAll('\\', '/'),
      );
  }

  /** Of those the kit's own. @throws DenseGlyphError `output-foreign` where there are others */
  private async known(present: readonly string[]): Promise<string[]> {
    const own = new Set([...(await this.listed()), ...this.journal.begun]);
    const foreign = present.filter((path) => !own.has(path) && !isLeftover(path.replace(/^.*\//, '')));
    if (foreign.length === 0) return [...present];
    const more = foreign.length > 1 ? ` and ${foreign.length - 1} more` : '';
    throw new DenseGlyphError('output-foreign', `it holds ${foreign[0]}${more}, which no kit put there`, {
      file: this.shown,
    });
  }

  /** What the manifest of the last build lists. */
  private async listed(): Promise<readonly string[]> {
    const bytes = await readFile(join(this.target, 'kit.json')).catch(() => undefined);
    // Without a manifest nothing in the folder is known to be ours.
    return bytes ? this.listedIn(bytes) : [];
  }

  private async changed(): Promise<string[]> {
    const changed: string[] = [];
    for (const [path, bytes] of this.files) {
      const found = await readFile(join(this.target, path)).catch(() => undefined);
      if (!found || Buffer.compare(found, bytes) !== 0) changed.push(path);
    }
    return changed;
  }

  private async put(path: string, bytes: Uint8Array): Promise<void> {
    const final = join(this.target, path);
    const isNew = !existsSync(final);
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
    if (isNew) this.added.push(path);
    else this.hasReplaced = true;
  }

  /** A file, and folders that are empty then. */
  private remove(path: string): void {
    removeQuietly(join(this.target, path));
    for (let folder = dirname(path); folder !== '.'; folder = dirname(folder)) {
      if (readdirSync(join(this.target, folder)).length > 0) return;
      rmdirSync(join(this.target, folder));
    }
  }

  /** As long as no file says anything new, what was added can go; after that the next build goes on from here. */
  private giveUp(): void {
    if (!this.hasReplaced) for (const path of this.added) this.remove(path);
    if (this.hasReplaced || this.journal.begun.length > 0) this.journal.leave();
    else this.journal.close();
  }
}
