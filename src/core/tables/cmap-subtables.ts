// OpenType: cmap, Formats 0, 4, 6, 12, 13 and 14

import type { Reader } from '../bytes/reader.js';
import { Writer } from '../bytes/writer.js';
import * as variationSequences from './cmap-variation-sequences.js';

/** Format 4: segments of the Basic Multilingual Plane. */
export interface SegmentSubtable {
  format: 4;
  language: number;
  endCode: Uint16Array;
  startCode: Uint16Array;
  idDelta: Int16Array;
  /** Bytes from the entry itself into `glyphIdArray`, which follows the entries; 0 for none. */
  idRangeOffset: Uint16Array;
  glyphIdArray: Uint16Array;
}

/** Format 12 counts glyphs up through a group; format 13 gives the whole group one glyph. */
export interface GroupSubtable {
  format: 12 | 13;
  language: number;
  /** Three numbers a group: startCharCode, endCharCode, startGlyphID (or glyphID). */
  groups: Uint32Array;
}

export type CmapSubtable =
  | { format: 0; language: number; glyphIdArray: Uint8Array }
  | SegmentSubtable
  | { format: 6; language: number; firstCode: number; glyphIdArray: Uint16Array }
  | GroupSubtable
  | { format: 14; varSelectors: variationSequences.VariationSelector[] }
  /** A format that isn't read, kept as it is. */
  | { format: 'kept'; bytes: Uint8Array };

export function parseSubtable(reader: Reader): CmapSubtable {
  const format = reader.uint16();
  switch (format) {
    case 0:
      return { format, language: reader.skip(2).uint16(), glyphIdArray: reader.take(256) };
    case 4:
      return parseSegments(reader);
    case 6: {
      const language = reader.skip(2).uint16();
      const firstCode = reader.uint16();
      return { format, language, firstCode, glyphIdArray: reader.uint16Array(reader.uint16()) };
    }
    case 12:
    case 13: {
      const language = reader.skip(6).uint32();
      const count = reader.uint32() * 3;
      if (count * 4 > reader.remaining) throw reader.damaged(`format ${format} counts ${count / 3} groups`);
      return { format, language, groups: reader.uint32Array(count) };
    }
    case 14:
      return { format, varSelectors: variationSequences.parse(reader) };
    default: {
      const length = format < 8 ? reader.uint16() : reader.skip(2).uint32();
      return { format: 'kept', bytes: reader.seek(0).take(length) };
    }
  }
}

function parseSegments(reader: Reader): SegmentSubtable {
  const length = reader.uint16();
  const language = reader.uint16();
  const segCount = reader.uint16() >>> 1;
  reader.skip(6); // searchRange, entrySelector and rangeShift follow from segCount
  const endCode = reader.uint16Array(segCount);
  const startCode = reader.skip(2).uint16Array(segCount);
  const idDelta = reader.int16Array(segCount);
  const idRangeOffset = reader.uint16Array(segCount);
  // Large fonts overflow the 16-bit length, so a length that stops short of the segments isn't believed.
  const end = length >= reader.position ? Math.min(length, reader.length) : reader.length;
  const glyphIdArray = reader.uint16Array((end - reader.position) >>> 1);
  return { format: 4, language, endCode, startCode, idDelta, idRangeOffset, glyphIdArray };
}

export function serialiseSubtable(subtable: CmapSubtable): Uint8Array {
  const writer = new Writer(512);
  switch (subtable.format) {
    case 0:
      return writer.uint16(0).uint16(262).uint16(subtable.language).write(subtable.glyphIdArray).bytes();
    case 4:
      return serialiseSegments(subtable, writer);
    case 6: {
      const { language, firstCode, glyphIdArray } = subtable;
      writer
        .uint16(6)
        .uint16(10 + glyphIdArray.length * 2)
        .uint16(language);
      return writer.uint16(firstCode).uint16(glyphIdArray.length).uint16Array(glyphIdArray).bytes();
    }
    case 12:
    case 13: {
      const { format, language, groups } = subtable;
      writer
        .uint16(format)
        .uint16(0)
        .uint32(16 + groups.length * 4)
        .uint32(language)
        .uint32(groups.length / 3);
      for (const value of groups) writer.uint32(value);
      return writer.bytes();
    }
    case 14:
      return variationSequences.serialise(subtable.varSelectors);
    case 'kept':
      return subtable.bytes;
  }
}

function serialiseSegments(subtable: SegmentSubtable, writer: Writer): Uint8Array {
  const { language, endCode, startCode, idDelta, idRangeOffset, glyphIdArray } = subtable;
  const segCount = endCode.length;
  const entrySelector = Math.floor(Math.log2(Math.max(segCount, 1)));
  const searchRange = 2 * 2 ** entrySelector;
  const length = 16 + segCount * 8 + glyphIdArray.length * 2;
  writer
    .uint16(4)
    .uint16(Math.min(length, 0xffff))
    .uint16(language)
    .uint16(segCount * 2);
  writer
    .uint16(searchRange)
    .uint16(entrySelector)
    .uint16(Math.max(segCount * 2 - searchRange, 0));
  writer.uint16Array(endCode).uint16(0).uint16Array(startCode);
  return writer.int16Array(idDelta).uint16Array(idRangeOffset).uint16Array(glyphIdArray).bytes();
}

