// OpenType: GPOS, LookupType 2: the values of a pair

import { bytesKey } from '../bytes/key.js';
import type { Reader } from '../bytes/reader.js';
import {
  deviceBits,
  isNoValue,
  noValue,
  readValue,
  valueKey,
  valueSize,
  type Value,
} from './value-record.js';

/** What a pair of glyphs is moved by. */
export class PairValue {
  /** Whether it never moves anything. */
  readonly isIdle: boolean;

  constructor(
    readonly first: Value,
    readonly second: Value,
  ) {
    this.isIdle = isNoValue(first) && isNoValue(second);
  }
}

export const noPair = new PairValue(noValue, noValue);

/**
 * Reads a pair at the reader's position. Few values make many pairs: equal ones are the same object.
 *
 * @returns a function of where offsets count from
 */
export function pairReader(reader: Reader, format1: number, format2: number): (start: number) => PairValue {
  const size = valueSize(format1) + valueSize(format2);
  const hasDevices = ((format1 | format2) & deviceBits) !== 0;
  const known = new Map<number | string, PairValue>();
  const knownByValue = new Map<string, PairValue>();
  const read = (start: number) => {
    const first = readValue(reader, format1, start);
    const second = readValue(reader, format2, start);
    return first === noValue && second === noValue ? noPair : new PairValue(first, second);
  };
  const keyAtPosition = () => {
    if (size === 2) return reader.uint16();
    return size === 4 ? reader.uint32() : bytesKey(reader.take(size));
  };
  let knownFrom: number | undefined;
  return (start) => {
    // Offsets of devices count from there.
    if (hasDevices && start !== knownFrom) known.clear();
    knownFrom = start;
    const { position } = reader;
    const key = keyAtPosition();
    let pair = known.get(key);
    if (!pair) {
      reader.seek(position);
      pair = read(start);
      if (hasDevices) pair = sameAs(pair, knownByValue);
      known.set(key, pair);
    }
    return pair;
  };
}

/** Equal devices may stand at different offsets, so that only what they say tells. */
function sameAs(pair: PairValue, known: Map<string, PairValue>): PairValue {
  const key = `${valueKey(pair.first)}|${valueKey(pair.second)}`;
  const same = known.get(key);
  if (!same) known.set(key, pair);
  return same ?? pair;
}

/** Numbers pairs as they are met, `noPair` as 0, so that rows and columns of them can be compared. */
export class PairNumbers {
  private readonly numbers = new Map([[noPair, 0]]);

  of(pair: PairValue): number {
    let number = this.numbers.get(pair);
    if (number === undefined) this.numbers.set(pair, (number = this.numbers.size));
    return number;
  }
}
