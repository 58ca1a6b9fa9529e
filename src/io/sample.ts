import { cp, mkdtemp, readFile, readdir } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';
import { DenseGlyphError } from '../errors.js';
import { makeFolder, writingFailed } from './write-whole.js';

const sample = fileURLToPath(new URL('../../sample', import.meta.url));

/** The fonts that a stand-in for a hosting service has. */
export async function sampleFonts(): Promise<{ path: string; bytes: Uint8Array }[]> {
  const names = [
    'FerrywakeSans-Variable.ttf',
    'FerrywakeSans-VariableItalic.ttf',
    'LampbuoySlab-Bold.otf',
    'TidelogMono-Regular.ttf',
  ];
  return Promise.all(
    names.map(async (path) => ({ path, bytes: await readFile(join(sample, 'fonts', path)) })),
  );
}

/**
 * Copies a part of the sample into a folder that is empty or new, so that nothing is written over.
 *
 * @param out where to, as the user wrote it; undefined for a temporary folder
 * @param base what `out` starts from
 * @param part the folder of the sample that is copied
 * @returns the folder, absolute
 * @throws DenseGlyphError `output-foreign`, `output-unwritable`
 */
export async function copySample(out: string | undefined, base: string, part: string): Promise<string> {
  try {
    const folder = out ? resolve(base, out) : await mkdtemp(join(tmpdir(), 'dense-glyph-demo-'));
    const present = await readdir(folder).catch(() => []);
    if (present.length > 0) {
      throw new DenseGlyphError(
        'output-foreign',
        'the folder is not empty',
        { file: out ?? folder },
        'name a new folder',
      );
    }
    makeFolder(folder);
    await cp(join(sample, part), join(folder, part), { recursive: true });
    return folder;
  } catch (cause) {
    throw writingFailed(cause, out ?? tmpdir());
  }
}

/** @throws DenseGlyphError `output-unwritable` */
export async function copyFolder(from: string, to: string): Promise<void> {
  try {
    await cp(from, to, { recursive: true });
  } catch (cause) {
    throw writingFailed(cause, to);
  }
}

/** The page that shows `before` and `site` of a folder side by side. */
export const copyComparison = (folder: string): Promise<void> =>
  copyFolder(join(sample, 'compare.html'), join(folder, 'compare.html'));
