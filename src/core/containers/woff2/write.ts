// WOFF File Format 2.0, sections 4 and 5

import { brotliCompress, brotliCompressSync, constants } from 'node:zlib';
import { plainBytes } from '../../bytes/plain.js';
import { Writer } from '../../bytes/writer.js';
import type { Font } from '../../sfnt/font.js';
import { sfntVersions } from '../../sfnt/read.js';
import { compareTags, sfntSize } from '../../sfnt/write.js';
// One by one, not through the list of tables: a conversion loads what it reads.
import * as glyf from '../../tables/glyf.js';
import * as head from '../../tables/head.js';
import * as hhea from '../../tables/hhea.js';
import * as hmtx from '../../tables/hmtx.js';
import * as loca from '../../tables/loca.js';
import * as maxp from '../../tables/maxp.js';
import type { WriteOptions, WrittenFont } from '../formats.js';
import { headerSize, signature, writeDirectory, type DirectoryEntry } from './directory.js';
import { transformGlyf, type TransformedGlyf } from './glyf-transform.js';
import { transformHmtx } from './hmtx-transform.js';

/**
 * Writes a font as WOFF 2.0. A digital signature can't survive the transforms, so DSIG is left out.
 */
export async function writeWoff2(
  font: Font,
  { alone = false, quick = false }: Pick<WriteOptions, 'alone' | 'quick'> = {},
): Promise<WrittenFont> {
  const tables = font.tables();
  const dropped = tables.delete('DSIG') ? ['DSIG (a signature does not survive WOFF2)'] : [];
  const outlines = font.has(glyf.tag)
    ? transformGlyf(font.table(glyf), font.table(head).indexToLocFormat)
    : undefined;
  tables.set(head.tag, markTransformed(font, outlines));
  const { entries, stream, sfntLength } = joinTables(tables, transformTables(font, outlines));
  const compressed = quick ? await brotli(stream, quickQuality) : await compress(stream, alone);

  const writer = new Writer(headerSize + entries.length * 12 + compressed.length);
  writer.uint32(signature).uint32(sfntVersions[font.flavour]).uint32(0);
  writer.uint16(entries.length).uint16(0).uint32(sfntLength).uint32(compressed.length);
  writer.uint16(1).uint16(0).write(new Uint8Array(20)); // version 1.0, no metadata, no private data
  writeDirectory(writer, entries);
  writer.write(compressed).align(4);
  return { bytes: writer.patchUint32(8, writer.length).bytes(), dropped };
}

/** The directory, and all tables one after the other as they are compressed. */
function joinTables(
  tables: ReadonlyMap<string, Uint8Array>,
  transformed: ReadonlyMap<string, TransformedTable>,
): { entries: DirectoryEntry[]; stream: Uint8Array; sfntLength: number } {
  const entries: DirectoryEntry[] = [];
  const stream = new Writer(sfntSize(tables));
  for (const tag of [...tables.keys()].sort(compareTags)) {
    const bytes = tables.get(tag)!;
    const change = transformed.get(tag);
    const transformVersion = change?.version ?? (tag === glyf.tag || tag === loca.tag ? 3 : 0);
    const entry: DirectoryEntry = { tag, transformVersion, origLength: change?.origLength ?? bytes.length };
    const start = stream.length;
    for (const piece of change?.pieces ?? [bytes]) stream.write(piece);
    if (change) entry.transformLength = stream.length - start;
    entries.push(entry);
  }
  const padded = entries.reduce((sum, { origLength }) => sum + ((origLength + 3) & ~3), 0);
  return { entries, stream: stream.bytes(), sfntLength: 12 + 16 * entries.length + padded };
}

/**
 * Section 5: bit 11 of `head.flags` is set, and the loca format is that of the rebuilt table. Readers compute
 * `checkSumAdjustment` anew; it stays empty, so that the same font gives the same bytes wherever it comes from.
 */
