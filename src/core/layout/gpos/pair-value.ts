// OpenType: GPOS, LookupType 2: the values of pairs

import { Block } from '../../bytes/blocks.js';
import { bytesKey } from '../../bytes/key.js';
import type { Reader } from '../../bytes/reader.js';
import type { WriteContext } from '../common/lookup-kind.js';
import { variationAt, type DeltaSetMap } from '../common/device.js';
import {
  deviceBit,
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

/** What subtables of both formats have. */
export interface PairBase {
  /**
   * Whether the second value's format isn't empty. Then the second glyph doesn't begin a pair of its own, whatever the
   * value is.
   */
  consumesSecond: boolean;
  values: PairValues;
}

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

/**
 * Reads the numbers of pairs. Most pairs of classes are zeros, and few others are met over and over. A font may have
 * 100,000 pairs, so that loops are plain and calls few.
 */
export class PairReader {
  /** Bytes of a pair. */
  readonly size: number;
  private readonly hasDevices: boolean;
  /** Whether nothing but the first advance is moved, which may vary along axes. */
  private readonly isAdvance: boolean;
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
    this.hasDevices = ((first | second) & deviceBits) !== 0;
    this.isAdvance = first === (valueBit.xAdvance | deviceBit.xAdvance) && second === 0;
  }

  /**
   * What is read is for the caller to charge.
   *
   * @param position of the pair
   * @param start where offsets count from
   */
  at(position: number, start: number): number {
    const { reader, size } = this;
    if (position + size > reader.length) reader.seek(position).skip(size); // which throws
    const key = this.hasDevices ? this.varyingKey(position, start) : this.plainKey(position);
    if (key === 0) return 0;
    if (key === undefined) return this.read(position, start);
    let number = this.known.get(key);
    if (number === undefined) this.known.set(key, (number = this.read(position, start)));
    return number;
  }

  /** Reads some columns of a row of classes. @param position of the row */
  readRow(row: Uint32Array, columns: readonly number[], position: number, start: number): void {
    for (let i = 0; i < columns.length; i++) {
      row[columns[i]] = this.at(position + columns[i] * this.size, start);
    }
  }

  /** Equal for equal bytes; 0 where all are zero. */
  private plainKey(position: number): number | string {
    const { bytes } = this.reader;
    const end = position + this.size;
    let key = 0;
    if (this.size <= 4) {
      for (let at = position; at < end; at++) key = key * 256 + bytes[at];
      return key;
    }
    for (let at = position; at < end && key === 0; at++) key = bytes[at];
    return key === 0 ? 0 : bytesKey(bytes.subarray(position, end));
  }

  /**
   * Equal for equal values, 0 where nothing moves. Equal devices may stand at different offsets, so that bytes alone don't
   * tell: this is the advance with the delta set that it varies by, as most pairs of variable fonts have it.
   *
   * @returns undefined for pairs that are moved otherwise
   */
  private varyingKey(position: number, start: number): number | undefined {
    if (!this.isAdvance) return undefined;
    const { bytes } = this.reader;
    const advance = (bytes[position] << 8) | bytes[position + 1];
    const offset = (bytes[position + 2] << 8) | bytes[position + 3];
    if (offset === 0) return advance;
    const deltaSet = variationAt(bytes, start + offset);
    if (deltaSet === undefined) return undefined;
    return this.varies ? (deltaSet + 1) * 0x10000 + advance : advance;
  }

  private read(position: number, start: number): number {
    const { reader, formats, varies } = this;
    reader.seek(position);
    const first = readValue(reader, formats[0], start, varies);
    return this.numbers.of({ first, second: readValue(reader, formats[1], start, varies) });
  }
}

/** The formats that hold all values of some numbers. @param deltaSets those that are kept */
export function pairFormats(
  values: PairValues,
  used: readonly number[],
  deltaSets?: DeltaSetMap,
): [first: number, second: number] {
  let [first, second] = [0, 0];
  for (const number of used) {
    first |= valueFormatOf(values[number].first, deltaSets);
    second |= valueFormatOf(values[number].second, deltaSets);
  }
  return [first, second];
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
    private readonly context: WriteContext,
  ) {
    const [first, second] = pairFormats(values, used, context.deltaSets);
    this.formats = [first, second === 0 && consumesSecond ? valueBit.xAdvance : second];
    this.size = valueSize(this.formats[0]) + valueSize(this.formats[1]);
    const hasDevices = ((first | second) & deviceBits) !== 0;
    if (!hasDevices) this.encoded = this.encode(used);
  }

  private encode(used: readonly number[]): Uint8Array {
    const { size } = this;
    const block = new Block(this.values.length * size);
    let next = 0;
    for (const number of used) {
      block.claim((number - next) * size); // of those that don't occur
      this.writeOne(block, number);
      next = number + 1;
    }
    return block.bytes();
  }

  private writeOne(block: Block, number: number): void {
    const { first, second } = this.values[number];
    const { store, deltaSets } = this.context;
    writeValue(block, first, this.formats[0], store, deltaSets);
    writeValue(block, second, this.formats[1], store, deltaSets);
  }

  /** Values one after the other. @param glyphs the second glyph that each one follows, if any */
  write(block: Block, numbers: Uint32Array, glyphs?: Uint16Array): void {
    const { encoded, size } = this;
    if (!encoded) {
      for (let i = 0; i < numbers.length; i++) {
        if (glyphs) block.uint16(glyphs[i]);
        this.writeOne(block, numbers[i]);
      }
      return;
    }
    const room = block.claim(numbers.length * (glyphs ? size + 2 : size));
    for (let i = 0, at = 0; i < numbers.length; i++) {
      if (glyphs) {
        room[at++] = glyphs[i] >>> 8;
        room[at++] = glyphs[i] & 0xff;
      }
      for (let from = numbers[i] * size, end = from + size; from < end; from += 2) {
        room[at++] = encoded[from];
        room[at++] = encoded[from + 1];
      }
    }
  }
}
