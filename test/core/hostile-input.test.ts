import { describe, expect, test } from '@jest/globals';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { brotliCompressSync, brotliDecompressSync, constants } from 'node:zlib';
import { Reader } from '#src/core/bytes/reader.js';
import { Writer } from '#src/core/bytes/writer.js';
import { openFont, openFonts, writeFont } from '#src/core/containers/index.js';
import { headerSize, readCollectionDirectory, readDirectory } from '#src/core/containers/woff2/directory.js';
import { DenseGlyphError } from '#src/errors.js';
import { inspectFont } from '#src/core/inspection/index.js';
import { Outline, outlinesOf } from '#src/core/outlines/index.js';
import { fontOf, type Font } from '#src/core/sfnt/font.js';
import { writeSfnt } from '#src/core/sfnt/write.js';
import { subsetFont } from '#src/core/subset/index.js';
import { CodePointSet } from '#src/core/text/code-point-set.js';
import { tableModules } from '#src/core/tables/index.js';
import { buildCff, buildCff2, charstring } from '../../test-support/cff.js';
import { buildCollection, buildFont, buildWoff2Collection } from '../../test-support/fonts.js';
import { mutated, seeded } from '../../test-support/mutations.js';
import { readSample, vendorFonts } from '../../test-support/paths.js';
import { casesOf } from '../../test-support/thorough.js';

/** Cases for each kind of file; more on demand: DENSE_GLYPH_CASES=20000 npm test hostile. */
const cases = Number(process.env.DENSE_GLYPH_CASES ?? casesOf(30, 300).numRuns);
const firstSeed = Number(process.env.DENSE_GLYPH_SEED ?? casesOf(1, 1).seed * 1000);
/** Milliseconds of a processor that an engine as busy as this one takes to pack what the largest case packs. */
function packingTime(): number {
  const start = process.cpuUsage();
  const random = seeded(7);
  const bytes = Uint8Array.from({ length: 300_000 }, () => random() * 64);
  brotliCompressSync(bytes, { params: { [constants.BROTLI_PARAM_QUALITY]: 11 } });
  const { user, system } = process.cpuUsage(start);
  return (user + system) / 1000;
}

/** Milliseconds of a processor, by what packing takes here, and bytes, that no case comes near; they tell a hang or a balloon. */
const bounds = { time: Math.max(5000, 20 * packingTime()), memory: 600e6 };

const small = openFont(readFileSync(join(vendorFonts, 'KaTeX_Size3-Regular.ttf'))).font;
const layout = openFont(readSample('TidelogMono-Regular.ttf')).font;
const variable = openFont(readSample('FerrywakeSans-Variable.ttf')).font;
const slab = openFont(readSample('LampbuoySlab-Bold.otf')).font;

function withOutlines(tag: 'CFF ' | 'CFF2', table: Uint8Array): Font {
  const tables = buildFont().tables();
  tables.delete('glyf');
  tables.delete('loca');
  return fontOf('cff', tables.set(tag, table));
}
const op = (code: number) => ({ op: code });
const code = charstring(10, 20, op(21), 5, 6, 7, 8, 9, 10, op(8), -107, op(29), -107, op(10), op(14));
const line = charstring(3, op(6), op(11));
const cid = withOutlines(
  'CFF ',
  buildCff({
    charstrings: [code, code, code],
    globalSubrs: [line],
    localSubrs: [[line], [line]],
    fontDicts: { select: [0, 1, 1], format: 3 },
  }),
);
const blended = charstring(10, 20, 1, 2, 3, 4, 2, op(16), op(21), 5, 50, 60, 1, op(16), op(6));
const cff2 = withOutlines('CFF2', buildCff2({ charstrings: [blended, blended, blended] }, 2));

const asciiAndGreek = new CodePointSet();
asciiAndGreek.addRange(0x20, 0x7e);
asciiAndGreek.addRange(0x370, 0x3ff);

/** Everything that the program reads of a file. */
async function readAll(bytes: Uint8Array, random: () => number): Promise<void> {
  for (const { font, format: sourceFormat } of openFonts(bytes)) {
    inspectFont(font, sourceFormat, bytes.length, { fileName: 'Hostile-Bold.ttf' });
    for (const module of tableModules) if (font.has(module.tag)) font.table(module);
    const outlines = outlinesOf(font);
    for (let glyphId = 0; glyphId < Math.min(outlines.glyphCount, 12); glyphId++) {
      outlines.draw(glyphId, new Outline());
      outlines.nameOf(glyphId);
    }
    if (!font.has('CFF2') && random() < 0.5) {
      const hinting = random() < 0.5 ? 'keep' : 'drop';
      subsetFont(font, { characters: asciiAndGreek, hinting, features: 'all' });
    }
    // Writing reads every table to its end, but takes most of the time.
    const format = (['ttf', 'woff', 'eot', 'svg', 'woff2'] as const)[Math.floor(random() * 4.2)];
    if (random() < 0.3) await writeFont(font, format);
  }
}

