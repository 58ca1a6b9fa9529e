import { test } from '@jest/globals';
import { isThorough } from './thorough.js';

/** A test of the thorough run alone. */
export const thoroughly: (name: string, run: () => Promise<void> | void) => void = isThorough
  ? test
  : test.skip;
