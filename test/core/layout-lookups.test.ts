import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { BlockStore, packBlocks, type Block } from '#src/core/bytes/blocks.js';
import { Reader } from '#src/core/bytes/reader.js';
import { readClassDefinition, writeNeededClassDefinition } from '#src/core/layout/common/class-definition.js';
import { readCoverage, writeCoverage } from '#src/core/layout/common/coverage.js';
import { keptLayout } from '#src/core/layout/kept-layout.js';
import { extensionTypes, kindOf, kindOfType, type Subtable } from '#src/core/layout/kinds.js';
import { GlyphMap } from '#src/core/layout/common/glyph-map.js';
import type { GlyphPairs } from '#src/core/layout/gpos/glyph-pairs.js';
import { pairAdjustment } from '#src/core/layout/gpos/pair-adjustment.js';
import { noPair } from '#src/core/layout/gpos/pair-value.js';
import { noValue } from '#src/core/layout/gpos/value-record.js';
import { everyGlyph, everything, layoutOf, pairList, pairsIn, value } from '../../test-support/layout.js';

const all = () => true;
const packed = (block: Block) => packBlocks(block).bytes!;
const sizes = { kind: 'sizes', bytes: Uint8Array.of(0, 12, 0, 13, 0, 2, 0x10, 0) } as const;
const varied = { kind: 'variation', outerIndex: 1, innerIndex: 2 } as const;
const nested = [{ sequenceIndex: 1, lookupListIndex: 0 }];

const substitutions: [string, number, Subtable][] = [
  [
    'single by a difference',
    1,
    {
      kind: 'single',
      glyphs: new Map([
        [3, 13],
        [4, 14],
        [9, 19],
      ]),
    },
  ],
  [
    'single by a list',
    1,
    {
      kind: 'single',
      glyphs: new Map([
        [3, 8],
        [4, 2],
      ]),
    },
  ],
  [
    'multiple, one to nothing',
    2,
    {
      kind: 'multiple',
      glyphs: new Map([
        [3, [1, 2, 3]],
        [5, []],
      ]),
    },
  ],
  ['alternate', 3, { kind: 'alternate', glyphs: new Map([[3, [7, 8]]]) }],
  [
    'ligature',
    4,
    {
      kind: 'ligature',
      ligatures: new Map([
        [
          3,
          [
            { glyph: 9, components: [4, 5] },
            { glyph: 8, components: [4] },
          ],
        ],
      ]),
    },
  ],
  [
    'context by glyph',
    5,
    {
      kind: 'context',
      format: 1,
      chained: false,
      rules: new Map([[3, [{ backtrack: [], input: [4], lookahead: [], lookups: nested }]]]),
    },
  ],
  [
    'context by class',
    5,
    {
      kind: 'context',
      format: 2,
      chained: false,
      coverage: [3, 4],
      backtrackClasses: new Map(),
      inputClasses: new Map([
        [3, 1],
        [4, 2],
      ]),
      lookaheadClasses: new Map(),
      rules: new Map([[1, [{ backtrack: [], input: [2], lookahead: [], lookups: nested }]]]),
    },
  ],
  [
    'context by coverage',
    5,
    {
      kind: 'context',
      format: 3,
      chained: false,
      backtrack: [],
      input: [[3, 4], [5]],
      lookahead: [],
      lookups: nested,
    },
  ],
  [
    'chain by glyph',
    6,
    {
      kind: 'context',
      format: 1,
      chained: true,
      rules: new Map([[3, [{ backtrack: [1], input: [4], lookahead: [5, 6], lookups: nested }]]]),
    },
  ],
  [
    'chain by class',
    6,
    {
      kind: 'context',
      format: 2,
      chained: true,
      coverage: [3],
      backtrackClasses: new Map([[7, 1]]),
      inputClasses: new Map([[3, 1]]),
      lookaheadClasses: new Map([[8, 1]]),
      rules: new Map([[1, [{ backtrack: [1], input: [], lookahead: [1, 0], lookups: nested }]]]),
    },
  ],
  [
    'chain by coverage',
    6,
    {
      kind: 'context',
      format: 3,
      chained: true,
      backtrack: [[1]],
      input: [[3]],
      lookahead: [[4, 6, 7]],
      lookups: nested,
    },
  ],
  ['reverse', 8, { kind: 'reverse', backtrack: [[1, 2]], lookahead: [[5]], glyphs: new Map([[3, 4]]) }],
];