/** Runs a case; what is thrown has to be an error of ours that blames the input. */
async function survive(seed: number, run: () => Promise<void>): Promise<'accepted' | 'refused'> {
  const start = process.cpuUsage();
  try {
    await run();
    return 'accepted';
  } catch (cause) {
    const isOurs = cause instanceof DenseGlyphError && cause.kind !== 'internal';
    if (!isOurs) throw new Error(`seed ${seed}: ${String(cause)}`, { cause });
    // Either the message says where, or it is about the file as a whole.
    if (cause.code === 'table-damaged') {
      expect(cause.place.table).toBeDefined();
      expect(cause.place.offset).toBeGreaterThanOrEqual(0);
    }
    return 'refused';
  } finally {
    const { user, system } = process.cpuUsage(start);
    expect((user + system) / 1000).toBeLessThan(bounds.time);
  }
}

/** A WOFF2 with its stream mutated, not the compressed bytes, which would hardly ever decompress. */
function mutatedInside(woff2: Uint8Array, random: () => number): Uint8Array {
  const view = new DataView(woff2.buffer, woff2.byteOffset);
  const reader = new Reader(woff2, 'WOFF2 header').seek(headerSize);
  const isCollection = view.getUint32(4) === 0x74746366;
  const numTables = view.getUint16(12);
  readDirectory(reader, numTables, { tagsRepeat: isCollection });
  if (isCollection) readCollectionDirectory(reader, numTables);
  const compressedSize = view.getUint32(20);
  const start = reader.position;
  const stream = brotliDecompressSync(woff2.subarray(start, start + compressedSize));
  const quick = { params: { [constants.BROTLI_PARAM_QUALITY]: 1 } };
  const packed = brotliCompressSync(mutated(new Uint8Array(stream), random), quick);
  const file = Buffer.concat([woff2.subarray(0, start), packed, new Uint8Array(8)]);
  file.writeUInt32BE(packed.length, 20);
  file.writeUInt32BE(file.length, 8);
  return file;
}

/** Small files that would come to gigabytes or hours, were they believed. */
const bombs: [name: string, font: () => Font, reason: string][] = [
  [
    'scripts that all point to the same long list of languages',
    () => {
      const [scripts, languages] = [20_000, 60_000];
      const table = new Writer(500_000).uint16(1).uint16(0).uint16(10).uint16(0).uint16(0).uint16(scripts);
      // The script tables start inside the list, one behind the other, and so do their lists.
      for (let i = 0; i < scripts; i++) table.tag('latn').uint16(0x8000 + (i % 0x4000));
      while (table.length < 450_000) table.uint16(languages);
      return fontOf('truetype', small.tables().set('GSUB', table.bytes()));
    },
    'the scripts list',
  ],
  [
    'names that all are the same sixty thousand bytes',
    () => {
      const count = 5000;
      const table = new Writer(200_000)
        .uint16(0)
        .uint16(count)
        .uint16(6 + count * 12);
      for (let i = 0; i < count; i++)
        table.uint16(3).uint16(1).uint16(0x409).uint16(i).uint16(60_000).uint16(0);
      return fontOf('truetype', small.tables().set('name', table.write(new Uint8Array(60_000)).bytes()));
    },
    'the strings come to over',
  ],
  [
    'character maps that lie on top of each other',
    () => {
      const [count, groups] = [200, 10_000];
      const start = 4 + count * 8;
      const table = new Writer(200_000).uint16(0).uint16(count);
      for (let i = 0; i < count; i++)
        table
          .uint16(3)
          .uint16(10)
          .uint32(start + 16 * i);
      // Each header is followed by the next one, which counts as the first of its groups.
      for (let i = 0; i < count; i++) table.uint16(12).uint16(0).uint32(0).uint32(0).uint32(groups);
      for (let i = 0; i < groups; i++)
        table
          .uint32(i * 2)
          .uint32(i * 2)
          .uint32(1);
      return fontOf('truetype', small.tables().set('cmap', table.bytes()));
    },
    'the subtables overlap',
  ],
  [
    'charstrings that call each other without end, in every glyph',
    () => {
      const level = (next: number) =>
        charstring(...Array.from({ length: 40 }, () => [next - 107, op(29)]).flat());
      const globalSubrs = [1, 2, 3].map(level).concat(charstring(1, 1, op(5)));
      const start = charstring(0, op(22), -107, op(29), op(14));
      return withOutlines(
        'CFF ',
        buildCff({ charstrings: Array.from({ length: 3 }, () => start), globalSubrs }),
      );
    },
    '',
  ],
];

/**
 * A GSUB whose lookups are all the same one, and whose subtables are. Its feature names each of them.
 *
 * @param subtable of LookupType `type`
 */
