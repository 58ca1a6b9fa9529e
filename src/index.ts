/**
 * Dense Glyph as a library: `core` for fonts in memory, `site` for pages, `kit` for the folder that is published.
 *
 * @example
 * import { core } from 'dense-glyph';
 * const { font } = core.openFont(await readFile('fonts/FerrywakeSans-Regular.ttf'));
 * const { bytes } = await core.writeFont(font, 'woff2');
 */
export * as core from './core/index.js';
export * as kit from './kit/index.js';
export * as site from './site/index.js';
