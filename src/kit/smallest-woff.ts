import { zlibAsync } from '@gfx/zopfli';
import type { WrittenFont } from '../core/containers/index.js';
import { writeWoffWith } from '../core/containers/woff.js';
import type { Font } from '../core/sfnt/font.js';

/** Rounds of search for the shortest encoding of each table. */
const rounds = 5;

/** Writes a font as WOFF 1.0, as small as deflate can make it; takes some ten seconds for a font of 100 kB. */
export function smallestWoff(font: Font): Promise<WrittenFont> {
  return writeWoffWith(font, (table) => zlibAsync(table, { numiterations: rounds }));
}
