import { expect, test } from '@jest/globals';
import { declaredTogether } from '#src/kit/files/declared-together.js';
import type { KitFace } from '#src/kit/kit.js';

type Row = [weight: [number, number], file: string, asked?: number[]];

const faceOf = ([weight, file, asked]: Row) =>
  ({
    family: 'Buoy Sans',
    weight,
    style: 'normal',
    stretch: [100, 100],
    display: 'swap',
    parts: [{ file, slice: 'whole', format: 'woff2' }],
    demand: asked && { weights: asked },
  }) as unknown as KitFace;

test.each<[string, Row[], string[]]>([
  [
    'one file, nothing asked between',
    [
      [[400, 400], 'a', [400]],
      [[700, 700], 'a', [700]],
    ],
    ['a 400–700'],
  ],
  [
    'in any order',
    [
      [[700, 700], 'a', [800]],
      [[300, 300], 'a', [100]],
      [[400, 400], 'a', []],
    ],
    ['a 300–700'],
  ],
  [
    'a weight between that a page asks for',
    [
      [[400, 400], 'a', [500]],
      [[700, 700], 'a', [700]],
    ],
    ['a 400', 'a 700'],
  ],
  [
    'several files',
    [
      [[400, 400], 'a', [400]],
      [[700, 700], 'b', [700]],
    ],
    ['a 400', 'b 700'],
  ],
  [
    'a face of another file between',
    [
      [[400, 400], 'a', [400]],
      [[500, 500], 'b', []],
      [[700, 700], 'a', [700]],
    ],
    ['a 400', 'b 500', 'a 700'],
  ],
  [
    'parts by script',
    [
      [[400, 400], 'a', [400]],
      [[400, 400], 'b', [400]],
      [[700, 700], 'a', [700]],
      [[700, 700], 'b', []],
    ],
    ['a 400–700', 'b 400–700'],
  ],
  [
    'no page read',
    [
      [[400, 400], 'a'],
      [[700, 700], 'a'],
    ],
    ['a 400', 'a 700'],
  ],
])('%s', (_, rows, expected) => {
  const joined = declaredTogether(rows.map(faceOf));
  expect(
    joined.map(
      ({ parts, weight: [low, high] }) => `${parts[0].file} ${low === high ? low : `${low}–${high}`}`,
    ),
  ).toEqual(expected);
});
