import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';

/** The repository. */
export const root = fileURLToPath(new URL('../..', import.meta.url));
export const sampleFonts = join(root, 'sample/fonts');
/** Public fonts with WOFF2 files made by their vendor beside them. */
export const vendorFonts = join(root, 'node_modules/katex/dist/fonts');

export const filesIn = (folder: string, extension: string): string[] =>
  readdirSync(folder)
    .filter((name) => name.endsWith(extension))
    .sort();

export const readSample = (name: string): Uint8Array => readFileSync(join(sampleFonts, name));
const variableVendorFolder = join(root, 'node_modules/@ibm/plex-sans-variable/fonts/complete/woff2');
/** A variable font with kerning by glyphs, whose values change along two axes. */
export const variableVendorFont = join(variableVendorFolder, 'IBM Plex Sans Var-Roman.woff2');
export const variableVendorItalic = join(variableVendorFolder, 'IBM Plex Sans Var-Italic.woff2');
