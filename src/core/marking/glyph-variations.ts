// OpenType: gvar: a glyph more, which doesn't vary

import { Reader } from '../bytes/reader.js';
import { Writer } from '../bytes/writer.js';

const longOffsets = 1;

/** @throws DenseGlyphError `table-damaged` */
export function withOneMore(table: Uint8Array): Uint8Array {
  const reader = new Reader(table, 'gvar');
  const [major, minor, axisCount, sharedCount] = reader.uint16Array(4);
  const sharedAt = reader.uint32();
  const [glyphCount, flags] = reader.uint16Array(2);
  const dataAt = reader.uint32();
  const size = flags & longOffsets ? 4 : 2;
  const start = reader.position;
  const offsets = reader.take((glyphCount + 1) * size);
  const writer = new Writer(table.length + size)
    .uint16(major)
    .uint16(minor)
    .uint16(axisCount)
    .uint16(sharedCount)
    .uint32(sharedAt + size)
    .uint16(glyphCount + 1)
    .uint16(flags)
    .uint32(dataAt + size)
    .write(offsets)
    .write(offsets.subarray(offsets.length - size));
  return writer.write(table.subarray(start + offsets.length)).bytes();
}
