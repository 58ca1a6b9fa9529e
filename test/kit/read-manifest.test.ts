import { describe, expect, test } from '@jest/globals';
import { manifestVersion } from '#src/kit/files/manifest.js';
import {
  filesListed,
  filesPublished,
  kitUrl,
  readManifest,
  relocated,
} from '#src/kit/files/read-manifest.js';

const bytesOf = (value: unknown) => new TextEncoder().encode(JSON.stringify(value));
const whole = {
  manifestVersion,
  madeWith: '0.1.0',
  folder: '../type/',
  families: [{ family: 'Quay', faces: [{ parts: [] }] }],
  files: { 'faces/a.woff2': { bytes: 1, sha256: 'ab' } },
  texts: ['kit.css', 'kit.loader.mjs', 'licences/OFL.txt'],
  pages: [],
  preloads: [],
  leftOut: [],
  stylesheets: [],
  otherPages: [],
};

describe('a kit.json', () => {
  test('is read as it is', () => {
    expect(readManifest(bytesOf({ ...whole, more: 1 }))).toEqual({ manifest: { ...whole, more: 1 } });
  });

  test.each<[string, Uint8Array]>([
    ['isn’t JSON', new TextEncoder().encode('{"manifestVersion":')],
    ['is null', bytesOf(null)],
    ['is a list', bytesOf([])],
    ['has no version', bytesOf({ ...whole, manifestVersion: undefined })],
    ['has no list of pages', bytesOf({ ...whole, pages: undefined })],
    ['has a list for files', bytesOf({ ...whole, files: [] })],
    ['has a family without faces', bytesOf({ ...whole, families: [{ family: 'Quay' }] })],
    ['has a face without parts', bytesOf({ ...whole, families: [{ family: 'Quay', faces: [{}] }] })],
    ['has a file whose name is none', bytesOf({ ...whole, texts: [3] })],
  ])('that %s is damaged', (_, bytes) => {
    expect(readManifest(bytes)).toEqual({ problem: 'damaged' });
  });

  test('of another version says which, and still lists its files', () => {
    const earlier = bytesOf({ manifestVersion: 2, files: whole.files, texts: ['kit.css'] });
    expect(readManifest(earlier)).toEqual({ problem: 'other version', version: 2 });
    expect(filesListed(earlier)).toEqual(['faces/a.woff2', 'kit.css']);
    expect(filesListed(bytesOf('no kit'))).toEqual([]);
  });

  test('tells what servers are given', () => {
    expect(filesPublished(whole)).toEqual(['faces/a.woff2', 'kit.css', 'licences/OFL.txt']);
  });
});

test.each([
  ['/type', '/type/'],
  ['/type/', '/type/'],
  [undefined, undefined],
])('names of files are put behind %s as behind %s', (url, expected) => {
  expect(kitUrl(url)).toBe(expected);
});

test('rules lead to the same files from elsewhere', () => {
  expect(relocated('a { src: url("faces/a.woff2"), url("other/faces/b") }', '../my type/')).toBe(
    'a { src: url("../my%20type/faces/a.woff2"), url("other/faces/b") }',
  );
});
