// OpenType: The OpenType Font File, "Font Collections"

import { Reader } from '../bytes/reader.js';
import { DenseGlyphError } from '../../errors.js';
import type { Font } from './font.js';
import { readSfnt } from './read.js';

export const signature = 0x74746366; // 'ttcf'

/** Collections of an operating system hold some dozen faces; a count past this is damage. */
export const maximumFonts = 256;

/**
 * Opens the faces of a collection. Reads the directories, no table; faces may share tables.
 *
 * @throws DenseGlyphError `directory-wrong`
 */
export function readCollection(bytes: Uint8Array): Font[] {
  const reader = new Reader(bytes, 'collection header');
  const majorVersion = reader.seek(4).uint16();
  if (majorVersion !== 1 && majorVersion !== 2) {
    throw wrong(`version ${majorVersion} of font collections is not known`, 4);
  }
  const numFonts = reader.skip(2).uint32();
  if (numFonts === 0 || numFonts > maximumFonts || numFonts * 4 > reader.remaining) {
    throw wrong(`the collection counts ${numFonts} fonts`, 8);
  }
  return Array.from({ length: numFonts }, (_, i) => {
    const offset = reader.uint32();
    if (offset + 12 > bytes.length)
      throw wrong(`font ${i} of the collection starts past the end of the file`, offset);
    return readSfnt(bytes, offset);
  });
}

function wrong(reason: string, offset: number): DenseGlyphError {
  return new DenseGlyphError('directory-wrong', reason, { offset });
}
