import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import type * as library from '#src/index.js';
import type * as postcssPlugin from '#src/plugins/postcss.js';
import type * as vitePlugin from '#src/plugins/vite.js';
import { root } from './paths.js';

/** The package as its users import it. */
export const denseGlyph = (await import(pathToFileURL(join(root, 'dist/index.js')).href)) as typeof library;

const plugin = <Module>(name: string) =>
  import(pathToFileURL(join(root, `dist/plugins/${name}.js`)).href) as Promise<Module>;

/** Its plugins for bundlers; one after the other, as modules are loaded once. */
export const pluginsOfPackage = {
  denseGlyph: (await plugin<typeof vitePlugin>('vite')).default,
  denseGlyphPostcss: (await plugin<typeof postcssPlugin>('postcss')).default,
};
