// OpenType: glyf, loca, hmtx, vmtx and gvar of partial files as one

import { Writer } from '../bytes/writer.js';
import { Reader } from '../bytes/reader.js';
import { keptRecord } from '../subset/outlines.js';
import { eachComponent } from '../tables/glyf-components.js';
import { glyf, loca } from '../tables/index.js';
import {
  eachSharedTuple,
  readGlyphVariations,
  writeGlyphVariations,
} from '../variations/glyph-variations.js';
import type { GlyphContents } from './glyph-contents.js';
import type { Numbering } from './numbering.js';
import type { PartialFont } from './partial-font.js';
import type { SharedTuples } from './shared-tuples.js';

/** glyf and loca, and the format of loca for head. Glyphs are made of the first ones that look as theirs do. */
export function joinedOutlines(
  parts: readonly PartialFont[],
  { origins, maps }: Numbering,
  contents: GlyphContents,
): { tables: Map<string, Uint8Array>; indexToLocFormat: number } {
  const firstOf = new Map<number, number>();
  origins.forEach((origin, newId) => {
    const content = contents.of(origin);
    if (!firstOf.has(content)) firstOf.set(content, newId);
  });
  const writer = new Writer(origins.length * 64);
  const offsets = new Uint32Array(origins.length + 1);
  origins.forEach(({ part, glyphId }, newId) => {
    const record = keptRecord(parts[part].font.table(glyf), glyphId, maps[part], true);
    writer.write(withFirstComponents(record, (component) => firstOf.get(contents.of(origins[component]))!));
    offsets[newId + 1] = writer.align(4).length;
  });
  const indexToLocFormat = writer.length <= loca.maximumShortOffset ? 0 : 1;
  const tables = new Map([
    [glyf.tag, writer.bytes()],
    [loca.tag, loca.serialise({ indexToLocFormat, offsets })],
  ]);
  return { tables, indexToLocFormat };
}

function withFirstComponents(record: Uint8Array, firstOf: (component: number) => number): Uint8Array {
  if (record.length < glyf.headerSize || record[0] < 0x80) return record;
  const changed = record.slice();
  const view = new DataView(changed.buffer);
  eachComponent(new Reader(record, glyf.tag).seek(glyf.headerSize), (component, at) =>
    view.setUint16(at + 2, firstOf(component)),
  );
  return changed;
}

/** hmtx or vmtx, with a long entry for each glyph. */
export function joinedMetrics(
  parts: readonly PartialFont[],
  { origins }: Numbering,
  headerTag: 'hhea' | 'vhea',
  metricsTag: 'hmtx' | 'vmtx',
): Uint8Array {
  const readers = parts.map(({ font }) => {
    const count = new Reader(font.bytesOf(headerTag), headerTag).seek(34).uint16();
    const reader = new Reader(font.bytesOf(metricsTag), metricsTag);
    if (count === 0) throw reader.damaged(`${headerTag} counts no metrics`);
    return { reader, count };
  });
  const writer = new Writer(origins.length * 4);
  for (const { part, glyphId } of origins) {
    const { reader, count } = readers[part];
    const long = Math.min(glyphId, count - 1);
    const advance = reader.seek(long * 4).uint16();
    writer.uint16(advance).int16(reader.skip((glyphId - long) * 2).int16());
  }
  return writer.bytes();
}

/** VORG: where glyphs of vertical text start; each part has another start for most of its own. */
export function joinedVerticalOrigins(parts: readonly PartialFont[], { origins }: Numbering): Uint8Array {
  const tables = parts.map(({ font }) => {
    const reader = new Reader(font.bytesOf('VORG'), 'VORG');
    const standard = reader.seek(4).int16();
    const own = new Map<number, number>();
    for (let left = reader.uint16(); left > 0; left--) own.set(reader.uint16(), reader.int16());
    return { standard, own };
  });
  const [{ standard }] = tables;
  const listed = origins.flatMap(({ part, glyphId }, newId): [number, number][] => {
    const origin = tables[part].own.get(glyphId) ?? tables[part].standard;
    return origin === standard ? [] : [[newId, origin]];
  });
  const writer = new Writer(8 + listed.length * 4).uint32(0x00010000).int16(standard).uint16(listed.length);
  for (const [newId, origin] of listed) writer.uint16(newId).int16(origin);
  return writer.bytes();
}

export function joinedGlyphVariations(
  parts: readonly PartialFont[],
  { origins }: Numbering,
  tuples: SharedTuples,
): Uint8Array {
  const tables = parts.map(({ font }) => readGlyphVariations(font));
  const [{ axisCount }] = tables;
  const records = origins.map(({ part, glyphId }) => {
    const record = tables[part].recordOf(glyphId);
    eachSharedTuple(record, axisCount, (index) => tuples.numberOf(part, index));
    return record;
  });
  return writeGlyphVariations(axisCount, tuples.list, records);
}
