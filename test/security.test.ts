import { expect, test } from '@jest/globals';
import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { root } from '../test-support/paths.js';

const text = readFileSync(join(root, 'docs/security.md'), 'utf8').replace(/\s+/g, ' ');

test('docs/security.md names tests that are there', () => {
  const named = [...text.matchAll(/`(test\/[^`]+)`: ([^|)]+?) ?(?=[|)])/g)];
  expect(named.length).toBeGreaterThan(18);
  const missing = named.filter(
    ([, file, name]) => !readFileSync(join(root, file), 'utf8').replaceAll('\\n', ' ').includes(name),
  );
  expect(missing.map(([, file, name]) => `${file}: ${name}`)).toEqual([]);
});

test('and files where limits stand', () => {
  const files = [...text.matchAll(/`(src\/[^`]+)`/g)].map(([, file]) => file);
  expect(files.length).toBeGreaterThan(8);
  expect(files.filter((file) => !existsSync(join(root, file)))).toEqual([]);
});

test.each<[string, RegExp]>([
  ['src/io/http/limits.ts', /redirects: 8,[^]*time: 20_000,[^]*bytes: 30_000_000/],
  ['src/app/adoption/bringer.ts', /files: 2000,[^]*bytes: 1_000_000_000,[^]*time: 900_000/],
  ['src/app/adoption/hosted-stylesheets.ts', /deepest = 8;[^]*mostStylesheets = 200;/],
  ['src/app/adoption/local-sheets.ts', /mostAssets = 500;[^]*mostBytes = 100_000_000;/],
  ['src/io/archive.ts', /maximumEntries = 20_000;[^]*maximumTotal = 512 \* 1024 \* 1024;/],
  ['src/core/containers/formats.ts', /maximumFontSize = 256 \* 1024 \* 1024;/],
  ['src/site/css/selectors/work.ts', /mostLooks = 5_000_000;/],
  ['src/site/cascade/scenarios.ts', /mostScenarios = 48;/],
  ['src/site/cascade/substitution.ts', /mostCharacters = 100_000;/],
  ['src/site/html/document.ts', /deepest = 512;/],
])('the limits of %s are those that it gives', (file, values) => {
  expect(readFileSync(join(root, file), 'utf8')).toMatch(values);
});
