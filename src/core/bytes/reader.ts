import { DenseGlyphError } from '../../errors.js';

/** Layout tables of real fonts read shared pieces some dozen times. */
const readingsAllowed = 64;
/** Bytes that ranges of a few bytes may stand for besides; those of the largest fonts take a tenth of it. */
const expansionAllowed = 16 * 1024 * 1024;

/** A big-endian value. Not by a DataView: thousands of readers are made of small parts, and each would have one. */
export const uint16At = (bytes: Uint8Array, at: number): number => (bytes[at] << 8) | bytes[at + 1];

/**
 * Reads big-endian values from one table and can't leave it.
 *
 * Every read past the end throws one `table-damaged` error that names the table and the offset, so that
 * parsers need no bounds checks of their own.
 */
export class Reader {
  /** Bytes from the start of the table to the next value. */
  position = 0;
  private allowance = Infinity;

  /**
   * @param bytes the table, or a part of it, and nothing else
   * @param table its tag, for errors
   * @param origin where a part starts in its table, in bytes, for errors
   */
  constructor(
    readonly bytes: Uint8Array,
    readonly table: string,
    private readonly origin = 0,
  ) {}

  get length(): number {
    return this.bytes.length;
  }

  get remaining(): number {
    return this.bytes.length - this.position;
  }

  /** An error at the current position. @param offset from the start of what this reader covers */
  damaged(reason: string, offset: number = this.position): DenseGlyphError {
    const place = { table: this.table, offset: Math.max(0, this.origin + offset) };
    return new DenseGlyphError('table-damaged', reason, place);
  }

  private pastEnd(size: number, at: number): DenseGlyphError {
    const { origin, length } = this;
    const end = origin === 0 ? `has ${length} bytes` : `has only those up to ${origin + length} for it`;
    return this.damaged(`${size} bytes wanted at offset ${origin + at}, but ${this.table.trim()} ${end}`, at);
  }

  /**
   * Bounds the bytes read in all, for tables whose pieces are shared and may lie on top of each other; `charge` counts
   * what ranges stand for. Parts have no bound.
   */
  limitReadings(): this {
    this.allowance = this.length * readingsAllowed + expansionAllowed;
    return this;
  }

  /** Whether more was read than `limitReadings` allows. */
  get isExhausted(): boolean {
    return this.allowance < 0;
  }

  /** Bytes that may still be read. */
  get allowed(): number {
    return this.allowance;
  }

  /** Counts memory that a few bytes stand for against what `limitReadings` allows. */
  charge(bytes: number): void {
    this.allowance -= bytes;
    if (this.allowance < 0) throw this.damaged('its pieces overlap so often that reading them does not end');
  }

  private advance(size: number): number {
    const at = this.position;
    if (size < 0 || at + size > this.bytes.length) {
      throw this.pastEnd(size, at);
    }
    this.charge(size);
    this.position = at + size;
    return at;
  }

  seek(position: number): this {
    if (position < 0 || position > this.bytes.length) {
      throw this.damaged(
        `offset ${this.origin + position} lies outside ${this.table.trim()} (${this.origin + this.bytes.length} bytes)`,
        position,
      );
    }
    this.position = position;
    return this;
  }

  skip(size: number): this {
    this.advance(size);
    return this;
  }

  uint8(): number {
    return this.bytes[this.advance(1)];
  }

  int8(): number {
    return (this.uint8() << 24) >> 24;
  }

  uint16(): number {
    return uint16At(this.bytes, this.advance(2));
  }

  int16(): number {
    return (this.uint16() << 16) >> 16;
  }

  uint24(): number {
    const at = this.advance(3);
    return (this.bytes[at] << 16) | uint16At(this.bytes, at + 1);
  }

  uint32(): number {
    return this.int32() >>> 0;
  }

  int32(): number {
    const at = this.advance(4);
    return (uint16At(this.bytes, at) << 16) | uint16At(this.bytes, at + 2);
  }

  /** A 16.16 number. */
  fixed(): number {
    return this.int32() / 65536;
  }

  /** A 2.14 number. */
  f2dot14(): number {
    return this.int16() / 16384;
  }

  /** Seconds since 1904-01-01, as the table stores them. */
  longDateTime(): bigint {
    return (BigInt(this.int32()) << 32n) | BigInt(this.uint32());
  }

  tag(): string {
    const at = this.advance(4);
    return String.fromCharCode(this.bytes[at], this.bytes[at + 1], this.bytes[at + 2], this.bytes[at + 3]);
  }

  /** A view of the next bytes; nothing is copied. */
  take(size: number): Uint8Array {
    const at = this.advance(size);
    return this.bytes.subarray(at, at + size);
  }

  uint16Array(count: number): Uint16Array {
    const at = this.advance(count * 2);
    const values = new Uint16Array(count);
    for (let i = 0; i < count; i++) values[i] = uint16At(this.bytes, at + i * 2);
    return values;
  }

  uint32Array(count: number): Uint32Array {
    const at = this.advance(count * 4);
    const values = new Uint32Array(count);
    for (let i = 0; i < count; i++) {
      values[i] = (uint16At(this.bytes, at + i * 4) << 16) | uint16At(this.bytes, at + i * 4 + 2);
    }
    return values;
  }

  int16Array(count: number): Int16Array {
    const at = this.advance(count * 2);
    const values = new Int16Array(count);
    for (let i = 0; i < count; i++) values[i] = uint16At(this.bytes, at + i * 2);
    return values;
  }

  /** A reader of a part of this table; offsets in its errors still count from the table's start. */
  part(offset: number, length: number = this.bytes.length - offset): Reader {
    if (offset < 0 || length < 0 || offset + length > this.bytes.length) {
      throw this.pastEnd(length, offset);
    }
    return new Reader(this.bytes.subarray(offset, offset + length), this.table, this.origin + offset);
  }
}
