import { expect, test } from '@jest/globals';
import { readdirSync } from 'node:fs';
import { join } from 'node:path';
import { isKept, lineLonghands, longhands, ofLines, shorthands } from '#src/site/css/properties/index.js';
import { tokensOf } from '#src/site/css/tokens.js';
import { root } from '../../../test-support/paths.js';

test('each property is a file of its name, and each file is listed once', () => {
  const files = readdirSync(join(root, 'src/site/css/properties'))
    .filter((name) => !/^(index|property)\.ts$/.test(name))
    .map((name) => name.replace('.ts', ''));
  const listed = new Set(
    [...longhands, ...lineLonghands, ...ofLines.shorthandNamed.values()].map(({ name }) => name),
  );
  expect([...listed].sort()).toEqual(files.sort());
  expect(new Set(ofLines.longhands.map(({ key }) => key)).size).toBe(longhands.length + lineLonghands.length);
});

test.each([...shorthands, ...ofLines.shorthandNamed.values()])(
  '$name reads into its longhands, and nothing else',
  ({ name, longhands: own, read }) => {
    const value =
      { font: '700 1em A', 'list-style': 'none', 'border-width': '1px', 'border-inline-width': '1px' }[
        name
      ] ?? 'none';
    const context = { fontSize: 16, rootSize: 16, viewport: { width: 400, height: 800 } };
    const found = read(tokensOf(value), ({ initial }) => initial, context);
    const keys = own.map(({ key }) => key);
    expect(Object.keys(found ?? {}).filter((key) => !keys.includes(key))).toEqual([]);
    expect(Object.keys(found ?? {}).length).toBe(keys.length);
  },
);

test('rules keep what is listed, custom properties and all', () => {
  const kept = ['font-width', 'font-synthesis-style', '--a', 'all', 'font', 'color', 'fonts'].map((one) =>
    isKept(one),
  );
  expect(kept).toEqual([true, true, true, true, true, false, false]);
});
