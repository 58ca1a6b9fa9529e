import { readdir } from 'node:fs/promises';

/** The HTML files below a folder, as sorted paths relative to it. */
export async function pagesIn(folder: string): Promise<string[]> {
  const entries = await readdir(folder, { recursive: true });
  return entries
    .map((entry) => entry.replaceAll('\\', '/'))
    .filter((entry) => entry.endsWith('.html'))
    .sort();
}
