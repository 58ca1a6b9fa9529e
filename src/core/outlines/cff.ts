// Adobe Technical Note 5176, Compact Font Format; OpenType: CFF and CFF2

import { Reader } from '../bytes/reader.js';
import type { DenseGlyphError } from '../../errors.js';
import type { Font } from '../sfnt/font.js';
import { cffStandardStrings, standardEncodingSid } from '../../data/cff-standard-strings.js';
import { operator, readDict, readIndex, type CffDict, type CffIndex } from './cff-data.js';
import {
  runCharstring,
  type CharstringContext,
  type CharstringObserver,
  type CharstringResult,
} from './charstring.js';
import type { OutlineSink } from './outline.js';

/** The charstrings of a CFF or CFF2 table, and what they need to be drawn. */
export interface Cff {
  tag: 'CFF ' | 'CFF2';
  reader: Reader;
  charStrings: CffIndex;
  globalSubrs: CffIndex;
  /** How many font DICTs there are; plain fonts have one. */
  fontDictCount: number;
  /** The Private DICT of a font DICT, with its subroutines; read when it is asked for. */
  privateAt(fontDict: number): CffPrivate;
  /** The font DICT of a glyph. */
  fontDictOf(glyphId: number): number;
  /** Glyph names by string identifier, or CIDs where `isCid`, read when they are asked for; undefined in CFF2. */
  charset?: () => Uint16Array;
  strings?: CffIndex;
  /** Keyed by character identifiers instead of names. */
  isCid: boolean;
  /** CFF2: how many regions each variation data has. */
  regionCounts?: number[];
  /** CFF: DICTs as they are stored; plain fonts have no font DICTs beside the Top DICT. */
  stored?: { name: Uint8Array; topDict: Uint8Array; fontDicts?: CffIndex };
  /** Operators and numbers that are still run; drawing stops when it comes to zero. */
  budget: { operations: number };
}

export interface CffPrivate {
  dict: CffDict;
  /** The DICT as it is stored. */
  bytes: Uint8Array;
  subrs?: CffIndex;
}

/** Font DICTs of a CID-keyed font; those of the largest have some dozen. */
const maximumFontDicts = 1024;
/** Of all glyphs together; drawing a font of 65,000 Chinese characters takes a tenth of it. */
const maximumOperations = 1 << 27;

export const hasCff = (font: Font): boolean => font.has('CFF ') || font.has('CFF2');

/** @throws DenseGlyphError `table-damaged` */
export function readCff(font: Font): Cff {
  return font.has('CFF2') ? readCff2(font.bytesOf('CFF2')) : readCff1(font.bytesOf('CFF '));
}

function readCff1(bytes: Uint8Array): Cff {
  const reader = new Reader(bytes, 'CFF ');
  const majorVersion = reader.uint8();
  if (majorVersion !== 1) throw reader.damaged(`version ${majorVersion} is not known`, 0);
  const headerSize = reader.skip(1).uint8();
  const names = readIndex(reader, headerSize);
  const topDicts = readIndex(reader, names.end);
  const strings = readIndex(reader, topDicts.end);
  const globalSubrs = readIndex(reader, strings.end);
  const top = readDict(new Reader(topDicts.at(0), 'CFF '));
  const charStrings = readIndex(reader, offsetIn(top, operator.charStrings, reader));
  const isCid = top.has(operator.ros);
  let charset: Uint16Array | undefined;
  return {
    tag: 'CFF ',
    reader,
    charStrings,
    globalSubrs,
    strings,
    isCid,
    stored: {
      name: names.count > 0 ? names.at(0) : new Uint8Array(0),
      topDict: topDicts.at(0),
      ...(isCid ? { fontDicts: readIndex(reader, offsetIn(top, operator.fdArray, reader)) } : {}),
    },
    charset: () => (charset ??= readCharset(reader, top.get(operator.charset)?.[0] ?? 0, charStrings.count)),
    ...(isCid
      ? readFontDicts(reader, top, 2)
      : { fontDictCount: 1, privateAt: privatesOf(reader, () => top, 2) }),
    budget: { operations: maximumOperations },
    fontDictOf: isCid ? readFdSelect(reader, top, charStrings.count) : () => 0,
  };
}

