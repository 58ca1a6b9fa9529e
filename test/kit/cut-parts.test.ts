import { describe, expect, test } from '@jest/globals';
import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import { openFont } from '#src/core/containers/index.js';
import { outlinesOf, svgPathData } from '#src/core/outlines/index.js';
import type { Font } from '#src/core/sfnt/font.js';
import { cmap } from '#src/core/tables/index.js';
import { CodePointSet } from '#src/core/text/code-point-set.js';
import { markedLetters } from '#src/core/text/marked-letters.js';
import { mappedCharacters } from '#src/core/text/mapped-characters.js';
import { divided } from '#src/kit/planning/division.js';
import { cutParts } from '#src/kit/planning/parts.js';
import { systemFont } from '../../test-support/engines.js';
import { inPart, plannedFace, wantedOf } from '../../test-support/parts.js';
import { readSample } from '../../test-support/paths.js';
import { casesOf } from '../../test-support/thorough.js';

const pathOf = (font: Font, character: number): string =>
  svgPathData(outlinesOf(font).outlineOf(cmap.glyphIdOf(font.table(cmap), character)));

const devanagari = systemFont('NotoSansDevanagari-Regular.ttf');
const fonts: [name: string, bytes: Uint8Array][] = [
  ['a font with kerning and ligatures', readSample('FerrywakeSans-Regular.ttf')],
  ['CFF outlines', readSample('LampbuoySlab-Bold.otf')],
  ...(devanagari ? [['a script that joins letters', readFileSync(devanagari)] as [string, Uint8Array]] : []),
];

describe.each(fonts)('the parts of %s', (_, bytes) => {
  const { font } = openFont(bytes);
  const available = mappedCharacters(font);
  const all = available.codePoints();

  test('do not overlap, are the whole face together, and draw what it draws', () =>
    fc.assert(
      fc.asyncProperty(fc.subarray(all, { minLength: 1, maxLength: 60 }), async (wanted) => {
        const cut = await cutParts(plannedFace(font), wantedOf(String.fromCodePoint(...wanted)));
        if ('wholeReason' in cut) return;
        const [site, rest] = [inPart(cut.drawn), cut.rest ? inPart(cut.rest) : []];
        expect(wanted.filter((character) => !site.includes(character))).toEqual([]);
        expect([...site, ...rest].sort((a, b) => a - b)).toEqual(all);
        for (const [part, characters] of [
          [cut.drawn, site],
          [cut.rest, rest],
        ] as const) {
          if (!part) continue;
          const made = openFont(part.bytes).font;
          for (const character of characters)
            expect([character, pathOf(made, character)]).toEqual([character, pathOf(font, character)]);
        }
      }),
      casesOf(3, 8),
    ));
});

describe('what is never divided', () => {
  const everything = new CodePointSet([
    ...Array.from({ length: 0x60 }, (_, i) => 0x20 + i),
    ...[0x300, 0x301, 0x3b1, 0x3b2, 0x410, 0x5d0, 0x5d1],
    ...Array.from({ length: 0x20 }, (_, i) => 0x627 + i),
    ...Array.from({ length: 0x40 }, (_, i) => 0x915 + i),
    ...[0x1100, 0x1161, 0xac00, 0xac01, 0x4e00, 0x4e01],
    ...[0x38e, 0x1feb, 0xa0, 0x793e, 0xfa4c, 0x2009, 0x202f, 0xfe0e],
  ]);

  test.each<[string, string, string, string]>([
    ['Latin letters are', 'a', 'a', 'b'],
    ['Greek letters are', 'α', 'α', 'β'],
    ['Han characters are', '一', '一', '丁'],
    ['Hebrew letters are', 'א', 'א', 'ב'],
    ['Arabic letters are not', 'ب', 'بتث', ''],
    ['Devanagari letters are not', 'क', 'कखग', ''],
    ['syllables of Hangul go with what they are made of', '가', '가각\u1100\u1161', ''],
    ['the space goes with what the site draws', 'a', 'a ', 'b'],
    ['an ideograph goes with its double', '社', '社\ufa4c', '一'],
    ['letters with oxia go with those with tonos', '\u1feb', '\u1feb\u038e', 'β'],
    ['and the double with the ideograph', '\ufa4c', '社\ufa4c', '一'],
    ['other spaces and selectors go with the space', 'a', 'a \u00a0\u2009\u202f\ufe0e', 'b'],
    ['marks are not', 'e\u0301', 'e\u0301\u0300', 'f'],
    ['marks of a script stay with its letters', 'e\u0301', 'e\u0301\u0300', '\u093f\u0940क'],
    ['marks and all letters that may bear them are not', 'q\u0301', 'qf\u0301\u0300', 'α'],
  ])('%s', (_, wanted, together, apart) => {
    const { site, rest } = divided(CodePointSet.ofText(wanted), everything, new Set(markedLetters(wanted)));
    for (const sign of together) expect([sign, site.has(sign.codePointAt(0)!)]).toEqual([sign, true]);
    for (const sign of apart) expect([sign, rest.has(sign.codePointAt(0)!)]).toEqual([sign, true]);
    expect(site.size + rest.size).toBe(everything.size);
  });
});

test('the rest is dropped where nobody wants it', async () => {
  const { font } = openFont(readSample('FerrywakeSans-Regular.ttf'));
  const cut = await cutParts(plannedFace(font), wantedOf('pier', false));
  expect(cut).toMatchObject({ drawn: { slice: 'drawn' }, rest: undefined });
});

test('a face of which the site draws nearly all stays whole', async () => {
  const { font } = openFont(readSample('TidelogMono-Regular.ttf'));
  expect(
    await cutParts(plannedFace(font), wantedOf(String.fromCodePoint(...mappedCharacters(font).codePoints()))),
  ).toEqual({
    wholeReason: 'the site draws nearly all of it',
  });
});

describe('alphabets, where scripts may write', () => {
  const small = 'abcdefghijklmnopqrstuvwxyz';
  const completedOf = async (wanted: string, mostBytes = 15_000) => {
    const { font } = openFont(readSample('FerrywakeSans-Regular.ttf'));
    const sets = [small, small.toUpperCase(), '0123456789'].map((text) => CodePointSet.ofText(text));
    const cut = await cutParts(plannedFace(font), { ...wantedOf(wanted), alphabets: { sets, mostBytes } });
    if ('wholeReason' in cut) throw new Error(cut.wholeReason);
    const { drawn, rest } = cut;
    expect(inPart(drawn).filter((one) => inPart(rest!).includes(one))).toEqual([]);
    const { bytes, characters = [] } = drawn.completed ?? {};
    const has = characters.flatMap(([first, last]) =>
      Array.from({ length: last - first + 1 }, (_, i) => String.fromCodePoint(first + i)),
    );
    return { has: has.join(''), bytes, drawn };
  };

  test.each([
    ['most of the small letters', 'abcdefghijklmnopr', 'qstuvwxyz'],
    ['half of them', 'abcdefghijklm', ''],
    ['all of them and some capitals', `${small}ABC`, ''],
    ['most digits', '123456', '789'],
  ])('of %s', async (_, wanted, completed) => {
    expect((await completedOf(wanted)).has).toBe(completed);
  });

  test('they weigh what the report says, and stay in the rest where that is too much', async () => {
    const wanted = 'abcdefghijklmnopr';
    const { bytes, drawn } = await completedOf(wanted);
    const { has, drawn: plain } = await completedOf(wanted, bytes! - 1);
    expect([has, drawn.bytes.length - plain.bytes.length]).toEqual(['', bytes]);
  });
});