/** The glyph of a character in one subtable, 0 if it has none. */
export function glyphIdIn(subtable: CmapSubtable, codePoint: number): number {
  switch (subtable.format) {
    case 0:
      return subtable.glyphIdArray[codePoint] ?? 0;
    case 6:
      return subtable.glyphIdArray[codePoint - subtable.firstCode] ?? 0;
    case 4: {
      if (codePoint > 0xffff) return 0;
      const segment = firstNotBelow(subtable.endCode, 1, 0, codePoint);
      return segment < subtable.endCode.length ? glyphIdInSegment(subtable, segment, codePoint) : 0;
    }
    case 12:
    case 13: {
      const { groups, format } = subtable;
      const at = firstNotBelow(groups, 3, 1, codePoint) * 3;
      if (at >= groups.length || groups[at] > codePoint) return 0;
      return format === 12 ? groups[at + 2] + codePoint - groups[at] : groups[at + 2];
    }
    default:
      return 0;
  }
}

function glyphIdInSegment(subtable: SegmentSubtable, segment: number, codePoint: number): number {
  const { startCode, idDelta, idRangeOffset, glyphIdArray } = subtable;
  if (startCode[segment] > codePoint) return 0;
  if (idRangeOffset[segment] === 0) return (codePoint + idDelta[segment]) & 0xffff;
  const entry = idRangeOffset[segment] / 2 + codePoint - startCode[segment];
  const glyphId = glyphIdArray[entry - (startCode.length - segment)] ?? 0;
  return glyphId === 0 ? 0 : (glyphId + idDelta[segment]) & 0xffff;
}

/** The first record whose field isn't below the value, in records sorted by that field. */
function firstNotBelow(fields: ArrayLike<number>, stride: number, field: number, value: number): number {
  let low = 0;
  let high = fields.length / stride;
  while (low < high) {
    const middle = (low + high) >>> 1;
    if (fields[middle * stride + field] < value) low = middle + 1;
    else high = middle;
  }
  return low;
}

/** The highest code point of Unicode; a group that goes past it is cut there. */
const lastCodePoint = 0x10ffff;

/** All characters of one subtable that have a glyph other than 0. */
export function* mappingsIn(subtable: CmapSubtable): Generator<[codePoint: number, glyphId: number]> {
  for (const [first, last] of rangesIn(subtable)) {
    for (let codePoint = first; codePoint <= last; codePoint++) {
      const glyphId = glyphIdIn(subtable, codePoint);
      if (glyphId !== 0) yield [codePoint, glyphId];
    }
  }
}

/** As `mappingsIn`, but without the glyphs, and whole runs of characters at once. @param visit gets both ends */
export function eachMappedRange(subtable: CmapSubtable, visit: (first: number, last: number) => void): void {
  if (subtable.format === 12) {
    const { groups } = subtable;
    let next = 0;
    for (let at = 0; at < groups.length; at += 3) {
      const first = Math.max(groups[at], next);
      const last = Math.min(groups[at + 1], lastCodePoint);
      // Only the first character of a group can have glyph 0.
      const from = groups[at + 2] + first - groups[at] === 0 ? first + 1 : first;
      if (from <= last) visit(from, last);
      next = Math.max(next, last + 1);
    }
    return;
  }
  let segment = 0;
  for (const [first, last] of rangesIn(subtable)) {
    if (subtable.format === 4) while (subtable.endCode[segment] < first) segment++;
    let start = -1;
    for (let codePoint = first; codePoint <= last; codePoint++) {
      const glyphId =
        subtable.format === 4
          ? glyphIdInSegment(subtable, segment, codePoint)
          : glyphIdIn(subtable, codePoint);
      if (glyphId !== 0 && start < 0) start = codePoint;
      if (glyphId === 0 && start >= 0) {
        visit(start, codePoint - 1);
        start = -1;
      }
    }
    if (start >= 0) visit(start, last);
  }
}

function* rangesIn(subtable: CmapSubtable): Generator<[first: number, last: number]> {
  if (subtable.format === 0) yield [0, 255];
  else if (subtable.format === 6)
    yield [subtable.firstCode, subtable.firstCode + subtable.glyphIdArray.length - 1];
  else if (subtable.format === 4) {
    const { startCode, endCode } = subtable;
    let next = 0; // segments of a damaged font overlap; each character is given once
    for (let i = 0; i < endCode.length; i++) {
      if (Math.max(startCode[i], next) <= endCode[i]) yield [Math.max(startCode[i], next), endCode[i]];
      next = Math.max(next, endCode[i] + 1);
    }
  } else if (subtable.format === 12 || subtable.format === 13) {
    let next = 0;
    for (let at = 0; at < subtable.groups.length; at += 3) {
      const last = Math.min(subtable.groups[at + 1], lastCodePoint);
      yield [Math.max(subtable.groups[at], next), last];
      next = Math.max(next, last + 1);
    }
  }
}
