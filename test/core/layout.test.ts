import { describe, expect, test } from '@jest/globals';
import { Block, BlockStore, packBlocks } from '#src/core/bytes/blocks.js';
import { Reader } from '#src/core/bytes/reader.js';
import { closeOverSubstitutions } from '#src/core/layout/closure.js';
import { GlyphMap } from '#src/core/layout/common/glyph-map.js';
import { keptLayout } from '#src/core/layout/kept-layout.js';
import type { Subtable } from '#src/core/layout/kinds.js';
import { readLayoutTable, type LayoutTable } from '#src/core/layout/layout-table.js';
import type { GlyphPairs } from '#src/core/layout/gpos/glyph-pairs.js';
import { noPair } from '#src/core/layout/gpos/pair-value.js';
import { noValue } from '#src/core/layout/gpos/value-record.js';
import { fontOf } from '#src/core/sfnt/font.js';
import {
  itemVariationStoreBlock,
  keptDeltaSets,
  readItemVariationStore,
} from '#src/core/variations/item-variation-store.js';
import { layoutOf, pairList, pairsIn, value, type ListedPair } from '../../test-support/layout.js';

const all = () => true;
const packed = (block: Block) => packBlocks(block).bytes!;

describe('packing', () => {
  test('equal pieces are stored once, and each offset leads where it should', () => {
    const store = new BlockStore();
    const leaf = () => store.keep(new Block().uint16(7));
    const root = new Block()
      .offset16(leaf())
      .offset16(leaf())
      .offset32(store.keep(new Block().uint16(9)));
    expect([...packed(root)]).toEqual([0, 8, 0, 8, 0, 0, 0, 10, 0, 7, 0, 9]);
  });

  test('lookups that lie too far get wide offsets, also when they share pieces', () => {
    const wide = (from: number): Subtable => ({
      kind: 'multiple',
      glyphs: new Map(
        Array.from({ length: 900 }, (_, i) => [i, Array.from({ length: 20 }, (__, k) => from + i + k)]),
      ),
    });
    const lookups = [0, 1, 900, 0, 1800].map((from) => ({ type: 2, subtables: [wide(from)] }));
    const table = layoutOf('GSUB', lookups);
    lookups.forEach((lookup, i) => expect(table.lookupAt(i).subtables).toEqual(lookup.subtables));
  });

  test('pieces that are copied for those who share them can be copied with what they share in turn', () => {
    const anchorsFrom = (from: number, count: number) =>
      Array.from({ length: count }, (_, i) => ({ x: from + i, y: 1 }));
    const marks = new Map(anchorsFrom(0, 100).map((anchor, i) => [9000 + i, { markClass: 0, anchor }]));
    // What marks and bases share, all lookups share.
    const lookups = [0, 5000, 10_000, 15_000, 20_000].map((from) => ({
      type: 4,
      subtables: [
        {
          kind: 'mark to base' as const,
          classCount: 1,
          marks,
          bases: new Map(
            [...anchorsFrom(0, 100), ...anchorsFrom(from, 4000)].map((anchor, i) => [i, [anchor]]),
          ),
        },
      ],
    }));
    const table = layoutOf('GPOS', lookups);
    lookups.forEach((lookup, i) => expect(table.lookupAt(i).subtables).toEqual(lookup.subtables));
  });

  test('pairs that are too many for one table are split', () => {
    const advances = [
      ...Array.from({ length: 70 }, (_, i) => i + 1),
      ...Array.from({ length: 400 }, (_, i) => -1 - i),
    ];
    const values = [noPair, ...advances.map((advance) => ({ first: value(advance), second: noValue }))];
    const seconds = Array.from({ length: 70 }, (_, i) => i);
    const pairs = Array.from({ length: 400 }, (_, i) => i).flatMap((first): ListedPair[] => [
      ...seconds.map((second): ListedPair => [first, second, second + 1]),
      [first, 400 + first, 71 + first],
    ]);
    const table = layoutOf('GPOS', [
      {
        type: 2,
        subtables: [{ kind: 'glyph pairs', consumesSecond: true, values, pairs: pairList(pairs) }],
      },
    ]);
    const subtables = table.lookupAt(0).subtables as GlyphPairs[];
    expect(subtables.length).toBeGreaterThan(1);
    const said = subtables.flatMap((subtable) =>
      pairsIn(subtable.pairs).map(([first, second, number]) => [first, second, subtable.values[number]]),
    );
    expect(said).toEqual(pairs.map(([first, second, number]) => [first, second, values[number]]));
  });

  test('an extension that leads nowhere is missing, and the others keep their type', () => {
    const header = [1, 0, 0, 0, 10]; // the lookup list at 10
    const lookup = [1, 4, 7, 0, 2, 10, 18]; // one lookup, of extensions
    const extensions = [1, 1, 0, 16, 1, 99, 0, 8];
    const single = [1, 6, 1, 1, 1, 5]; // glyph 5 becomes glyph 6
    const halves = Uint16Array.from([...header, ...lookup, ...extensions, ...single]);
    const bytes = new Uint8Array(Buffer.from(halves.buffer).swap16());
    const table = readLayoutTable(fontOf('truetype', new Map([['GSUB', bytes]])), 'GSUB')!;
    expect(table.lookupAt(0)).toEqual({
      type: 1,
      flag: 0,
      subtables: [{ kind: 'single', glyphs: new Map([[5, 6]]) }],
    });
    expect(table.damages.map(({ reason }) => reason)).toEqual(['lookup type 99 is not known']);
  });

  test('pieces that overlap a thousand times over are refused', () => {
    const bytes = new Uint8Array(60000);
    const view = new DataView(bytes.buffer);
    [1, 0, 0, 0, 10].forEach((half, i) => view.setUint16(i * 2, half));
    view.setUint16(10, 29000);
    for (let i = 0; i < 29000; i++) view.setUint16(12 + i * 2, 2 + (i % 5000) * 2);
    const table = readLayoutTable(fontOf('truetype', new Map([['GSUB', bytes]])), 'GSUB')!;
    expect(() => Array.from({ length: table.lookupCount }, (_, i) => table.lookupAt(i))).toThrow(/GSUB/);
  });

  test('of lookups that lie in one place the first is read, and the others are charged', () => {
    const bytes = new Uint8Array(60000);
    const view = new DataView(bytes.buffer);
    [1, 0, 0, 0, 10, 20_000].forEach((half, i) => view.setUint16(i * 2, half));
    for (let i = 0; i < 20_000; i++) view.setUint16(12 + i * 2, 50_000);
    const table = readLayoutTable(fontOf('truetype', new Map([['GSUB', bytes]])), 'GSUB')!;
    expect(table.lookupAt(1)).toBe(table.lookupAt(0));
  });
});

