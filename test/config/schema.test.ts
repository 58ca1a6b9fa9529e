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
      output: { folder: 'type' },
      rest: 'keep',
      families: [
        {
          family: 'Ferrywake Sans',
          files: ['fonts/*.ttf'],
          role: 'ferrywake-sans',
          fallback: ['sans-serif'],
          display: 'swap',
          preload: 'auto',
        },
      ],
    });
  });

  test.each([
    [[400, 700], { weights: { values: [400, 700] } }],
    [400, { weights: { values: [400] } }],
    ['300-800', { weights: { range: [300, 800] } }],
    ['800 - 300', { weights: { range: [300, 800] } }],
  ])('weights %j', (weights, expected) => {
    expect(readConfig({ ...valid, families: [{ ...family, weights }] }, 'c').families[0]).toMatchObject(
      expected,
    );
  });

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
      { ...valid, families: [{ ...family, wieghts: [400] }] },
      ['families[0].wieghts is not a known key; did you mean weights?'],
    ],
    [
      'a key like no other',
      { output: { folder: 'type', zebra: 1 }, families: [family] },
      ['output.zebra is not a known key; known keys are folder, url'],
    ],
    [
      'a key that is not supported yet',
      { ...valid, families: [{ ...family, arrive: 'together' }] },
      ['families[0].arrive is not supported yet; take it out: this version has no arrival groups'],
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
      'a weight in words',
      { ...valid, families: [{ ...family, weights: 'bold' }] },
      [
        'families[0].weights is "bold"; write numbers from 1 to 1000, as in [400, 700], or a range, as in "300-800"',
      ],
    ],
    [
      'several mistakes at once',
      { ...valid, families: [{ ...family, display: 'flip', role: 'My Role' }] },
      [
        'families[0].role is "My Role"; use small letters, digits and hyphens, as in "body"',
        'families[0].display is "flip"; write auto, block, swap, fallback or optional',
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
        '__proto__ is not a known key; known keys are site, output, reach, characters, rest, budget, families',
        'constructor is not a known key; known keys are site, output, reach, characters, rest, budget, families',
        'output.toString is not a known key; known keys are folder, url',
        'families is []; list at least one family',
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
    'families',
  ]);
  expect(required).toEqual(['output', 'families']);
  expect(properties.families.items?.required).toEqual(['family', 'files']);
  expect(properties.reach.anyOf).toEqual([{ type: 'string' }, { type: 'array', items: { type: 'string' } }]);
});
