import { expect, test } from '@jest/globals';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { root } from '../test-support/paths.js';

const { commandsHere, writeLists } = (await import(
  pathToFileURL(join(root, 'tools/build/lists.mjs')).href
)) as {
  commandsHere: () => { name: string; summary: string }[];
  writeLists: (options: { check: boolean }) => string[];
};

test('lists that the build writes are as the files are', () => {
  expect(commandsHere().map(({ name }) => name)).toContain('inspect');
  expect(writeLists({ check: true })).toEqual([]);
});
