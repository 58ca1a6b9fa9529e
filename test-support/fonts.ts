import { brotliCompressSync } from 'node:zlib';
import { Writer } from '#src/core/bytes/writer.js';
import { writeDirectory, type DirectoryEntry } from '#src/core/containers/woff2/directory.js';
import { transformGlyf } from '#src/core/containers/woff2/glyf-transform.js';
import { write255UInt16 } from '#src/core/containers/woff2/numbers.js';
import { fontOf, type Font } from '#src/core/sfnt/font.js';
import { sfntVersions } from '#src/core/sfnt/read.js';
import { cmap, glyf, head, hhea, hmtx, loca, maxp, name, os2, post } from '#src/core/tables/index.js';

/** A simple glyph whose bounds follow from its points. */
export function simpleGlyph(
  contours: [x: number, y: number, onCurve: boolean][][],
  { instructions = new Uint8Array(0), overlapSimple = false } = {},
): glyf.SimpleGlyph {
  const points = contours.flat();
  const xs = points.map(([x]) => x);
  const ys = points.map(([, y]) => y);
  let end = -1;
  return {
    kind: 'simple',
    xMin: Math.min(...xs),
    yMin: Math.min(...ys),
    xMax: Math.max(...xs),
    yMax: Math.max(...ys),
    endPtsOfContours: Uint16Array.from(contours, (contour) => (end += contour.length)),
    instructions,
    onCurve: Uint8Array.from(points, ([, , onCurve]) => Number(onCurve)),
    xCoordinates: Int16Array.from(xs),
    yCoordinates: Int16Array.from(ys),
    overlapSimple,
  };
}

export interface FontParts {
  glyphs?: (glyf.Glyph | undefined)[];
  /** Of all glyphs but the last three, which share the last width. */
  leftSideBearing?: number[];
  /** Of the glyphs' records in glyf, in bytes. */
  alignment?: 2 | 4;
  family?: string;
  subfamily?: string;
  weightClass?: number;
  selection?: number;
  macStyle?: number;
  extra?: [tag: string, bytes: Uint8Array][];
}

/** A small TrueType font put together from parts. */
export function buildFont(parts: FontParts = {}): Font {
  const square = simpleGlyph([
    [
      [0, 0, true],
      [500, 0, true],
      [500, 500, true],
      [0, 500, true],
    ],
  ]);
  const glyphs = parts.glyphs ?? [square, undefined, square];
  const alignment = parts.alignment ?? 4;
  const records = glyphs.map((glyph) => (glyph ? glyf.serialiseGlyph(glyph) : new Uint8Array(0)));
  const offsets = new Uint32Array(glyphs.length + 1);
  records.forEach(
    (record, i) => (offsets[i + 1] = offsets[i] + Math.ceil(record.length / alignment) * alignment),
  );
  const data = new Uint8Array(offsets[glyphs.length]);
  records.forEach((record, i) => data.set(record, offsets[i]));
  const numberOfHMetrics = Math.max(1, glyphs.length - 1);
  const bearings = parts.leftSideBearing ?? glyphs.map((glyph) => glyph?.xMin ?? 0);
  const utf16 = (text: string) => Uint8Array.from([...text].flatMap((c) => [0, c.charCodeAt(0)]));
  const record = (nameID: number, text: string) => ({
    platformID: 3,
    encodingID: 1,
    languageID: 0x409,
    nameID,
    bytes: utf16(text),
  });
  return fontOf(
    'truetype',
    new Map([
      ['head', head.serialise({ ...headFields, macStyle: parts.macStyle ?? 0, indexToLocFormat: 0 })],
      ['hhea', hhea.serialise({ ...hheaFields, numberOfHMetrics })],
      ['maxp', maxp.serialise({ version: 0x00005000, numGlyphs: glyphs.length })],
      [
        'OS/2',
        os2.serialise({
          ...os2Fields,
          usWeightClass: parts.weightClass ?? 400,
          fsSelection: parts.selection ?? 64,
        }),
      ],
      [
        'hmtx',
        hmtx.serialise({
          advanceWidth: new Uint16Array(numberOfHMetrics).fill(600),
          leftSideBearing: Int16Array.from(bearings),
        }),
      ],
      [
        'cmap',
        cmap.serialise({
          version: 0,
          encodingRecords: [
            {
              platformID: 3,
              encodingID: 1,
              subtable: {
                format: 6,
                language: 0,
                firstCode: 0x41,
                glyphIdArray: Uint16Array.of(0, 1, 2).slice(0, glyphs.length),
              },
            },
          ],
        }),
      ],
      ['loca', loca.serialise({ indexToLocFormat: 0, offsets })],
      ['glyf', data],
      [
        'name',
        name.serialise({
          version: 0,
          nameRecord: [record(1, parts.family ?? 'Test'), record(2, parts.subfamily ?? 'Regular')],
        }),
      ],
      ['post', post.serialise(postFields)],
      ...(parts.extra ?? []),
    ]),
  );
}

