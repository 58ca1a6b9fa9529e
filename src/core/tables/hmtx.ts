// OpenType: hmtx, Horizontal Metrics Table

import type { Reader } from '../bytes/reader.js';
import { Writer } from '../bytes/writer.js';
import type { Font } from '../sfnt/font.js';
import * as hhea from './hhea.js';
import * as maxp from './maxp.js';

export const tag = 'hmtx';

/** All measures are in font units. */
export interface Hmtx {
  /** One for each of the first `numberOfHMetrics` glyphs; the last one holds for all that follow. */
  advanceWidth: Uint16Array;
  /** One a glyph. */
  leftSideBearing: Int16Array;
}

export function parse(reader: Reader, font: Font): Hmtx {
  const { numberOfHMetrics } = font.table(hhea);
  const { numGlyphs } = font.table(maxp);
  if (numberOfHMetrics === 0 || numberOfHMetrics > numGlyphs) {
    throw reader.damaged(`hhea counts ${numberOfHMetrics} widths for ${numGlyphs} glyphs`);
  }
  const advanceWidth = new Uint16Array(numberOfHMetrics);
  const leftSideBearing = new Int16Array(numGlyphs);
  for (let i = 0; i < numberOfHMetrics; i++) {
    advanceWidth[i] = reader.uint16();
    leftSideBearing[i] = reader.int16();
  }
  leftSideBearing.set(reader.int16Array(numGlyphs - numberOfHMetrics), numberOfHMetrics);
  return { advanceWidth, leftSideBearing };
}

export function serialise(table: Hmtx): Uint8Array {
  const { advanceWidth, leftSideBearing } = table;
  const writer = new Writer(advanceWidth.length * 2 + leftSideBearing.length * 2);
  for (let i = 0; i < advanceWidth.length; i++) writer.uint16(advanceWidth[i]).int16(leftSideBearing[i]);
  return writer.int16Array(leftSideBearing.subarray(advanceWidth.length)).bytes();
}

/** The advance of a glyph, in font units. */
export function advanceOf(table: Hmtx, glyphId: number): number {
  return table.advanceWidth[Math.min(glyphId, table.advanceWidth.length - 1)];
}
