import { expect, test } from '@jest/globals';
import { fontOf } from '#src/core/sfnt/font.js';
import { openFont } from '#src/core/containers/index.js';
import { subsetFont } from '#src/core/subset/index.js';
import { tableTreatments } from '#src/core/subset/tables.js';
import { tableModules } from '#src/core/tables/index.js';
import { CodePointSet } from '#src/core/text/code-point-set.js';
import { readSample } from '../../test-support/paths.js';

const { font } = openFont(readSample('TidelogMono-Regular.ttf'));
const characters = CodePointSet.ofText('Tide');

/** The font with one more table. */
const withTable = (tag: string) => fontOf(font.flavour, font.tables().set(tag, Uint8Array.of(0, 1, 0, 0)));

test('each table has one treatment, and those that are read field by field have one at all', () => {
  const tags = tableTreatments.map(({ tag }) => tag);
  expect(tags).toEqual([...new Set(tags)]);
  expect(tableModules.map(({ tag }) => tag).filter((tag) => !tags.includes(tag))).toEqual([]);
});

test.each(tableTreatments.filter(({ treatment }) => treatment === 'refused').map(({ tag }) => [tag]))(
  'a font with %s is refused',
  (tag) => {
    expect(() => subsetFont(withTable(tag), { characters })).toThrow('cannot be cut down yet');
  },
);

test.each(
  tableTreatments.flatMap((entry) =>
    entry.treatment === 'dropped' && entry.tag !== 'EBDT'
      ? [[entry.tag, entry.silent === true] as const]
      : [],
  ),
)('%s is dropped; without a word: %s', (tag, silent) => {
  const { font: cut, dropped } = subsetFont(withTable(tag), { characters });
  expect(cut.has(tag)).toBe(false);
  expect(dropped).toHaveLength(silent ? 0 : 1);
});

test('a table that nobody knows is dropped with a word', () => {
  const { font: cut, dropped } = subsetFont(withTable('tide'), { characters });
  expect([cut.has('tide'), dropped]).toEqual([false, ['tide: not known to be read by a browser']]);
});
