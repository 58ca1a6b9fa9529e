import { availableParallelism } from 'node:os';

/** How many processors this process may use. */
export const processors = (): number => availableParallelism();

/** As many of them as work keeps busy. @param worth how many it is worth */
export const processorsFor = (worth: number): number =>
  Math.max(1, Math.min(Math.floor(worth), processors()));
