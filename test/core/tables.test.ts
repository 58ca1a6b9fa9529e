import { describe, expect, test } from '@jest/globals';
import { readdirSync } from 'node:fs';
import { join } from 'node:path';
import { Reader } from '#src/core/bytes/reader.js';
import type { Font, TableModule } from '#src/core/sfnt/font.js';
import type { fvar, head, hhea, hmtx, loca, maxp } from '#src/core/tables/index.js';
import { cmap, glyf, name, os2, post, tableModules } from '#src/core/tables/index.js';
import { buildFont, os2Fields, simpleGlyph } from '../../test-support/fonts.js';
import { root } from '../../test-support/paths.js';

const full16 = 0xffff;
const full32 = 0xffffffff;
const bytes = (...values: number[]) => Uint8Array.from(values);
/** Every number of a record at the highest value that its field holds. */
const filled = <Table extends object>(
  table: Table,
  values: Partial<Record<keyof Table, unknown>>,
): Table => ({ ...table, ...values });

/** For each table a value with every field, and every bit field, at its maximum. */
const fullest: Record<string, unknown[]> = {
  head: [
    {
      majorVersion: full16,
      minorVersion: full16,
      fontRevision: 32767.5,
      checkSumAdjustment: full32,
      magicNumber: full32,
      flags: full16,
      unitsPerEm: full16,
      created: 2n ** 62n,
      modified: -1n,
      xMin: -32768,
      yMin: -32768,
      xMax: 32767,
      yMax: 32767,
      macStyle: full16,
      lowestRecPPEM: full16,
      fontDirectionHint: -32768,
      indexToLocFormat: 32767,
      glyphDataFormat: -1,
    } satisfies head.Head,
  ],
  hhea: [
    {
      majorVersion: full16,
      minorVersion: full16,
      ascender: 32767,
      descender: -32768,
      lineGap: 32767,
      advanceWidthMax: full16,
      minLeftSideBearing: -32768,
      minRightSideBearing: 32767,
      xMaxExtent: -1,
      caretSlopeRise: 32767,
      caretSlopeRun: -32768,
      caretOffset: -1,
      metricDataFormat: -1,
      numberOfHMetrics: full16,
    } satisfies hhea.Hhea,
  ],
  hmtx: [
    {
      advanceWidth: Uint16Array.of(full16, 1),
      leftSideBearing: Int16Array.of(-32768, 32767, -1),
    } satisfies hmtx.Hmtx,
  ],
  maxp: [
    { version: 0x00005000, numGlyphs: full16 },
    {
      version: 0x00010000,
      numGlyphs: full16,
      limits: {
        maxPoints: full16,
        maxContours: full16,
        maxCompositePoints: full16,
        maxCompositeContours: full16,
        maxZones: full16,
        maxTwilightPoints: full16,
        maxStorage: full16,
        maxFunctionDefs: full16,
        maxInstructionDefs: full16,
        maxStackElements: full16,
        maxSizeOfInstructions: full16,
        maxComponentElements: full16,
        maxComponentDepth: full16,
      },
    } satisfies maxp.Maxp,
  ],
  loca: [
    { indexToLocFormat: 0, offsets: Uint32Array.of(0, 2, 4, 0x1fffe) } satisfies loca.Loca,
    { indexToLocFormat: 1, offsets: Uint32Array.of(0, 1, 4, full32) } satisfies loca.Loca,
  ],
  'OS/2': [0, 1, 4, 5].map((version) => {
    const table = filled(os2Fields, {
      version,
      usWeightClass: full16,
      usWidthClass: full16,
      fsType: full16,
      sFamilyClass: -32768,
      panose: new Uint8Array(10).fill(255),
      ulUnicodeRange1: full32,
      ulUnicodeRange4: full32,
      fsSelection: full16,
    });
    if (version < 2)
      for (const key of ['sxHeight', 'sCapHeight', 'usDefaultChar', 'usBreakChar', 'usMaxContext'] as const)
        delete table[key];
    if (version < 1) for (const key of ['ulCodePageRange1', 'ulCodePageRange2'] as const) delete table[key];
    return version < 5
      ? table
      : { ...table, usLowerOpticalPointSize: full16, usUpperOpticalPointSize: full16 };
  }),
  name: [
    {
      version: 0,
      nameRecord: [
        { platformID: full16, encodingID: full16, languageID: full16, nameID: full16, bytes: bytes(1, 2) },
      ],
    },
    {
      version: 1,
      nameRecord: [{ platformID: 3, encodingID: 1, languageID: 0x8000, nameID: 1, bytes: bytes(0, 65) }],
      langTagRecord: [bytes(0, 101, 0, 108)],
    } satisfies name.Name,
  ],
  cmap: (
    [
      { format: 0, language: full16, glyphIdArray: new Uint8Array(256).fill(255) },
      {
        format: 4,
        language: full16,
        endCode: Uint16Array.of(0x42, full16),
        startCode: Uint16Array.of(0x41, full16),
        idDelta: Int16Array.of(-32768, 1),
        idRangeOffset: Uint16Array.of(4, 0),
        glyphIdArray: Uint16Array.of(full16, 7),
      },
      { format: 6, language: full16, firstCode: full16, glyphIdArray: Uint16Array.of(full16) },
      { format: 12, language: full32, groups: Uint32Array.of(0x41, 0x5a, 1, 0x1f600, 0x10ffff, full32) },
      { format: 13, language: full32, groups: Uint32Array.of(0, 0x10ffff, full32) },
      {
        format: 14,
        varSelectors: [
          { varSelector: 0xfe00, defaultUVS: Uint32Array.of(0xffffff, 255) },
          { varSelector: 0xffffff, nonDefaultUVS: Uint32Array.of(0xffffff, full16, 1, 2) },
        ],
      },
      { format: 'kept', bytes: bytes(0, 2, 0, 8, 1, 2, 3, 4) },
    ] satisfies cmap.EncodingRecord['subtable'][]
  ).map((subtable): cmap.Cmap => ({
    version: full16,
    encodingRecords: [{ platformID: full16, encodingID: full16, subtable }],
  })),
  post: [
    {
      version: 0x00020000,
      italicAngle: -32768,
      underlinePosition: -32768,
      underlineThickness: 32767,
      isFixedPitch: full32,
      minMemType42: full32,
      maxMemType42: full32,
      minMemType1: full32,
      maxMemType1: full32,
      glyphNameIndex: Uint16Array.of(0, 258, full16),
      stringData: [bytes(...new Array<number>(255).fill(255))],
    },
    {
      version: 0x00025000,
      italicAngle: 0.5,
      underlinePosition: 0,
      underlineThickness: 0,
      isFixedPitch: 0,
      minMemType42: 0,
      maxMemType42: 0,
      minMemType1: 0,
      maxMemType1: 0,
      rest: bytes(0, 1, 255),
    } satisfies post.Post,
  ],
  fvar: [
    {
      axes: [
        {
          axisTag: 'wght',
          minValue: -32768,
          defaultValue: 0.5,
          maxValue: 32767.5,
          flags: full16,
          axisNameID: full16,
        },
      ],
      instances: [{ subfamilyNameID: full16, flags: full16, coordinates: [-0.25], postScriptNameID: full16 }],
    } satisfies fvar.Fvar,
  ],
  glyf: [
    (() => {
      const record = glyf.serialiseGlyph(
        simpleGlyph([
          [
            [-32768, -32768, true],
            [32767, 32767, false],
          ],
        ]),
      );
      const data = new Uint8Array((record.length + 3) & ~3);
      data.set(record);
      return { data, offsets: Uint32Array.of(0, data.length, data.length) };
    })() satisfies glyf.Glyf,
  ],
};