const positionings: [string, number, Subtable][] = [
  [
    'one value for all',
    1,
    {
      kind: 'single adjustment',
      values: new Map([
        [3, value(-8)],
        [4, value(-8)],
      ]),
    },
  ],
  [
    'values with devices',
    1,
    {
      kind: 'single adjustment',
      values: new Map([
        [3, { values: [1, 2, 3, 4], devices: [undefined, sizes, varied, undefined] }],
        [4, noValue],
      ]),
    },
  ],
  [
    'pairs by glyph',
    2,
    {
      kind: 'glyph pairs',
      consumesSecond: true,
      values: [noPair, { first: value(-20), second: noValue }],
      pairs: pairList([[3, 4, 1]]),
    },
  ],
  [
    'pairs by class',
    2,
    {
      kind: 'class pairs',
      consumesSecond: true,
      coverage: [3, 4],
      firstClasses: new Map([[4, 1]]),
      secondClasses: new Map([[5, 1]]),
      values: [noPair, { first: value(5), second: value(1, 2) }, { first: value(7), second: noValue }],
      matrix: [Uint32Array.of(0, 1), Uint32Array.of(2, 0)],
    },
  ],
  [
    'cursive',
    3,
    {
      kind: 'cursive',
      glyphs: new Map([
        [3, { entry: { x: 1, y: -2 } }],
        [4, { exit: { x: 3, y: 4, anchorPoint: 6 } }],
      ]),
    },
  ],
  [
    'marks on bases',
    4,
    {
      kind: 'mark to base',
      classCount: 2,
      marks: new Map([
        [8, { markClass: 0, anchor: { x: 1, y: 1 } }],
        [9, { markClass: 1, anchor: { x: 2, y: 2, devices: [undefined, varied] } }],
      ]),
      bases: new Map([[3, [{ x: 5, y: 6 }, undefined]]]),
    },
  ],
  [
    'marks on ligatures',
    5,
    {
      kind: 'mark to ligature',
      classCount: 1,
      marks: new Map([[8, { markClass: 0, anchor: { x: 1, y: 1 } }]]),
      ligatures: new Map([[3, [[{ x: 5, y: 6 }], [undefined]]]]),
    },
  ],
  [
    'marks on marks',
    6,
    {
      kind: 'mark to mark',
      classCount: 1,
      marks: new Map([[8, { markClass: 0, anchor: { x: 1, y: 1 } }]]),
      bases: new Map([[9, [{ x: 5, y: 6 }]]]),
    },
  ],
];

describe('kinds of lookups', () => {
  // OpenType 1.9: LookupType enumerations of GSUB and GPOS.
  test.each([
    ['GSUB', 8],
    ['GPOS', 9],
  ] as const)('%s: every type but extensions has a kind, and no other number', (tag, highest) => {
    const known = Array.from({ length: 12 }, (_, type) => type).filter((type) => kindOfType(tag, type));
    const standard = Array.from({ length: highest }, (_, i) => i + 1);
    expect(known).toEqual(standard.filter((type) => type !== extensionTypes[tag]));
  });
});

describe('lookups come back as they were written', () => {
  test.each([
    ...substitutions.map((row) => ['GSUB', ...row] as const),
    ...positionings.map((row) => ['GPOS', ...row] as const),
  ])('%s, %s', (tag, _, type, subtable) => {
    const table = layoutOf(tag, [{ type, flag: 0x11, markFilteringSet: 3, subtables: [subtable] }]);
    expect(table.lookupAt(0)).toEqual({ type, flag: 0x11, markFilteringSet: 3, subtables: [subtable] });
    // With all glyphs and features kept, keeping changes nothing, and writing it again doesn't either.
    const kept = keptLayout(table, everyGlyph(20), all, false)!;
    expect(kept.features).toEqual([
      {
        tag: 'ss01',
        params: Uint8Array.of(0, 0, 1, 5),
        lookups: [0],
      },
    ]);
    expect(kept.scripts).toEqual(table.scripts);
    expect(kept.featureVariations).toEqual(table.featureVariations);
  });

  test.each([
    ...substitutions.map((row) => ['GSUB', ...row] as const),
    ...positionings.map((row) => ['GPOS', ...row] as const),
  ])('%s, %s: a glyph that is mentioned stays so, with all others gone', (tag, _, type, subtable) => {
    const table = layoutOf(tag, [{ type, subtables: [subtable] }]);
    const mentioned = Array.from({ length: 30 }, (_, glyph) => glyph).filter((glyph) =>
      kindOf(subtable).mentions(subtable, glyph),
    );
    expect(mentioned.length).toBeGreaterThan(0);
    expect(mentioned).not.toContain(25);
    for (const glyph of mentioned) {
      const kept = keptLayout(table, new GlyphMap([0, glyph], 20), all, false, glyph)!;
      expect(
        kept.lookups.flatMap(({ subtables }) => subtables).some((one) => kindOf(one).mentions(one, 1)),
      ).toBe(true);
    }
  });

  test('a glyph that is mentioned stays so where its lookup stays without it', () => {
    const ligature = (glyph: number) => [{ glyph, components: [2] }];
    const ligatures = new Map([1, 3].map((first) => [first, ligature(first + 3)]));
    const table = layoutOf('GSUB', [{ type: 4, subtables: [{ kind: 'ligature', ligatures }] }]);
    const lookupsWith = (glyphs: number[]) => {
      const kept = keptLayout(table, new GlyphMap(glyphs, 20), all, false, 3)!;
      return kept.features[0].lookups.map((i) =>
        kept.lookups[i].subtables.some((one) => kindOf(one).mentions(one, 3)),
      );
    };
    expect(lookupsWith([0, 1, 2, 3, 4, 6])).toEqual([true]);
    expect(lookupsWith([0, 1, 2, 3, 4])).toEqual([false, true]);
  });

  test('sets without gaps in their order, whatever their format', () => {
    const glyphs = fc.uniqueArray(fc.nat(400), { minLength: 1 }).map((list) => list.sort((a, b) => a - b));
    fc.assert(
      fc.property(glyphs, fc.nat(5), (list, classes) => {
        expect(readCoverage(new Reader(packed(writeCoverage(list, new BlockStore())), 'GSUB'), 0)).toEqual(
          list,
        );
        const definition = new Map(list.map((glyph) => [glyph, (glyph % (classes + 1)) + 1]));
        const block = writeNeededClassDefinition(definition, new BlockStore());
        expect(readClassDefinition(new Reader(new Uint8Array([0, ...packed(block)]), 'GSUB'), 1)).toEqual(
          definition,
        );
      }),
    );
  });
});

