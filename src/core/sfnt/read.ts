// OpenType: The OpenType Font File, "Table Directory"

import { Reader } from '../bytes/reader.js';
import { DenseGlyphError } from '../../errors.js';
import { Font, type Flavour } from './font.js';

/** Real fonts stay under 60 tables; a count in the thousands is damage, not a font. */
export const maximumTables = 512;

const flavours = new Map<number, Flavour>([
  [0x00010000, 'truetype'],
  [0x74727565, 'truetype'], // 'true', written by old Apple tools
  [0x4f54544f, 'cff'], // 'OTTO'
]);

/** The sfnt version that opens a file of this flavour. */
export const sfntVersions: Record<Flavour, number> = { truetype: 0x00010000, cff: 0x4f54544f };

/** Whether these four bytes open an sfnt file. */
export function flavourOf(sfntVersion: number): Flavour | undefined {
  return flavours.get(sfntVersion);
}

/**
 * Opens an sfnt file. Reads the directory, no table.
 *
 * @param start where the directory starts, for fonts inside a collection; table offsets count from the file's start
 * @throws DenseGlyphError `not-a-font` or `directory-wrong`
 */
export function readSfnt(bytes: Uint8Array, start = 0): Font {
  const reader = new Reader(bytes, 'table directory').seek(start);
  const flavour = flavours.get(reader.uint32());
  if (!flavour)
    throw new DenseGlyphError('not-a-font', 'the file does not start as a TrueType or OpenType font');
  const numTables = reader.uint16();
  reader.skip(6); // searchRange, entrySelector and rangeShift follow from numTables
  if (numTables === 0 || numTables > maximumTables) {
    throw wrong(`the table directory counts ${numTables} tables`, start + 4);
  }
  if (reader.remaining < numTables * 16) {
    throw wrong(
      `the table directory lists ${numTables} tables, but the file has only ${bytes.length} bytes`,
      4,
    );
  }
  const entries = new Map<string, { offset: number; length: number }>();
  for (let i = 0; i < numTables; i++) {
    const at = reader.position;
    const tag = reader.tag();
    reader.skip(4); // checkSum: real files have wrong ones and every engine accepts them
    const offset = reader.uint32();
    const length = reader.uint32();
    // Real fonts list two signatures, one of them empty; nobody reads either.
    if (entries.has(tag) && tag === 'DSIG') continue;
    if (entries.has(tag)) throw wrong(`the table directory lists ${tag.trim()} twice`, at);
    if (offset + length > bytes.length) {
      const past = offset + length - bytes.length;
      throw wrong(
        `table ${tag.trim()} ends ${past} bytes past the end of the file (${bytes.length} bytes)`,
        at,
      );
    }
    entries.set(tag, { offset, length });
  }
  const stored = [...entries].sort(([, a], [, b]) => a.offset - b.offset);
  return new Font({
    flavour,
    tags: stored.map(([tag]) => tag),
    bytesOf(tag) {
      const entry = entries.get(tag);
      return entry && bytes.subarray(entry.offset, entry.offset + entry.length);
    },
  });
}

function wrong(reason: string, offset: number): DenseGlyphError {
  return new DenseGlyphError('directory-wrong', reason, { offset });
}
