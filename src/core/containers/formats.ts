import { DenseGlyphError } from '../errors.js';
import type { Reader } from '../bytes/reader.js';
import type { Flavour, Font } from '../sfnt/font.js';
import { flavourOf } from '../sfnt/read.js';

export type FontFormat = 'ttf' | 'otf' | 'woff' | 'woff2';

export interface OpenedFont {
  font: Font;
  /** The format of the file, told by its content. */
  format: FontFormat;
  /** Parts of the file that a `Font` doesn't hold, in words. */
  dropped: string[];
}

export interface WrittenFont {
  bytes: Uint8Array;
  /** Tables of the font that the format doesn't carry, in words. */
  dropped: string[];
}

/** Bytes: the largest fonts in use stay under 100 MB; what claims to be larger is not decompressed. */
export const maximumFontSize = 256 * 1024 * 1024;

/**
 * What WOFF 1.0 and 2.0 headers have in common: after the signature the flavour, then the length of the file.
 *
 * @throws DenseGlyphError `not-a-font` or `file-cut`
 */
export function readWoffStart(reader: Reader, name: string): Flavour {
  const flavour = flavourOf(reader.seek(4).uint32());
  if (!flavour) {
    throw new DenseGlyphError('not-a-font', `the ${name} file does not hold a TrueType or OpenType font`);
  }
  const length = reader.uint32();
  if (length > reader.length) {
    throw new DenseGlyphError(
      'file-cut',
      `the header says ${length} bytes, but the file has ${reader.length}`,
    );
  }
  return flavour;
}

/** The blocks after the font data that a `Font` doesn't hold, in words. */
export function droppedBlocks(metaLength: number, privLength: number): string[] {
  const dropped: string[] = [];
  if (metaLength > 0) dropped.push('WOFF metadata');
  if (privLength > 0) dropped.push('WOFF private data');
  return dropped;
}
