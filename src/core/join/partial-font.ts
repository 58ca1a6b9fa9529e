import type { Font } from '../sfnt/font.js';
import type { CodePointSet } from '../text/code-point-set.js';

/** One of the files that a face was cut into. */
export interface PartialFont {
  font: Font;
  /** What it draws: what its unicode-range and its cmap have both, and what shaping adds. */
  characters: CodePointSet;
}

/** Why files can't be joined without a loss. Not an error: they go on as they are. */
export class Hindrance extends Error {}
