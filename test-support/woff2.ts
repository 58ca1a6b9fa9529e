import { brotliDecompressSync } from 'node:zlib';
import { Reader } from '#src/core/bytes/reader.js';
import { readDirectory } from '#src/core/containers/woff2/directory.js';

/** What a WOFF2 file holds: compressed bytes, and what they stand for. */
export function streamOf(file: Uint8Array): { compressed: Uint8Array; stream: Uint8Array } {
  const reader = new Reader(file, 'WOFF2');
  const numTables = reader.seek(12).uint16();
  const size = reader.seek(20).uint32();
  readDirectory(reader.seek(48), numTables);
  const compressed = reader.take(size);
  return { compressed, stream: brotliDecompressSync(compressed) };
}
