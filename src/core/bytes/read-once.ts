import type { Reader } from './reader.js';

/**
 * Reads what lies at an offset once, however many offsets lead there. Each further one is charged as if it were read again,
 * as whoever works on the result does so for each: so the work is bounded by the bytes of the table.
 *
 * @param read gets the offset
 */
export function readOnce<Result>(reader: Reader, read: (at: number) => Result): (at: number) => Result {
  const known = new Map<number, { result: Result; cost: number }>();
  return (at) => {
    const found = known.get(at);
    if (found) {
      reader.charge(found.cost);
      return found.result;
    }
    const before = reader.allowed;
    const result = read(at);
    // Without a bound there is nothing to charge.
    known.set(at, { result, cost: before === Infinity ? 0 : before - reader.allowed });
    return result;
  };
}
