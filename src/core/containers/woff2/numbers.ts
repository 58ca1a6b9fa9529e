// WOFF File Format 2.0, section 3: variable-length numbers

import type { Reader } from '../../bytes/reader.js';
import type { Writer } from '../../bytes/writer.js';

/** UIntBase128: seven bits a byte, at most five bytes, no leading zeros. */
export function readUIntBase128(reader: Reader): number {
  let value = 0;
  for (let i = 0; i < 5; i++) {
    const byte = reader.uint8();
    if (i === 0 && byte === 0x80) throw reader.damaged('a UIntBase128 number has leading zeros');
    if (value > 0x1ffffff) throw reader.damaged('a UIntBase128 number has more than 32 bits');
    value = value * 128 + (byte & 0x7f);
    if (byte < 0x80) return value;
  }
  throw reader.damaged('a UIntBase128 number has more than five bytes');
}

export function writeUIntBase128(writer: Writer, value: number): void {
  let shift = 0;
  while (value >>> (shift + 7) > 0 && shift < 28) shift += 7;
  for (; shift > 0; shift -= 7) writer.uint8(((value >>> shift) & 0x7f) | 0x80);
  writer.uint8(value & 0x7f);
}

const wordCode = 253;
const oneMoreByteCode2 = 254;
const oneMoreByteCode1 = 255;
const lowestUCode = 253;

/** 255UInt16: one byte for most numbers, at most three. */
export function read255UInt16(reader: Reader): number {
  const code = reader.uint8();
  if (code === wordCode) return reader.uint16();
  if (code === oneMoreByteCode1) return reader.uint8() + lowestUCode;
  if (code === oneMoreByteCode2) return reader.uint8() + lowestUCode * 2;
  return code;
}

export function write255UInt16(writer: Writer, value: number): void {
  if (value < lowestUCode) writer.uint8(value);
  else if (value < lowestUCode + 256) writer.uint8(oneMoreByteCode1).uint8(value - lowestUCode);
  else if (value < lowestUCode * 2 + 256) writer.uint8(oneMoreByteCode2).uint8(value - lowestUCode * 2);
  else writer.uint8(wordCode).uint16(value);
}
