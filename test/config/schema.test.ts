import { describe, expect, test } from '@jest/globals';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { configJsonSchema, configKeys } from '#src/config/json-schema.js';
import { readConfig } from '#src/config/read.js';
import { slug } from '#src/core/face/slug.js';
import { root } from '../../test-support/paths.js';

const family = { family: 'Ferrywake Sans', files: ['fonts/*.ttf'] };
const valid = { output: { folder: 'type' }, families: [family] };

/** What `readConfig` complains about, a line each. */
function mistakes(input: unknown): string[] {
  try {
    readConfig(input, 'dense-glyph.config.yaml');
    return [];
  } catch (cause) {
    return (cause as AggregateError).errors.map((error) => (error as Error).message);
  }
}

describe('a config', () => {
  test('gets its defaults', () => {
    expect(readConfig({ ...valid, site: { root: 'site' } }, 'c')).toEqual({
      site: { root: 'site' },
      output: { folder: 'type', facts: '.dense-glyph' },
      rest: 'keep',
      loading: { connections: ['slow phone', 'cable'], inline: 'none', loader: 'auto', 'stand-ins': 'auto' },
      families: [
        {
          family: 'Ferrywake Sans',
          files: ['fonts/*.ttf'],
          role: 'ferrywake-sans',
          stack: ['sans-serif'],
          loading: { display: 'swap', preload: 'auto', italic: 'with' },
        },
      ],
    });
  });

  const upright = (low: number, high = low) => ({ weight: [low, high], style: 'normal' });
  test.each<[unknown, object[]]>([
    [
      [400, 700],
      [upright(400), upright(700)],
    ],
    [400, [upright(400)]],
    ['300..800', [upright(300, 800)]],
    ['800 .. 300', [upright(300, 800)]],
    [
      ['400 italic', '700 oblique 10deg 75%'],
      [
        { weight: [400, 400], style: 'italic' },
        { weight: [700, 700], style: 'oblique', slant: [10, 10], stretch: [75, 75] },
      ],
    ],
  ])('faces %j', (faces, expected) => {
    const [read] = readConfig({ ...valid, families: [{ ...family, faces }] }, 'c').families;
    expect(read.faces).toEqual(expected);
  });

  test('files are named, or declared with descriptors by their names in CSS', () => {
    const files = [
      'a.ttf',
      { file: 'b.woff2', face: '700 italic', 'size-adjust': '90%', 'unicode-range': 'U+20-7E' },
    ];
    const [read] = readConfig({ ...valid, families: [{ ...family, files }] }, 'c').families;
    expect(read.files).toEqual([
      'a.ttf',
      {
        file: 'b.woff2',
        weight: [700, 700],
        style: 'italic',
        unicodeRange: 'U+20-7E',
        descriptors: { 'size-adjust': '90%' },
      },
    ]);
  });

  test.each([
    ['weights', [400], 'write faces, as in [400, 700 italic] or "300..800"'],
    ['styles', 'italic', 'write faces, as in [400, 400 italic]'],
    ['fallback', ['Arial'], 'write stack'],
    ['display', 'swap', 'write loading: { display: … }'],
    ['preload', 'none', 'write loading: { preload: … }'],
  ])('who writes the earlier key %s is told the new one', (key, value, advice) => {
    expect(mistakes({ ...valid, families: [{ ...family, [key]: value }] })).toEqual([
      `dense-glyph.config.yaml: families[0].${key} is a key of an earlier version; ${advice}`,
    ]);
  });

  test.each(['type', 'type/', '../type/', '/type/?a', 'ftp://a/b/', '//'])(
    'the URL %s fits no page',
    (url) => {
      expect(mistakes({ ...valid, output: { folder: 'type', url } })).toEqual([
        expect.stringMatching(/output\.url is ".*"; write what every page asks for: \/type\//),
      ]);
    },
  );

  test.each<[string, unknown, string[]]>([
    ['nothing', null, ['the config holds no keys; start with output and families']],
    [
      'no output',
      { families: [family] },
      ['output is missing; say where the kit goes: output: { folder: … }'],
    ],
    [
      'no families',
      { output: { folder: 'type' } },
      ['families is missing; list the families to ship: families: [ … ]'],
    ],
    ['an unknown key', { ...valid, familys: [] }, ['familys is not a known key; did you mean families?']],
    [
      'an unknown key deep inside',
      { ...valid, families: [{ ...family, fases: [400] }] },
      ['families[0].fases is not a known key; did you mean faces?'],
    ],
    [
      'a key like no other',
      { output: { folder: 'type', zebra: 1 }, families: [family] },
      ['output.zebra is not a known key; known keys are folder, url, facts, minify'],
    ],
    [
      'a choice that there is not',
      { ...valid, loading: { inline: 'first' } },
      ['loading.inline is "first"; write auto or none'],
    ],
    [
      'a line that nobody knows, and a group that is no name',
      {
        ...valid,
        loading: { connections: ['train'] },
        families: [{ ...family, loading: { group: 'The Headline' } }],
      },
      [
        'families[0].loading.group is "The Headline"; use small letters, digits and hyphens, as in "headline"',
        'loading.connections[0] is "train"; write slow phone, fast phone, cable or { rtt: 300, down: 400 }',
      ],
    ],
    [
      'a budget that is none',
      { ...valid, budget: { page: 'little', face: '-3', preloads: 1.5 } },
      [
        'budget.preloads is 1.5; write a count',
        'budget.face is "-3"; write a size, as in "90 kB"',
        'budget.page is "little"; write a size, as in "90 kB"',
      ],
    ],
    [
      'ranges and a rest that are none',
      { ...valid, characters: { ranges: 'U+20-7E, Latin', fromSite: 'maybe' }, rest: 'some' },
      [
        'rest is "some"; write keep or drop',
        'characters.ranges is "U+20-7E, Latin"; write ranges as unicode-range does, as in "U+2190-2199"',
        'characters.fromSite is "maybe"; write true or false',
      ],
    ],
    [
      'faces that are none',
      {
        ...valid,
        families: [
          { ...family, faces: [400, 'bold'] },
          { ...family, role: 'b', files: ['a.ttf', { file: 'b.ttf', face: 0 }] },
          { ...family, role: 'c', files: [{ file: 'b.ttf', 'size-adjust': 'big' }] },
          { ...family, role: 'd', files: [], loading: { preload: 'some' } },
        ],
      },
      [
        'families[0].faces is [400,"bold"]; write faces as in 400, "700 italic", or "300..800" for a part of a variable one',
        'families[1].files[1] is {"file":"b.ttf","face":0}; write a file, a folder or a glob, or { file: …, face: 700 italic } with descriptors of @font-face beside (it has the face 0)',
        'families[2].files[0] is {"file":"b.ttf","size-adjust":"big"}; write a file, a folder or a glob, or { file: …, face: 700 italic } with descriptors of @font-face beside (it has size-adjust: "big")',
        'families[3].files is []; name at least one font file, folder or glob',
        'families[3].loading.preload is "some"; write auto, none, or a list of faces, as in [400, 700 italic]',
      ],
    ],
    [
      'several mistakes at once',
      { ...valid, families: [{ ...family, loading: { display: 'flip' }, role: 'My Role' }] },
      [
        'families[0].role is "My Role"; use small letters, digits and hyphens, as in "body"',
        'families[0].loading.display is "flip"; write auto, block, swap, fallback or optional',
      ],
    ],
    [
      'a role given twice',
      {
        ...valid,
        families: [
          { ...family, role: 'body' },
          { ...family, role: 'body' },
        ],
      },
      ['families[1].role is "body", as in families[0]; give each its own role'],
    ],
    [
      'keys of every object',
      JSON.parse(
        '{"__proto__": 1, "constructor": {}, "output": {"folder": "t", "toString": 1}, "families": []}',
      ),
      [
        '__proto__ is not a known key; known keys are site, output, reach, characters, rest, budget, loading, families',
        'constructor is not a known key; known keys are site, output, reach, characters, rest, budget, loading, families',
        'output.toString is not a known key; known keys are folder, url, facts, minify',
      ],
    ],
  ])('with %s is refused with path and remedy', (_, input, expected) => {
    expect(mistakes(input).sort()).toEqual(expected.map((line) => `dense-glyph.config.yaml: ${line}`).sort());
  });
});

/** Lists of lists, each of which holds the one before ten times. */
function bomb(levels: number): unknown {
  let value: unknown = 'x';
  for (let i = 0; i < levels; i++) value = Array.from({ length: 10 }, () => value);
  return value;
}

test.each<[string, () => unknown, RegExp]>([
  ['comes to millions of values', () => ({ ...valid, reach: bomb(9) }), /comes to more than 20000 values/],
  [
    'is very deep',
    () => ({ ...valid, reach: JSON.parse(`${'['.repeat(5000)}${']'.repeat(5000)}`) as unknown }),
    /levels deep/,
  ],
  [
    'contains itself',
    () => {
      const config: Record<string, unknown> = { ...valid };
      config.site = config;
      return config;
    },
    /contains itself/,
  ],
])('a config that %s is refused', (_, input, reason) => {
  expect(mistakes(input())).toEqual([expect.stringMatching(reason)]);
});

test.each([
  ['Ferrywake Sans', 'ferrywake-sans'],
  ['Łódź Grotesk 2.0', 'odz-grotesk-2-0'],
  ['Τύπος', 'font'],
])('%s becomes %s in file names', (name, expected) => {
  expect(slug(name)).toBe(expected);
});

test('docs/config.md lists each key', () => {
  const rows = readFileSync(join(root, 'docs/config.md'), 'utf8').match(/^\| `[^`]+`/gm) ?? [];
  expect(rows.map((row) => row.slice(3, -1))).toEqual(configKeys());
});

test('the JSON Schema for editors knows the keys, and which are required', () => {
  const { properties, required } = configJsonSchema() as {
    properties: Record<string, { anyOf?: object[]; items?: { required: string[] } }>;
    required: string[];
  };
  expect(Object.keys(properties)).toEqual([
    'site',
    'output',
    'reach',
    'characters',
    'rest',
    'budget',
    'loading',
    'families',
  ]);
  expect(required).toEqual(['output', 'families']);
  expect(properties.families.items?.required).toEqual(['family', 'files']);
  expect(properties.reach.anyOf).toEqual([{ type: 'string' }, { type: 'array', items: { type: 'string' } }]);
});
