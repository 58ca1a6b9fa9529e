import { describe, expect, test } from '@jest/globals';
import { openFont } from '#src/core/containers/index.js';
import { subsetFont } from '#src/core/subset/index.js';
import { CodePointSet } from '#src/core/text/code-point-set.js';
import { overBudget } from '#src/kit/budget.js';
import type { KitConfig } from '#src/config/schema.js';
import { cutToDemand } from '#src/kit/planning/cut.js';
import { demandOnKit, type DemandingPage } from '#src/kit/planning/demand.js';
import type { ChosenFace, ChosenFamily, Manifest } from '#src/kit/index.js';
import type { PageFace } from '#src/site/usage/page-face.js';
import { readSample } from '../../test-support/paths.js';

const { font } = openFont(readSample('FerrywakeSans-Regular.ttf'));
const { font: mono } = subsetFont(openFont(readSample('TidelogMono-Regular.ttf')).font, {
  characters: CodePointSet.ofText('abc'),
});

const faceOf = (family: string, weight: number, style: 'normal' | 'italic' = 'normal', source = font) =>
  ({
    family,
    weight: [weight, weight],
    style,
    stretch: [100, 100],
    source: { font: source, path: `${family}.ttf`, size: 1 },
  }) as unknown as ChosenFace;

const planOf = (...faces: ChosenFace[]): ChosenFamily[] =>
  [...new Set(faces.map(({ family }) => family))].map((family) => ({
    family,
    role: family.toLowerCase(),
    stack: [family],
    faces: faces.filter((face) => face.family === family),
  }));

/** Text in a style, as a page asks for it. */
const asking = (
  stack: string[],
  text: string,
  { weight = 400, style = 'normal', features = [] as string[], possible = '', screens = [0] } = {},
): [string, PageFace] => {
  const codes = (signs: string) => new Set([...signs].map((sign) => sign.codePointAt(0)!));
  const asked = { family: stack[0], weight, style: style as 'normal', stretch: 100 };
  const rule = { file: 'a.css', line: 1, selector: 'p', property: 'font-family', pieces: 1 };
  return [
    JSON.stringify([stack, weight, style]),
    {
      asked,
      stack,
      drawn: codes(text),
      marked: new Set(),
      possible: codes(possible),
      rules: new Map([['a', rule]]),
      features: new Set(features),
      variations: new Set(),
      typedIn: new Set(),
      mayFake: { bold: true, slant: true },
      screens: new Set(screens),
    },
  ];
};

const pageOf = (faces: [string, PageFace][], more: Partial<DemandingPage> = {}): DemandingPage => ({
  page: 'a.html',
  languages: ['en'],
  hasScripts: false,
  faces: new Map(faces),
  lines: [],
  declared: [],
  scripts: 0,
  ...more,
});

/** Characters that are asked of each face, by family and weight. */
function asked(plan: ChosenFamily[], ...pages: DemandingPage[]): Record<string, string> {
  return Object.fromEntries(
    Array.from(demandOnKit(pages, plan), ([{ family, weight, style }, { characters }]) => [
      `${family} ${weight[0]} ${style}`,
      String.fromCodePoint(...characters.codePoints()),
    ]),
  );
}

describe('what pages ask of a kit', () => {
  const regular = faceOf('Sans', 400);
  const bold = faceOf('Sans', 700);
  const italic = faceOf('Sans', 400, 'italic');
  const code = faceOf('Mono', 400, 'normal', mono);
  const plan = planOf(regular, bold, italic, code);

  test.each<[string, [string, PageFace][], Record<string, string>]>([
    ['the face of the weight', [asking(['Sans'], 'ab', { weight: 700 })], { 'Sans 700 normal': 'ab' }],
    ['the nearest where there is none', [asking(['Sans'], 'a', { weight: 800 })], { 'Sans 700 normal': 'a' }],
    ['the italic', [asking(['Sans', 'serif'], 'a', { style: 'italic' })], { 'Sans 400 italic': 'a' }],
    ['families without regard to case', [asking(['sANS'], 'a')], { 'Sans 400 normal': 'a' }],
    [
      'the first family of the stack that the kit has',
      [asking(['Nobody', 'Mono', 'Sans'], 'a')],
      { 'Mono 400 normal': 'a' },
    ],
    ['what may be drawn too', [asking(['Sans'], 'a', { possible: 'z' })], { 'Sans 400 normal': 'az' }],
    ['nothing of what it has not', [asking(['Arial', 'serif'], 'a')], {}],
  ])('%s', (_, faces, expected) => {
    expect(asked(plan, pageOf(faces))).toEqual(expected);
  });

  test('characters that the first family lacks go to the next one', () => {
    expect(asked(plan, pageOf([asking(['Mono', 'Sans'], 'aω')]))).toEqual({
      'Mono 400 normal': 'a',
      'Sans 400 normal': 'ω',
    });
  });

  test('a family that the page itself declares comes first', () => {
    const faces = [asking(['Own', 'Sans'], 'a')];
    expect(asked(plan, pageOf(faces, { declared: ['own'] }))).toEqual({});
    expect(asked(plan, pageOf(faces))).toEqual({ 'Sans 400 normal': 'a' });
  });

  test('behind local fonts it is one of those where only other pages declare it', () => {
    const [here, there] = [asking(['system-ui', 'Sans'], 'a'), asking(['Sans'], 'b')];
    const other = pageOf([there], { page: 'b.html', declared: ['sans'] });
    expect(asked(plan, pageOf([here]), other)).toEqual({ 'Sans 400 normal': 'b' });
    expect(asked(plan, pageOf([here], { declared: ['Sans'] }), other)).toEqual({ 'Sans 400 normal': 'ab' });
  });

  test('features and pages by face; a page that a script fills brings its language to every face', () => {
    const demand = demandOnKit(
      [
        pageOf([asking(['Sans'], 'a', { features: ['tnum'] })]),
        pageOf([asking(['Sans'], ' ', { weight: 700 })], { page: 'b.html' }),
        pageOf([], { page: 'c.html', scripts: 1, languages: ['el'] }),
      ],
      plan,
    );
    expect([...demand.get(regular)!.features]).toEqual(['tnum']);
    expect([...demand.get(regular)!.pages]).toEqual([['a.html', new Set([0x61])]]);
    expect([...demand.get(bold)!.pages]).toEqual([['b.html', new Set([0x20])]]);
    expect([...demand.get(italic)!.languages]).toEqual(['el']);
  });
});

