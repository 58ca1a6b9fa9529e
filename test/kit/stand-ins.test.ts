import { describe, expect, test } from '@jest/globals';
import { openFont } from '#src/core/containers/index.js';
import { asIs, kindOf, scaleOf, scalesBy, type Scales } from '#src/kit/stand-ins/character-kinds.js';
import { bestScales, movesOf, reachesAt, type FittedText } from '#src/kit/stand-ins/fit.js';
import {
  bandsOf,
  classicRules,
  fittedStandIns,
  standInRules,
  type StandInFace,
} from '#src/kit/stand-ins/index.js';
import { breakPlaces, lineStarts } from '#src/kit/stand-ins/lines.js';
import { localFonts, localSetter, setterOf } from '#src/kit/stand-ins/text-setter.js';
import { readSample } from '../../test-support/paths.js';

/** Every letter as wide as the other. */
const even = (text: string, width = 1) => Float64Array.from({ length: text.length + 1 }, (_, i) => i * width);

describe('lines', () => {
  test.each<[string, string, number, string[]]>([
    ['as much as fits', 'aaa bbb ccc', 7, ['aaa bbb ', 'ccc']],
    ['spaces at the end hang', 'aaa bbb ccc', 3, ['aaa ', 'bbb ', 'ccc']],
    ['a long word stands alone', 'aaaaaaaaa b', 4, ['aaaaaaaaa ', 'b']],
    ['forced breaks', 'a\nb c', 9, ['a\n', 'b c']],
    ['hyphens and dashes end lines', 'well-known—so', 6, ['well-', 'known—', 'so']],
    ['no-break spaces hold', 'a 12\u00a0km b', 6, ['a ', '12\u00a0km ', 'b']],
    ['everything in one', 'a b', Infinity, ['a b']],
  ])('%s', (_, text, measure, expected) => {
    const starts = [0, ...lineStarts(breakPlaces(text), even(text), measure), text.length];
    expect(starts.slice(1).map((end, i) => text.slice(starts[i], end))).toEqual(expected);
  });
});

describe('the size of a stand-in', () => {
  const words =
    'The first boat leaves Skerrow at twenty to seven and calls at Quernsay if somebody waves to it';
  const greek =
    'Το πρώτο πλοίο φεύγει από το Σκέροου στις επτά παρά είκοσι και πιάνει λιμάνι αν κάποιος γνέψει';
  /** Kinds of characters of a local font are narrower by these factors. */
  const fitted = (scales: Scales): FittedText[] =>
    [words, words.slice(20), `${words} ${words}`, greek, `${greek} ${words}`].map((text) => {
      const kinds = [...text].map((one) => kindOf(one.charCodeAt(0)));
      const byKind = [...new Set(kinds)].map((kind) => {
        const reaches = new Float64Array(text.length + 1);
        kinds.forEach(
          (own, i) => (reaches[i + 1] = reaches[i] + (own === kind ? 8 / scaleOf(scales, kind) : 0)),
        );
        return { kind, reaches };
      });
      return {
        face: even(text, 8),
        faceWidths: scalesBy((kind) => kinds.filter((one) => one === kind).length * 8),
        local: { byKind, added: new Float64Array(text.length + 1) },
        places: breakPlaces(text),
        measures: [120, 155, 201, 260, 333].map((px) => ({ px, face: px, share: 1 })),
        count: 1,
      };
    });

  test('figures are as wide as the face’s zero where lines are as long as so many of them', () => {
    const texts = fitted(scalesBy(() => 0.9)).map((text) => ({
      ...text,
      measures: [20, 28, 37].map((count) => ({
        px: 400,
        face: Math.min(400, count * 9),
        zeros: { face: count * 9, local: count * 6, less: 0 },
        share: 1,
      })),
    }));
    const { scales, moves } = bestScales(texts);
    expect([scales.letters, scales.figures].map((scale) => scale.toFixed(1))).toEqual(['0.9', '1.5']);
    expect(moves.otherBreaks).toBe(0);
  });

  test.each([
    [0.8, 0.8, 0.8],
    [0.95, 0.95, 0.95],
    [1, 1, 1],
    [1.07, 1.07, 1.07],
    [1.3, 1.3, 1.3],
    [0.9, 1.6, 0.9],
    [1.2, 0.5, 1.2],
    [0.9, 0.9, 1.1],
    [1, 1.3, 0.9],
  ])(
    'a font that is %d of the size, its spaces %d, its Greek %d, is found out, and nothing moves',
    (letters, spaces, Greek) => {
      const own = { ...scalesBy(() => letters), spaces, Greek };
      const texts = fitted(own);
      const { scales, moves } = bestScales(texts);
      expect(moves).toMatchObject({ paragraphs: 25, otherCount: 0 });
      const widthAt = (at: typeof scales) =>
        texts.reduce((sum, { local }) => sum + (reachesAt(local, at).at(-1) ?? 0), 0);
      expect(Math.abs(widthAt(scales) / widthAt(own) - 1)).toBeLessThan(0.01);
      for (const kind of ['spaces', 'Greek'] as const)
        expect(Math.sign(scales[kind] - scales.letters)).toBe(Math.sign(own[kind] - letters));
      if (letters !== 1) expect(movesOf(texts, asIs).moves.otherBreaks).toBeGreaterThan(0);
    },
  );
});