/** A collection; tables that fonts have in common are stored once. */
export function buildCollection(fonts: readonly Font[], { shareTables = true } = {}): Uint8Array {
  const writer = new Writer(1024).tag('ttcf').uint16(1).uint16(0).uint32(fonts.length);
  const offsets = writer.length;
  writer.write(new Uint8Array(fonts.length * 4));
  const stored = new Map<string, number>();
  const directories = fonts.map((font, i) => {
    writer.patchUint32(offsets + i * 4, writer.length);
    const start = writer.length;
    writer.uint32(sfntVersions[font.flavour]).uint16(font.tags.length).write(new Uint8Array(6));
    writer.write(new Uint8Array(font.tags.length * 16));
    return start + 12;
  });
  fonts.forEach((font, i) => {
    [...font.tags].sort().forEach((tag, k) => {
      const bytes = font.bytesOf(tag);
      const key = shareTables ? Buffer.from(bytes).toString('latin1') : `${i} ${tag}`;
      let offset = stored.get(key);
      if (offset === undefined) {
        stored.set(key, (offset = writer.align(4).length));
        writer.write(bytes);
      }
      const entry = new Writer(16).tag(tag).uint32(0).uint32(offset).uint32(bytes.length);
      writer.bytes().set(entry.bytes(), directories[i] + k * 16);
    });
  });
  return writer.align(4).bytes().slice();
}

/**
 * A WOFF2 collection; tables that fonts have in common are stored once. The outlines of the first font are
 * transformed, those of the others are stored as they are.
 */
export function buildWoff2Collection(fonts: readonly Font[]): Uint8Array {
  const entries: DirectoryEntry[] = [];
  const data = new Writer(1024);
  const stored = new Map<string, number>();
  const faces = fonts.map((font, face) => {
    const indexes = [...font.tags].sort().map((tag) => {
      const bytes = font.bytesOf(tag);
      const isOutline = tag === 'glyf' || tag === 'loca';
      const key = `${tag}${isOutline ? face : ''} ${Buffer.from(bytes).toString('latin1')}`;
      const known = stored.get(key);
      if (known !== undefined) return known;
      const entry: DirectoryEntry = { tag, transformVersion: isOutline ? 3 : 0, origLength: bytes.length };
      const start = data.length;
      if (isOutline && face === 0) {
        entry.transformVersion = 0;
        if (tag === 'glyf') {
          const { indexToLocFormat } = font.table(head);
          for (const piece of transformGlyf(font.table(glyf), indexToLocFormat).pieces) data.write(piece);
        }
        entry.transformLength = data.length - start;
      } else data.write(bytes);
      stored.set(key, entries.length);
      return entries.push(entry) - 1;
    });
    return { flavour: font.flavour, indexes };
  });
  const compressed = brotliCompressSync(data.bytes());
  const writer = new Writer(1024).tag('wOF2').tag('ttcf').uint32(0).uint16(entries.length).uint16(0);
  writer.uint32(0).uint32(compressed.length).write(new Uint8Array(24));
  writeDirectory(writer, entries);
  writer.uint32(0x00010000);
  write255UInt16(writer, faces.length);
  for (const { flavour, indexes } of faces) {
    write255UInt16(writer, indexes.length);
    writer.uint32(sfntVersions[flavour]);
    for (const index of indexes) write255UInt16(writer, index);
  }
  writer.write(compressed).align(4);
  return writer.patchUint32(8, writer.length).bytes().slice();
}

const headFields: head.Head = {
  majorVersion: 1,
  minorVersion: 0,
  fontRevision: 1,
  checkSumAdjustment: 0,
  magicNumber: 0x5f0f3cf5,
  flags: 0,
  unitsPerEm: 1000,
  created: 0n,
  modified: 0n,
  xMin: 0,
  yMin: 0,
  xMax: 500,
  yMax: 500,
  macStyle: 0,
  lowestRecPPEM: 8,
  fontDirectionHint: 2,
  indexToLocFormat: 0,
  glyphDataFormat: 0,
};

const hheaFields: hhea.Hhea = {
  majorVersion: 1,
  minorVersion: 0,
  ascender: 800,
  descender: -200,
  lineGap: 0,
  advanceWidthMax: 600,
  minLeftSideBearing: 0,
  minRightSideBearing: 0,
  xMaxExtent: 500,
  caretSlopeRise: 1,
  caretSlopeRun: 0,
  caretOffset: 0,
  metricDataFormat: 0,
  numberOfHMetrics: 0,
};

