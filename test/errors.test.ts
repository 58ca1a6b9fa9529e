import { expect, test } from '@jest/globals';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { DenseGlyphError, errorCodes, placeText } from '#src/errors.js';
import { root } from '../test-support/paths.js';

test('docs/errors.md lists each code with its kind and advice', () => {
  const rows = readFileSync(join(root, 'docs/errors.md'), 'utf8').match(/^\| `.+$/gm) ?? [];
  const documented = rows.map((row) => row.split('|').map((cell) => cell.trim().replaceAll('`', '')));
  expect(documented.map(([, code, kind, , advice]) => [code, kind, advice])).toEqual(
    Object.entries(errorCodes).map(([code, { kind, advice }]) => [code, kind, advice]),
  );
});

test('an error is one line that says where, what and what to do', () => {
  const error = new DenseGlyphError('table-damaged', 'glyph 212 ends 40 bytes past the table', {
    table: 'glyf',
  });
  const placed = error.at({ file: 'fonts/a.ttf' });
  expect(placed.cause).toBe(error);
  expect(placed.at({ file: 'other.ttf' })).toBe(placed);
  expect(placed.message).toBe(
    'fonts/a.ttf: glyf: glyph 212 ends 40 bytes past the table; the file is damaged: download or export it again',
  );
});

test.each([
  [{ file: 'site.css', line: 16, column: 3 }, 'site.css:16:3'],
  [{ url: 'https://fonts.example/a.css', line: 2 }, 'https://fonts.example/a.css:2'],
  [{ file: 'a.otf', table: 'CFF ' }, 'a.otf: CFF'],
  [{}, ''],
])('%j is told as %s', (place, text) => {
  expect(placeText(place)).toBe(text);
});