/** Tables whose layout depends on others get a font that says what the value says. */
function fontAround(tag: string, value: unknown): Font {
  const others = new Map<string, unknown>();
  if (tag === 'hmtx') {
    const table = value as hmtx.Hmtx;
    others.set('hhea', { numberOfHMetrics: table.advanceWidth.length });
    others.set('maxp', { numGlyphs: table.leftSideBearing.length });
  } else if (tag === 'loca') {
    const table = value as loca.Loca;
    others.set('head', { indexToLocFormat: table.indexToLocFormat });
    others.set('maxp', { numGlyphs: table.offsets.length - 1 });
  } else if (tag === 'glyf') others.set('loca', value);
  return { table: (module: TableModule<unknown>) => others.get(module.tag) } as unknown as Font;
}

describe('every registered table', () => {
  test.each(tableModules.map((module) => [module.tag, module] as const))(
    '%s comes back as it was written',
    (tag, module) => {
      const tableModule = module as unknown as TableModule<unknown>;
      expect(fullest).toHaveProperty([tag]);
      for (const value of fullest[tag]) {
        const written = tableModule.serialise(value);
        const again = tableModule.parse(new Reader(written, tag), fontAround(tag, value));
        expect(again).toEqual(value);
        expect(tableModule.serialise(again)).toEqual(written);
      }
    },
  );

  test('has a file of its own, and each file is registered once', () => {
    const files = readdirSync(join(root, 'src/core/tables')).filter(
      (file) => !/^(index|.+-.+)\.ts$/.test(file),
    );
    expect(new Set(tableModules.map(({ tag }) => tag)).size).toBe(tableModules.length);
    expect(files.map((file) => file.replace('.ts', '')).sort()).toEqual(
      tableModules.map(({ tag }) => tag.replace('/', '').toLowerCase()).sort(),
    );
  });
});

