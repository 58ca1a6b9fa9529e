import { describe, expect, test } from '@jest/globals';
import { CodePointSet } from '#src/core/text/code-point-set.js';
import { readRules } from '#src/site/css/rules.js';
import { drawnBy, faceRuleOf, type FaceRule } from '#src/site/usage/declared-faces.js';

/** Rules of one family, each with its descriptors; its number is the name of its file. */
const rulesOf = (...descriptors: string[]): FaceRule[] =>
  readRules(
    descriptors.map((text, i) => `@font-face { font-family: A; src: url(${i}); ${text} }`).join(''),
    'a.css',
  ).fontFaces.map(faceRuleOf);

const asked = (weight: number, style: 'normal' | 'italic' | 'oblique' = 'normal', stretch = 100) => ({
  family: 'A',
  weight,
  style,
  stretch,
});

const fileOf = (rules: FaceRule[], wanted: ReturnType<typeof asked>): string | undefined =>
  drawnBy(rules, wanted, ['A'], [0x41])[0].face?.source?.url;

describe('font matching (CSS Fonts 4, section 5.2)', () => {
  test.each<[string, string[], ReturnType<typeof asked>, number]>([
    ['the weight that is there', ['font-weight: 400', 'font-weight: 700'], asked(700), 1],
    ['400 tries 500 before lighter ones', ['font-weight: 300', 'font-weight: 500'], asked(400), 1],
    ['450 tries up to 500 first', ['font-weight: 400', 'font-weight: 500'], asked(450), 1],
    ['500 tries lighter ones before bolder ones', ['font-weight: 400', 'font-weight: 600'], asked(500), 0],
    ['a light one tries lighter ones first', ['font-weight: 100', 'font-weight: 400'], asked(300), 0],
    ['a bold one tries bolder ones first', ['font-weight: 500', 'font-weight: 900'], asked(600), 1],
    ['a range that holds it', ['font-weight: 100 450', 'font-weight: 500 900'], asked(460), 1],
    [
      'italic before weight',
      ['font-weight: 700', 'font-weight: 300; font-style: italic'],
      asked(700, 'italic'),
      1,
    ],
    [
      'oblique stands in for italic',
      ['font-style: normal', 'font-style: oblique 10deg'],
      asked(400, 'italic'),
      1,
    ],
    ['italic stands in for oblique', ['font-style: normal', 'font-style: italic'], asked(400, 'oblique'), 1],
    ['width before style', ['font-stretch: 75%', 'font-style: italic'], asked(400, 'italic', 75), 0],
    [
      'narrow tries narrower first',
      ['font-stretch: 50%', 'font-stretch: 87.5%'],
      asked(400, 'normal', 75),
      0,
    ],
    ['wide tries wider first', ['font-stretch: 100%', 'font-stretch: 150%'], asked(400, 'normal', 125), 1],
    ['the later of two alike', ['font-weight: 400', 'font-weight: normal'], asked(400), 1],
    ['words as numbers', ['font-weight: bold', 'font-weight: normal'], asked(700), 0],
    ['a quoted weight is none, so it is 400', ['font-weight: "bold"', 'font-weight: 500'], asked(400), 0],
  ])('%s', (_, descriptors, wanted, expected) => {
    expect(fileOf(rulesOf(...descriptors), wanted)).toBe(String(expected));
  });
});

describe('which face draws a character', () => {
  const latin = 'unicode-range: U+0-FF';
  const greek = 'unicode-range: U+370-3FF';

  test('by unicode-range, and what no range names goes to a local font', () => {
    const groups = drawnBy(rulesOf(latin, greek), asked(400), ['A'], [0x41, 0x3b1, 0x416]);
    expect(groups.map(({ face, characters }) => [face?.source?.url, characters])).toEqual([
      ['0', [0x41]],
      ['1', [0x3b1]],
      [undefined, [0x416]],
    ]);
  });

  test('by what the file has; what it lacks goes on through the stack up to a family that nobody declares', () => {
    const [first, second] = [
      ...rulesOf(''),
      ...readRules('@font-face { font-family: B; src: url(b) }', 'a.css').fontFaces.map(faceRuleOf),
    ];
    first.supply = { characters: new CodePointSet([0x41]), bytes: 1 };
    second.supply = { characters: new CodePointSet([0x42]), bytes: 1 };
    const by = (stack: string[]) =>
      drawnBy([first, second], asked(400), stack, [0x41, 0x42, 0x20]).map(({ face, characters }) => [
        face?.family,
        characters,
      ]);
    expect(by(['A', 'B'])).toEqual([
      ['A', [0x41, 0x20]],
      ['B', [0x42]],
    ]);
    expect(by(['A', 'serif', 'B'])).toEqual([
      ['A', [0x41, 0x20]],
      [undefined, [0x42]],
    ]);
  });

  test('nothing by a face whose files are not there', () => {
    const [rule] = rulesOf('');
    rule.rule.sources[0].isMissing = true;
    expect(drawnBy([rule], asked(400), ['A'], [0x41])).toEqual([{ face: undefined, characters: [0x41] }]);
  });

  test.each([
    ['url(a.eot), url(a.woff2) format("woff2")', 'a.woff2'],
    ['url(a.eot?#iefix) format("embedded-opentype"), url(a.woff) format("woff")', 'a.woff'],
    ['url(a.svg#x) format("svg"), url(a.ttf)', 'a.ttf'],
    ['local("A"), url(a.ttf)', 'a.ttf'],
    ['url(a.eot)', 'a.eot'],
  ])('of %s browsers take %s', (source, url) => {
    const [rule] = readRules(`@font-face { font-family: A; src: ${source} }`, 'a.css').fontFaces;
    expect(faceRuleOf(rule).source?.url).toBe(url);
  });
});
