// OpenType: GPOS, LookupType 2: the values of pairs

import { Block } from '../bytes/blocks.js';
import { bytesKey } from '../bytes/key.js';
import type { Reader } from '../bytes/reader.js';
import type { PositioningContext } from './positioning.js';
import {
  deviceBits,
  isNoValue,
  noValue,
  readValue,
  valueBit,
  valueFormatOf,
  valueKey,
  valueSize,
  writeValue,
  type Value,
} from './value-record.js';

/** What a pair of glyphs is moved by. */
export interface PairValue {
  first: Value;
  second: Value;
}

/** Few values make many pairs: each is in the list once, and pairs have its number. Number 0 moves nothing. */
export type PairValues = readonly PairValue[];

export const noPair: PairValue = { first: noValue, second: noValue };

/** Numbers values as they are met. */
export class PairNumbers {
  readonly values: PairValue[] = [noPair];
  private readonly numbers = new Map<string | number, number>();

  of(pair: PairValue): number {
    if (isNoValue(pair.first) && isNoValue(pair.second)) return 0;
    const key = keyOf(pair);
    let number = this.numbers.get(key);
    if (number === undefined) this.numbers.set(key, (number = this.values.push(pair) - 1));
    return number;
  }
}

/** Most pairs move the first advance alone; a number tells those apart sooner than a text does. */
function keyOf({ first, second }: PairValue): string | number {
  const [xPlacement, yPlacement, xAdvance, yAdvance] = first.values;
  const isAdvance = second === noValue && !first.devices && xPlacement === 0 && yPlacement === 0;
  return isAdvance && yAdvance === 0 ? xAdvance : `${valueKey(first)}|${valueKey(second)}`;
}

/** Reads the numbers of pairs. Most pairs of classes are zeros, and few others are met over and over. */
export class PairReader {
  /** Bytes of a pair. */
  readonly size: number;
  private readonly hasDevices: boolean;
  private readonly known = new Map<number | string, number>();

  /** @param varies whether the font has axes */
  constructor(
    private readonly reader: Reader,
    private readonly formats: readonly [number, number],
    private readonly numbers: PairNumbers,
    private readonly varies: boolean,
  ) {
    const [first, second] = formats;
    this.size = valueSize(first) + valueSize(second);
    // Equal devices may stand at different offsets, so that bytes don't tell.
    this.hasDevices = ((first | second) & deviceBits) !== 0;
  }

  /**
   * What is read is for the caller to charge.
   *
   * @param position of the pair
   * @param start where offsets count from
   */
  at(position: number, start: number): number {
    const { reader, size } = this;
    const { bytes } = reader;
    if (position + size > bytes.length) reader.seek(position).skip(size); // which throws
    let isEmpty = true;
    for (let at = position; at < position + size && isEmpty; at++) isEmpty = bytes[at] === 0;
    if (isEmpty) return 0;
    if (this.hasDevices) return this.read(position, start);
    const key = this.keyAt(position);
    let number = this.known.get(key);
    if (number === undefined) this.known.set(key, (number = this.read(position, start)));
    return number;
  }

  private keyAt(position: number): number | string {
    const { size } = this;
    const { bytes } = this.reader;
    if (size > 4) return bytesKey(bytes.subarray(position, position + size));
    let key = 0;
    for (let at = position; at < position + size; at++) key = key * 256 + bytes[at];
    return key;
  }

  private read(position: number, start: number): number {
    const { reader, formats, varies } = this;
    reader.seek(position);
    const first = readValue(reader, formats[0], start, varies);
    return this.numbers.of({ first, second: readValue(reader, formats[1], start, varies) });
  }
}

/** Writes the values of a subtable, each in the formats that hold all of them. */
export class PairWriter {
  /** The second one isn't empty where the second glyph is consumed. */
  readonly formats: readonly [number, number];
  private readonly size: number;
  /** All values as they are written, by number; undefined where some have devices. */
  private readonly encoded: Uint8Array | undefined;

  /** @param used the numbers of those that occur */
  constructor(
    private readonly values: PairValues,
    used: readonly number[],
    consumesSecond: boolean,
    private readonly context: PositioningContext,
  ) {
    let [first, second] = [0, 0];
    for (const number of used) {
      first |= valueFormatOf(values[number].first, context.deltaSets);
      second |= valueFormatOf(values[number].second, context.deltaSets);
    }
    this.formats = [first, second === 0 && consumesSecond ? valueBit.xAdvance : second];
    this.size = valueSize(this.formats[0]) + valueSize(this.formats[1]);
    const hasDevices = ((first | second) & deviceBits) !== 0;
    if (!hasDevices) this.encoded = this.encode(used);
  }

  private encode(used: readonly number[]): Uint8Array {
    const { size } = this;
    const encoded = new Uint8Array(this.values.length * size);
    for (const number of used) {
      const block = new Block();
      this.writeOne(block, number);
      encoded.set(block.bytes(), number * size);
    }
    return encoded;
  }

  private writeOne(block: Block, number: number): void {
    const { first, second } = this.values[number];
    const { store, deltaSets } = this.context;
    writeValue(block, first, this.formats[0], store, deltaSets);
    writeValue(block, second, this.formats[1], store, deltaSets);
  }

  /** Values one after the other. @param glyphs the second glyph that each one follows, if any */
  write(block: Block, numbers: ArrayLike<number>, glyphs?: readonly number[]): void {
    const { encoded, size } = this;
    const recordSize = glyphs ? size + 2 : size;
    const room = encoded && block.claim(numbers.length * recordSize);
    for (let i = 0, at = 0; i < numbers.length; i++) {
      if (!encoded || !room) {
        if (glyphs) block.uint16(glyphs[i]);
        this.writeOne(block, numbers[i]);
        continue;
      }
      if (glyphs) {
        room[at++] = glyphs[i] >>> 8;
        room[at++] = glyphs[i] & 0xff;
      }
      for (let from = numbers[i] * size, end = from + size; from < end; from++) room[at++] = encoded[from];
    }
  }
}
