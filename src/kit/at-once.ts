import pMap from 'p-map';

/**
 * Works on several items at a time. Compressing takes most of the time and has threads of its own; while all processors
 * compress, one more item is made ready. The largest come first: a large one that came last would leave the other
 * processors without work.
 *
 * @param sizeOf says what an item takes, in any unit
 * @param processors how many there are
 * @returns the results in the order of the items
 * @throws the first error
 */
export async function atOnce<Item, Result>(
  items: readonly Item[],
  sizeOf: (item: Item) => number,
  work: (item: Item) => Promise<Result>,
  processors: number,
): Promise<Result[]> {
  const sizes = items.map(sizeOf);
  const order = items.map((_, i) => i).sort((a, b) => sizes[b] - sizes[a]);
  const results = new Array<Result>(items.length);
  const workOn = async (i: number) => {
    results[i] = await work(items[i]);
  };
  await pMap(order, workOn, { concurrency: processors > 1 ? processors + 1 : 1 });
  return results;
}
