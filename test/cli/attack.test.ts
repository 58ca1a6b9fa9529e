import { expect, test } from '@jest/globals';
import { attackAddresses, attackPages, attackSchemes } from '../../test-support/attack.js';
import { casesOf } from '../../test-support/thorough.js';

// `npm run attack` takes any number of pages.

test('no address of this machine is connected to that nobody named', async () => {
  expect(await attackAddresses()).toEqual([]);
});

test('no file of this machine is read that a host names', async () => {
  expect(await attackSchemes()).toEqual([]);
});

test('calls on random pages end as they say, a second one changes nothing, and undo leaves nothing', async () => {
  const { numRuns, seed } = casesOf(30, 270);
  expect(await attackPages(numRuns, seed)).toEqual([]);
});
