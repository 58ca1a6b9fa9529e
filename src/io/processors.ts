import { availableParallelism } from 'node:os';

/** How many processors this process may use. */
export const processors = (): number => availableParallelism();
