import { basename, extname, join } from 'node:path';
import type { NamedFile } from '../../core/source/index.js';
import { writeWhole } from '../../io/write-whole.js';

/** Licence texts that go with what is written, below `licences` of its folder. */
export class LicenceFiles {
  private readonly texts = new Map<string, Uint8Array>();

  /** Texts of one archive. Those of the same name but another content bear the name of the archive too. */
  add(texts: readonly NamedFile[], archive: string): void {
    for (const { path, bytes } of texts) this.put(basename(path), bytes, basename(archive, extname(archive)));
  }

  /** A text that stood inside a font. @param fontName without extension */
  addInner(text: string, fontName: string): void {
    const bytes = new TextEncoder().encode(`${text}\n`);
    const same = [...this.texts.values()].some((other) => Buffer.compare(other, bytes) === 0);
    if (!same) this.put(`${fontName}.txt`, bytes, fontName);
  }

  /** @returns the paths of the files, absolute */
  write(folder: string): string[] {
    return Array.from(this.texts, ([name, bytes]) => {
      const path = join(folder, 'licences', name);
      writeWhole(path, bytes);
      return path;
    });
  }

  private put(name: string, bytes: Uint8Array, prefix: string): void {
    const known = this.texts.get(name);
    const isOther = known !== undefined && Buffer.compare(known, bytes) !== 0;
    this.texts.set(isOther ? `${prefix}-${name}` : name, bytes);
  }
}
