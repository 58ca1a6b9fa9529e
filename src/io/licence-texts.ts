import { readdirSync, readFileSync, statSync } from 'node:fs';
import { basename, join, posix, resolve } from 'node:path';
import type { NamedFile } from '../core/source/named-file.js';

/** What licence texts are called that lie beside fonts. */
const licenceName =
  /^(licen[cs]e|ofl|copying|eula|fontlog|lizenz)([-_. ].*)?$|^.*(licen[cs]e|eula).*\.(txt|md|pdf|html?)$/i;
/** Bytes; anything larger is no licence. */
const maximumSize = 4 * 1024 * 1024;

export const isLicenceText = (path: string): boolean => licenceName.test(basename(path));

/** The texts in a folder, as far as it can be read: fonts may come without them. @param folder relative to `base` */
export function licenceTextsIn(folder: string, base: string): NamedFile[] {
  const names = unlessUnreadable(() => readdirSync(resolve(base, folder))) ?? [];
  return names
    .filter(isLicenceText)
    .sort()
    .flatMap((name): NamedFile[] => {
      const path = join(folder, name).replaceAll('\\', '/');
      const bytes = unlessUnreadable(() => contentOf(resolve(base, path)));
      return bytes ? [{ path, bytes }] : [];
    });
}

function contentOf(path: string): Uint8Array | undefined {
  const info = statSync(path);
  return info.isFile() && info.size <= maximumSize ? readFileSync(path) : undefined;
}

function unlessUnreadable<Result>(read: () => Result): Result | undefined {
  try {
    return read();
  } catch {
    return undefined;
  }
}

/** The texts of an archive that lie in a font's folder or in one above it. */
export function licenceTextsAround(path: string, texts: readonly NamedFile[]): NamedFile[] {
  const folder = posix.dirname(path);
  return texts.filter((text) => {
    const place = posix.dirname(text.path);
    return place === '.' || folder === place || folder.startsWith(`${place}/`);
  });
}
