import { expect, test } from '@jest/globals';
import { decodedPage, decodedStylesheet, decodedText } from '#src/site/html/encoding.js';

const bytesOf = (...pieces: (string | number[])[]) =>
  Uint8Array.from(pieces.flatMap((piece) => (typeof piece === 'string' ? [...Buffer.from(piece)] : piece)));

test.each<[string, Uint8Array, string]>([
  ['nothing named', bytesOf('<p>é'), 'é'],
  ['UTF-8 by name', bytesOf('<meta charset="utf-8"><p>é'), 'é'],
  ['Windows', bytesOf('<meta charset=windows-1252><p>', [0xe9, 0x80, 0x9f]), 'é€Ÿ'],
  [
    'as servers say it',
    bytesOf('<meta http-equiv=content-type content="text/html; charset=koi8-r"><p>', [0xd6]),
    'ж',
  ],
  ['Shift_JIS', bytesOf("<meta charset='Shift_JIS'><p>", [0x91, 0x44]), '船'],
  ['UTF-16, little end first', bytesOf([0xff, 0xfe, 0xe9, 0x00]), 'é'],
  ['UTF-16, big end first', bytesOf([0xfe, 0xff, 0x00, 0xe9]), 'é'],
  ['a mark before another name', bytesOf([0xef, 0xbb, 0xbf], '<meta charset=latin1><p>é'), 'é'],
  ['a name in a comment', bytesOf('<!-- <meta charset=latin1> --><p>é'), 'é'],
])('a page with %s', async (_, bytes, text) => {
  expect((await decodedPage(bytes)).replace(/^.*>/s, '')).toBe(text);
});

test('a page that is not what it says, or says nothing, is read as browsers read it', async () => {
  expect(await decodedPage(bytesOf('<p>F', [0xe4], 'hre'))).toBe('<p>Fähre');
  expect(await decodedPage(bytesOf('<meta charset=utf-8>', [0xe9], 'x'))).toBe('<meta charset=utf-8>\ufffdx');
  expect(await decodedPage(bytesOf('<meta charset=nobody>', [0xe9]))).toMatch(/é$/);
  expect(await decodedPage(bytesOf([0xd6]), 'koi8-r')).toBe('ж');
});

test.each<[string, Uint8Array, string]>([
  ['nothing named', bytesOf('q{content:"é"}'), 'é'],
  ['an encoding', bytesOf('@charset "windows-1252";q{content:"', [0xe9], '"}'), 'é'],
  ['UTF-16 by name alone', bytesOf('@charset "utf-16le";q{content:"é"}'), 'é'],
  ['an encoding that nobody knows', bytesOf('@charset "none";q{content:"é"}'), 'é'],
  ['bytes that are none of its characters', bytesOf('q{content:"', [0xe9], '"}'), '\ufffd'],
])('a stylesheet with %s', (_, bytes, text) => {
  expect(/content:"(.*)"/.exec(decodedStylesheet(bytes))?.[1]).toBe(text);
});

test('other texts are UTF-8, or UTF-16 with a mark', () => {
  expect(decodedText('a.txt', bytesOf([0xfe, 0xff, 0x26, 0x3a]))).toBe('☺');
  expect(() => decodedText('a.txt', bytesOf([0xe9]))).toThrow(/: it is not text in UTF-8; save it/);
});
