import { DenseGlyphError } from '../../errors.js';
import type { Reader } from '../bytes/reader.js';
import type { Flavour, Font } from '../sfnt/font.js';
import { flavourOf } from '../sfnt/read.js';

export const fontFormats = ['woff2', 'woff', 'ttf', 'otf', 'eot', 'svg'] as const;
export type FontFormat = (typeof fontFormats)[number];

export interface OpenedFont {
  font: Font;
  /** The format of the file, told by its content. */
  format: FontFormat;
  /** Parts of the file that a `Font` doesn't hold, in words. */
  dropped: string[];
}

export interface WrittenFont {
  bytes: Uint8Array;
  /** What of the font the format doesn't carry, in words. */
  dropped: string[];
  /** Where CFF outlines became TrueType outlines: how many points they are stored with. */
  points?: { before: number; after: number };
}

export interface WriteOptions {
  /** How far outlines may stray where their kind changes, in em. */
  tolerance?: number;
  /** Whether no other font is written at the same time; a small one is done sooner without a thread of its own. */
  alone?: boolean;
  /** Whether WOFF2 is compressed in a tenth of the time, for looking at and not for serving. */
  quick?: boolean;
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
  checkLength(reader);
  return flavour;
}

/** Reads the length of the file. @throws DenseGlyphError `file-cut` */
export function checkLength(reader: Reader): void {
  const length = reader.uint32();
  if (length > reader.length) {
    const reason = `the header says ${length} bytes, but the file has ${reader.length}`;
    throw new DenseGlyphError('file-cut', reason);
  }
}

/** The blocks after the font data that a `Font` doesn't hold, in words. */
export function droppedBlocks(metaLength: number, privLength: number): string[] {
  const dropped: string[] = [];
  if (metaLength > 0) dropped.push('WOFF metadata');
  if (privLength > 0) dropped.push('WOFF private data');
  return dropped;
}
