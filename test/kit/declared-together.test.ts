import { expect, test } from '@jest/globals';
import { declaredTogether } from '#src/kit/files/declared-together.js';
import type { KitFace } from '#src/kit/kit.js';

type Row = [weight: [number, number], file: string, steps?: number[]];

const faceOf = ([weight, file, steps]: Row) =>
  ({
    family: 'Buoy Sans',
    weight,
    style: 'normal',
    stretch: [100, 100],
    display: 'swap',
    parts: [{ file, slice: 'whole', format: 'woff2' }],
    steps,
  }) as unknown as KitFace;

const steps = [300, 400, 700];

test.each<[string, Row[], string[]]>([
  [
    'one file whose axis stops at both',
    [
      [[400, 400], 'a', steps],
      [[700, 700], 'a', steps],
    ],
    ['a 400–700'],
  ],
  [
    'in any order',
    [
      [[700, 700], 'a', steps],
      [[300, 300], 'a', steps],
      [[400, 400], 'a', steps],
    ],
    ['a 300–700'],
  ],
  [
    'an axis that goes on between them',
    [
      [[400, 400], 'a'],
      [[700, 700], 'a'],
    ],
    ['a 400', 'a 700'],
  ],
  [
    'several files',
    [
      [[400, 400], 'a', steps],
      [[700, 700], 'b', steps],
    ],
    ['a 400', 'b 700'],
  ],
  [
    'a face of another file between',
    [
      [[400, 400], 'a', steps],
      [[500, 500], 'b'],
      [[700, 700], 'a', steps],
    ],
    ['a 400', 'b 500', 'a 700'],
  ],
  [
    'parts by script',
    [
      [[400, 400], 'a', steps],
      [[400, 400], 'b', steps],
      [[700, 700], 'a', steps],
      [[700, 700], 'b', steps],
    ],
    ['a 400–700', 'b 400–700'],
  ],
  [
    'a part whose axis goes on',
    [
      [[400, 400], 'a', steps],
      [[400, 400], 'b'],
      [[700, 700], 'a', steps],
      [[700, 700], 'b'],
    ],
    ['a 400', 'b 400', 'a 700', 'b 700'],
  ],
  [
    'a part that is there at fewer weights',
    [
      [[400, 400], 'a', steps],
      [[700, 700], 'a', steps],
      [[700, 700], 'b', steps],
    ],
    ['a 400', 'a 700', 'b 700'],
  ],
  [
    'other weights of another file',
    [
      [[300, 300], 'b'],
      [[400, 400], 'a', steps],
      [[700, 700], 'a', steps],
    ],
    ['b 300', 'a 400–700'],
  ],
])('%s', (_, rows, expected) => {
  const joined = declaredTogether(rows.map(faceOf));
  expect(
    joined.map(
      ({ parts, weight: [low, high] }) => `${parts[0].file} ${low === high ? low : `${low}–${high}`}`,
    ),
  ).toEqual(expected);
});