describe('pairs out of order', () => {
  test.each<[string, seconds: number[], found: [number, number][]]>([
    [
      'in order, all',
      [3, 5, 9],
      [
        [3, 0],
        [5, 1],
        [9, 2],
      ],
    ],
    [
      'as browsers find them, by halving',
      [3, 9, 5],
      [
        [3, 0],
        [9, 1],
      ],
    ],
    [
      'of equal ones the one that is met first',
      [4, 4, 4, 8],
      [
        [4, 1],
        [8, 3],
      ],
    ],
  ])('%s', (_, seconds, found) => {
    const header = [1, 12, 4, 0, 1, 18]; // coverage, xAdvance only, one PairSet
    const records = seconds.flatMap((glyph, i) => [glyph, 100 + i]);
    const halves = Uint16Array.from([...header, 1, 1, 7, seconds.length, ...records]);
    const bytes = new Uint8Array(Buffer.from(halves.buffer).swap16());
    const subtable = pairAdjustment.read(new Reader(bytes, 'GPOS'), 0, 2, everything) as GlyphPairs;
    const advances = pairsIn(subtable.pairs).map(([first, second, number]) => [
      first,
      second,
      subtable.values[number].first.values[2] - 100,
    ]);
    expect(advances).toEqual(found.map(([second, advance]) => [7, second, advance]));
  });

  test('by devices are told apart by what the devices say, wherever they stand', () => {
    const header = [1, 48, 0x44, 0, 2, 14, 24]; // coverage, xAdvance and its device, two PairSets
    // The devices count from the PairSets, which hold the same bytes up to them.
    const seven = [1, ...[5, 30, 42], 0];
    const eight = [3, ...[5, 30, 42], ...[6, 30, 48], ...[9, 30, 54], ...[0, 0]];
    const coverage = [1, 2, 7, 8];
    const devices = [...[1, 2, 0x8000], ...[0, 0], ...[1, 3, 0x8000], ...[1, 2, 0x8000], ...[1, 4, 0x8000]];
    const halves = Uint16Array.from([...header, ...seven, ...eight, ...coverage, ...devices]);
    const bytes = new Uint8Array(Buffer.from(halves.buffer).swap16());
    const subtable = pairAdjustment.read(new Reader(bytes, 'GPOS'), 0, 2, everything) as GlyphPairs;
    const pairs = pairsIn(subtable.pairs);
    const said = pairs.map(([first, second, number]) => [
      first,
      second,
      subtable.values[number].first.devices?.[2],
    ]);
    const device = (innerIndex: number) => ({ kind: 'variation', outerIndex: 1, innerIndex });
    expect(said).toEqual([
      [7, 5, device(2)],
      [8, 5, device(3)],
      [8, 6, device(2)],
      [8, 9, device(4)],
    ]);
    expect(pairs[2][2]).toBe(pairs[0][2]); // the same value
    const still = pairAdjustment.read(new Reader(bytes, 'GPOS'), 0, 2, { ...everything, varies: false });
    expect(still.values).toHaveLength(2); // no value, and one advance
  });
});
