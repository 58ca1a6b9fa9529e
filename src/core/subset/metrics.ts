// OpenType: hhea and hmtx, vhea and vmtx, VORG of the glyphs that stay

import { Reader } from '../bytes/reader.js';
import { Writer } from '../bytes/writer.js';
import type { GlyphMap } from '../layout/glyph-map.js';
import type { Font } from '../sfnt/font.js';
import { maxp } from '../tables/index.js';

/** vhea and vmtx are laid out like hhea and hmtx; the count of long metrics is the last field. */
const countAt = 34;

/** A header and its metrics, for one direction of writing. */
export function keptMetrics(
  font: Font,
  headerTag: 'hhea' | 'vhea',
  metricsTag: 'hmtx' | 'vmtx',
  map: GlyphMap,
): Map<string, Uint8Array> {
  const header = font.bytesOf(headerTag);
  const longCount = new Reader(header, headerTag).seek(countAt).uint16();
  const { numGlyphs } = font.table(maxp);
  const reader = new Reader(font.bytesOf(metricsTag), metricsTag);
  if (longCount === 0 || longCount > numGlyphs) {
    throw reader.damaged(`${headerTag} counts ${longCount} metrics for ${numGlyphs} glyphs`);
  }
  const [advances, bearings] = readMetrics(reader, longCount, map.oldIds);
  let count = advances.length;
  while (count > 1 && advances[count - 1] === advances[count - 2]) count--;
  const metrics = new Writer(map.size * 4);
  for (let i = 0; i < count; i++) metrics.uint16(advances[i]).int16(bearings[i]);
  metrics.int16Array(bearings.subarray(count));
  const keptHeader = new Writer(header.length).write(header).patchUint16(countAt, count).bytes();
  return new Map([
    [headerTag, keptHeader],
    [metricsTag, metrics.bytes()],
  ]);
}

/** Advances and bearings of some glyphs. Those behind the long metrics have the last advance. */
function readMetrics(
  reader: Reader,
  longCount: number,
  glyphs: readonly number[],
): [advances: Uint16Array, bearings: Int16Array] {
  const advances = new Uint16Array(glyphs.length);
  const bearings = new Int16Array(glyphs.length);
  for (let i = 0; i < glyphs.length; i++) {
    const long = Math.min(glyphs[i], longCount - 1);
    advances[i] = reader.seek(long * 4).uint16();
    bearings[i] = reader.skip((glyphs[i] - long) * 2).uint16();
  }
  return [advances, bearings];
}

/** VORG: where glyphs of vertical text start. */
export function keptVerticalOrigins(font: Font, map: GlyphMap): Uint8Array {
  const reader = new Reader(font.bytesOf('VORG'), 'VORG');
  const version = reader.uint32();
  const standard = reader.int16();
  const count = reader.uint16();
  const origins: [number, number][] = [];
  for (let i = 0; i < count; i++) {
    const newId = map.newId(reader.uint16());
    const origin = reader.int16();
    if (newId !== undefined && origin !== standard) origins.push([newId, origin]);
  }
  origins.sort(([a], [b]) => a - b);
  const writer = new Writer(8 + origins.length * 4).uint32(version).int16(standard).uint16(origins.length);
  for (const [glyphId, origin] of origins) writer.uint16(glyphId).int16(origin);
  return writer.bytes();
}
