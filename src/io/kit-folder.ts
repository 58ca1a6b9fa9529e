import { mkdir, readdir, readFile, rename, rm, stat, writeFile } from 'node:fs/promises';
import { dirname, join, relative } from 'node:path';
import { DenseGlyphError } from '../errors.js';
import { beside, writingFailed } from './write-whole.js';

async function filesIn(folder: string): Promise<string[]> {
  const entries = await readdir(folder, { recursive: true, withFileTypes: true });
  return entries
    .filter((entry) => !entry.isDirectory())
    .map((entry) => relative(folder, join(entry.parentPath ?? entry.path, entry.name)).replaceAll('\\', '/'));
}

/**
 * Files in the folder that the kit's last build did not put there. Replacing the folder would lose them.
 */
async function foreignFiles(folder: string): Promise<string[]> {
  const present = await filesIn(folder);
  if (present.length === 0) return [];
  let known: ReadonlySet<string> = new Set();
  try {
    const manifest = JSON.parse(await readFile(join(folder, 'kit.json'), 'utf8')) as { files?: object };
    known = new Set(['kit.json', ...Object.keys(manifest.files ?? {})]);
  } catch {
    // Without a manifest nothing in the folder is known to be ours.
  }
  return present.filter((path) => !known.has(path));
}

/**
 * Writes the kit's folder: a new one beside the old one, which then takes its place. A folder that holds the same
 * already is left alone, and so is one that holds files of somebody else.
 *
 * @returns whether anything changed
 * @throws DenseGlyphError `output-foreign`
 */
export async function writeKitFolder(
  folder: string,
  files: ReadonlyMap<string, Uint8Array>,
): Promise<boolean> {
  const info = await stat(folder).catch(() => undefined);
  if (info && !info.isDirectory())
    throw new DenseGlyphError('output-foreign', 'it is a file, not a folder', { file: folder });
  if (info) {
    const foreign = await foreignFiles(folder);
    if (foreign.length > 0) {
      const more = foreign.length > 1 ? ` and ${foreign.length - 1} more` : '';
      throw new DenseGlyphError('output-foreign', `it holds ${foreign[0]}${more}, which no kit put there`, {
        file: folder,
      });
    }
    if (await holdsTheSame(folder, files)) return false;
  }
  const fresh = beside(folder, 'new');
  const old = beside(folder, 'old');
  try {
    for (const [path, bytes] of files) {
      await mkdir(dirname(join(fresh, path)), { recursive: true });
      await writeFile(join(fresh, path), bytes);
    }
    if (info) await rename(folder, old);
    await rename(fresh, folder).catch(async (cause: unknown) => {
      if (info) await rename(old, folder);
      throw cause;
    });
  } catch (cause) {
    throw writingFailed(cause, folder);
  } finally {
    await rm(fresh, { recursive: true, force: true });
  }
  // Only now: if the swap failed and the old kit could not go back, it is still there under its other name.
  await rm(old, { recursive: true, force: true });
  return true;
}

async function holdsTheSame(folder: string, files: ReadonlyMap<string, Uint8Array>): Promise<boolean> {
  const present = await filesIn(folder);
  if (present.length !== files.size) return false;
  for (const [path, bytes] of files) {
    const found = await readFile(join(folder, path)).catch(() => undefined);
    if (!found || Buffer.compare(found, bytes) !== 0) return false;
  }
  return true;
}
