// OpenType: post, PostScript Table

import type { Reader } from '../bytes/reader.js';
import { Writer } from '../bytes/writer.js';
import { macintoshGlyphNames } from '../../data/macintosh-glyph-names.js';

export const tag = 'post';

export interface Post {
  /** 16.16 as stored: 0x00010000, 0x00020000, 0x00025000, 0x00030000. */
  version: number;
  /** Degrees counter-clockwise from upright; negative for text that leans right. */
  italicAngle: number;
  /** Font units, as is the thickness. */
  underlinePosition: number;
  underlineThickness: number;
  isFixedPitch: number;
  minMemType42: number;
  maxMemType42: number;
  minMemType1: number;
  maxMemType1: number;
  /** Version 2: one a glyph; below 258 a standard name, from there on an index into `stringData`. */
  glyphNameIndex?: Uint16Array;
  /** Version 2: names as Latin-1 bytes. */
  stringData?: Uint8Array[];
  /** What follows in versions that aren't read (2.5 and 4), kept as it is. */
  rest?: Uint8Array;
}

const version2 = 0x00020000;

export function parse(reader: Reader): Post {
  const table = parseWithoutNames(reader);
  if (table.version !== version2) {
    return reader.remaining > 0 ? { ...table, rest: reader.take(reader.remaining) } : table;
  }
  const glyphNameIndex = reader.uint16Array(reader.uint16());
  const stringData: Uint8Array[] = [];
  while (reader.remaining > 0) {
    const length = reader.uint8();
    stringData.push(reader.take(Math.min(length, reader.remaining))); // real fonts cut the last name
  }
  return { ...table, glyphNameIndex, stringData };
}

/** What all versions begin with. */
export function parseWithoutNames(reader: Reader): Post {
  return {
    version: reader.uint32(),
    italicAngle: reader.fixed(),
    underlinePosition: reader.int16(),
    underlineThickness: reader.int16(),
    isFixedPitch: reader.uint32(),
    minMemType42: reader.uint32(),
    maxMemType42: reader.uint32(),
    minMemType1: reader.uint32(),
    maxMemType1: reader.uint32(),
  };
}

export function serialise(table: Post): Uint8Array {
  const writer = new Writer(64)
    .uint32(table.version)
    .fixed(table.italicAngle)
    .int16(table.underlinePosition)
    .int16(table.underlineThickness)
    .uint32(table.isFixedPitch)
    .uint32(table.minMemType42)
    .uint32(table.maxMemType42)
    .uint32(table.minMemType1)
    .uint32(table.maxMemType1);
  if (table.glyphNameIndex) writer.uint16(table.glyphNameIndex.length).uint16Array(table.glyphNameIndex);
  for (const name of table.stringData ?? []) writer.uint8(name.length).write(name);
  return writer.write(table.rest ?? new Uint8Array(0)).bytes();
}

/** The PostScript name of a glyph, or undefined if the table gives none. */
export function glyphNameOf(table: Post, glyphId: number): string | undefined {
  if (table.version === 0x00010000) return macintoshGlyphNames[glyphId];
  const index = table.glyphNameIndex?.[glyphId];
  if (index === undefined) return undefined;
  if (index < macintoshGlyphNames.length) return macintoshGlyphNames[index];
  const bytes = table.stringData?.[index - macintoshGlyphNames.length];
  return bytes && String.fromCharCode(...bytes);
}

/** The table in version 2, with a name for each glyph. */
export function withGlyphNames(table: Post, names: readonly string[]): Post {
  const stringData: Uint8Array[] = [];
  const standard = new Map(macintoshGlyphNames.map((name, index) => [name, index]));
  const glyphNameIndex = Uint16Array.from(names, (name) => {
    const known = standard.get(name);
    if (known !== undefined) return known;
    stringData.push(Uint8Array.from(name.slice(0, 63), (c) => c.charCodeAt(0)));
    return macintoshGlyphNames.length + stringData.length - 1;
  });
  return { ...table, version: version2, glyphNameIndex, stringData };
}