test('a page fetches what it draws or measures lines by, on some screens; not what no page draws', () => {
  const [regular, bold, code] = [faceOf('Sans', 400), faceOf('Sans', 700), faceOf('Mono', 400)];
  const line = (family: string, screen: number) => ({
    asked: { family, weight: 400, style: 'normal' as const, stretch: 100 },
    stack: [family],
    screens: new Set([screen]),
  });
  const demand = demandOnKit(
    [
      pageOf([asking(['Sans'], 'a'), asking(['Sans'], 'b', { weight: 700, screens: [] })], {
        lines: [line('sans', 1), line('Mono', 0)],
      }),
    ],
    planOf(regular, bold, code),
  );
  expect([...demand.get(regular)!.fetched]).toEqual([['a.html', new Set([0, 1])]]);
  expect([...demand.get(bold)!.fetched]).toEqual([]);
  expect(demand.has(code)).toBe(false);
});

test.each<[string, Partial<DemandingPage>, 'keep' | 'drop', 'auto' | 'none' | undefined, string[]]>([
  ['no scripts', {}, 'keep', undefined, []],
  ['scripts', { hasScripts: true }, 'keep', undefined, ['0-9', 'a-z', 'A-Z']],
  [
    'scripts, in a language that nobody knows',
    { hasScripts: true, languages: ['x-pier'] },
    'keep',
    'auto',
    ['0-9'],
  ],
  ['scripts, in Japanese', { hasScripts: true, languages: ['ja'] }, 'keep', 'auto', ['0-9']],
  ['scripts, and a config that says no', { hasScripts: true }, 'keep', 'none', []],
  ['scripts, and no rest', { hasScripts: true }, 'drop', undefined, []],
])('alphabets of pages with %s', async (_, more, rest, alphabets, expected) => {
  const plan = planOf(faceOf('Sans', 400));
  const loading = { connections: ['slow phone' as const, { rtt: 100, down: 400 }] };
  const config = { families: [{}], characters: { alphabets }, rest, loading } as unknown as KitConfig;
  const demand = demandOnKit([pageOf([asking(['Sans'], 'pier')], more)], plan);
  const { families } = await cutToDemand(plan, demand, config);
  const { sets = [], mostBytes } = families[0].faces[0].cut?.alphabets ?? {};
  const ends = sets.map((set) =>
    [set.codePoints()[0], set.codePoints().at(-1)!].map((one) => String.fromCodePoint(one)).join('-'),
  );
  expect([ends, mostBytes]).toEqual([expected, expected.length > 0 ? 5000 : undefined]);
});

describe('a budget', () => {
  const part = (file: string, bytes: number) => ({ file, bytes });
  const manifest = {
    families: [
      {
        family: 'Sans',
        faces: [
          { weight: '300 800', style: 'normal', parts: [part('a', 30_000), part('rest', 90_000)] },
          { weight: '400', style: 'italic', parts: [part('b', 20_000)] },
        ],
      },
    ],
    pages: [
      { page: 'x.html', bytes: 50_000, files: ['a', 'b'] },
      { page: 'y.html', bytes: 30_000, files: ['a'] },
    ],
    preloads: ['a', 'b'],
  } as unknown as Manifest;

  test.each([
    [{}, []],
    [{ page: 50_000, face: 30_000, preloads: 2 }, []],
    [{ face: 25_000 }, ['Sans 300–800 weighs 30.0 kB, 5.0 kB over 25.0 kB for a face']],
    [{ page: 49_000 }, ['x.html fetches 50.0 kB, 1.0 kB over 49.0 kB for a page']],
    [{ page: 1000 }, ['x.html fetches 50.0 kB, 49.0 kB over 1.0 kB for a page, and 1 more are over it']],
    [{ preloads: 1 }, ['2 files are preloaded, and 1 may be']],
  ])('%j: %j', (budget, expected) => {
    expect(overBudget(manifest, budget).map(({ message }) => message)).toEqual(expected);
  });

  test('names what would bring it down; without pages a visit may fetch all', () => {
    const [{ advice }] = overBudget({ ...manifest, pages: [] }, { page: 45_000 });
    expect(advice).toBe('do without one of Sans 300–800 30.0 kB, Sans 400 italic 20.0 kB');
  });
});