function sharedLookups(
  font: Font,
  lookups: number,
  subtables: number,
  type: number,
  subtable: Uint8Array,
): Font {
  const featureList = 22;
  const lookupList = featureList + 8 + 4 + lookups * 2;
  const table = new Writer(300_000).uint16(1).uint16(0).uint16(10).uint16(featureList).uint16(0).uint16(1);
  // The script's default language system lies where the list of features begins to be of no use to it.
  table.tag('latn').uint16(8).uint16(0);
  while (table.length < featureList) table.uint16(0);
  table.uint16(1).tag('liga').uint16(8).uint16(0).uint16(lookups);
  for (let i = 0; i < lookups; i++) table.uint16(i);
  table.uint16(lookups);
  const lookupAt = 2 + lookups * 2;
  for (let i = 0; i < lookups; i++) table.uint16(lookupAt);
  table.uint16(type).uint16(0).uint16(subtables);
  for (let i = 0; i < subtables; i++) table.uint16(6 + subtables * 2);
  const bytes = table.write(subtable).bytes();
  new DataView(bytes.buffer, bytes.byteOffset).setUint16(8, lookupList);
  return fontOf('truetype', font.tables().set('GSUB', bytes));
}

/** Single substitution, format 2: each of so many glyphs becomes the next one. */
function singles(count: number): Uint8Array {
  const writer = new Writer(count * 4 + 20)
    .uint16(2)
    .uint16(6 + count * 2)
    .uint16(count);
  for (let i = 0; i < count; i++) writer.uint16(i + 1);
  return writer.uint16(2).uint16(1).uint16(1).uint16(count).uint16(0).bytes();
}

const files: [name: string, bytes: Uint8Array, mutate: typeof mutated][] = [
  ['TTF', writeSfnt(small), mutated],
  ['TTF with layout tables', writeSfnt(layout), mutated],
  ['variable TTF', writeSfnt(variable), mutated],
  ['OTF', writeSfnt(slab), mutated],
  ['OTF with a CID-keyed CFF', writeSfnt(cid), mutated],
  ['OTF with CFF2', writeSfnt(cff2), mutated],
  ['TTC', buildCollection([small, cid]), mutated],
  ['WOFF', (await writeFont(small, 'woff')).bytes, mutated],
  ['WOFF2', (await writeFont(small, 'woff2')).bytes, mutated],
  ['WOFF2, its stream', (await writeFont(small, 'woff2')).bytes, mutatedInside],
  ['WOFF2 collection, its stream', buildWoff2Collection([small, small]), mutatedInside],
  ['EOT', (await writeFont(small, 'eot')).bytes, mutated],
];

describe('hostile input', () => {
  test.each(bombs)('%s', async (_, build, reason) => {
    const file = writeSfnt(build());
    let message = '';
    await survive(0, async () => {
      try {
        await readAll(file, seeded(1));
        await writeFont(openFont(file).font, 'svg');
      } catch (cause) {
        message = String(cause);
        throw cause;
      }
    });
    expect(message).toContain(reason);
  });

  test.each(files)('%s', async (_, bytes, mutate) => {
    await readAll(bytes, seeded(0)); // the file itself is fine
    const before = process.memoryUsage().rss;
    const results = { accepted: 0, refused: 0 };
    for (let seed = firstSeed; seed < firstSeed + cases; seed++) {
      const random = seeded(seed);
      const hostile = mutate(bytes, random);
      results[await survive(seed, () => readAll(hostile, random))]++;
    }
    expect(process.memoryUsage().rss - before).toBeLessThan(bounds.memory);
    expect(results.refused).toBeGreaterThan(0);
  });

  test.each([
    [24_000, 6000, 5000],
    [30_000, 1, 100],
    [2, 14_000, 14_000],
  ])('%i lookups that are one, with %i subtables that are one', async (lookups, subtables, glyphs) => {
    const hostile = sharedLookups(layout, lookups, subtables, 1, singles(glyphs));
    const before = process.memoryUsage().rss;
    await survive(0, async () => {
      const { font } = subsetFont(openFont(writeSfnt(hostile)).font, {
        characters: CodePointSet.ofText('Tide'),
      });
      await writeFont(font, 'woff2');
    });
    expect(process.memoryUsage().rss - before).toBeLessThan(bounds.memory);
  });

  test('each table, wherever the damage is', async () => {
    for (const font of [small, layout, variable, slab, cid, cff2]) {
      for (const tag of font.tags) {
        for (let seed = firstSeed; seed < firstSeed + cases / 25; seed++) {
          const random = seeded(seed);
          const tables = font.tables().set(tag, mutated(font.bytesOf(tag), random, false));
          const file = await survive(seed, () => readAll(writeSfnt(fontOf(font.flavour, tables)), random));
          expect(['accepted', 'refused']).toContain(file);
        }
      }
    }
  });
});
