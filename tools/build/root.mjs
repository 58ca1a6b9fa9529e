import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

/** The repository. */
export const root = join(dirname(fileURLToPath(import.meta.url)), '../..');
