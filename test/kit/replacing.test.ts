import { describe, expect, test } from '@jest/globals';
import {
  judgeDrawing,
  kitOverridden,
  ruleFate,
  ruleOwners,
  shippedIn,
  stopFor,
  takenApart,
  weightStops,
  type Drawing,
  type OwnedRule,
} from '#src/kit/replacing/index.js';
import type { Manifest } from '#src/kit/index.js';
import { readRules } from '#src/site/css/rules.js';
import { CodePointSet } from '#src/core/text/code-point-set.js';
import { faceRuleOf } from '#src/site/usage/declared-faces.js';

describe('whose a rule is', () => {
  const kit = new Set(['a', 'b']);
  const rule = (digest: string, leadsTo: OwnedRule['leadsTo'] = 'elsewhere') => ({
    digests: [digest],
    leadsTo,
  });
  test.each<[string, boolean, boolean, OwnedRule[], string[]]>([
    ['a host’s, though the kit ships its bytes', true, false, [rule('a'), rule('b')], ['a host', 'a host']],
    ['a host’s, though it lies in the kit', true, true, [rule('a', 'the kit')], ['a host']],
    [
      'the kit’s, where it leads into it',
      false,
      false,
      [rule('x', 'the kit'), rule('a')],
      ['the kit', 'the site'],
    ],
    [
      'the site’s, though one file is the kit’s',
      false,
      false,
      [rule('a'), rule('c')],
      ['the site', 'the site'],
    ],
    [
      'a copy’s that leads to every file of it',
      false,
      false,
      [rule('b'), rule('c'), rule('a')],
      ['the kit', 'the site', 'the kit'],
    ],
    ['a copy’s that begins as it does', false, true, [rule('a'), rule('c')], ['the kit', 'the site']],
    ['another kit’s', false, true, [rule('c', 'another kit')], ['another kit']],
    ['nobody’s twice', false, false, [], []],
  ])('%s', (_, isHosted, isMarked, rules, owners) => {
    expect(ruleOwners({ isHosted, isMarked, rules }, kit)).toEqual(owners);
  });

  test('a kit without files has no copies', () => {
    expect(ruleOwners({ isHosted: false, isMarked: false, rules: [rule('a')] }, new Set())).toEqual([
      'the site',
    ]);
  });
});

describe('what becomes of a rule', () => {
  const face = (weight: string, style: string, characters: string[]) => ({
    weight,
    style,
    stretch: '100%',
    parts: characters.map((one) => ({ characters: one })),
  });
  const manifest = {
    families: [
      {
        family: 'Quay',
        faces: [face('300 800', 'normal', ['U+41-5A', 'U+61-7A']), face('400', 'italic', ['U+41'])],
      },
    ],
    leftOut: [{ family: 'Quay', weight: '900', style: 'normal', stretch: '100%' }],
  } as unknown as Manifest;
  const shipped = shippedIn(manifest, true);
  /** @param has characters of its file */
  const ruleOf = (descriptors: string, has = 'Pier') => {
    const [found] = readRules(
      `@font-face { font-family: QUAY; ${descriptors}; src: url(a) }`,
      'a.css',
    ).fontFaces;
    const characters = new CodePointSet(Array.from(has, (one) => one.codePointAt(0)!));
    return { ...faceRuleOf(found), supply: { characters, bytes: 1 } };
  };

  test.each<[string, string, string | undefined, 'goes' | 'stays', RegExp | undefined]>([
    ['a face of the kit', 'font-weight: 300 800', undefined, 'goes', undefined],
    ['a weight within one of the kit', 'font-weight: 700', undefined, 'goes', undefined],
    ['more weights than the kit has', 'font-weight: 100 800', undefined, 'stays', /does not have it/],
    ['another slope', 'font-style: oblique', undefined, 'stays', /does not have it/],
    ['another width', 'font-stretch: 75%', undefined, 'stays', /does not have it/],
    ['a face that no page draws', 'font-weight: 900', undefined, 'goes', /no page draws it/],
    ['one character more', 'font-weight: 400', 'Pier9', 'stays', /it has a character that the kit lacks/],
    [
      'characters that its rule is not for',
      'font-weight: 400; unicode-range: U+41-7A',
      'Pier水',
      'goes',
      undefined,
    ],
    [
      'a range of a face that the kit has others of',
      'unicode-range: U+4E00-9FFF',
      '',
      'stays',
      /is for characters that the kit lacks/,
    ],
    ['ideographs beside a kit for Latin', 'unicode-range: U+41-9FFF', 'P水面', 'stays', /2 characters/],
  ])('%s', (_, descriptors, has, becomes, why) => {
    const fate = ruleFate(ruleOf(descriptors, has), 'the site', shipped);
    expect([fate.becomes, fate.why ?? '']).toEqual([becomes, expect.stringMatching(why ?? /^$/)]);
  });

  test('of a file that is not at hand its range tells', () => {
    const { supply: _, ...unread } = ruleOf('unicode-range: U+41-FF');
    expect(ruleFate(unread, 'the site', shipped)).toEqual({ becomes: 'goes' });
  });

  test('without a rest what is beyond was left out on purpose; rules of others stay', () => {
    const rule = ruleOf('font-weight: 400', '水');
    expect(ruleFate(rule, 'the site', shippedIn(manifest, false))).toEqual({ becomes: 'goes' });
    for (const owner of ['a host', 'the kit', 'another kit'] as const)
      expect(ruleFate(ruleOf('font-weight: 400'), owner, shipped)).toEqual({ becomes: 'stays' });
  });
});

