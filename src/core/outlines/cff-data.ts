// Adobe Technical Note 5176, sections 4 (DICT) and 5 (INDEX); OpenType: CFF2, sections 5 and 6

import type { Reader } from '../bytes/reader.js';
import { Writer } from '../bytes/writer.js';

/** Objects of any length, one after the other; read when they are asked for. */
export interface CffIndex {
  count: number;
  /** Bytes of an object, as a view. */
  at(index: number): Uint8Array;
  /** Bytes from the start of the table to what follows the INDEX. */
  end: number;
}

/** @param countSize bytes of the count: 2 in CFF, 4 in CFF2 */
export function readIndex(reader: Reader, start: number, countSize: 2 | 4 = 2): CffIndex {
  const count = countSize === 2 ? reader.seek(start).uint16() : reader.seek(start).uint32();
  const offSizeAt = start + countSize;
  if (count === 0) return { count, end: offSizeAt, at: (index) => missing(reader, start, index, count) };
  const offSize = reader.uint8();
  if (offSize < 1 || offSize > 4) throw reader.damaged(`an INDEX has offsets of ${offSize} bytes`, offSizeAt);
  const offsets = offSizeAt + 1;
  const data = offsets + (count + 1) * offSize - 1; // offsets count from 1
  if (data > reader.length) throw reader.damaged(`an INDEX of ${count} objects ends past the table`, start);
  const offsetOf = (index: number) => {
    let offset = 0;
    const at = offsets + index * offSize;
    for (let i = 0; i < offSize; i++) offset = offset * 256 + reader.bytes[at + i];
    return offset;
  };
  const checked = (index: number, from: number, to: number) => {
    if (from < 1 || to < from || data + to > reader.length) {
      throw reader.damaged(`object ${index} of an INDEX does not lie in the table`, start);
    }
  };
  const last = offsetOf(count);
  checked(count - 1, last, last);
  return {
    count,
    end: data + last,
    at(index) {
      if (!(index >= 0 && index < count)) return missing(reader, start, index, count);
      const from = offsetOf(index);
      const to = offsetOf(index + 1);
      checked(index, from, to);
      return reader.bytes.subarray(data + from, data + to);
    },
  };
}

function missing(reader: Reader, start: number, index: number, count: number): never {
  throw reader.damaged(`object ${index} is asked for, but the INDEX has ${count}`, start);
}

/** Operators by number, those of two bytes as 1200 + the second, with their operands. */
export type CffDict = ReadonlyMap<number, readonly number[]>;

/** Operators of Top, Font and Private DICTs that are read here. */
export const operator = {
  charset: 15,
  encoding: 16,
  charStrings: 17,
  private: 18,
  subrs: 19,
  defaultWidthX: 20,
  nominalWidthX: 21,
  vsindex: 22,
  blend: 23,
  vstore: 24,
  blueValues: 6,
  fontMatrix: 1207,
  cidCount: 1234,
  ros: 1230,
  fdArray: 1236,
  fdSelect: 1237,
} as const;

/** Bytes of a DICT; variable fonts with many masters stay under a tenth of it. */
const maximumDictSize = 0x4000;
/** More operands than any operator takes, even in CFF2. */
const maximumOperands = 513;
const nibbles = ['0', '1', '2', '3', '4', '5', '6', '7', '8', '9', '.', 'E', 'E-', '', '-'];

/** @param reader of the DICT alone */
export function readDict(reader: Reader): CffDict {
  if (reader.length > maximumDictSize)
    throw reader.damaged(`a DICT of ${reader.length} bytes is too long`, 0);
  const entries = new Map<number, readonly number[]>();
  let operands: number[] = [];
  while (reader.remaining > 0) {
    const byte = reader.uint8();
    if (byte <= 27) {
      const key = byte === 12 ? 1200 + reader.uint8() : byte;
      // The first of several blended values is that of the default instance; the deltas behind it are left alone.
      entries.set(key, operands);
      operands = [];
    } else {
      operands.push(readOperand(reader, byte));
      if (operands.length > maximumOperands) throw reader.damaged('a DICT has too many operands');
    }
  }
  return entries;
}

