import pMap from 'p-map';
import { availableParallelism } from 'node:os';

/**
 * Works on several items at a time. Compressing takes most of the time and has threads of its own; while all processors
 * compress, one more item is made ready.
 *
 * @returns the results in the order of the items
 * @throws the first error
 */
export function atOnce<Item, Result>(
  items: readonly Item[],
  work: (item: Item, index: number) => Promise<Result>,
): Promise<Result[]> {
  const processors = availableParallelism();
  return pMap(items, work, { concurrency: processors > 1 ? processors + 1 : 1 });
}
