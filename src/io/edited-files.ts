import { createHash } from 'node:crypto';
import { existsSync, readdirSync, readFileSync, realpathSync, rmdirSync, statSync } from 'node:fs';
import { dirname, isAbsolute, join, normalize, resolve } from 'node:path';
import { removeLeftovers, removeQuietly, writeWhole } from './write-whole.js';

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
  /** `changed`: somebody changed it since, so it was left alone. */
  state: 'restored' | 'untouched' | 'changed' | 'gone';
}

interface Entry {
  file: string;
  /** A digest, by which the content is kept. */
  before: string;
  /** Digests of what it became: several, where it was edited again. */
  after: string[];
}

const digestOf = (bytes: Uint8Array): string => createHash('sha256').update(bytes).digest('hex');

/** Whether a path stays in the folder that it starts from. */
const isWithin = (file: string): boolean =>
  !isAbsolute(file) && !normalize(file).split(/[\\/]/).includes('..');

/**
 * Edits of files that can be taken back, also after a process that was ended halfway: what each file was, and what it becomes, is
 * written before the first one is touched.
 */
export class EditedFiles {
  private readonly state: string;
  private readonly journal: string;

  /** @param folder that paths start from @param state a folder that isn't published */
  constructor(
    private readonly folder: string,
    state: string,
  ) {
    this.state = join(state, 'edits');
    this.journal = join(this.state, 'journal.json');
  }

  /** @throws DenseGlyphError `output-unwritable` */
  write(files: readonly EditedFile[]): void {
    if (files.length === 0) return;
    const entries = new Map(this.entries().map((entry) => [entry.file, entry]));
    for (const { file, before, after } of files) {
      const [now, next] = [digestOf(before), digestOf(after)];
      const known = entries.get(file);
      // What it was before the first edit is what undo brings back, unless somebody changed it in between.
      const ours = known && (known.before === now || known.after.includes(now)) ? known : undefined;
      if (!ours) writeWhole(join(this.state, now), before);
      entries.set(file, { file, before: ours?.before ?? now, after: [...(ours?.after ?? []), next] });
    }
    writeWhole(this.journal, `${JSON.stringify({ journalVersion: 1, files: [...entries.values()] })}\n`);
    for (const { file, after } of files) this.replace(file, after);
  }

  /** Brings every file back that nobody changed since. */
  undo(): UndoneFile[] {
    const entries = this.entries();
    const left: Entry[] = [];
    const paths = entries.map(({ file }) => resolve(this.folder, file)).filter((path) => existsSync(path));
    for (const folder of new Set(paths.map((path) => dirname(realpathSync(path))))) removeLeftovers(folder);
    const done = entries.map((entry): UndoneFile => {
      const { file, before, after } = entry;
      const path = resolve(this.folder, file);
      if (!existsSync(path)) return { file, state: 'gone' };
      const now = digestOf(readFileSync(path));
      if (now === before) return { file, state: 'untouched' };
      if (!after.includes(now)) {
        left.push(entry);
        return { file, state: 'changed' };
      }
      this.replace(file, readFileSync(join(this.state, before)));
      return { file, state: 'restored' };
    });
    this.keep(left);
    return done;
  }

  /** A link goes on leading to the file, and the file keeps its permissions. */
  private replace(file: string, bytes: Uint8Array): void {
    const path = realpathSync(resolve(this.folder, file));
    writeWhole(path, bytes, statSync(path).mode & 0o7777);
  }

  private keep(entries: readonly Entry[]): void {
    if (entries.length > 0) {
      writeWhole(this.journal, `${JSON.stringify({ journalVersion: 1, files: entries })}\n`);
      return;
    }
    removeQuietly(this.state);
    const parent = join(this.state, '..');
    if (existsSync(parent) && readdirSync(parent).length === 0) rmdirSync(parent);
  }

  private entries(): Entry[] {
    if (!existsSync(this.journal)) return [];
    const { files } = JSON.parse(readFileSync(this.journal, 'utf8')) as { files: Entry[] };
    // A folder that comes from somebody else may bring a journal along.
    return files.filter(({ file, before }) => isWithin(file) && /^[0-9a-f]{64}$/.test(before));
  }
}
