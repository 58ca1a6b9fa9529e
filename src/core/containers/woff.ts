// WOFF File Format 1.0

import { deflateSync, inflateSync } from 'node:zlib';
import { checksum } from '../bytes/checksum.js';
import { plainBytes } from '../bytes/plain.js';
import { Reader } from '../bytes/reader.js';
import { Writer } from '../bytes/writer.js';
import { DenseGlyphError } from '../../errors.js';
import { Font, type Flavour } from '../sfnt/font.js';
import { maximumTables, readSfnt, sfntVersions } from '../sfnt/read.js';
import { compareTags, sfntSize, writeSfnt } from '../sfnt/write.js';
import {
  droppedBlocks,
  maximumFontSize,
  readWoffStart,
  type OpenedFont,
  type WrittenFont,
} from './formats.js';

export const signature = 0x774f4646; // 'wOFF'

const headerSize = 44;
const entrySize = 20;

interface Entry {
  offset: number;
  compLength: number;
  origLength: number;
}

/**
 * Opens a WOFF 1.0 file. Reads the directory; a table is inflated when it is asked for.
 *
 * @throws DenseGlyphError `not-a-font`, `file-cut`, `directory-wrong` or `size-false`
 */
export function readWoff(bytes: Uint8Array): OpenedFont {
  const reader = new Reader(bytes, 'WOFF header');
  const flavour = readWoffStart(reader, 'WOFF');
  const numTables = reader.uint16();
  if (numTables === 0 || numTables > maximumTables) {
    throw new DenseGlyphError('directory-wrong', `the WOFF directory counts ${numTables} tables`);
  }
  reader.skip(10); // reserved, totalSfntSize and version: nothing depends on them
  const metaLength = reader.skip(4).uint32();
  const privLength = reader.seek(headerSize - 4).uint32();

  const entries = new Map<string, Entry>();
  for (let i = 0; i < numTables; i++) {
    const tag = reader.tag();
    const entry = { offset: reader.uint32(), compLength: reader.uint32(), origLength: reader.uint32() };
    reader.skip(4); // origChecksum: computed anew when the font is written
    if (entry.offset + entry.compLength > bytes.length || entry.compLength > entry.origLength) {
      throw new DenseGlyphError('directory-wrong', `table ${tag.trim()} does not lie inside the WOFF file`);
    }
    if (entries.has(tag))
      throw new DenseGlyphError('directory-wrong', `the directory lists ${tag.trim()} twice`);
    entries.set(tag, entry);
  }

  const declared = [...entries.values()].reduce((sum, { origLength }) => sum + origLength, 0);
  if (declared > maximumFontSize) {
    throw new DenseGlyphError('size-false', `the directory says ${declared} bytes, more than any font has`);
  }

  const inflated = new Map<string, Uint8Array>();
  const font = new Font({
    flavour,
    tags: [...entries].sort(([, a], [, b]) => a.offset - b.offset).map(([tag]) => tag),
    bytesOf(tag) {
      const entry = entries.get(tag);
      if (entry && !inflated.has(tag)) inflated.set(tag, inflate(bytes, tag, entry));
      return inflated.get(tag);
    },
  });
  return { font, format: 'woff', dropped: droppedBlocks(metaLength, privLength) };
}

function inflate(bytes: Uint8Array, tag: string, { offset, compLength, origLength }: Entry): Uint8Array {
  const stored = bytes.subarray(offset, offset + compLength);
  if (compLength === origLength) return stored;
  let table: Uint8Array;
  try {
    table = plainBytes(inflateSync(stored, { maxOutputLength: Math.max(origLength, 1) }));
  } catch (cause) {
    const code = (cause as NodeJS.ErrnoException).code;
    if (code === 'ERR_BUFFER_TOO_LARGE') throw falseSize(tag, origLength, 'more');
    throw new DenseGlyphError('compression-damaged', 'the compressed data is damaged', { table: tag });
  }
  if (table.length !== origLength) throw falseSize(tag, origLength, `${table.length} bytes`);
  return table;
}

function falseSize(tag: string, declared: number, found: string): DenseGlyphError {
  return new DenseGlyphError(
    'size-false',
    `the directory says ${declared} bytes, but the data gives ${found}`,
    {
      table: tag,
    },
  );
}

/** Writes a font as WOFF 1.0; each table is deflated unless that makes it longer. */
export function writeWoff(font: Font): WrittenFont {
  const tables = [...tablesOf(font)];
  return assemble(
    font.flavour,
    tables.map(([tag, table]) => ({ tag, table, deflated: deflateSync(table, { level: 9 }) })),
  );
}

/**
 * Writes a font as WOFF 1.0 with another compressor than Node's.
 *
 * @param deflate compresses into the zlib format (RFC 1950)
 */
export async function writeWoffWith(
  font: Font,
  deflate: (table: Uint8Array) => Promise<Uint8Array>,
): Promise<WrittenFont> {
  const tables: DeflatedTable[] = [];
  for (const [tag, table] of tablesOf(font)) tables.push({ tag, table, deflated: await deflate(table) });
  return assemble(font.flavour, tables);
}

interface DeflatedTable {
  tag: string;
  table: Uint8Array;
  deflated: Uint8Array;
}

/** The checksum in head covers the whole sfnt file, so the tables are taken from the file that readers rebuild. */
const tablesOf = (font: Font) => readSfnt(writeSfnt(font)).tables();

function assemble(flavour: Flavour, tables: readonly DeflatedTable[]): WrittenFont {
  const size = sfntSize(new Map(tables.map(({ tag, table }) => [tag, table])));
  const writer = new Writer(size);
  writer.uint32(signature).uint32(sfntVersions[flavour]).uint32(0);
  writer.uint16(tables.length).uint16(0).uint32(size);
  writer.uint16(1).uint16(0).write(new Uint8Array(20)); // version 1.0, no metadata, no private data
  const directory = writer.length;
  writer.write(new Uint8Array(tables.length * entrySize));

  const sorted = tables.map(({ tag }) => tag).sort(compareTags);
  for (const { tag, table, deflated } of tables) {
    const stored = deflated.length < table.length ? deflated : table;
    const entry = new Writer(entrySize)
      .tag(tag)
      .uint32(writer.length)
      .uint32(stored.length)
      .uint32(table.length);
    entry.uint32(tag === 'head' ? headChecksum(table) : checksum(table));
    writer.bytes().set(entry.bytes(), directory + sorted.indexOf(tag) * entrySize);
    writer.write(stored).align(4);
  }
  return { bytes: writer.patchUint32(8, writer.length).bytes(), dropped: [] };
}

/** The checksum of head is computed as if `checkSumAdjustment` were zero. */
function headChecksum(table: Uint8Array): number {
  const cleared = new Uint8Array(table);
  cleared.fill(0, 8, 12);
  return checksum(cleared);
}
