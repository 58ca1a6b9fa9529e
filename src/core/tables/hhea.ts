// OpenType: hhea, Horizontal Header Table

import type { Reader } from '../bytes/reader.js';
import { Writer } from '../bytes/writer.js';

export const tag = 'hhea';

/** All measures are in font units. */
export interface Hhea {
  majorVersion: number;
  minorVersion: number;
  ascender: number;
  descender: number;
  lineGap: number;
  advanceWidthMax: number;
  minLeftSideBearing: number;
  minRightSideBearing: number;
  xMaxExtent: number;
  caretSlopeRise: number;
  caretSlopeRun: number;
  caretOffset: number;
  metricDataFormat: number;
  numberOfHMetrics: number;
}

export function parse(reader: Reader): Hhea {
  const table = {
    majorVersion: reader.uint16(),
    minorVersion: reader.uint16(),
    ascender: reader.int16(),
    descender: reader.int16(),
    lineGap: reader.int16(),
    advanceWidthMax: reader.uint16(),
    minLeftSideBearing: reader.int16(),
    minRightSideBearing: reader.int16(),
    xMaxExtent: reader.int16(),
    caretSlopeRise: reader.int16(),
    caretSlopeRun: reader.int16(),
    caretOffset: reader.int16(),
  };
  reader.skip(8); // four reserved fields
  return { ...table, metricDataFormat: reader.int16(), numberOfHMetrics: reader.uint16() };
}

export function serialise(table: Hhea): Uint8Array {
  return new Writer(36)
    .uint16(table.majorVersion)
    .uint16(table.minorVersion)
    .int16(table.ascender)
    .int16(table.descender)
    .int16(table.lineGap)
    .uint16(table.advanceWidthMax)
    .int16(table.minLeftSideBearing)
    .int16(table.minRightSideBearing)
    .int16(table.xMaxExtent)
    .int16(table.caretSlopeRise)
    .int16(table.caretSlopeRun)
    .int16(table.caretOffset)
    .write(new Uint8Array(8))
    .int16(table.metricDataFormat)
    .uint16(table.numberOfHMetrics)
    .bytes();
}