export const os2Fields: os2.Os2 = {
  version: 4,
  xAvgCharWidth: 600,
  usWeightClass: 400,
  usWidthClass: 5,
  fsType: 0,
  ySubscriptXSize: 0,
  ySubscriptYSize: 0,
  ySubscriptXOffset: 0,
  ySubscriptYOffset: 0,
  ySuperscriptXSize: 0,
  ySuperscriptYSize: 0,
  ySuperscriptXOffset: 0,
  ySuperscriptYOffset: 0,
  yStrikeoutSize: 0,
  yStrikeoutPosition: 0,
  sFamilyClass: 0,
  panose: new Uint8Array(10),
  ulUnicodeRange1: 0,
  ulUnicodeRange2: 0,
  ulUnicodeRange3: 0,
  ulUnicodeRange4: 0,
  achVendID: 'TEST',
  fsSelection: 64,
  usFirstCharIndex: 0x41,
  usLastCharIndex: 0x43,
  sTypoAscender: 800,
  sTypoDescender: -200,
  sTypoLineGap: 0,
  usWinAscent: 800,
  usWinDescent: 200,
  ulCodePageRange1: 1,
  ulCodePageRange2: 0,
  sxHeight: 500,
  sCapHeight: 700,
  usDefaultChar: 0,
  usBreakChar: 32,
  usMaxContext: 0,
};

const postFields: post.Post = {
  version: 0x00030000,
  italicAngle: 0,
  underlinePosition: -100,
  underlineThickness: 50,
  isFixedPitch: 0,
  minMemType42: 0,
  maxMemType42: 0,
  minMemType1: 0,
  maxMemType1: 0,
};

/** A CFF font with a space in the name that the CFF table starts with. */
export function spacedName(font: Font): Font {
  const bytes = new Uint8Array(font.bytesOf('CFF '));
  const index = bytes[2];
  const offSize = bytes[index + 2];
  bytes[index + 3 + 2 * offSize + 3] = 0x20;
  return fontOf('cff', font.tables().set('CFF ', bytes));
}

/** Numbers of 16 bits, as tables hold them. */
export function words(...values: number[]): Uint8Array {
  const bytes = new Uint8Array(values.length * 2);
  const view = new DataView(bytes.buffer);
  values.forEach((value, i) => view.setInt16(i * 2, value));
  return bytes;
}

/** A kern table that brings all pairs of glyphs together, so many that 16 bits don't hold its length. */
export function overlongKern(numGlyphs: number, value = -100): Uint8Array {
  const pairs = 11_000;
  const listed = Array.from({ length: pairs }, (_, i) => [Math.floor(i / numGlyphs), i % numGlyphs, value]);
  return words(0, 1, 0, 14 + pairs * 6, 1, pairs, 0, 0, 0, ...listed.flat());
}

/** The font with a format that doesn't exist in the first subtable of each lookup of pairs. */
export function damagedPairs(font: Font): Font {
  const bytes = font.bytesOf('GPOS').slice();
  const table = new DataView(bytes.buffer);
  const list = table.getUint16(8);
  for (let i = 0; i < table.getUint16(list); i++) {
    const lookup = list + table.getUint16(list + 2 + i * 2);
    if (table.getUint16(lookup) === 2) table.setUint16(lookup + table.getUint16(lookup + 6), 77);
  }
  return fontOf(font.flavour, font.tables().set('GPOS', bytes));
}

/** The same outlines with a flag and two bytes for each coordinate of each point. */
export function withLongOutlines(font: Font): Font {
  const table = font.table(glyf);
  const writer = new Writer();
  const offsets = new Uint32Array(table.offsets.length);
  for (let glyphId = 0; glyphId + 1 < offsets.length; glyphId++) {
    const glyph = glyf.glyphOf(table, glyphId);
    if (glyph?.kind !== 'simple') writer.write(glyf.recordOf(table, glyphId));
    else {
      const { endPtsOfContours, instructions, onCurve, xMin, yMin, xMax, yMax } = glyph;
      writer
        .int16(endPtsOfContours.length)
        .int16Array([xMin, yMin, xMax, yMax])
        .uint16Array(endPtsOfContours);
      writer.uint16(instructions.length).write(instructions).write(onCurve);
      for (const values of [glyph.xCoordinates, glyph.yCoordinates])
        writer.int16Array(values.map((value, i) => value - (values[i - 1] ?? 0)));
    }
    offsets[glyphId + 1] = writer.align(4).length;
  }
  const tables = font.tables().set('glyf', writer.bytes());
  tables.set('loca', loca.serialise({ indexToLocFormat: 1, offsets }));
  tables.set('head', head.serialise({ ...font.table(head), indexToLocFormat: 1 }));
  return fontOf('truetype', tables);
}

/** A, B, C … under U+E000, U+E001, U+E002 …, and nothing else. */
export function asPictures(font: Font): Font {
  const first = cmap.glyphIdOf(font.table(cmap), 0x41);
  const groups = new Uint32Array([0xe000, 0xe019, first]);
  const subtable = { format: 12, language: 0, groups } as const;
  const tables = font.tables();
  const table = { version: 0, encodingRecords: [{ platformID: 3, encodingID: 10, subtable }] };
  return fontOf(font.flavour, tables.set('cmap', cmap.serialise(table)));
}
