import { availableParallelism } from 'node:os';
import { DenseGlyphError } from '../core/errors.js';
import { makeSubset, type SubsetFile, type SubsetTask } from './subset.js';
import type { FailedSubset } from './subset-worker.js';

/** Starting a thread takes as long as cutting down a font of so many bytes. */
const worthAThread = 200_000;

/**
 * Cuts faces down, on all processors where there is enough to do.
 *
 * @param done is told each time a face is finished
 * @throws DenseGlyphError the first error, by the order of the tasks
 */
export async function makeSubsets(
  tasks: readonly SubsetTask[],
  done: (finished: number) => void = () => undefined,
): Promise<SubsetFile[]> {
  const size = tasks.reduce((sum, { bytes }) => sum + bytes.length, 0);
  const threads = Math.min(availableParallelism(), tasks.length);
  if (threads < 2 || size < worthAThread * 2) {
    return tasks.map((task, i) => {
      const subset = makeSubset(task);
      done(i + 1);
      return subset;
    });
  }
  const { Tinypool } = await import('tinypool');
  // Beside this file in the program as in the library.
  const filename = new URL('./subset-worker.js', import.meta.url).href;
  const pool = new Tinypool({ filename, minThreads: threads, maxThreads: threads });
  let finished = 0;
  try {
    const results = await Promise.all(
      tasks.map(async (task) => {
        const result = (await pool.run(task)) as SubsetFile | FailedSubset;
        done(++finished);
        return result;
      }),
    );
    return results.map((result) => {
      if (!('failure' in result)) return result;
      const { code, reason, place, advice } = result.failure;
      throw new DenseGlyphError(code, reason, place, advice);
    });
  } finally {
    await pool.destroy();
  }
}
