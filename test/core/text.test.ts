import { describe, expect, test } from '@jest/globals';
import { lettersInUse } from '../../test-support/data/letters-in-use.js';
import { parseUnicodeRanges } from '#src/core/text/parse-ranges.js';
import { lettersOfLanguage, requestedLanguage } from '#src/core/text/requested-language.js';

/** Languages that have translations, but no characters in CLDR. */
const unknownToCldr: ReadonlySet<string> = new Set(['be-Latn', 'crh', 'kg', 'li']);

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

  const lacking = (set: { has(c: number): boolean }, text: string) =>
    [...text].filter((c) => !set.has(c.codePointAt(0)!));

  test.each<[string, string, string]>([
    ['de', 'Ääß„“€', '$ж'],
    ['de-CH', 'ä', 'ß€'],
    ['en-GB', '£‘’', '€é'],
    ['sr', 'жЉ', 'č'],
    ['sr-Latn', 'čŽ', 'ж'],
    ['zh-TW', '體', '体'],
    ['hi', 'क्ष₹०', '৳'],
  ])('%s: the least that it is written with', (tag, has, lacks) => {
    const { characters } = lettersOfLanguage(tag);
    expect(lacking(characters, has)).toEqual([]);
    expect(lacking(characters, lacks)).toEqual([...lacks]);
  });

  const everySite = '©®™§¶•·×÷°±…–—′″½¼¾ªº€$£ info@quay.example/?a=1&b|c_<d>~\u{a0}\u{ad}\u{2010}\u{2011}’“”';

  test.each<[string, string, string]>([
    ['en', 'éñœ', 'ж'],
    ['en-CA', '$', 'ж'],
    ['el', 'ΆΈΉΊΌΎΏΪΫς·«»', 'ἀж'],
    ['el-polyton', 'ἀᾼῼῥ', 'ж'],
    ['ml', 'ാിീുൂെേൈൊോൗ്ൺൻർൽൾൿ൦൯\u{200d}', 'ж'],
    ['ur', 'آںئؤ\u{651}۴٤\u{200c}\u{200f}', 'ж'],
    ['pl', 'qvxQVXłŁ', 'ж'],
    ['vi', 'fjwzFJWZ₫', 'ж'],
    ['tr', 'qwxİı₺', 'ж'],
    ['ru', '№ё₽\u{301}', 'ґ'],
    ['th', '๐๙฿\u{200b}', 'ж'],
    ['km', '០៩៛', 'ж'],
    ['he', '\u{5b0}\u{5bc}\u{5c1}־׳״₪\u{200f}', 'ж'],
    ['de', 'ẞ', 'ж'],
    ['bn', 'ড়ঢ়য়।', 'ж'],
    ['ja', '％Ａ９ヺ　', 'ж'],
  ])('%s: what its websites are written with', (tag, has, lacks) => {
    const { characters } = requestedLanguage(tag);
    expect(lacking(characters, has + everySite)).toEqual([]);
    expect(lacking(characters, lacks)).toEqual([...lacks]);
  });

  test.each(
    lettersInUse.filter(([tag]) => !unknownToCldr.has(tag)).map(([tag, , , letters]) => [tag, letters]),
  )('%s: no letter is missing that one of 2000 of its words has', (tag, letters) => {
    expect(lacking(requestedLanguage(tag).characters, letters)).toEqual([]);
  });

  test('letters, more letters and signs are all of it, each once', () => {
    for (const [tag] of lettersInUse.filter(([one]) => !unknownToCldr.has(one))) {
      const { letters, moreLetters, signs, characters } = requestedLanguage(tag);
      expect([tag, letters.size + moreLetters.size + signs.size]).toEqual([tag, characters.size]);
      expect(
        lacking(characters, String.fromCodePoint(...lettersOfLanguage(tag).letters.codePoints())),
      ).toEqual([]);
    }
  });

  test.each(['tlh', 'x', 'en_US!', 'ru-Arab'])('%s is not a language whose characters are known', (tag) => {
    expect(() => requestedLanguage(tag)).toThrow(/is not a language/);
  });
});
