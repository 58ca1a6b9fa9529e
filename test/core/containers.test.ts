import { beforeAll, describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { checksum } from '#src/core/bytes/checksum.js';
import { Reader } from '#src/core/bytes/reader.js';
import { Writer } from '#src/core/bytes/writer.js';
import { openFont, openFonts, writeFont, type FontFormat } from '#src/core/containers/index.js';
import { readCollectionDirectory } from '#src/core/containers/woff2/directory.js';
import { fontOf, type Font } from '#src/core/sfnt/font.js';
import { writeSfnt } from '#src/core/sfnt/write.js';
import { cmap, head } from '#src/core/tables/index.js';
import { buildCollection, buildFont, buildWoff2Collection } from '../../test-support/fonts.js';
import { differing, glyphsOf } from '../../test-support/comparison.js';
import { filesIn, readSample, sampleFonts, vendorFonts } from '../../test-support/paths.js';
import { casesOf, isThorough } from '../../test-support/thorough.js';

const written = async (font: Font, format: FontFormat) => (await writeFont(font, format)).bytes;
const reopened = async (font: Font, format: FontFormat) => openFont(await written(font, format));

describe('the sample fonts', () => {
  const fonts = filesIn(sampleFonts, 'tf');

  test.each(fonts.filter((_, i) => isThorough || i % 3 === 0))(
    '%s goes through every format and comes back',
    async (file) => {
      const bytes = readSample(file);
      const { font, format } = openFont(bytes);
      const before = new Uint8Array(bytes);
      expect(writeSfnt(font)).toEqual(before);
      expect(new Uint8Array(bytes)).toEqual(before); // the source stays as it was
      expect(differing(font, (await reopened(font, 'woff')).font)).toEqual([]);
      const woff2 = await writeFont(font, 'woff2');
      const again = openFont(woff2.bytes);
      expect(woff2.dropped).toEqual([]);
      // Only head says that the font went through a transform; our glyf is normal already.
      expect(differing(font, again.font)).toEqual(['head']);
      expect(again.font.table(head).flags).toBe(font.table(head).flags | head.losslessTransformFlag);
      const backAndForth = await reopened(again.font, format);
      expect(await written(backAndForth.font, 'woff2')).toEqual(woff2.bytes);
      expect(backAndForth.format).toBe(format);
    },
  );
});

describe('public fonts with WOFF2 files made by their vendor', () => {
  const files = filesIn(vendorFonts, '.ttf');
  let ours = 0;

  test.each(files)('%s decodes back to the same tables, and so does the vendor’s file', async (file) => {
    const { font } = openFont(readFileSync(join(vendorFonts, file)));
    const ourFile = await written(font, 'woff2');
    ours += ourFile.length;
    // Whatever way the source packs its glyphs, what was rebuilt once stays as it is.
    const back = await reopened(openFont(ourFile).font, 'ttf');
    expect(Buffer.compare(await written(back.font, 'woff2'), ourFile)).toBe(0);
    const vendor = openFont(readFileSync(join(vendorFonts, file.replace('.ttf', '.woff2')))).font;
    for (const other of [openFont(ourFile).font, vendor]) {
      expect(differing(font, other).filter((tag) => !['glyf', 'loca', 'head'].includes(tag))).toEqual([]);
      expect(glyphsOf(other)).toEqual(glyphsOf(font));
    }
    expect(differing(openFont(ourFile).font, vendor).filter((tag) => tag !== 'head')).toEqual([]);
  });

  test('the sum of ours is not larger', () => {
    expect(files).toHaveLength(20);
    expect(ours).toBeLessThanOrEqual(259_792);
  });
});

test('a written sfnt has the checksums that the standard asks for', () => {
  const bytes = writeSfnt(buildFont());
  expect(checksum(bytes)).toBe(0xb1b0afba);
  const view = new DataView(bytes.buffer, bytes.byteOffset);
  const tags = Array.from({ length: view.getUint16(4) }, (_, i) =>
    String.fromCharCode(...bytes.subarray(12 + i * 16, 16 + i * 16)),
  );
  expect(tags).toEqual([...tags].sort());
});

describe('a collection', () => {
  const names = ['FerrywakeSans-Regular.ttf', 'FerrywakeSans-Bold.ttf', 'LampbuoySlab-Bold.otf'];
  const fonts = names.map((name) => openFont(readSample(name)).font);
  const bytes = buildCollection(fonts);

  test('gives all its faces, each as it is alone', async () => {
    const faces = openFonts(bytes);
    expect(faces.map(({ format }) => format)).toEqual(['ttf', 'ttf', 'otf']);
    for (const [i, { font }] of faces.entries()) {
      expect(differing(font, fonts[i])).toEqual([]);
      const [one, other] = await Promise.all([font, fonts[i]].map((each) => reopened(each, 'woff2')));
      expect(differing(one.font, other.font)).toEqual([]);
    }
  });

  test('in WOFF2 gives the same faces, with outlines transformed or not', () => {
    const faces = openFonts(buildWoff2Collection(fonts));
    expect(faces.map(({ font }, i) => differing(font, fonts[i]))).toEqual([[], [], []]);
  });

  test.each([
    ['that names a table that is not there', 0x00010000, [1, 1, 0, 1, 0, 0, 9], 'font 0 names table 9 of 2'],
    ['of no fonts', 0x00010000, [0], 'the collection counts 0 fonts'],
    ['of an unknown version', 0x00030000, [1], 'version 196608 of font collections is not known'],
  ])('in WOFF2 %s is refused', (_, version, directory, reason) => {
    const writer = new Writer().uint32(version).write(Uint8Array.from(directory));
    expect(() => readCollectionDirectory(new Reader(writer.bytes(), 'WOFF2 header'), 2)).toThrow(reason);
  });

  test.each([
    [
      'of several faces is not one font',
      bytes,
      'it is a collection of 3 faces; take the faces apart with convert first',
    ],
    ['cut in its header', bytes.slice(0, 14), 'the collection counts 3 fonts'],
    [
      'with a face past its end',
      Uint8Array.from([...bytes.slice(0, 12), 0x7f, ...bytes.slice(13)]),
      'font 0 of the collection starts past the end',
    ],
    [
      'of an unknown version',
      Uint8Array.from([...bytes.slice(0, 4), 0, 9, ...bytes.slice(6)]),
      'version 9 of font collections is not known',
    ],
  ])('%s', (_, file, reason) => {
    expect(() => openFont(file)).toThrow(reason);
  });
});

describe('EOT', () => {
  const { font } = openFont(readSample('FerrywakeSans-BoldItalic.ttf'));
  let bytes: Uint8Array;
  beforeAll(async () => {
    bytes = await written(font, 'eot');
  });
  const view = (file: Uint8Array) => new DataView(file.buffer, file.byteOffset, file.byteLength);
  const withFlags = (flags: number) => {
    const copy = bytes.slice();
    view(copy).setUint32(12, flags, true);
    return copy;
  };

  test('comes back as it was', () => {
    const again = openFont(bytes);
    expect(again.format).toBe('eot');
    expect(differing(font, again.font)).toEqual([]);
  });

  test('says what the font says: style, names, checksum', () => {
    const header = view(bytes);
    expect([header.getUint32(0, true), header.getUint16(34, true)]).toEqual([bytes.length, 0x504c]);
    expect([header.getUint8(27), header.getUint32(28, true)]).toEqual([1, 700]); // italic, weight
    expect(header.getUint32(60, true)).toBe(font.table(head).checkSumAdjustment);
    const text = Buffer.from(bytes).toString('utf16le', 0, 400);
    for (const name of ['Ferrywake Sans', 'Bold Italic']) expect(text).toContain(name);
  });

  test('is read where its data is XORed, in all three versions', () => {
    const size = view(bytes).getUint32(4, true);
    const plain = bytes.subarray(bytes.length - size);
    const headerOf = (version: number, behindNames: number) => {
      const header = bytes.slice(0, bytes.length - size - 4); // up to the full name
      view(header).setUint32(8, version, true);
      view(header).setUint32(12, 0x10000000, true);
      return Buffer.concat([header, new Uint8Array(behindNames), plain.map((byte) => byte ^ 0x50)]);
    };
    for (const [version, behindNames] of [
      [0x00010000, 0],
      [0x00020001, 4], // padding, root string
      [0x00020002, 4 + 8 + 4 + 8], // checksum and code page, padding and signature, EUDC font
    ]) {
      const file = headerOf(version, behindNames);
      file.writeUint32LE(file.length, 0);
      expect(differing(font, openFont(file).font)).toEqual([]);
    }
  });

  test('is refused where it is compressed or cut', () => {
    expect(() => openFont(withFlags(4))).toThrow('compressed with MicroType Express, which is not read');
    expect(() => openFont(bytes.subarray(0, 500))).toThrow('the header says');
  });
});

test('TrueType outlines are not turned into CFF outlines', async () => {
  const { font } = openFont(readSample('FerrywakeSans-Bold.ttf'));
  await expect(writeFont(font, 'otf')).rejects.toThrow(
    'the font has TrueType outlines; drawing them as CFF outlines would only make it larger; convert it to ttf',
  );
});

const ttf = new Uint8Array(readSample('TidelogMono-Regular.ttf'));
const woff2 = await written(openFont(ttf).font, 'woff2');
const woff = await written(openFont(ttf).font, 'woff');

describe('bad input', () => {
  const patched = (bytes: Uint8Array, at: number, ...values: number[]) => {
    const copy = bytes.slice();
    copy.set(values, at);
    return copy;
  };
  const text = (value: string) => new TextEncoder().encode(value);
  /** Everything that `convert` reads, so that lazy tables are read too. */
  const readAll = async (bytes: Uint8Array) => written(openFont(bytes).font, 'woff2');

  test.each<[string, Uint8Array, string, string]>([
    ['an empty file', new Uint8Array(0), 'file-empty', 'the file is empty'],
    [
      'a text file',
      text('Dear harbour master, please find the font attached.'),
      'not-a-font',
      'does not start like a font',
    ],
    ['a page', text('<!DOCTYPE html><title>404</title>'), 'format-unsupported', 'it is an HTML page'],
    ['an archive', text('PK\x03\x04 and so on'), 'format-unsupported', 'it is a ZIP archive'],
    ['a cut font', ttf.subarray(0, 20_000), 'directory-wrong', 'past the end of the file'],
    ['a font cut inside its directory', ttf.subarray(0, 60), 'directory-wrong', 'lists 14 tables'],
    ['an offset out of the file', patched(ttf, 12 + 8, 0x7f), 'directory-wrong', 'past the end of the file'],
    ['a count of tables that no font has', patched(ttf, 4, 0xff), 'directory-wrong', 'counts 65294 tables'],
    ['a table listed twice', patched(ttf, 28, ...ttf.subarray(12, 28)), 'directory-wrong', 'twice'],
    ['a WOFF2 that says it is longer', patched(woff2, 8, 1), 'file-cut', 'the header says'],
    [
      'a WOFF2 that says its data is longer',
      patched(woff2, 20, 0x00, 0x0f),
      'size-false',
      'compressed bytes',
    ],
    [
      'a WOFF2 whose tables claim more than the data gives',
      patched(woff2, 49, 0x7f),
      'size-false',
      'the directory says',
    ],
    [
      'a WOFF2 with damaged data',
      patched(woff2, 200, 1, 2, 3, 4, 5, 6, 7, 8),
      'compression-damaged',
      'damaged',
    ],
    ['a WOFF that says it is longer', patched(woff, 8, 1), 'file-cut', 'the header says'],
    [
      'a WOFF whose table claims more than the data gives',
      patched(woff, Buffer.from(woff).indexOf('glyf') + 12, 0, 0xff),
      'size-false',
      'the directory says',
    ],
    [
      'a WOFF whose table claims gigabytes',
      patched(woff, Buffer.from(woff).indexOf('glyf') + 12, 0x7f),
      'size-false',
      'more than any font has',
    ],
    [
      'a WOFF with damaged data',
      patched(woff, woff.length - 3000, ...new Array<number>(2000).fill(255)),
      'compression-damaged',
      'damaged',
    ],
  ])('%s is refused with a clear reason', async (_, bytes, code, reason) => {
    const reading = readAll(bytes);
    await expect(reading).rejects.toMatchObject({ code });
    await expect(reading).rejects.toThrow(reason);
  });

  test('a signature listed twice, as real fonts do, is no damage', () => {
    const twice = patched(patched(ttf, 12, ...text('DSIG')), 28, ...text('DSIG'));
    expect(openFont(twice).font.tags.filter((tag) => tag === 'DSIG')).toHaveLength(1);
  });

  test.each([
    ['ttf', ttf],
    ['woff', woff],
    ['woff2', woff2],
  ] as const)('any damage to a %s gives a typed error or a font', async (_, whole) => {
    const damage = fc.array(fc.tuple(fc.nat(whole.length - 1), fc.nat(255)), { minLength: 1, maxLength: 12 });
    await fc.assert(
      fc.asyncProperty(
        damage,
        fc.option(fc.nat(whole.length), { nil: undefined }),
        fc.boolean(),
        async (changes, length, early) => {
          const bytes = whole.slice(0, length);
          for (const [at, value] of changes) bytes[early ? at % 400 : at] = value;
          try {
            await readAll(bytes);
          } catch (error) {
            expect(error).toMatchObject({ name: 'DenseGlyphError', kind: 'input' });
          }
        },
      ),
      casesOf(40, 110),
    );
  });
});

test('an SVG font whose characters are all the same long outline is refused', async () => {
  const groups = Uint32Array.of(0x20, 0xd7ff, 100);
  const table = cmap.serialise({
    version: 0,
    encodingRecords: [{ platformID: 3, encodingID: 10, subtable: { format: 13, language: 0, groups } }],
  });
  const { font } = openFont(readSample('FerrywakeSans-Regular.ttf'));
  const hostile = fontOf(font.flavour, font.tables().set('cmap', table));
  await expect(writeFont(hostile, 'svg')).rejects.toThrow(/the SVG font would take over \d+ bytes/);
});
