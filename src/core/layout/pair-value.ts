// OpenType: GPOS, LookupType 2: the values of a pair

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
  private text?: string;

  constructor(
    readonly first: Value,
    readonly second: Value,
  ) {
    this.isIdle = isNoValue(first) && isNoValue(second);
  }

  /** Equal texts, equal effect. */
  get key(): string {
    return (this.text ??= `${valueKey(this.first)}|${valueKey(this.second)}`);
  }
}

export const noPair = new PairValue(noValue, noValue);

/** Reads a pair at the reader's position. Few values make many pairs: equal ones are read once, but for devices. */
export function pairReader(reader: Reader, format1: number, format2: number): (start: number) => PairValue {
  const read = (start: number) => {
    const first = readValue(reader, format1, start);
    const second = readValue(reader, format2, start);
    return first === noValue && second === noValue ? noPair : new PairValue(first, second);
  };
  if ((format1 | format2) & deviceBits) return read;
  const size = valueSize(format1) + valueSize(format2);
  const known = new Map<number | string, PairValue>();
  return (start) => {
    const { position } = reader;
    const key = size === 2 ? reader.uint16() : reader.uint16Array(size >> 1).join();
    let pair = known.get(key);
    if (!pair) {
      reader.seek(position);
      known.set(key, (pair = read(start)));
    }
    return pair;
  };
}
