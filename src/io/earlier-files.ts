import { readFileSync, statSync } from 'node:fs';
import { join } from 'node:path';

/** Files of a folder as they are; undefined for those that aren't there or can't be read. */
export const filesOf =
  (folder: string) =>
  (file: string): Uint8Array | undefined => {
    try {
      const path = join(folder, file);
      // A pipe would be waited for.
      return statSync(path).isFile() ? readFileSync(path) : undefined;
    } catch {
      return undefined;
    }
  };