/**
 * The operands of each operator as bytes, for those who write a DICT anew.
 *
 * @param reader of the DICT alone
 */
export function readRawDict(reader: Reader): Map<number, Uint8Array> {
  const entries = new Map<number, Uint8Array>();
  let start = 0;
  while (reader.remaining > 0) {
    const { position } = reader;
    const byte = reader.uint8();
    if (byte > 27) {
      readOperand(reader, byte);
      continue;
    }
    const key = byte === 12 ? 1200 + reader.uint8() : byte;
    entries.set(key, reader.bytes.subarray(start, position));
    start = reader.position;
  }
  return entries;
}

/** A DICT of operators with their operands as bytes; ROS has to come first. */
export function dictBytes(entries: Iterable<readonly [key: number, operands: Uint8Array]>): Uint8Array {
  const writer = new Writer(128);
  for (const [key, operands] of entries) {
    writer.write(operands);
    if (key >= 1200) writer.uint8(12).uint8(key - 1200);
    else writer.uint8(key);
  }
  return writer.bytes();
}

/** A whole number in five bytes, whatever its size, so that offsets can be known before they are written. */
export const fiveByteOperand = (value: number): Uint8Array => new Writer(5).uint8(29).int32(value).bytes();

/** A whole number of 16 bits, as DICTs and charstrings write it, in as few bytes as it takes. */
export function writeInteger(writer: Writer, value: number): void {
  if (value >= -107 && value <= 107) writer.uint8(value + 139);
  else if (value >= 108 && value <= 1131)
    writer.uint8(247 + ((value - 108) >> 8)).uint8((value - 108) & 0xff);
  else if (value <= -108 && value >= -1131)
    writer.uint8(251 + ((-value - 108) >> 8)).uint8((-value - 108) & 0xff);
  else writer.uint8(28).int16(value);
}

/** An INDEX with offsets as short as they can be. */
export function indexBytes(objects: readonly Uint8Array[]): Uint8Array {
  const size = objects.reduce((sum, { length }) => sum + length, 0);
  const writer = new Writer(size + 3 + (objects.length + 1) * 4).uint16(objects.length);
  if (objects.length === 0) return writer.bytes();
  const offSize = size + 1 < 0x100 ? 1 : size + 1 < 0x10000 ? 2 : size + 1 < 0x1000000 ? 3 : 4;
  writer.uint8(offSize);
  let offset = 1;
  for (const length of [0, ...objects.map((object) => object.length)]) {
    offset += length;
    for (let byte = offSize - 1; byte >= 0; byte--) writer.uint8((offset >>> (byte * 8)) & 0xff);
  }
  for (const object of objects) writer.write(object);
  return writer.bytes();
}

function readOperand(reader: Reader, byte: number): number {
  if (byte >= 32 && byte <= 246) return byte - 139;
  if (byte >= 247 && byte <= 250) return (byte - 247) * 256 + reader.uint8() + 108;
  if (byte >= 251 && byte <= 254) return -(byte - 251) * 256 - reader.uint8() - 108;
  if (byte === 28) return reader.int16();
  if (byte === 29) return reader.int32();
  if (byte === 30) return readReal(reader);
  throw reader.damaged(`byte ${byte} of a DICT is reserved`);
}

function readReal(reader: Reader): number {
  let text = '';
  for (;;) {
    const byte = reader.uint8();
    for (const nibble of [byte >>> 4, byte & 15]) {
      if (nibble === 15) return Number(text) || 0;
      text += nibbles[nibble] ?? '';
    }
    if (text.length > 64) throw reader.damaged('a number of a DICT has over 64 digits');
  }
}
