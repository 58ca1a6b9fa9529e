import { DenseGlyphError } from '../../errors.js';
import { emptyHash, hashPrime } from './hash.js';

/** Bytes up to which a loop is faster than a view. */
const smallPiece = 48;

/** Writes big-endian values into a buffer that grows; sizes and offsets are patched afterwards. */
export class Writer {
  // No DataView: it would move small buffers, of which layout tables take thousands, off the heap.
  private buffer: Uint8Array;
  /** Bytes written so far. */
  length = 0;

  /** @param capacity bytes to reserve at first */
  constructor(capacity = 256) {
    this.buffer = new Uint8Array(Math.max(capacity, 16));
  }

  private reserve(size: number): number {
    const at = this.length;
    const needed = at + size;
    if (needed > this.buffer.length) {
      const grown = new Uint8Array(Math.max(needed, this.buffer.length * 2));
      grown.set(this.buffer.subarray(0, at));
      this.buffer = grown;
    }
    this.length = needed;
    return at;
  }

  private put16(at: number, value: number): void {
    this.buffer[at] = value >>> 8;
    this.buffer[at + 1] = value;
  }

  private put32(at: number, value: number): void {
    this.put16(at, value >>> 16);
    this.put16(at + 2, value);
  }

  uint8(value: number): this {
    const at = this.reserve(1);
    this.buffer[at] = value;
    return this;
  }

  uint16(value: number): this {
    const at = this.reserve(2);
    this.put16(at, checked(value, 0, 0xffff));
    return this;
  }

  int16(value: number): this {
    const at = this.reserve(2);
    this.put16(at, checked(value, -0x8000, 0x7fff));
    return this;
  }

  uint24(value: number): this {
    checked(value, 0, 0xffffff);
    return this.uint8(value >>> 16)
      .uint8((value >>> 8) & 0xff)
      .uint8(value & 0xff);
  }

  uint32(value: number): this {
    const at = this.reserve(4);
    this.put32(at, checked(value, 0, 0xffffffff));
    return this;
  }

  int32(value: number): this {
    const at = this.reserve(4);
    this.put32(at, checked(value, -0x80000000, 0x7fffffff));
    return this;
  }

  /** A 16.16 number. */
  fixed(value: number): this {
    return this.int32(Math.round(value * 65536));
  }

  /** A 2.14 number. */
  f2dot14(value: number): this {
    return this.int16(Math.round(value * 16384));
  }

  /** Seconds since 1904-01-01. */
  longDateTime(value: bigint): this {
    const at = this.reserve(8);
    this.put32(at, Number((value >> 32n) & 0xffffffffn));
    this.put32(at + 4, Number(value & 0xffffffffn));
    return this;
  }

  tag(value: string): this {
    for (let i = 0; i < 4; i++) this.uint8(i < value.length ? value.charCodeAt(i) : 0x20);
    return this;
  }

  write(values: Uint8Array): this {
    const at = this.reserve(values.length);
    this.buffer.set(values, at);
    return this;
  }

  /** What another one has written. Most pieces are small, and a view of one takes longer than to copy it. */
  append({ buffer, length }: Writer): this {
    const at = this.reserve(length);
    if (length > smallPiece) this.buffer.set(buffer.subarray(0, length), at);
    else for (let i = 0; i < length; i++) this.buffer[at + i] = buffer[i];
    return this;
  }

  uint16Array(values: ArrayLike<number>): this {
    for (let i = 0; i < values.length; i++) this.uint16(values[i]);
    return this;
  }

  int16Array(values: ArrayLike<number>): this {
    for (let i = 0; i < values.length; i++) this.int16(values[i]);
    return this;
  }

  /** Room for so many bytes, for loops that write them one by one; holds until the next call of this writer. */
  claim(size: number): Uint8Array {
    const at = this.reserve(size);
    return this.buffer.subarray(at, at + size);
  }

  /** Takes back the last bytes of what was claimed. */
  giveBack(size: number): this {
    this.length -= size;
    return this;
  }

  /** Zero bytes up to the next multiple of `alignment`. */
  align(alignment: number): this {
    const at = this.reserve((alignment - (this.length % alignment)) % alignment);
    this.buffer.fill(0, at, this.length);
    return this;
  }

  patchUint16(at: number, value: number): this {
    this.put16(at, checked(value, 0, 0xffff));
    return this;
  }

  patchUint32(at: number, value: number): this {
    this.put32(at, checked(value, 0, 0xffffffff));
    return this;
  }

  /** A hash of what was written. */
  hash(): number {
    const { buffer, length } = this;
    let hash = emptyHash;
    for (let i = 0; i < length; i++) hash = Math.imul(hash ^ buffer[i], hashPrime);
    return hash;
  }

  /** Whether another one has written the same bytes. */
  holdsSame({ buffer, length }: Writer): boolean {
    if (length !== this.length) return false;
    for (let i = 0; i < length; i++) if (buffer[i] !== this.buffer[i]) return false;
    return true;
  }

  /** What was written, as a view that the next write may move away from. */
  bytes(): Uint8Array {
    return this.buffer.subarray(0, this.length);
  }
}

function checked(value: number, low: number, high: number): number {
  if (!(value >= low && value <= high)) {
    throw new DenseGlyphError('value-unwritable', `${value} doesn't fit a field from ${low} to ${high}`);
  }
  return value;
}