describe('rules behind those of a kit', () => {
  const rules = (css: string) => readRules(css, 'a.css').fontFaces.map(faceRuleOf);
  const kit =
    '@font-face { font-family: Quay; font-weight: 300 800; src: url(/t/quay-300-800n-drawn-0a1b2c3d.woff2) }';
  test.each<[string, string, number]>([
    ['win', `${kit} @font-face { font-family: quay; font-weight: 400; src: url(q.ttf) }`, 1],
    [
      'of a file that a bundler named',
      `${kit.replace('.woff2', '-Xy_z.woff2')} @font-face { font-family: Quay; src: url(q.ttf) }`,
      1,
    ],
    ['of another weight', `${kit} @font-face { font-family: Quay; font-weight: 900; src: url(q.ttf) }`, 0],
    ['of another slope', `${kit} @font-face { font-family: Quay; font-style: italic; src: url(q.ttf) }`, 0],
    ['before it', `@font-face { font-family: Quay; src: url(q.ttf) } ${kit}`, 0],
    ['of its own', `${kit} ${kit.replace('drawn', 'rest')}`, 0],
    ['of local fonts', `${kit} @font-face { font-family: Quay; src: local(Quay) }`, 0],
  ])('%s', (_, css, count) => {
    expect(kitOverridden(rules(css)).map(({ code }) => code)).toEqual(Array(count).fill('kit-overridden'));
  });
});

describe('whether a character is drawn as well as before', () => {
  const asked = { family: 'Quay', weight: 700, style: 'italic', stretch: 100 } as const;
  const quay: Drawing = {
    family: 'Quay',
    weight: 700,
    stretch: 100,
    style: 'italic',
    slant: undefined,
    descriptors: undefined,
    faked: [],
  };
  const pier = { ...quay, family: 'Pier' };
  const plain = { ...quay, weight: 400, style: 'normal', faked: ['bold', 'slant'] } as const;
  test.each<[string, Drawing | undefined, Drawing | undefined, string]>([
    ['nothing changed', quay, { ...quay }, 'the same'],
    ['no face before or after', undefined, undefined, 'the same'],
    ['a local font before', undefined, plain, 'better'],
    ['a local font then', plain, undefined, 'local font'],
    ['a family that stands further behind', quay, pier, 'another family'],
    ['one that stands before', pier, quay, 'better'],
    ['bold is made up', quay, { ...quay, weight: 400, faked: ['bold'] }, 'faked'],
    ['nothing is made up any more', plain, quay, 'better'],
    ['further from the weight', { ...quay, weight: 600 }, { ...quay, weight: 500 }, 'another weight'],
    ['as far from it', { ...quay, weight: 600 }, { ...quay, weight: 800 }, 'another weight'],
    ['nearer to it', { ...quay, weight: 500 }, { ...quay, weight: 600 }, 'better'],
    ['another slope', quay, { ...quay, style: 'normal' }, 'another style'],
    ['the slope that is asked for', { ...quay, style: 'oblique' }, quay, 'better'],
    ['further from the width', quay, { ...quay, stretch: 75 }, 'another style'],
    ['another size', quay, { ...quay, descriptors: { 'size-adjust': '90%' } }, 'another style'],
  ])('%s', (_, before, after, judgement) => {
    expect(judgeDrawing(before, after, asked, ['quay', 'pier'])).toBe(judgement);
  });
});

test.each([
  ['one of the weights', 600, 600],
  ['what is between, by font matching', 500, 400],
  ['what is beyond', 900, 700],
])('a rule over an axis that stops draws %s', (_, asked, drawn) => {
  const face = (weight: string, file: string) => ({ weight, parts: [{ file: `faces/${file}` }] });
  const faces = [
    face('700', 'a.woff2'),
    face('400', 'a.woff2'),
    face('600', 'a.woff2'),
    face('300 800', 'b.woff2'),
  ];
  const stops = weightStops({ families: [{ family: 'Quay', faces }] } as unknown as Manifest);
  const rule = (weight: string, file: string) =>
    faceRuleOf(
      readRules(
        `@font-face { font-family: Quay; font-weight: ${weight}; src: url(/type/faces/${file}?v=2) }`,
        'a.css',
      ).fontFaces[0],
    );
  expect(stopFor(rule('400 700', 'a.woff2'), asked, stops)).toBe(drawn);
  expect(stopFor(rule('400', 'a.woff2'), asked, stops)).toBeUndefined();
  expect(stopFor(rule('300 800', 'b.woff2'), asked, stops)).toBeUndefined();
});

test.each<[string, [weight: string, url: string][], number, string[][]]>([
  [
    'rules of other ranges are taken apart',
    [
      ['400 700', 'faces/quay-400-700n-whole-0123abcd.woff2'],
      ['700', 'own.woff2'],
    ],
    700,
    [['400 700'], ['700']],
  ],
  [
    'rules of one range are taken together',
    [
      ['700', 'faces/quay-700n-whole-0123abcd.woff2'],
      ['700', 'own.woff2'],
    ],
    700,
    [],
  ],
  [
    'so are those of which one has what is asked for',
    [
      ['400 700', 'faces/quay-400-700n-whole-0123abcd.woff2'],
      ['700', 'own.woff2'],
    ],
    400,
    [],
  ],
  [
    'a site’s own are as they were',
    [
      ['400 700', 'all.woff2'],
      ['700', 'own.woff2'],
    ],
    700,
    [],
  ],
])('%s', (_, declared, weight, expected) => {
  const rules = readRules(
    declared
      .map(([range, url]) => `@font-face { font-family: Quay; font-weight: ${range}; src: url(${url}) }`)
      .join(''),
    'a.css',
  ).fontFaces.map(faceRuleOf);
  expect(
    takenApart(rules, { weight }).map((all) => all.map((rule) => [...new Set(rule.weight)].join(' '))),
  ).toEqual(expected);
});
