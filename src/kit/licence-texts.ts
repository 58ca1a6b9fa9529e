import { readdir, readFile, stat } from 'node:fs/promises';
import { basename, join, posix, resolve } from 'node:path';
import type { NamedFile } from './named-file.js';

/** What licence texts are called that lie beside fonts. */
const licenceName =
  /^(licen[cs]e|ofl|copying|eula|fontlog|lizenz)([-_. ].*)?$|^.*(licen[cs]e|eula).*\.(txt|md|pdf|html?)$/i;
/** Bytes; anything larger is no licence. */
const maximumSize = 4 * 1024 * 1024;

export const isLicenceText = (path: string): boolean => licenceName.test(basename(path));

/** The texts in a folder. @param folder relative to `base` */
export async function licenceTextsIn(folder: string, base: string): Promise<NamedFile[]> {
  const names = await readdir(resolve(base, folder)).catch(() => []);
  const texts: NamedFile[] = [];
  for (const name of names.filter(isLicenceText).sort()) {
    const path = join(folder, name).replaceAll('\\', '/');
    const info = await stat(resolve(base, path)).catch(() => undefined);
    if (!info?.isFile() || info.size > maximumSize) continue;
    texts.push({ path, bytes: await readFile(resolve(base, path)) });
  }
  return texts;
}

/** The texts of an archive that lie in a font's folder or in one above it. */
export function licenceTextsAround(path: string, texts: readonly NamedFile[]): NamedFile[] {
  const folder = posix.dirname(path);
  return texts.filter((text) => {
    const place = posix.dirname(text.path);
    return place === '.' || folder === place || folder.startsWith(`${place}/`);
  });
}