describe('a reader', () => {
  test('names table, offset and cause when it is asked to leave its table', () => {
    const reader = new Reader(bytes(1, 2, 3), 'test');
    reader.skip(2);
    expect(() => reader.uint32()).toThrow('test: 4 bytes wanted at offset 2, but test has 3 bytes');
  });

  test.each(['head', 'hhea', 'maxp', 'OS/2', 'cmap', 'fvar'] as const)(
    '%s cut anywhere is refused, never misread',
    (tag) => {
      const module = tableModules.find((m) => m.tag === tag) as unknown as TableModule<unknown>;
      const value = fullest[tag][fullest[tag].length - 1];
      const whole = module.serialise(value);
      const least = tag === 'OS/2' ? 68 : 4;
      for (let length = least; length < whole.length; length++) {
        const cut = () => module.parse(new Reader(whole.subarray(0, length), tag), fontAround(tag, value));
        expect(cut).toThrow(expect.objectContaining({ code: 'table-damaged' }));
      }
    },
  );
});

describe('cmap', () => {
  const font = buildFont();

  test('maps through each format alike', () => {
    const tables: cmap.EncodingRecord['subtable'][] = [
      {
        format: 0,
        language: 0,
        glyphIdArray: Uint8Array.from({ length: 256 }, (_, i) => (i === 66 ? 9 : 0)),
      },
      { format: 6, language: 0, firstCode: 65, glyphIdArray: Uint16Array.of(0, 9) },
      {
        format: 4,
        language: 0,
        endCode: Uint16Array.of(66, 0xffff),
        startCode: Uint16Array.of(66, 0xffff),
        idDelta: Int16Array.of(9 - 66, 1),
        idRangeOffset: Uint16Array.of(0, 0),
        glyphIdArray: Uint16Array.of(),
      },
      {
        format: 4,
        language: 0,
        endCode: Uint16Array.of(66, 0xffff),
        startCode: Uint16Array.of(65, 0xffff),
        idDelta: Int16Array.of(2, 1),
        idRangeOffset: Uint16Array.of(4, 0),
        glyphIdArray: Uint16Array.of(0, 7),
      },
      { format: 12, language: 0, groups: Uint32Array.of(66, 66, 9) },
      { format: 13, language: 0, groups: Uint32Array.of(66, 66, 9) },
    ];
    for (const subtable of tables) {
      const table: cmap.Cmap = { version: 0, encodingRecords: [{ platformID: 3, encodingID: 1, subtable }] };
      expect([...cmap.mappingsOf(table)]).toEqual([[66, 9]]);
      expect([65, 66, 67, 0x1f600].map((c) => cmap.glyphIdOf(table, c))).toEqual([0, 9, 0, 0]);
    }
  });

  test('gives a group that runs past Unicode no more than Unicode has', () => {
    const subtable = { format: 13, language: 0, groups: Uint32Array.of(0x10fffe, 0xffffffff, 3) } as const;
    const table: cmap.Cmap = { version: 0, encodingRecords: [{ platformID: 3, encodingID: 10, subtable }] };
    expect([...cmap.mappingsOf(table)]).toEqual([
      [0x10fffe, 3],
      [0x10ffff, 3],
    ]);
    expect(cmap.glyphIdOf(font.table(cmap), 0x42)).toBe(1);
  });
});

