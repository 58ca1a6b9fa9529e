// OpenType: loca, Index to Location

import type { Reader } from '../bytes/reader.js';
import { Writer } from '../bytes/writer.js';
import type { Font } from '../sfnt/font.js';
import * as head from './head.js';
import * as maxp from './maxp.js';

export const tag = 'loca';

export interface Loca {
  /** As in `head.indexToLocFormat`: 0 short, 1 long. */
  indexToLocFormat: number;
  /** Bytes from the start of glyf; one a glyph and one more for the end of the last. */
  offsets: Uint32Array;
}

/** The largest offset that the short format can hold, in bytes. */
export const maximumShortOffset = 0xffff * 2;

export function parse(reader: Reader, font: Font): Loca {
  const { indexToLocFormat } = font.table(head);
  const count = font.table(maxp).numGlyphs + 1;
  const size = indexToLocFormat === 0 ? 2 : 4;
  if (reader.remaining < count * size) {
    throw reader.damaged(`${count} offsets need ${count * size} bytes, but loca has ${reader.length}`);
  }
  if (size === 4) return { indexToLocFormat, offsets: reader.uint32Array(count) };
  const halves = reader.uint16Array(count);
  const offsets = new Uint32Array(count);
  for (let i = 0; i < count; i++) offsets[i] = halves[i] * 2;
  return { indexToLocFormat, offsets };
}

export function serialise(table: Loca): Uint8Array {
  const { indexToLocFormat, offsets } = table;
  const writer = new Writer(offsets.length * 4);
  for (const offset of offsets) {
    if (indexToLocFormat === 0) writer.uint16(offset / 2);
    else writer.uint32(offset);
  }
  return writer.bytes();
}
