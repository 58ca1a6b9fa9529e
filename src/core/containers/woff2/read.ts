// WOFF File Format 2.0, sections 4 and 5

import { brotliDecompressSync } from 'node:zlib';
import { plainBytes } from '../../bytes/plain.js';
import { Reader } from '../../bytes/reader.js';
import { DenseGlyphError } from '../../errors.js';
import { fontOf } from '../../sfnt/font.js';
import * as hhea from '../../tables/hhea.js';
import { droppedBlocks, maximumFontSize, readWoffStart, type OpenedFont } from '../formats.js';
import { headerSize, readDirectory, type DirectoryEntry } from './directory.js';
import { rebuildGlyf, type RebuiltGlyf } from './glyf-transform.js';
import { rebuildHmtx } from './hmtx-transform.js';

/**
 * Opens a WOFF 2.0 file. All tables share one compressed stream, so all of it is decompressed here.
 *
 * @throws DenseGlyphError `not-a-font`, `format-unsupported`, `file-cut`, `directory-wrong`, `size-false`,
 *   `compression-damaged` or `table-damaged`
 */
export function readWoff2(bytes: Uint8Array): OpenedFont {
  const reader = new Reader(bytes, 'WOFF2 header');
  const sfntVersion = reader.seek(4).uint32();
  if (sfntVersion === 0x74746366)
    throw new DenseGlyphError('format-unsupported', 'it is a WOFF2 font collection');
  const flavour = readWoffStart(reader, 'WOFF2');
  const numTables = reader.uint16();
  const totalCompressedSize = reader.skip(6).uint32();
  const metaLength = reader.skip(8).uint32();
  const privLength = reader.seek(headerSize - 4).uint32();
  const entries = readDirectory(reader, numTables);
  if (totalCompressedSize > reader.remaining) {
    const reason = `the header says ${totalCompressedSize} compressed bytes, but ${reader.remaining} follow`;
    throw new DenseGlyphError('size-false', reason);
  }
  const stream = decompress(reader.take(totalCompressedSize), entries);

  return {
    font: fontOf(flavour, rebuildTables(stream, entries)),
    format: 'woff2',
    dropped: droppedBlocks(metaLength, privLength),
  };
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

function rebuildTables(stream: Uint8Array, entries: readonly DirectoryEntry[]): Map<string, Uint8Array> {
  const stored = new Map<string, Uint8Array>();
  let offset = 0;
  for (const entry of entries) {
    stored.set(entry.tag, stream.subarray(offset, (offset += storedLength(entry))));
  }
  const transformed = new Map(entries.map((entry) => [entry.tag, entry.transformLength !== undefined]));
  if (transformed.get('glyf') !== transformed.get('loca')) {
    throw new DenseGlyphError('directory-wrong', 'glyf and loca are not transformed together');
  }
  const rebuilt = transformed.get('glyf') ? rebuildGlyf(stored.get('glyf')!) : undefined;
  const tables = new Map<string, Uint8Array>();
  for (const { tag, transformLength, transformVersion, origLength } of entries) {
    const bytes = stored.get(tag)!;
    tables.set(
      tag,
      transformLength === undefined ? bytes : rebuild(tag, bytes, transformVersion, stored, rebuilt),
    );
    if (tag === 'loca' && tables.get(tag)!.length !== origLength) {
      throw new DenseGlyphError('size-false', `the directory says ${origLength} bytes for loca`, {
        table: tag,
      });
    }
  }
  return tables;
}

function rebuild(
  tag: string,
  bytes: Uint8Array,
  transformVersion: number,
  stored: ReadonlyMap<string, Uint8Array>,
  rebuilt: RebuiltGlyf | undefined,
): Uint8Array {
  if (rebuilt && transformVersion === 0) {
    if (tag === 'glyf') return rebuilt.glyf;
    if (tag === 'loca' && bytes.length === 0) return rebuilt.loca;
  }
  const metrics = stored.get(hhea.tag);
  if (tag === 'hmtx' && transformVersion === 1 && rebuilt && metrics) {
    const { numberOfHMetrics } = hhea.parse(new Reader(metrics, hhea.tag));
    return rebuildHmtx(bytes, numberOfHMetrics, rebuilt.xMin);
  }
  throw new DenseGlyphError(
    'directory-wrong',
    `the transform ${transformVersion} of this table is not known`,
    {
      table: tag,
    },
  );
}
