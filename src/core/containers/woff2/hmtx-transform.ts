// WOFF File Format 2.0, section 5.4: transformed hmtx table format

import { Reader } from '../../bytes/reader.js';
import { Writer } from '../../bytes/writer.js';
import * as hmtx from '../../tables/hmtx.js';

/** Bit 0: the side bearings of glyphs with a width of their own are left out; bit 1: those of the glyphs after. */
const leftOut = { proportional: 1, monospaced: 2 } as const;

/**
 * The table without the left side bearings that equal the glyph's xMin.
 *
 * @param xMin one a glyph, in font units; 0 for a glyph without an outline
 * @returns undefined where no side bearing can be left out
 */
export function transformHmtx(table: hmtx.Hmtx, xMin: Int16Array): Uint8Array | undefined {
  const { advanceWidth, leftSideBearing } = table;
  const split = advanceWidth.length;
  const follows = (from: number, to: number) => {
    for (let i = from; i < to; i++) if (leftSideBearing[i] !== xMin[i]) return false;
    return true;
  };
  const flags =
    (follows(0, split) ? leftOut.proportional : 0) |
    (follows(split, leftSideBearing.length) ? leftOut.monospaced : 0);
  if (flags === 0) return undefined;
  const writer = new Writer(1 + split * 2 + leftSideBearing.length * 2)
    .uint8(flags)
    .uint16Array(advanceWidth);
  if (!(flags & leftOut.proportional)) writer.int16Array(leftSideBearing.subarray(0, split));
  if (!(flags & leftOut.monospaced)) writer.int16Array(leftSideBearing.subarray(split));
  return writer.bytes();
}

/** @throws DenseGlyphError `table-damaged` */
export function rebuildHmtx(bytes: Uint8Array, numberOfHMetrics: number, xMin: Int16Array): Uint8Array {
  const reader = new Reader(bytes, hmtx.tag);
  const flags = reader.uint8();
  const numGlyphs = xMin.length;
  if (numberOfHMetrics === 0 || numberOfHMetrics > numGlyphs) {
    throw reader.damaged(`hhea counts ${numberOfHMetrics} widths for ${numGlyphs} glyphs`);
  }
  if (flags === 0 || flags > 3) throw reader.damaged(`the transform has the flags ${flags}`, 0);
  const advanceWidth = reader.uint16Array(numberOfHMetrics);
  const leftSideBearing = xMin.slice();
  if (!(flags & leftOut.proportional)) leftSideBearing.set(reader.int16Array(numberOfHMetrics));
  if (!(flags & leftOut.monospaced)) {
    leftSideBearing.set(reader.int16Array(numGlyphs - numberOfHMetrics), numberOfHMetrics);
  }
  return hmtx.serialise({ advanceWidth, leftSideBearing });
}
