import { DenseGlyphError } from '../core/errors.js';
import { makeSubset, type SubsetFile, type SubsetTask } from './subset.js';

/** An error as plain data, since classes don't cross the border of a thread. */
export interface FailedSubset {
  failure: Pick<DenseGlyphError, 'code' | 'reason' | 'place' | 'advice'>;
}

/** The thread's side of `makeSubsets`. */
export default function work(task: SubsetTask): SubsetFile | FailedSubset {
  try {
    return makeSubset(task);
  } catch (cause) {
    if (!(cause instanceof DenseGlyphError)) throw cause;
    const { code, reason, place, advice } = cause;
    return { failure: { code, reason, place, advice } };
  }
}
