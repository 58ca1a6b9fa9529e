/**
 * Font files as they travel: TTF and OTF, collections, WOFF 1.0, WOFF 2.0, EOT, SVG fonts. `openFont` tells the format by content and gives a
 * `Font`; `writeFont` puts a `Font` into a format.
 */
import { plainBytes } from '../bytes/plain.js';
import { DenseGlyphError } from '../../errors.js';
import type { Font } from '../sfnt/font.js';
import { toTrueType } from '../outlines/index.js';
import * as collection from '../sfnt/collection.js';
import { flavourOf, readSfnt } from '../sfnt/read.js';
import { writeSfnt } from '../sfnt/write.js';
import { acceptableFont } from './acceptable.js';
import { isEot, readEot, writeEot } from './eot.js';
import {
  fontFormats,
  type FontFormat,
  type OpenedFont,
  type WriteOptions,
  type WrittenFont,
} from './formats.js';
import { svgFontId, writeSvgFont } from './svg-font.js';
import * as woff from './woff.js';
import { readWoff2 } from './woff2/read.js';
import { writeWoff2 } from './woff2/write.js';
import { signature as woff2Signature } from './woff2/directory.js';

export { fontFormats, svgFontId };
export type { FontFormat, OpenedFont, WriteOptions, WrittenFont };

/** The media type of each format (RFC 8081; that of EOT is registered by its vendor). */
export const mediaTypes: Record<FontFormat, string> = {
  ttf: 'font/ttf',
  otf: 'font/otf',
  woff: 'font/woff',
  woff2: 'font/woff2',
  eot: 'application/vnd.ms-fontobject',
  svg: 'image/svg+xml',
};

/** Whether a file is a font of a format that is read, going by its first 36 bytes. */
export function isFontFile(start: Uint8Array): boolean {
  if (start.length < 12) return false;
  const signature = new DataView(start.buffer, start.byteOffset).getUint32(0);
  const known = [collection.signature, woff.signature, woff2Signature].includes(signature);
  return known || flavourOf(signature) !== undefined || isEot(start);
}

/** Whether a file may hold several faces, going by its first 8 bytes. */
export function isCollection(start: Uint8Array): boolean {
  if (start.length < 8) return false;
  const view = new DataView(start.buffer, start.byteOffset);
  const signature = view.getUint32(0);
  return (
    signature === collection.signature ||
    (signature === woff2Signature && view.getUint32(4) === collection.signature)
  );
}

/** First bytes of files that people hand over by mistake, and what they are. */
const otherFiles: readonly (readonly [string, string, string?])[] = [
  ['PK\x03\x04', 'it is a ZIP archive', 'unpack it first'],
  ['<svg', 'it is an SVG file', 'SVG fonts hold less than the others: use the TTF or WOFF beside it'],
  ['<?xm', 'it is an XML file', 'SVG fonts hold less than the others: use the TTF or WOFF beside it'],
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
  if (signature === woff2Signature) return readWoff2(bytes);
  if (isEot(bytes)) return [readEot(bytes)];
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
 * Writes a font in a format. Outlines, advances, mappings and features stay as they are, with two exceptions that the
 * result tells about: CFF outlines become TrueType outlines where the format needs those, and an SVG font holds
 * nothing but outlines and characters. What browsers refuse a font for without need is mended; see `acceptableFont`.
 *
 * @throws DenseGlyphError `conversion-impossible` where the font has the wrong kind of outlines
 */
export async function writeFont(
  font: Font,
  format: FontFormat,
  options: WriteOptions = {},
): Promise<WrittenFont> {
  const accepted = acceptableFont(font, format);
  const written = await writeAccepted(accepted.font, format, options);
  return accepted.dropped.length === 0
    ? written
    : { ...written, dropped: [...accepted.dropped, ...written.dropped] };
}

function writeAccepted(
  font: Font,
  format: FontFormat,
  options: WriteOptions,
): WrittenFont | Promise<WrittenFont> {
  switch (format) {
    case 'woff2':
      return writeWoff2(font, options);
    case 'woff':
      return woff.writeWoff(font);
    case 'svg':
      return writeSvgFont(font);
    case 'otf':
      if (font.flavour === 'cff') return { bytes: writeSfnt(font), dropped: [] };
      throw new DenseGlyphError(
        'conversion-impossible',
        'the font has TrueType outlines; drawing them as CFF outlines would only make it larger',
        {},
        'convert it to ttf, woff or woff2',
      );
    default:
      return writeTrueType(font, format, options.tolerance);
  }
}

function writeTrueType(font: Font, format: 'ttf' | 'eot', tolerance: number | undefined): WrittenFont {
  const write = (drawn: Font): WrittenFont =>
    format === 'eot' ? writeEot(drawn) : { bytes: writeSfnt(drawn), dropped: [] };
  if (font.flavour === 'truetype') return write(font);
  const { font: converted, points, dropped } = toTrueType(font, tolerance);
  const written = write(converted);
  return { ...written, dropped: [...dropped, ...written.dropped], points };
}
