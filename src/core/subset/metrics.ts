// OpenType: hhea and hmtx, vhea and vmtx, VORG of the glyphs that stay

import { Reader } from '../bytes/reader.js';
import { Writer } from '../bytes/writer.js';
import type { GlyphMap } from '../layout/common/glyph-map.js';
import type { Font } from '../sfnt/font.js';
import { maxp } from '../tables/index.js';

/** vhea and vmtx are laid out like hhea and hmtx; the count of long metrics is the last field. */
const countAt = 34;

/** Advances and bearings of glyphs, in font units: typed arrays, as there may be 65,000. */
export interface Metrics {
  advances: Uint16Array;
  bearings: Int16Array;
}

export const metricsFor = (count: number): Metrics => ({
  advances: new Uint16Array(count),
  bearings: new Int16Array(count),
});

/**
 * @returns puts the metrics of a glyph at a place of others
 * @throws DenseGlyphError `table-missing`, `table-damaged`
 */
export function metricsReader(
  font: Font,
  headerTag: 'hhea' | 'vhea',
  metricsTag: 'hmtx' | 'vmtx',
): (glyphId: number, metrics: Metrics, at: number) => void {
  const longCount = new Reader(font.bytesOf(headerTag), headerTag).seek(countAt).uint16();
  const { numGlyphs } = font.table(maxp);
  const reader = new Reader(font.bytesOf(metricsTag), metricsTag);
  if (longCount === 0 || longCount > numGlyphs) {
    throw reader.damaged(`${headerTag} counts ${longCount} metrics for ${numGlyphs} glyphs`);
  }
  // Those behind the long metrics have the last advance.
  return (glyphId, { advances, bearings }, at) => {
    const long = Math.min(glyphId, longCount - 1);
    advances[at] = reader.seek(long * 4).uint16();
    bearings[at] = reader.skip((glyphId - long) * 2).uint16();
  };
}

/** @param header as it is stored; only its count changes */
export function writeMetrics(
  header: Uint8Array,
  { advances, bearings }: Metrics,
): { header: Uint8Array; metrics: Uint8Array } {
  let count = advances.length;
  while (count > 1 && advances[count - 1] === advances[count - 2]) count--;
  const writer = new Writer(advances.length * 4);
  for (let i = 0; i < count; i++) writer.uint16(advances[i]).int16(bearings[i]);
  writer.int16Array(bearings.subarray(count));
  return {
    header: new Writer(header.length).write(header).patchUint16(countAt, count).bytes(),
    metrics: writer.bytes(),
  };
}

/** A header and its metrics, for one direction of writing. */
export function keptMetrics(
  font: Font,
  headerTag: 'hhea' | 'vhea',
  metricsTag: 'hmtx' | 'vmtx',
  map: GlyphMap,
): Map<string, Uint8Array> {
  const read = metricsReader(font, headerTag, metricsTag);
  const metrics = metricsFor(map.size);
  for (let i = 0; i < map.size; i++) read(map.oldIds[i], metrics, i);
  const written = writeMetrics(font.bytesOf(headerTag), metrics);
  return new Map([
    [headerTag, written.header],
    [metricsTag, written.metrics],
  ]);
}

/** VORG: where glyphs of vertical text start, in font units. */
export interface VerticalOrigins {
  version: number;
  standard: number;
  /** Of those that start elsewhere. */
  own: ReadonlyMap<number, number>;
}

/** @throws DenseGlyphError `table-missing`, `table-damaged` */
export function readVerticalOrigins(font: Font): VerticalOrigins {
  const reader = new Reader(font.bytesOf('VORG'), 'VORG');
  const version = reader.uint32();
  const standard = reader.int16();
  const own = new Map<number, number>();
  for (let left = reader.uint16(); left > 0; left--) own.set(reader.uint16(), reader.int16());
  return { version, standard, own };
}

export function writeVerticalOrigins({ version, standard, own }: VerticalOrigins): Uint8Array {
  const origins = [...own].filter(([, origin]) => origin !== standard).sort(([a], [b]) => a - b);
  const writer = new Writer(8 + origins.length * 4).uint32(version).int16(standard).uint16(origins.length);
  for (const [glyphId, origin] of origins) writer.uint16(glyphId).int16(origin);
  return writer.bytes();
}

/** VORG of the glyphs that stay. */
export function keptVerticalOrigins(font: Font, map: GlyphMap): Uint8Array {
  const { own, ...table } = readVerticalOrigins(font);
  const kept = [...own].flatMap(([oldId, origin]): [number, number][] => {
    const newId = map.newId(oldId);
    return newId === undefined ? [] : [[newId, origin]];
  });
  return writeVerticalOrigins({ ...table, own: new Map(kept) });
}
