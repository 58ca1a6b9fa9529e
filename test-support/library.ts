import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import type * as library from '#src/index.js';
import { root } from './paths.js';

/** The package as its users import it. */
export const denseGlyph = (await import(pathToFileURL(join(root, 'dist/index.js')).href)) as typeof library;
