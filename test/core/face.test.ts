import { describe, expect, test } from '@jest/globals';
import { cssString, faceStyleOf, fontFaceText, fontFamilyList } from '#src/core/face/index.js';
import { openFont } from '#src/core/containers/index.js';
import { weightInName } from '#src/core/face/style.js';
import { rangesOf, unicodeRangeText } from '#src/core/text/unicode-ranges.js';
import { buildFont, type FontParts } from '../../test-support/fonts.js';
import { readSample } from '../../test-support/paths.js';

describe('the style of a face', () => {
  test.each<[string, FontParts, number, string, string[]]>([
    ['regular', {}, 400, 'normal', []],
    ['bold', { subfamily: 'Bold', weightClass: 700, selection: 32, macStyle: 1 }, 700, 'normal', []],
    [
      'bold that OS/2 calls 400',
      { subfamily: 'Bold', weightClass: 400, selection: 32, macStyle: 1 },
      700,
      'normal',
      ['weight-disagrees'],
    ],
    [
      'light that only its name knows',
      { subfamily: 'Light', weightClass: 400 },
      300,
      'normal',
      ['weight-disagrees'],
    ],
    [
      'medium that OS/2 calls 700',
      { subfamily: 'Medium', weightClass: 700 },
      700,
      'normal',
      ['weight-disagrees'],
    ],
    [
      'weight 7 as early fonts wrote it',
      { subfamily: 'Bold', weightClass: 7, selection: 32, macStyle: 1 },
      700,
      'normal',
      [],
    ],
    ['weight 0', { weightClass: 0 }, 400, 'normal', ['weight-class-invalid']],
    [
      'bold in OS/2 alone',
      { subfamily: 'Bold', weightClass: 700, selection: 32 },
      700,
      'normal',
      ['bold-bit-disagrees'],
    ],
    ['italic', { subfamily: 'Italic', selection: 1, macStyle: 2 }, 400, 'italic', []],
    ['italic by name alone', { subfamily: 'Italic' }, 400, 'italic', ['italic-disagrees']],
    ['italic bit in head alone, upright name', { macStyle: 2 }, 400, 'normal', ['italic-disagrees']],
    ['oblique', { subfamily: 'Oblique', selection: 1 | (1 << 9), macStyle: 2 }, 400, 'oblique', []],
  ])('%s', (_, parts, weight, style, codes) => {
    const { face, findings } = faceStyleOf(buildFont(parts));
    expect(face).toMatchObject({ family: 'Test', weight: [weight, weight], style, stretch: [100, 100] });
    expect(findings.map(({ code }) => code)).toEqual(codes);
  });

  test('a variable file covers the range of its axis', () => {
    const { face, findings } = faceStyleOf(openFont(readSample('FerrywakeSans-VariableItalic.ttf')).font);
    expect(face).toEqual({
      family: 'Ferrywake Sans',
      weight: [300, 800],
      style: 'italic',
      stretch: [100, 100],
      axes: ['wght'],
    });
    expect(findings).toEqual([]);
  });

  test.each([
    ['SemiBold Italic', 600],
    ['Demi-Bold', 600],
    ['ExtraBold', 800],
    ['Ultra Light', 200],
    ['Hairline', 100],
    ['Book', 400],
    ['Black', 900],
    ['ExtraBlack', 950],
    ['Condensed', undefined],
    ['Boldonse', undefined],
  ])('"%s" means weight %s', (name, weight) => {
    expect(weightInName(name)).toBe(weight);
  });
});

test('a rule has every descriptor, quoted and escaped', () => {
  const rule = {
    family: 'Harbour "9"',
    weight: [300, 800],
    style: 'italic',
    stretch: [75, 100],
    display: 'swap',
  } as const;
  expect(fontFaceText({ ...rule, sources: [{ url: 'faces/a b.woff2', format: 'woff2' }] })).toBe(`@font-face {
  font-family: "Harbour \\"9\\"";
  font-style: italic;
  font-weight: 300 800;
  font-stretch: 75% 100%;
  font-display: swap;
  src: url("faces/a%20b.woff2") format("woff2");
}
`);
});

test('generic families stay without quotes, names with spaces or digits get them', () => {
  expect(fontFamilyList(['Ferrywake Sans', 'Arial', 'B612', 'sans-serif'])).toBe(
    '"Ferrywake Sans", Arial, "B612", sans-serif',
  );
});

test('unicode-range text is as short as the ranges allow', () => {
  expect(unicodeRangeText(rangesOf([0x20, 0x21, 0x22, 0xa9, 0x1f600]))).toBe('U+20-22, U+A9, U+1F600');
});

test('a string ends no style element that it stands in', () => {
  expect(cssString('</style><b>')).toBe('"\\3c /style>\\3c b>"');
});
