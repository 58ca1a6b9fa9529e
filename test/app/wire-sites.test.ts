import { afterAll, beforeAll, test } from '@jest/globals';
import fc from 'fast-check';
import {
  randomSite,
  startRandomHost,
  wiredProblems,
  type RandomHost,
} from '../../test-support/random-sites.js';
import { casesOf } from '../../test-support/thorough.js';

let host: RandomHost;
beforeAll(async () => {
  host = await startRandomHost();
});
afterAll(() => host.close());

// `npm run attack` takes ten times as many.
test('on random sites every page is drawn as before once it is wired, or nearer to what it asks for', () =>
  fc.assert(
    fc.asyncProperty(randomSite, async (site) => {
      const problems = await wiredProblems(site, host);
      if (problems.length > 0) throw new Error(problems.join('\n'));
    }),
    casesOf(4, 196),
  ));
