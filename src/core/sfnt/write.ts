// OpenType: The OpenType Font File, "Table Directory" and "Calculating Checksums"

import { checksum } from '../bytes/checksum.js';
import { Writer } from '../bytes/writer.js';
import type { Font } from './font.js';
import { sfntVersions } from './read.js';

/** What `checkSumAdjustment` and the checksum of the whole file add up to. */
const wholeFileChecksum = 0xb1b0afba;
/** The offset of `checkSumAdjustment` in head, in bytes. */
const adjustmentOffset = 8;

/**
 * Writes a font as a TTF or OTF file. The tables stay in the font's order, the directory is sorted by tag, and
 * the checksums are computed anew.
 *
 * @returns the file's bytes
 */
export function writeSfnt(font: Font): Uint8Array {
  const tables = [...font.tables()];
  const writer = new Writer(12 + tables.reduce((sum, [, bytes]) => sum + bytes.length + 20, 0));
  const entrySelector = Math.floor(Math.log2(tables.length));
  const searchRange = 16 * 2 ** entrySelector;
  writer.uint32(sfntVersions[font.flavour]).uint16(tables.length);
  writer
    .uint16(searchRange)
    .uint16(entrySelector)
    .uint16(tables.length * 16 - searchRange);

  const directory = writer.length;
  writer.write(new Uint8Array(tables.length * 16));
  const sorted = tables.map(([tag]) => tag).sort(compareTags);
  let headOffset = -1;
  for (const [tag, bytes] of tables) {
    let stored = bytes;
    if (tag === 'head') {
      stored = new Uint8Array(bytes); // a copy; slice() of a Buffer isn't one
      stored.fill(0, adjustmentOffset, adjustmentOffset + 4);
      headOffset = writer.length;
    }
    const entry = directory + sorted.indexOf(tag) * 16;
    for (let i = 0; i < 4; i += 2) {
      writer.patchUint16(entry + i, (tag.charCodeAt(i) << 8) | tag.charCodeAt(i + 1));
    }
    writer.patchUint32(entry + 4, checksum(stored));
    writer.patchUint32(entry + 8, writer.length);
    writer.patchUint32(entry + 12, stored.length);
    writer.write(stored).align(4);
  }
  if (headOffset >= 0) {
    writer.patchUint32(headOffset + adjustmentOffset, (wholeFileChecksum - checksum(writer.bytes())) >>> 0);
  }
  return writer.bytes();
}

/** The size that `writeSfnt` would give, in bytes. */
export function sfntSize(tables: ReadonlyMap<string, Uint8Array>): number {
  let size = 12 + 16 * tables.size;
  for (const bytes of tables.values()) size += (bytes.length + 3) & ~3;
  return size;
}

/** The order of a directory: by the bytes of the tag. */
export function compareTags(a: string, b: string): number {
  return a < b ? -1 : a > b ? 1 : 0;
}
