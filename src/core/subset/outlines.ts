// OpenType: glyf, loca and maxp of the glyphs that stay

import { Reader } from '../bytes/reader.js';
import { Writer } from '../bytes/writer.js';
import type { GlyphMap } from '../layout/common/glyph-map.js';
import type { Font } from '../sfnt/font.js';
import { componentFlag, eachComponent } from '../tables/glyf-components.js';
import { glyf, loca, maxp } from '../tables/index.js';

/**
 * glyf and loca, and the format of loca for head.
 *
 * @param hinted whether instructions stay
 * @param short whether to write points anew, with flags that repeat and coordinates of one byte where a font has them longer
 */
export function keptGlyf(
  font: Font,
  map: GlyphMap,
  hinted: boolean,
  short: boolean,
): { tables: Map<string, Uint8Array>; indexToLocFormat: number } {
  const table = font.table(glyf);
  const writer = new Writer(map.size * 64);
  const offsets = new Uint32Array(map.size + 1);
  map.oldIds.forEach((oldId, newId) => {
    const record = keptRecord(table, oldId, map, hinted);
    writer.write(short ? shortest(record, oldId) : record).align(4);
    offsets[newId + 1] = writer.length;
  });
  const indexToLocFormat = writer.length <= loca.maximumShortOffset ? 0 : 1;
  const tables = new Map([
    [glyf.tag, writer.bytes()],
    [loca.tag, loca.serialise({ indexToLocFormat, offsets })],
  ]);
  return { tables, indexToLocFormat };
}

/** A glyph's bytes with its components renumbered, and without instructions where those go. */
export function keptRecord(table: glyf.Glyf, oldId: number, map: GlyphMap, hinted: boolean): Uint8Array {
  const record = glyf.recordOf(table, oldId);
  if (record.length < glyf.headerSize) return new Uint8Array(0);
  const reader = new Reader(record, glyf.tag, table.offsets[oldId]);
  const numberOfContours = reader.int16();
  if (numberOfContours === 0) return new Uint8Array(0);
  if (numberOfContours > 0) return hinted ? record : withoutInstructions(reader, record, numberOfContours);
  return keptComposite(reader, record, oldId, map, hinted);
}

function keptComposite(
  reader: Reader,
  record: Uint8Array,
  oldId: number,
  map: GlyphMap,
  hinted: boolean,
): Uint8Array {
  const kept = record.slice();
  const hasInstructions = eachComponent(reader.seek(glyf.headerSize), (glyphIndex, at) => {
    const newId = map.newId(glyphIndex);
    if (newId === undefined) {
      throw reader.damaged(`glyph ${oldId} is made of glyph ${glyphIndex}, which is missing`, 0);
    }
    if (!hinted) kept[at] &= ~(componentFlag.weHaveInstructions >> 8);
    kept[at + 2] = newId >> 8;
    kept[at + 3] = newId & 0xff;
  });
  if (hinted && hasInstructions) reader.skip(reader.uint16());
  return kept.subarray(0, reader.position);
}

function shortest(record: Uint8Array, oldId: number): Uint8Array {
  if (record.length === 0) return record;
  const glyph = glyf.parseGlyph(new Reader(record, glyf.tag), oldId);
  const again = glyph?.kind === 'simple' ? glyf.serialiseGlyph(glyph) : record;
  return again.length < record.length ? again : record;
}

function withoutInstructions(reader: Reader, record: Uint8Array, numberOfContours: number): Uint8Array {
  const lengthAt = glyf.headerSize + numberOfContours * 2;
  const length = reader.seek(lengthAt).uint16();
  if (length === 0) return record;
  reader.skip(length);
  return new Writer(record.length)
    .write(record.subarray(0, lengthAt))
    .uint16(0)
    .write(record.subarray(reader.position))
    .bytes();
}

/** Limits stay as bounds for what is left; those of instructions go with them. */
export function keptMaxp(font: Font, map: GlyphMap, hinted: boolean): Uint8Array {
  const { version, limits } = font.table(maxp);
  const kept = limits && { ...limits };
  if (kept && !hinted)
    for (const field of maxp.instructionFields) kept[field] = maxp.limitsWithoutInstructions[field];
  return maxp.serialise({ version, numGlyphs: map.size, ...(kept ? { limits: kept } : {}) });
}
