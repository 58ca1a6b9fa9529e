import { openFonts, type OpenedFont } from '../containers/index.js';
import { inFile } from '../../errors.js';
import { sfntSize } from '../sfnt/write.js';
import type { NamedFile } from './named-file.js';

/** A font of a file: all of it, or one face of a collection. */
export interface OpenedFace extends OpenedFont {
  /** As the user would name it; a face of a collection has its number behind it. */
  path: string;
  /** Which face of the file, from 1. */
  number: number;
  /** Whether it is all that the file holds. */
  alone: boolean;
  /** Bytes: of the file, or of the tables of one face, as if it stood alone. */
  size: number;
}

/**
 * Opens a font file; its tables are read when they are asked for.
 *
 * @throws DenseGlyphError with the file named
 */
export function openFile({ path, bytes }: NamedFile): OpenedFace[] {
  return inFile(path, () => {
    const fonts = openFonts(bytes);
    const alone = fonts.length === 1;
    return fonts.map((opened, i): OpenedFace => ({
      ...opened,
      path: alone ? path : `${path}#${i + 1}`,
      number: i + 1,
      alone,
      size: alone ? bytes.length : sfntSize(opened.font.tables()),
    }));
  });
}