function readCff2(bytes: Uint8Array): Cff {
  const reader = new Reader(bytes, 'CFF2');
  const majorVersion = reader.uint8();
  if (majorVersion !== 2) throw reader.damaged(`version ${majorVersion} is not known`, 0);
  const headerSize = reader.skip(1).uint8();
  const topDictLength = reader.uint16();
  const top = readDict(reader.part(headerSize, topDictLength));
  const globalSubrs = readIndex(reader, headerSize + topDictLength, 4);
  const charStrings = readIndex(reader, offsetIn(top, operator.charStrings, reader), 4);
  const vstore = top.get(operator.vstore)?.[0];
  return {
    tag: 'CFF2',
    reader,
    charStrings,
    globalSubrs,
    isCid: false,
    ...readFontDicts(reader, top, 4),
    budget: { operations: maximumOperations },
    fontDictOf: top.has(operator.fdSelect) ? readFdSelect(reader, top, charStrings.count) : () => 0,
    regionCounts: vstore === undefined ? [] : readRegionCounts(reader, vstore),
  };
}

function offsetIn(dict: CffDict, key: number, reader: Reader): number {
  const offset = dict.get(key)?.[0];
  if (offset === undefined || offset <= 0) throw reader.damaged('a DICT lacks an offset that it has to give');
  return offset;
}

function readFontDicts(
  reader: Reader,
  top: CffDict,
  countSize: 2 | 4,
): Pick<Cff, 'fontDictCount' | 'privateAt'> {
  const index = readIndex(reader, offsetIn(top, operator.fdArray, reader), countSize);
  if (index.count === 0 || index.count > maximumFontDicts) {
    throw reader.damaged(`the font counts ${index.count} font DICTs`);
  }
  const dictAt = (fontDict: number) => readDict(new Reader(index.at(fontDict), reader.table));
  return { fontDictCount: index.count, privateAt: privatesOf(reader, dictAt, countSize) };
}

/** Reads each Private DICT once. */
function privatesOf(
  reader: Reader,
  dictAt: (fontDict: number) => CffDict,
  countSize: 2 | 4,
): (fontDict: number) => CffPrivate {
  const known = new Map<number, CffPrivate>();
  return (fontDict) => {
    let found = known.get(fontDict);
    if (!found) known.set(fontDict, (found = readPrivate(reader, dictAt(fontDict), countSize)));
    return found;
  };
}

function readPrivate(reader: Reader, dict: CffDict, countSize: 2 | 4): CffPrivate {
  const [size, offset] = dict.get(operator.private) ?? [0, 0];
  if (!size) return { dict: new Map(), bytes: new Uint8Array(0) };
  const part = reader.part(offset, size);
  const found = readDict(part);
  const { bytes } = part;
  const subrs = found.get(operator.subrs)?.[0];
  return subrs
    ? { dict: found, bytes, subrs: readIndex(reader, offset + subrs, countSize) }
    : { dict: found, bytes };
}

/** Section 13. */
function readCharset(reader: Reader, offset: number, glyphCount: number): Uint16Array {
  const charset = new Uint16Array(glyphCount);
  if (offset <= 2) {
    // A predefined charset; only ISOAdobe, whose identifiers count up, is found in OpenType fonts.
    return charset.map((_, i) => i);
  }
  const format = reader.seek(offset).uint8();
  if (format > 2) throw reader.damaged(`format ${format} of charsets is not known`, offset);
  for (let glyphId = 1; glyphId < glyphCount;) {
    const first = reader.uint16();
    const left = format === 0 ? 0 : format === 1 ? reader.uint8() : reader.uint16();
    for (let i = 0; i <= left && glyphId < glyphCount; i++) charset[glyphId++] = first + i;
  }
  return charset;
}

