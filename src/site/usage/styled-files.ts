import { extname } from 'node:path';
import type { CodePointSet } from '../../core/text/code-point-set.js';

/** Features by tag, each with the files that turn it on. */
export type RequestedFeatures = ReadonlyMap<string, readonly string[]>;

/** Characters that pages draw besides those of their text. */
export interface DrawnBesides {
  /** What draws them, as its author would write it: `text-transform: uppercase`. */
  by: string;
  /** Where that stands. */
  files: readonly string[];
  characters: CodePointSet;
  /** Whether they are capitals that small ones are made of where a font has none. */
  asSmallCapitals: boolean;
}

export const isPage = (path: string): boolean => /^\.x?html?$/i.test(extname(path));
const isStylesheet = (path: string) => extname(path).toLowerCase() === '.css';

/** Whether a file may have styles; to read those takes libraries that others don't need. */
export const mayHaveStyles = (path: string): boolean => isPage(path) || isStylesheet(path);
