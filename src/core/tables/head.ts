// OpenType: head, Font Header Table

import type { Reader } from '../bytes/reader.js';
import { Writer } from '../bytes/writer.js';

export const tag = 'head';

export interface Head {
  majorVersion: number;
  minorVersion: number;
  fontRevision: number;
  checkSumAdjustment: number;
  magicNumber: number;
  flags: number;
  /** Font units in one em. */
  unitsPerEm: number;
  created: bigint;
  modified: bigint;
  xMin: number;
  yMin: number;
  xMax: number;
  yMax: number;
  macStyle: number;
  lowestRecPPEM: number;
  fontDirectionHint: number;
  /** 0: loca holds half offsets in 16 bits; 1: offsets in 32 bits. */
  indexToLocFormat: number;
  glyphDataFormat: number;
}

/** Bits of `macStyle`. */
export const macStyle = { bold: 1 << 0, italic: 1 << 1 } as const;
/** Bit 11 of `flags`: the font went through a lossless transform such as WOFF2's. */
export const losslessTransformFlag = 1 << 11;

export function parse(reader: Reader): Head {
  return {
    majorVersion: reader.uint16(),
    minorVersion: reader.uint16(),
    fontRevision: reader.fixed(),
    checkSumAdjustment: reader.uint32(),
    magicNumber: reader.uint32(),
    flags: reader.uint16(),
    unitsPerEm: reader.uint16(),
    created: reader.longDateTime(),
    modified: reader.longDateTime(),
    xMin: reader.int16(),
    yMin: reader.int16(),
    xMax: reader.int16(),
    yMax: reader.int16(),
    macStyle: reader.uint16(),
    lowestRecPPEM: reader.uint16(),
    fontDirectionHint: reader.int16(),
    indexToLocFormat: reader.int16(),
    glyphDataFormat: reader.int16(),
  };
}

export function serialise(table: Head): Uint8Array {
  return new Writer(54)
    .uint16(table.majorVersion)
    .uint16(table.minorVersion)
    .fixed(table.fontRevision)
    .uint32(table.checkSumAdjustment)
    .uint32(table.magicNumber)
    .uint16(table.flags)
    .uint16(table.unitsPerEm)
    .longDateTime(table.created)
    .longDateTime(table.modified)
    .int16(table.xMin)
    .int16(table.yMin)
    .int16(table.xMax)
    .int16(table.yMax)
    .uint16(table.macStyle)
    .uint16(table.lowestRecPPEM)
    .int16(table.fontDirectionHint)
    .int16(table.indexToLocFormat)
    .int16(table.glyphDataFormat)
    .bytes();
}