describe('glyf', () => {
  test.each([
    ['past the table', Uint32Array.of(0, 100), 'glyph 0 ends 96 bytes past the table'],
    ['before its start', Uint32Array.of(4, 0), 'glyph 0 ends before it starts'],
  ])('a glyph that ends %s is named', (_, offsets, message) => {
    expect(() => glyf.recordOf({ data: new Uint8Array(4), offsets }, 0)).toThrow(message);
  });

  test('points, flags and instructions of a simple glyph survive', () => {
    const glyph = simpleGlyph(
      [
        [
          [0, 0, true],
          [0, 300, false],
          [300, 300, true],
          [301, 299, true],
        ],
        [
          [5, 5, true],
          [6, 5, true],
          [6, 6, true],
        ],
      ],
      {
        instructions: bytes(1, 2, 3),
        overlapSimple: true,
      },
    );
    expect(glyf.parseGlyph(new Reader(glyf.serialiseGlyph(glyph), 'glyf'), 0)).toEqual(glyph);
  });

  test('components keep their flags, arguments and transforms', () => {
    const transform = (...values: number[]) => Int16Array.from(values);
    const components = [
      { flags: 0x0023, glyphIndex: 1, argument1: -300, argument2: 300, transform: transform() },
      { flags: 0x0020, glyphIndex: 2, argument1: 255, argument2: 0, transform: transform() },
      { flags: 0x002a, glyphIndex: 3, argument1: -1, argument2: 1, transform: transform(16384) },
      { flags: 0x0062, glyphIndex: 4, argument1: 0, argument2: 0, transform: transform(1, -1) },
      { flags: 0x0182, glyphIndex: 65535, argument1: 0, argument2: 0, transform: transform(1, 2, -3, 4) },
    ];
    const glyph: glyf.CompositeGlyph = {
      kind: 'composite',
      xMin: 0,
      yMin: 0,
      xMax: 10,
      yMax: 10,
      instructions: bytes(9, 8),
      components: glyf.serialiseComponents(components),
    };
    expect(glyf.parseComponents(glyph.components)).toEqual(components);
    expect(glyf.parseGlyph(new Reader(glyf.serialiseGlyph(glyph), 'glyf'), 0)).toEqual(glyph);
  });
});

test('names are decoded, the English ones first', () => {
  const record = (platformID: number, encodingID: number, languageID: number, ...values: number[]) => ({
    platformID,
    encodingID,
    languageID,
    nameID: 1,
    bytes: bytes(...values),
  });
  const table: name.Name = {
    version: 0,
    nameRecord: [record(1, 0, 0, 0x8e), record(3, 1, 0x408, 3, 0xb1), record(3, 1, 0x409, 0, 0xe9)],
  };
  expect(table.nameRecord.map(name.stringOf)).toEqual(['é', 'α', 'é']);
  expect(name.nameOf(table, 1)).toBe('é');
  expect(name.nameOf({ ...table, nameRecord: table.nameRecord.slice(1, 2) }, 1)).toBe('α');
  expect(name.nameOf(table, 2)).toBeUndefined();
});

test('glyph names come from the standard order and from the table', () => {
  const table = fullest.post[0] as post.Post;
  expect(post.glyphNameOf({ ...table, stringData: [bytes(0x66, 0x5f, 0x69)] }, 1)).toBe('f_i');
  expect(post.glyphNameOf(table, 0)).toBe('.notdef');
  expect(post.glyphNameOf({ ...table, version: 0x00010000 }, 36)).toBe('A');
  expect(os2.fsSelection.bold).toBe(32);
});
