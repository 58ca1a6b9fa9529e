// OpenType: GPOS, LookupType 2: the values of pairs

import type { Block } from '../bytes/blocks.js';
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

/**
 * Reads the number of a pair at the reader's position.
 *
 * @param varies whether the font has axes
 * @returns a function of where offsets count from
 */
export function pairReader(
  reader: Reader,
  [format1, format2]: readonly [number, number],
  numbers: PairNumbers,
  varies: boolean,
): (start: number) => number {
  const size = valueSize(format1) + valueSize(format2);
  const read = (start: number) => {
    if (isEmpty(reader, size)) return 0;
    return numbers.of({
      first: readValue(reader, format1, start, varies),
      second: readValue(reader, format2, start, varies),
    });
  };
  // Equal devices may stand at different offsets, so that bytes don't tell.
  if ((format1 | format2) & deviceBits) return read;
  const known = new Map<number | string, number>();
  return (start) => {
    const { position } = reader;
    const key = size === 2 ? reader.uint16() : size === 4 ? reader.uint32() : bytesKey(reader.take(size));
    let number = known.get(key);
    if (number === undefined) {
      reader.seek(position);
      known.set(key, (number = read(start)));
    }
    return number;
  };
}

/** Whether the next bytes are zeros, as they are for most pairs of classes; if so, they are skipped. */
function isEmpty(reader: Reader, size: number): boolean {
  const { bytes, position } = reader;
  for (let at = position; at < position + size; at++) if (bytes[at] !== 0) return false;
  reader.skip(size);
  return true;
}

/** Writes the values of a subtable, each in the formats that hold all of them. */
export class PairWriter {
  /** The second one isn't empty where the second glyph is consumed. */
  readonly formats: readonly [number, number];
  private readonly size: number;
  /** Values without devices, as they are written. */
  private readonly written: (Uint8Array | undefined)[] = [];

  /** @param used the numbers of those that occur */
  constructor(
    private readonly values: PairValues,
    used: Iterable<number>,
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
  }

  write(block: Block, number: number): void {
    const known = this.written[number];
    if (!known) this.writeAnew(block, number);
    else {
      const room = block.claim(this.size);
      for (let i = 0; i < known.length; i++) room[i] = known[i];
    }
  }

  private writeAnew(block: Block, number: number): void {
    const { first, second } = this.values[number];
    const { store, deltaSets } = this.context;
    const start = block.length;
    writeValue(block, first, this.formats[0], store, deltaSets);
    writeValue(block, second, this.formats[1], store, deltaSets);
    if (!first.devices && !second.devices) this.written[number] = block.bytes().slice(start);
  }
}
