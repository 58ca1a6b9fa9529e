// Adobe Technical Note 5176: The Compact Font Format, written without glyph names

import { Reader } from '../bytes/reader.js';
import { Writer } from '../bytes/writer.js';
import { dictBytes, fiveByteOperand, indexBytes, operator, readRawDict } from './cff-data.js';

/** Operators of the Top DICT that name strings or number the font; the name table says it all. */
const topDictLeft: ReadonlySet<number> = new Set([0, 1, 2, 3, 4, 13, 14, 1200, 1220, 1221, 1222, 1223, 1238]);
/** Names that glyphs get where theirs go: string identifiers that exist in every font. */
const standardStrings = 391;

/** A font DICT with its Private DICT and local subroutines. */
export interface WrittenPrivate {
  /** As it is stored; plain fonts have none. */
  fontDict: Uint8Array | undefined;
  /** Without the offset of subroutines. */
  dict: [number, Uint8Array][];
  subrs: readonly Uint8Array[];
}

export interface WrittenCff {
  name: Uint8Array;
  /** As it is stored. */
  topDict: Uint8Array;
  /** Whether glyphs are keyed by identifiers, which fonts with many of them, or with several Private DICTs, are anyhow. */
  isCid: boolean;
  privates: readonly WrittenPrivate[];
  /** The place among these of each glyph's. */
  privateOf: readonly number[];
  charstrings: readonly Uint8Array[];
  /** Global subroutines. */
  global: readonly Uint8Array[];
}

/**
 * Offsets are written in five bytes, so that all sizes are known before: the header, the INDEXes, then what the Top DICT
 * points to.
 */
export function cffBytes(font: WrittenCff): Uint8Array {
  const { name, topDict, privates, privateOf, charstrings, global } = font;
  const glyphCount = charstrings.length;
  const isCid = font.isCid || privates.length > 1 || glyphCount > standardStrings;
  const before = new Writer(64).uint8(1).uint8(0).uint8(4).uint8(4);
  before.write(indexBytes([name]));
  const strings = isCid ? [latin1('Adobe'), latin1('Identity')] : [];
  const after = new Writer(64).write(indexBytes(strings)).write(indexBytes(global)).bytes();

  const topEntries = keptTopDict(topDict, isCid, glyphCount);
  const offsets = {
    charset: 0,
    charStrings: 0,
    fdSelect: 0,
    fdArray: 0,
    private: [0, 0] as [number, number],
  };
  const topBytes = () =>
    dictBytes([
      ...topEntries,
      [operator.charset, fiveByteOperand(offsets.charset)],
      [operator.charStrings, fiveByteOperand(offsets.charStrings)],
      ...(isCid
        ? ([
            [operator.fdArray, fiveByteOperand(offsets.fdArray)],
            [operator.fdSelect, fiveByteOperand(offsets.fdSelect)],
          ] as const)
        : ([[operator.private, pair(offsets.private)]] as const)),
    ]);
  const start = before.length + indexBytes([topBytes()]).length + after.length;
  const body = new Writer(charstrings.reduce((sum, { length }) => sum + length, 0) + 1024);
  offsets.charset = start;
  writeCharset(body, glyphCount);
  if (isCid) {
    offsets.fdSelect = start + body.length;
    writeFdSelect(body, privateOf);
  }
  offsets.charStrings = start + body.length;
  body.write(indexBytes(charstrings));
  const places = privates.map((kept) => writePrivate(body, kept, start));
  if (isCid) {
    offsets.fdArray = start + body.length;
    body.write(indexBytes(privates.map(({ fontDict }, i) => fontDictBytes(fontDict, places[i]))));
  } else offsets.private = places[0] ?? [0, 0];
  return before
    .write(indexBytes([topBytes()]))
    .write(after)
    .write(body.bytes())
    .bytes();
}

const latin1 = (text: string) => Uint8Array.from(text, (c) => c.charCodeAt(0));

function pair([size, offset]: readonly [number, number]): Uint8Array {
  return new Writer(10).write(fiveByteOperand(size)).write(fiveByteOperand(offset)).bytes();
}

/** Entries that stay as they are. A keyed font says so first. */
export function keptTopDict(topDict: Uint8Array, isCid: boolean, glyphCount: number): [number, Uint8Array][] {
  const pointing: ReadonlySet<number> = new Set([
    operator.charset,
    operator.encoding,
    operator.charStrings,
    operator.private,
    operator.fdArray,
    operator.fdSelect,
    operator.ros,
    operator.cidCount,
  ]);
  const entries = [...readRawDict(new Reader(topDict, 'CFF '))].filter(
    ([key]) => !pointing.has(key) && !topDictLeft.has(key),
  );
  if (!isCid) return entries;
  // The registry and the ordering are the first strings of the font; the supplement is 0.
  const ros = new Writer(16)
    .write(fiveByteOperand(standardStrings))
    .write(fiveByteOperand(standardStrings + 1));
  return [
    [operator.ros, ros.uint8(139).bytes()],
    ...entries,
    [operator.cidCount, fiveByteOperand(glyphCount)],
  ];
}

/** Format 2: one range. Names and identifiers count up with the glyphs; nothing outside depends on them. */
function writeCharset(writer: Writer, glyphCount: number): void {
  if (glyphCount < 2) return void writer.uint8(0);
  writer
    .uint8(2)
    .uint16(1)
    .uint16(glyphCount - 2);
}

/** Format 3: runs of glyphs of the same font DICT. */
function writeFdSelect(writer: Writer, fontDicts: readonly number[]): void {
  const starts = fontDicts.map((_, i) => i).filter((i) => i === 0 || fontDicts[i] !== fontDicts[i - 1]);
  writer.uint8(3).uint16(starts.length);
  for (const start of starts) writer.uint16(start).uint8(fontDicts[start]);
  writer.uint16(fontDicts.length);
}

/** @returns size and offset of the DICT */
function writePrivate(body: Writer, { dict, subrs }: WrittenPrivate, start: number): [number, number] {
  const offset = start + body.length;
  if (subrs.length === 0) {
    const bytes = dictBytes(dict);
    body.write(bytes);
    return [bytes.length, offset];
  }
  // Local subroutines follow; their offset counts from the DICT.
  const { length } = dictBytes([...dict, [operator.subrs, fiveByteOperand(0)]]);
  body.write(dictBytes([...dict, [operator.subrs, fiveByteOperand(length)]])).write(indexBytes(subrs));
  return [length, offset];
}

/** A font DICT with its Private DICT's place; of its other entries only the matrix matters. */
function fontDictBytes(stored: Uint8Array | undefined, place: readonly [number, number]): Uint8Array {
  const entries = stored ? [...readRawDict(new Reader(stored, 'CFF '))] : [];
  return dictBytes([
    ...entries.filter(([key]) => key === operator.fontMatrix),
    [operator.private, pair(place)],
  ]);
}
