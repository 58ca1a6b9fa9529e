// OpenType: glyf, loca, hmtx, vmtx and gvar of partial files as one

import { Writer } from '../bytes/writer.js';
import { Reader } from '../bytes/reader.js';
import {
  metricsFor,
  metricsReader,
  readVerticalOrigins,
  writeMetrics,
  writeVerticalOrigins,
} from '../subset/metrics.js';
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

/** A header and its metrics, for one direction of writing. @param header whose other fields count */
export function joinedMetrics(
  parts: readonly PartialFont[],
  { origins }: Numbering,
  header: Uint8Array,
  [headerTag, metricsTag]: readonly ['hhea', 'hmtx'] | readonly ['vhea', 'vmtx'],
): [tag: string, bytes: Uint8Array][] {
  const readers = parts.map(({ font }) => metricsReader(font, headerTag, metricsTag));
  const metrics = metricsFor(origins.length);
  origins.forEach(({ part, glyphId }, newId) => readers[part](glyphId, metrics, newId));
  const written = writeMetrics(header, metrics);
  return [
    [headerTag, written.header],
    [metricsTag, written.metrics],
  ];
}

/** VORG; each part has another start for most of its own glyphs. */
export function joinedVerticalOrigins(parts: readonly PartialFont[], { origins }: Numbering): Uint8Array {
  const tables = parts.map(({ font }) => readVerticalOrigins(font));
  const own = origins.map(({ part, glyphId }, newId): [number, number] => [
    newId,
    tables[part].own.get(glyphId) ?? tables[part].standard,
  ]);
  return writeVerticalOrigins({ ...tables[0], own: new Map(own) });
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
