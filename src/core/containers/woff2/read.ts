// WOFF File Format 2.0, sections 4 and 5

import { brotliDecompressSync } from 'node:zlib';
import { plainBytes } from '../../bytes/plain.js';
import { Reader } from '../../bytes/reader.js';
import { DenseGlyphError } from '../../../errors.js';
import { fontOf } from '../../sfnt/font.js';
import * as hhea from '../../tables/hhea.js';
import { checkLength, droppedBlocks, maximumFontSize, readWoffStart, type OpenedFont } from '../formats.js';
import { headerSize, readCollectionDirectory, readDirectory, type DirectoryEntry } from './directory.js';
import { rebuildGlyf, type RebuiltGlyf } from './glyf-transform.js';
import { rebuildHmtx } from './hmtx-transform.js';

/** 'ttcf': the file holds a collection. */
const collectionFlavour = 0x74746366;

/** A table of the file with its stored bytes; faces of a collection share them. */
interface StoredTable extends DirectoryEntry {
  bytes: Uint8Array;
}

/**
 * Opens a WOFF 2.0 file: one font, or the faces of a collection. All tables share one compressed stream, so all of it
 * is decompressed here.
 *
 * @throws DenseGlyphError `not-a-font`, `file-cut`, `directory-wrong`, `size-false`, `compression-damaged` or
 *   `table-damaged`
 */
export function readWoff2(bytes: Uint8Array): OpenedFont[] {
  const reader = new Reader(bytes, 'WOFF2 header');
  const isCollection = reader.seek(4).uint32() === collectionFlavour;
  const flavour = isCollection ? undefined : readWoffStart(reader, 'WOFF2');
  if (isCollection) checkLength(reader);
  const numTables = reader.uint16();
  const totalCompressedSize = reader.skip(6).uint32();
  const metaLength = reader.skip(8).uint32();
  const privLength = reader.seek(headerSize - 4).uint32();
  const entries = readDirectory(reader, numTables, { tagsRepeat: isCollection });
  const all = entries.map((_, i) => i);
  const faces = flavour ? [{ flavour, tables: all }] : readCollectionDirectory(reader, numTables);
  if (totalCompressedSize > reader.remaining) {
    const reason = `the header says ${totalCompressedSize} compressed bytes, but ${reader.remaining} follow`;
    throw new DenseGlyphError('size-false', reason);
  }
  const stored = cutStream(decompress(reader.take(totalCompressedSize), entries), entries);
  const rebuilt = new Map<StoredTable, RebuiltGlyf>();
  return faces.map(({ flavour: faceFlavour, tables }) => ({
    font: fontOf(
      faceFlavour,
      rebuildTables(
        tables.map((i) => stored[i]),
        rebuilt,
      ),
    ),
    format: 'woff2',
    dropped: droppedBlocks(metaLength, privLength),
  }));
}

const storedLength = (entry: DirectoryEntry) => entry.transformLength ?? entry.origLength;

function decompress(compressed: Uint8Array, entries: readonly DirectoryEntry[]): Uint8Array {
  const declared = entries.reduce((sum, entry) => sum + storedLength(entry), 0);
  if (declared > maximumFontSize) {
    throw new DenseGlyphError('size-false', `the directory says ${declared} bytes, more than any font has`);
  }
  let stream: Uint8Array;
  try {
    stream = plainBytes(brotliDecompressSync(compressed, { maxOutputLength: Math.max(declared, 1) }));
  } catch (cause) {
    const code = (cause as NodeJS.ErrnoException).code;
    if (code === 'ERR_BUFFER_TOO_LARGE') throw falseSize(declared, 'more');
    throw new DenseGlyphError('compression-damaged', 'the compressed data is damaged');
  }
  if (stream.length !== declared) throw falseSize(declared, `${stream.length}`);
  return stream;
}

function falseSize(declared: number, found: string): DenseGlyphError {
  return new DenseGlyphError(
    'size-false',
    `the directory says ${declared} bytes, but the data gives ${found}`,
  );
}

function cutStream(stream: Uint8Array, entries: readonly DirectoryEntry[]): StoredTable[] {
  let offset = 0;
  return entries.map((entry) => ({
    ...entry,
    bytes: stream.subarray(offset, (offset += storedLength(entry))),
  }));
}

/** @param rebuilt glyf tables that other faces of the file have rebuilt already */
function rebuildTables(
  stored: readonly StoredTable[],
  rebuilt: Map<StoredTable, RebuiltGlyf>,
): Map<string, Uint8Array> {
  const byTag = new Map(stored.map((table) => [table.tag, table]));
  const glyf = byTag.get('glyf');
  const isTransformed = (table: StoredTable | undefined) => table?.transformLength !== undefined;
  if (isTransformed(glyf) !== isTransformed(byTag.get('loca'))) {
    throw new DenseGlyphError('directory-wrong', 'glyf and loca are not transformed together');
  }
  if (glyf && isTransformed(glyf) && !rebuilt.has(glyf)) rebuilt.set(glyf, rebuildGlyf(glyf.bytes));
  const outlines = glyf && rebuilt.get(glyf);
  const tables = new Map<string, Uint8Array>();
  for (const table of stored) {
    const bytes = isTransformed(table) ? rebuild(table, byTag.get(hhea.tag), outlines) : table.bytes;
    tables.set(table.tag, bytes);
    if (table.tag === 'loca' && bytes.length !== table.origLength) {
      const reason = `the directory says ${table.origLength} bytes for loca`;
      throw new DenseGlyphError('size-false', reason, { table: table.tag });
    }
  }
  return tables;
}

function rebuild(
  { tag, bytes, transformVersion }: StoredTable,
  metrics: StoredTable | undefined,
  rebuilt: RebuiltGlyf | undefined,
): Uint8Array {
  if (rebuilt && transformVersion === 0) {
    if (tag === 'glyf') return rebuilt.glyf;
    if (tag === 'loca' && bytes.length === 0) return rebuilt.loca;
  }
  if (tag === 'hmtx' && transformVersion === 1 && rebuilt && metrics) {
    const { numberOfHMetrics } = hhea.parse(new Reader(metrics.bytes, hhea.tag));
    return rebuildHmtx(bytes, numberOfHMetrics, rebuilt.xMin);
  }
  const reason = `the transform ${transformVersion} of this table is not known`;
  throw new DenseGlyphError('directory-wrong', reason, { table: tag });
}
