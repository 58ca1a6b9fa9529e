// WOFF File Format 2.0, sections 4 and 5.1

import type { Reader } from '../../bytes/reader.js';
import type { Writer } from '../../bytes/writer.js';
import { DenseGlyphError } from '../../../errors.js';
import { maximumFonts } from '../../sfnt/collection.js';
import type { Flavour } from '../../sfnt/font.js';
import { flavourOf, maximumTables } from '../../sfnt/read.js';
import { read255UInt16, readUIntBase128, writeUIntBase128 } from './numbers.js';

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

/** @param tagsRepeat in a collection, where faces have tables of their own */
export function readDirectory(
  reader: Reader,
  numTables: number,
  { tagsRepeat } = { tagsRepeat: false },
): DirectoryEntry[] {
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
    if (!tagsRepeat && seen.has(tag))
      throw new DenseGlyphError('directory-wrong', `the WOFF2 directory lists ${tag.trim()} twice`);
    seen.add(tag);
    entries.push(entry);
  }
  return entries;
}

/** Section 4.2: the faces of a collection, each as indexes into the table directory. */
export function readCollectionDirectory(
  reader: Reader,
  numTables: number,
): { flavour: Flavour; tables: number[] }[] {
  const version = reader.uint32();
  if (version !== 0x00010000 && version !== 0x00020000) {
    throw reader.damaged(`version ${version} of font collections is not known`);
  }
  const numFonts = read255UInt16(reader);
  if (numFonts === 0 || numFonts > maximumFonts)
    throw reader.damaged(`the collection counts ${numFonts} fonts`);
  return Array.from({ length: numFonts }, (_, i) => {
    const count = read255UInt16(reader);
    if (count === 0 || count > maximumTables) throw reader.damaged(`font ${i} counts ${count} tables`);
    const flavour = flavourOf(reader.uint32());
    if (!flavour) throw reader.damaged(`font ${i} is neither TrueType nor OpenType`);
    const tables = Array.from({ length: count }, () => {
      const index = read255UInt16(reader);
      if (index >= numTables) throw reader.damaged(`font ${i} names table ${index} of ${numTables}`);
      return index;
    });
    return { flavour, tables };
  });
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
