import { describe, expect, test } from '@jest/globals';
import { parseUnicodeRanges } from '#src/core/subset/wanted.js';
import { requestedLanguage } from '#src/core/text/languages.js';

describe('what is asked for', () => {
  test.each<[string, string]>([
    ['U+26', '38'],
    ['u+0-2, U+4', '0,1,2,4'],
    ['U+4?? ', String(Array.from({ length: 256 }, (_, i) => 0x400 + i))],
    ['U+20-U+21', '32,33'],
  ])('%s', (text, expected) => {
    const found = parseUnicodeRanges(text)
      .ranges()
      .flatMap(([first, last]) => Array.from({ length: last - first + 1 }, (_, i) => first + i));
    expect(String(found)).toBe(expected);
  });

  test.each(['26', 'U+', 'U+110000', 'U+5-2', 'U+4????-5', 'U+1234567'])('%s is no range', (text) => {
    expect(() => parseUnicodeRanges(text)).toThrow(/is not a range of characters/);
  });

  test.each<[string, string, string]>([
    ['de', 'Ääß„“€', '$ж'],
    ['de-CH', 'ä', 'ß€'],
    ['en-GB', '£‘’', '€é'],
    ['sr', 'жЉ', 'č'],
    ['sr-Latn', 'čŽ', 'ж'],
    ['zh-TW', '體', '体'],
    ['hi', 'क्ष₹०', '৳'],
  ])('%s: its letters, marks and signs', (tag, has, lacks) => {
    const { characters } = requestedLanguage(tag);
    expect([...has].filter((c) => !characters.has(c.codePointAt(0)!))).toEqual([]);
    expect([...lacks].filter((c) => characters.has(c.codePointAt(0)!))).toEqual([]);
  });

  test.each(['tlh', 'x', 'en_US!', 'ru-Arab'])('%s is not a language whose characters are known', (tag) => {
    expect(() => requestedLanguage(tag)).toThrow(/is not a language/);
  });
});