test.each<[[number, number], Record<number, number>, [number, number][]]>([
  [[400, 400], {}, [[400, 400]]],
  [
    [300, 800],
    {},
    [
      [300, 599],
      [600, 800],
    ],
  ],
  [
    [300, 500],
    { 300: 900, 500: 900 },
    [
      [300, 400],
      [401, 500],
    ],
  ],
  [
    [300, 800],
    { 400: 900, 700: 900 },
    [
      [300, 599],
      [600, 800],
    ],
  ],
  [
    [300, 800],
    { 300: 900, 400: 900, 500: 5, 700: 900 },
    [
      [300, 350],
      [351, 599],
      [600, 800],
    ],
  ],
  [[100, 500], { 400: 900 }, [[100, 500]]],
])('weights %j, asked for %j, share their stand-ins so: %j', (weight, asked, bands) => {
  const letters = new Map(Object.entries(asked).map(([one, count]) => [Number(one), count]));
  expect(bandsOf(weight, letters)).toEqual(bands);
});

test('what is known of local fonts says what was measured, and has widths of letters', () => {
  for (const { name, measured, faces } of localFonts) {
    expect([name, measured.length > 0]).toEqual([name, true]);
    for (const face of faces) {
      const reaches = localSetter(face).reaches('Quay Řž fjord 4.20', { language: 'en' });
      expect([name, reaches !== undefined && reaches[18] > 5 && reaches[18] < 20]).toEqual([name, true]);
    }
  }
  expect(localSetter(localFonts[0].faces[0]).reaches('漢', { language: 'ja' })).toBeUndefined();
});

test('a face by its own widths stands in for itself', () => {
  const { font } = openFont(readSample('FerrywakeSans-Regular.ttf'));
  const face: StandInFace = {
    family: 'Ferrywake Sans',
    weight: [400, 400],
    style: 'normal',
    stretch: [100, 100],
    stack: ['Ferrywake Sans', 'sans-serif'],
    font,
  };
  const measured = [{ name: 'Same', names: ['Same'], weight: 400, italic: false, font }];
  const [{ standIns, isOfSite }] = fittedStandIns([face], [], ['en', 'el'], measured).standIns.get(face)!;
  expect(isOfSite).toBe(false);
  expect(standIns.map(({ local, scales }) => [local, scales.letters])).toEqual([
    ['Same', expect.closeTo(1, 2)],
  ]);
  const reaches = setterOf(font).reaches('a', { language: 'en' })!;
  const rule = { ...face, characters: [[0x20, 0x7e] as const], isLoadedAhead: false };
  const [alike] = standInRules(rule, { ...standIns[0], scales: scalesBy(() => reaches[1]) });
  expect(alike).toMatch(/size-adjust: \d\d\.?\d*%;\n {2}ascent-override: [\d.]+%;/);
  expect(alike).toMatch(/src: local\("Same"\);\n {2}unicode-range: U\+20-7E;/);
  // The first font of a line is the one that has the space: its metrics stay those of the face.
  const apart = standInRules(rule, {
    ...standIns[0],
    scales: { ...asIs, spaces: 2 },
    ascent: 90,
  });
  expect(
    apart.map((one) => /ascent-override: ([\d.]+)%[^]*unicode-range: (.*);/.exec(one)?.slice(1)),
  ).toEqual([
    ['90', 'U+21-7E'],
    ['45', 'U+20'],
  ]);
});

describe('for browsers that lack the descriptors', () => {
  const { font } = openFont(readSample('FerrywakeSans-Regular.ttf'));
  const face = {
    family: 'Ferry */ wake',
    weight: [400, 400] as const,
    style: 'normal' as const,
    stretch: [100, 100] as const,
    stack: ['Ferry */ wake', 'Arial', 'sans-serif'],
    font,
    state: 'body',
  };
  const { standIns } = fittedStandIns([face], [], ['en']);
  const [{ standIns: found }] = standIns.get(face)!;
  const best = { ...found.at(-1)!, scales: { ...scalesBy(() => 0.5), spaces: 1 } };
  const bands = new Map([[face, [{ ...standIns.get(face)![0], standIns: [best] }]]]);
  const run = {
    text: 'boats',
    language: 'en',
    face,
    fontSize: 24,
    letterSpacing: 0,
    wordSpacing: 0,
    weight: 400,
  };
  const paragraph = (element: string, lineHeight: 'normal' | number | '×1.5') => ({
    page: 'a.html',
    element,
    line: 1,
    lineHeight,
    runs: [{ ...run, features: new Map<string, number>() }],
    measures: [{ px: 300, share: 1 }],
    isMeasureKnown: true,
  });

  test.each([
    [
      'mixin',
      /@mixin until-ferry-wake-400\(\$size.*\{\n.*\n {4}font: normal 400 calc\(#\{\$size\} \* 0\.5\)/,
    ],
    ['classes', /\) \.until-ferry-wake-400-size \{\n {2}font-size: 0\.5em;/],
    [
      'elements',
      /\) p\.lead \{\n {2}font-family: .*;\n {2}font-size: 0\.75rem;\n {2}line-height: 3;\n {2}word-spacing: 0\.\d+em;/,
    ],
  ] as const)('%s', (form, expected) => {
    const hostile = paragraph('p.x{}*/', 'normal');
    const css = classicRules(form, bands, [paragraph('p.lead', '×1.5'), hostile]);
    expect(css).toMatch(expected);
    expect(css).not.toContain('x{}');
    // A comment is over where it says so.
    expect(css.match(/\*\//g)).toHaveLength(1);
    expect(css).toContain(':root[data-type-body]:not([data-type-body="ready"])');
  });
});
