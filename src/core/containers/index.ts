/**
 * Font files as they travel: TTF and OTF, WOFF 1.0, WOFF 2.0. `openFont` tells the format by content and gives a
 * `Font`; `writeFont` puts a `Font` into a format.
 */
import { plainBytes } from '../bytes/plain.js';
import { DenseGlyphError } from '../errors.js';
import type { Font } from '../sfnt/font.js';
import * as collection from '../sfnt/collection.js';
import { flavourOf, readSfnt } from '../sfnt/read.js';
import { writeSfnt } from '../sfnt/write.js';
import type { FontFormat, OpenedFont, WrittenFont } from './formats.js';
import * as woff from './woff.js';
import { readWoff2 } from './woff2/read.js';
import { writeWoff2 } from './woff2/write.js';
import { signature as woff2Signature } from './woff2/directory.js';

export type { FontFormat, OpenedFont, WrittenFont };

/** The media type of each format (RFC 8081). */
export const mediaTypes: Record<FontFormat, string> = {
  ttf: 'font/ttf',
  otf: 'font/otf',
  woff: 'font/woff',
  woff2: 'font/woff2',
};

/** First bytes of files that people hand over by mistake, and what they are. */
const otherFiles: readonly (readonly [string, string, string?])[] = [
  ['PK\x03\x04', 'it is a ZIP archive', 'unpack it and give the font files'],
  ['<!DO', 'it is an HTML page', 'download the font itself, not the page that offers it'],
  ['<htm', 'it is an HTML page', 'download the font itself, not the page that offers it'],
  ['vers', 'it is a pointer that stands for a large file', 'fetch the large files of the repository first'],
  ['%!PS', 'it is a PostScript font', 'export it as OTF first'],
];

/**
 * Opens a font file of any format that is read. Only the directory is read, where the format allows it.
 *
 * @param file its bytes; they are read later too, and never changed
 * @returns one font, or all the faces of a collection in their order
 * @throws DenseGlyphError `file-empty`, `not-a-font`, `format-unsupported` and what the format's reader throws
 */
export function openFonts(file: Uint8Array): OpenedFont[] {
  const bytes = plainBytes(file);
  if (bytes.length === 0) throw new DenseGlyphError('file-empty', 'the file is empty');
  const start = String.fromCharCode(...bytes.subarray(0, 4));
  const other = otherFiles.find(([opening]) => start === opening);
  if (other) throw new DenseGlyphError('format-unsupported', other[1], {}, other[2]);
  if (bytes.length < 12)
    throw new DenseGlyphError('not-a-font', `${bytes.length} bytes are too few for a font`);
  const signature = new DataView(bytes.buffer, bytes.byteOffset).getUint32(0);
  if (signature === collection.signature) return collection.readCollection(bytes).map(asOpened);
  if (signature === woff.signature) return [woff.readWoff(bytes)];
  if (signature === woff2Signature) return [readWoff2(bytes)];
  if (!flavourOf(signature)) throw new DenseGlyphError('not-a-font', 'it does not start like a font file');
  return [asOpened(readSfnt(bytes))];
}

const asOpened = (font: Font): OpenedFont => ({
  font,
  format: font.flavour === 'cff' ? 'otf' : 'ttf',
  dropped: [],
});

/**
 * Opens a file that holds one font; see `openFonts`.
 *
 * @throws DenseGlyphError also `format-unsupported` for a collection of several faces
 */
export function openFont(file: Uint8Array): OpenedFont {
  const fonts = openFonts(file);
  if (fonts.length > 1) {
    const reason = `it is a collection of ${fonts.length} faces`;
    throw new DenseGlyphError('format-unsupported', reason, {}, 'take the faces apart with convert first');
  }
  return fonts[0];
}

/**
 * Writes a font in a format, without a loss: outlines, advances, mappings and features stay as they are.
 *
 * @throws DenseGlyphError `conversion-impossible` where the font has the wrong kind of outlines
 */
export function writeFont(font: Font, format: FontFormat): WrittenFont {
  if (format === 'woff2') return writeWoff2(font);
  if (format === 'woff') return woff.writeWoff(font);
  const fitting = font.flavour === 'cff' ? 'otf' : 'ttf';
  if (format !== fitting) {
    const outlines = font.flavour === 'cff' ? 'CFF' : 'TrueType';
    throw new DenseGlyphError(
      'conversion-impossible',
      `the font has ${outlines} outlines, which go into .${fitting}, not .${format}`,
      {},
      `convert --to ${fitting}`,
    );
  }
  return { bytes: writeSfnt(font), dropped: [] };
}