describe('closure', () => {
  const single = (from: number, to: number): Subtable => ({ kind: 'single', glyphs: new Map([[from, to]]) });
  const closed = (gsub: LayoutTable, glyphs: number[], lookups: number[]) => {
    const set = new Set(glyphs);
    closeOverSubstitutions(gsub, set, lookups);
    return [...set].sort((a, b) => a - b);
  };

  test.each<[string, Parameters<typeof layoutOf>[1], number[], number[], number[]]>([
    [
      'a chain of lookups, against their order',
      [
        { type: 1, subtables: [single(2, 3)] },
        { type: 1, subtables: [single(1, 2)] },
      ],
      [0, 1],
      [1],
      [1, 2, 3],
    ],
    [
      'a ligature needs all its parts',
      [
        {
          type: 4,
          subtables: [{ kind: 'ligature', ligatures: new Map([[1, [{ glyph: 8, components: [2, 3] }]]]) }],
        },
      ],
      [0],
      [1, 2],
      [1, 2],
    ],
    [
      'a lookup that only a context calls acts at its place alone',
      [
        {
          type: 1,
          subtables: [
            {
              kind: 'single',
              glyphs: new Map([
                [1, 11],
                [2, 12],
              ]),
            },
          ],
        },
        {
          type: 6,
          subtables: [
            {
              kind: 'context',
              format: 3,
              chained: true,
              backtrack: [],
              input: [[1], [2]],
              lookahead: [],
              lookups: [{ sequenceIndex: 1, lookupListIndex: 0 }],
            },
          ],
        },
      ],
      [1],
      [1, 2],
      [1, 2, 12],
    ],
    [
      'a context whose lookahead is missing',
      [
        { type: 1, subtables: [single(1, 9)] },
        {
          type: 6,
          subtables: [
            {
              kind: 'context',
              format: 3,
              chained: true,
              backtrack: [],
              input: [[1]],
              lookahead: [[5]],
              lookups: [{ sequenceIndex: 0, lookupListIndex: 0 }],
            },
          ],
        },
      ],
      [1],
      [1],
      [1],
    ],
    [
      'two lookups at one place: the second meets what the first made',
      [
        { type: 1, subtables: [single(1, 2)] },
        { type: 1, subtables: [single(2, 3)] },
        {
          type: 5,
          subtables: [
            {
              kind: 'context',
              format: 1,
              chained: false,
              rules: new Map([
                [
                  1,
                  [
                    {
                      backtrack: [],
                      input: [],
                      lookahead: [],
                      lookups: [
                        { sequenceIndex: 0, lookupListIndex: 0 },
                        { sequenceIndex: 0, lookupListIndex: 1 },
                      ],
                    },
                  ],
                ],
              ]),
            },
          ],
        },
      ],
      [2],
      [1],
      [1, 2, 3],
    ],
    [
      'a lookup that calls itself comes to an end',
      [
        {
          type: 5,
          subtables: [
            {
              kind: 'context',
              format: 3,
              chained: false,
              backtrack: [],
              input: [[1]],
              lookahead: [],
              lookups: [{ sequenceIndex: 0, lookupListIndex: 0 }],
            },
          ],
        },
      ],
      [0],
      [1],
      [1],
    ],
    [
      'reverse chaining',
      [
        {
          type: 8,
          subtables: [{ kind: 'reverse', backtrack: [], lookahead: [[2]], glyphs: new Map([[1, 7]]) }],
        },
      ],
      [0],
      [1, 2],
      [1, 2, 7],
    ],
  ])('%s', (_, lookups, applied, glyphs, expected) => {
    expect(closed(layoutOf('GSUB', lookups, applied), glyphs, applied)).toEqual(expected);
  });

  test('lookups that only decide about others go with them, and rules of classes that are left keep their glyphs', () => {
    const context: Subtable = {
      kind: 'context',
      format: 3,
      chained: true,
      backtrack: [],
      input: [[1]],
      lookahead: [[2]],
      lookups: [{ sequenceIndex: 0, lookupListIndex: 0 }],
    };
    const gsub = layoutOf(
      'GSUB',
      [
        { type: 1, subtables: [single(1, 9)] },
        { type: 6, subtables: [context] },
      ],
      [1],
    );
    expect(keptLayout(gsub, new GlyphMap([0, 1, 2], 20), all, false)).toBeUndefined();
    expect(keptLayout(gsub, new GlyphMap([0, 1, 2], 20), all, true)).toMatchObject({
      features: [],
      lookups: [],
    });
    const kept = keptLayout(gsub, new GlyphMap([0, 2, 9, 1], 20), all, false)!;
    expect(kept.lookups.map(({ subtables }) => subtables)).toEqual([
      [single(3, 2)],
      [{ ...context, input: [[3]], lookahead: [[1]] }],
    ]);
  });
});

test('delta sets: those that are used stay, equal ones become one', () => {
  const store = {
    axisCount: 1,
    regions: [Int16Array.of(0, 0x4000, 0x4000), Int16Array.of(-0x4000, -0x4000, 0)],
    data: [
      { regionIndexes: [0], rows: [Int32Array.of(5)] },
      {
        regionIndexes: [0, 1],
        rows: [Int32Array.of(0, 70000), Int32Array.of(0, -3), Int32Array.of(0, -3), Int32Array.of(9, 9)],
      },
    ],
  };
  const { store: kept, moved } = keptDeltaSets(store, new Set([0x10000, 0x10001, 0x10002]));
  expect(moved).toEqual(
    new Map([
      [0x10000, 0],
      [0x10001, 1],
      [0x10002, 1],
    ]),
  );
  expect(kept.data).toEqual([{ regionIndexes: [0], rows: [Int32Array.of(70000), Int32Array.of(-3)] }]);
  expect(kept.regions).toEqual([store.regions[1]]);
  const bytes = packed(itemVariationStoreBlock(kept));
  expect(readItemVariationStore(new Reader(bytes, 'HVAR'), 0)).toEqual(kept);
});