/** Section 19. */
function readFdSelect(reader: Reader, top: CffDict, glyphCount: number): (glyphId: number) => number {
  const offset = offsetIn(top, operator.fdSelect, reader);
  const format = reader.seek(offset).uint8();
  if (format === 0) {
    const selectors = reader.take(glyphCount);
    return (glyphId) => selectors[glyphId];
  }
  if (format !== 3 && format !== 4) throw reader.damaged(`format ${format} of FDSelect is not known`, offset);
  const wide = format === 4;
  const count = wide ? reader.uint32() : reader.uint16();
  if (count > glyphCount) throw reader.damaged(`FDSelect counts ${count} ranges`, offset);
  const firsts: number[] = [];
  const selectors: number[] = [];
  for (let i = 0; i < count; i++) {
    firsts.push(wide ? reader.uint32() : reader.uint16());
    selectors.push(wide ? reader.uint16() : reader.uint8());
  }
  return (glyphId) => {
    let low = 0;
    let high = count - 1;
    while (low < high) {
      const middle = (low + high + 1) >> 1;
      if (firsts[middle] <= glyphId) low = middle;
      else high = middle - 1;
    }
    return selectors[low] ?? 0;
  };
}

/** OpenType: "Item Variation Store": the number of regions of each ItemVariationData. */
function readRegionCounts(reader: Reader, offset: number): number[] {
  const store = offset + 2; // the length stands before the store
  const count = reader.seek(store + 6).uint16();
  const offsets = Array.from({ length: count }, () => reader.uint32());
  return offsets.map((at) => reader.seek(store + at + 4).uint16());
}

/**
 * Draws a glyph; a variable font's default instance.
 *
 * @throws DenseGlyphError `table-damaged`
 */
export function drawCff(
  cff: Cff,
  glyphId: number,
  sink: OutlineSink,
  observer?: CharstringObserver,
): CharstringResult {
  const charstring = cff.charStrings.at(glyphId);
  const context = contextOf(cff, glyphId);
  return runCharstring(charstring, observer ? { ...context, observer } : context, sink);
}

function contextOf(cff: Cff, glyphId: number): CharstringContext {
  const { dict, subrs } = privateOf(cff, glyphId);
  const context: CharstringContext = {
    table: cff.tag,
    tableStart: cff.reader.bytes.byteOffset,
    globalSubrs: cff.globalSubrs,
    localSubrs: subrs,
    budget: cff.budget,
    vsindex: dict.get(operator.vsindex)?.[0] ?? 0,
  };
  const { regionCounts, charset } = cff;
  if (regionCounts) {
    context.regionCountOf = (vsindex) => {
      const count = regionCounts[vsindex];
      if (count === undefined) throw damaged(cff, `there is no variation data ${vsindex}`);
      return count;
    };
  } else if (charset && !cff.isCid) {
    context.drawStandard = (code, sink) => {
      const sid = standardEncodingSid(code);
      const part = charset().indexOf(sid);
      if (sid === 0 || part < 0)
        throw damaged(cff, `an accented letter needs a missing glyph (code ${code})`);
      // A part may not be put together itself, which ends the recursion.
      const { drawStandard: _, ...plain } = contextOf(cff, part);
      runCharstring(cff.charStrings.at(part), plain, sink);
    };
  }
  return context;
}

function privateOf(cff: Cff, glyphId: number): CffPrivate {
  const fontDict = cff.fontDictOf(glyphId);
  if (fontDict >= cff.fontDictCount) throw damaged(cff, `glyph ${glyphId} names a font DICT that is missing`);
  return cff.privateAt(fontDict);
}

function damaged(cff: Cff, reason: string): DenseGlyphError {
  return cff.reader.damaged(reason, 0);
}

/** The PostScript name of a glyph, or undefined for CID-keyed fonts and CFF2. */
export function cffGlyphName({ charset, strings, isCid }: Cff, glyphId: number): string | undefined {
  const sid = isCid ? undefined : charset?.()[glyphId];
  if (sid === undefined) return undefined;
  if (sid < cffStandardStrings.length) return cffStandardStrings[sid];
  const index = sid - cffStandardStrings.length;
  if (!strings || index >= strings.count) return undefined;
  return String.fromCharCode(...strings.at(index).subarray(0, 127));
}
