// WOFF File Format 2.0, sections 4 and 5.1

import type { Reader } from '../../bytes/reader.js';
import type { Writer } from '../../bytes/writer.js';
import { DenseGlyphError } from '../../errors.js';
import { maximumTables } from '../../sfnt/read.js';
import { readUIntBase128, writeUIntBase128 } from './numbers.js';

export const signature = 0x774f4632; // 'wOF2'
export const headerSize = 48;

/** Section 4.1: tags that a flag byte can stand for, by index. */
export const knownTags: readonly string[] = (
  'cmap head hhea hmtx maxp name OS/2 post cvt_ fpgm glyf loca prep CFF_ VORG EBDT EBLC gasp hdmx kern LTSH PCLT ' +
  'VDMX vhea vmtx BASE GDEF GPOS GSUB EBSC JSTF MATH CBDT CBLC COLR CPAL SVG_ sbix acnt avar bdat bloc bsln cvar ' +
  'fdsc feat fmtx fvar gvar hsty just lcar mort morx opbd prop trak Zapf Silf Glat Gloc Feat Sill'
)
  .split(' ')
  .map((tag) => tag.replace('_', ' '));
const arbitraryTag = 63;

export interface DirectoryEntry {
  tag: string;
  /** Bits 6 and 7 of the flag byte. */
  transformVersion: number;
  /** Bytes of the table as it was. */
  origLength: number;
  /** Bytes of the table in the compressed stream; undefined where it isn't transformed. */
  transformLength?: number;
}

/** Whether a transform version changes the table: for glyf and loca 3 stands for "as it is", elsewhere 0. */
export function isTransformed(tag: string, transformVersion: number): boolean {
  return tag === 'glyf' || tag === 'loca' ? transformVersion !== 3 : transformVersion !== 0;
}

export function readDirectory(reader: Reader, numTables: number): DirectoryEntry[] {
  if (numTables === 0 || numTables > maximumTables) {
    throw new DenseGlyphError('directory-wrong', `the WOFF2 directory counts ${numTables} tables`);
  }
  const entries: DirectoryEntry[] = [];
  const seen = new Set<string>();
  for (let i = 0; i < numTables; i++) {
    const flags = reader.uint8();
    const tag = (flags & 0x3f) === arbitraryTag ? reader.tag() : knownTags[flags & 0x3f];
    const transformVersion = flags >>> 6;
    const entry: DirectoryEntry = { tag, transformVersion, origLength: readUIntBase128(reader) };
    if (isTransformed(tag, transformVersion)) entry.transformLength = readUIntBase128(reader);
    if (seen.has(tag))
      throw new DenseGlyphError('directory-wrong', `the WOFF2 directory lists ${tag.trim()} twice`);
    seen.add(tag);
    entries.push(entry);
  }
  return entries;
}

export function writeDirectory(writer: Writer, entries: readonly DirectoryEntry[]): void {
  for (const { tag, transformVersion, origLength, transformLength } of entries) {
    const known = knownTags.indexOf(tag);
    writer.uint8((known >= 0 ? known : arbitraryTag) | (transformVersion << 6));
    if (known < 0) writer.tag(tag);
    writeUIntBase128(writer, origLength);
    if (transformLength !== undefined) writeUIntBase128(writer, transformLength);
  }
}
