// OpenType: cmap, Character to Glyph Index Mapping Table

import type { Reader } from '../bytes/reader.js';
import { Writer } from '../bytes/writer.js';
import {
  eachMappedRange,
  glyphIdIn,
  mappingsIn,
  parseSubtable,
  serialiseSubtable,
  type CmapSubtable,
} from './cmap-subtables.js';

export const tag = 'cmap';

export { glyphIdIn, type CmapSubtable };

export interface EncodingRecord {
  platformID: number;
  encodingID: number;
  /** Records that point to the same bytes share one object. */
  subtable: CmapSubtable;
}

export interface Cmap {
  version: number;
  encodingRecords: EncodingRecord[];
}

/** Some tools let a small subtable lie inside a larger one; a thousand times over it is an attack. */
const overlapAllowed = 4;

export function parse(reader: Reader): Cmap {
  const version = reader.uint16();
  const numTables = reader.uint16();
  const shared = new Map<number, CmapSubtable>();
  const encodingRecords: EncodingRecord[] = [];
  let parsed = 0;
  for (let i = 0; i < numTables; i++) {
    reader.seek(4 + i * 8);
    const platformID = reader.uint16();
    const encodingID = reader.uint16();
    const offset = reader.uint32();
    let subtable = shared.get(offset);
    if (!subtable) {
      const part = reader.part(offset);
      shared.set(offset, (subtable = parseSubtable(part)));
      parsed += part.position;
      if (parsed > reader.length * overlapAllowed + 0x10000) throw reader.damaged('the subtables overlap', 2);
    }
    encodingRecords.push({ platformID, encodingID, subtable });
  }
  return { version, encodingRecords };
}

export function serialise(table: Cmap): Uint8Array {
  const writer = new Writer(1024).uint16(table.version).uint16(table.encodingRecords.length);
  const offsets = new Map<CmapSubtable, number>();
  writer.write(new Uint8Array(table.encodingRecords.length * 8));
  table.encodingRecords.forEach(({ platformID, encodingID, subtable }, i) => {
    let offset = offsets.get(subtable);
    if (offset === undefined) {
      offset = writer.length;
      offsets.set(subtable, offset);
      writer.write(serialiseSubtable(subtable));
    }
    writer
      .patchUint16(4 + i * 8, platformID)
      .patchUint16(6 + i * 8, encodingID)
      .patchUint32(8 + i * 8, offset);
  });
  return writer.bytes();
}

/** Platform and encoding of the subtables that map Unicode, the widest first; the symbol encoding comes last. */
const unicodeEncodings: readonly (readonly [number, number])[] = [
  [3, 10],
  [0, 6],
  [0, 4],
  [3, 1],
  [0, 3],
  [0, 2],
  [0, 1],
  [0, 0],
  [3, 0],
];

/** The subtable that a browser maps characters with, or undefined if there is none for Unicode. */
export function unicodeSubtable(table: Cmap): CmapSubtable | undefined {
  for (const [platformID, encodingID] of unicodeEncodings) {
    const record = table.encodingRecords.find(
      (r) => r.platformID === platformID && r.encodingID === encodingID,
    );
    if (record) return record.subtable;
  }
  return undefined;
}

/** The glyph of a character, 0 if the font doesn't have it. */
export function glyphIdOf(table: Cmap, codePoint: number): number {
  const subtable = unicodeSubtable(table);
  return subtable ? glyphIdIn(subtable, codePoint) : 0;
}

/** All characters that the font maps, ascending, each with its glyph. */
export function* mappingsOf(table: Cmap): Generator<[codePoint: number, glyphId: number]> {
  const subtable = unicodeSubtable(table);
  if (subtable) yield* mappingsIn(subtable);
}

/** The characters that the font maps, ascending, in runs. @param visit gets the first and the last of each */
export function eachRangeOf(table: Cmap, visit: (first: number, last: number) => void): void {
  const subtable = unicodeSubtable(table);
  if (subtable) eachMappedRange(subtable, visit);
}
