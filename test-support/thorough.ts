// What `npm test` looks at, and what `npm run test:thorough` looks at besides: other engines, more random cases, more sites

/** Whether this is the thorough run, which goes on from where `npm test` ends. */
export const isThorough = process.env.DENSE_GLYPH_TESTS === 'thorough';

/** How many cases a run takes, and where its random ones start from, so that the thorough run has others. */
export const casesOf = (few: number, many: number): { numRuns: number; seed: number } =>
  isThorough ? { numRuns: many, seed: 2 } : { numRuns: few, seed: 1 };