function markTransformed(font: Font, outlines: TransformedGlyf | undefined): Uint8Array {
  const table = font.table(head);
  const bytes = new Uint8Array(font.bytesOf(head.tag));
  const view = new DataView(bytes.buffer);
  view.setUint32(8, 0);
  view.setUint16(16, table.flags | head.losslessTransformFlag);
  if (outlines) view.setInt16(50, outlines.indexToLocFormat);
  return bytes;
}

interface TransformedTable {
  version: number;
  pieces: Uint8Array[];
  origLength: number;
}

function transformTables(font: Font, outlines: TransformedGlyf | undefined): Map<string, TransformedTable> {
  const transformed = new Map<string, TransformedTable>();
  if (!outlines) return transformed;
  const { pieces, rebuiltSize, indexToLocFormat } = outlines;
  const { numGlyphs } = font.table(maxp);
  transformed.set(glyf.tag, { version: 0, pieces, origLength: rebuiltSize });
  const locaLength = (numGlyphs + 1) * (indexToLocFormat === 0 ? 2 : 4);
  transformed.set(loca.tag, { version: 0, pieces: [], origLength: locaLength });

  const { numberOfHMetrics } = font.table(hhea);
  const origLength = font.bytesOf(hmtx.tag).length;
  if (origLength === (numberOfHMetrics + numGlyphs) * 2) {
    const bytes = transformHmtx(font.table(hmtx), xMinOf(font.table(glyf)));
    if (bytes) transformed.set(hmtx.tag, { version: 1, pieces: [bytes], origLength });
  }
  return transformed;
}

function xMinOf(table: glyf.Glyf): Int16Array {
  const xMin = new Int16Array(table.offsets.length - 1);
  for (let glyphId = 0; glyphId < xMin.length; glyphId++) {
    const record = glyf.recordOf(table, glyphId);
    const drawn = record.length > 0 && (record[0] !== 0 || record[1] !== 0); // numberOfContours
    if (drawn) xMin[glyphId] = (record[2] << 8) | record[3];
  }
  return xMin;
}

/**
 * Streams of less bytes than this come out smaller at quality 10 as often as at 11, by up to a tenth: both are tried,
 * which saves 1.6 % on average.
 */
const smallStream = 8 * 1024;
/** Up to here quality 10 comes within 0.2 % of 11 on average, in half the time; behind it, it falls back. */
const mediumStream = 32 * 1024;

/** Some tenth larger than the best, in less than a tenth of the time. */
const quickQuality = 5;

async function compress(stream: Uint8Array, alone: boolean): Promise<Uint8Array> {
  if (stream.length >= mediumStream) return brotli(stream, 11);
  const lesser = alone ? brotliHere : brotli;
  if (stream.length >= smallStream) return lesser(stream, 10);
  const [one, other] = await Promise.all([brotli(stream, 11), lesser(stream, 10)]);
  return one.length <= other.length ? one : other;
}

/** In a thread of Node's, so that several fonts are compressed at once. */
function brotli(bytes: Uint8Array, quality: number): Promise<Uint8Array> {
  return new Promise((done, failed) => {
    brotliCompress(bytes, optionsFor(bytes, quality), (error, compressed) =>
      error ? failed(error) : done(plainBytes(compressed)),
    );
  });
}

const brotliHere = (bytes: Uint8Array, quality: number): Uint8Array =>
  plainBytes(brotliCompressSync(bytes, optionsFor(bytes, quality)));

function optionsFor(bytes: Uint8Array, quality: number) {
  return {
    chunkSize: Math.max(bytes.length, 1024), // the result in one piece, not in many that are joined
    params: {
      // Not the mode for fonts, which makes them larger: by 0.03 to 0.1 % of 300 subsets, by size.
      [constants.BROTLI_PARAM_QUALITY]: quality,
      [constants.BROTLI_PARAM_LGWIN]: constants.BROTLI_MAX_WINDOW_BITS,
      [constants.BROTLI_PARAM_SIZE_HINT]: bytes.length,
    },
  };
}
