// OpenType: OS/2, OS/2 and Windows Metrics Table

import type { Reader } from '../bytes/reader.js';
import { Writer } from '../bytes/writer.js';

export const tag = 'OS/2';

/** All measures are in font units. Fields that a version lacks are undefined. */
export interface Os2 {
  version: number;
  xAvgCharWidth: number;
  usWeightClass: number;
  usWidthClass: number;
  fsType: number;
  ySubscriptXSize: number;
  ySubscriptYSize: number;
  ySubscriptXOffset: number;
  ySubscriptYOffset: number;
  ySuperscriptXSize: number;
  ySuperscriptYSize: number;
  ySuperscriptXOffset: number;
  ySuperscriptYOffset: number;
  yStrikeoutSize: number;
  yStrikeoutPosition: number;
  sFamilyClass: number;
  /** Ten bytes. */
  panose: Uint8Array;
  ulUnicodeRange1: number;
  ulUnicodeRange2: number;
  ulUnicodeRange3: number;
  ulUnicodeRange4: number;
  achVendID: string;
  fsSelection: number;
  usFirstCharIndex: number;
  usLastCharIndex: number;
  /** From here on missing in some version 0 tables of old Apple fonts. */
  sTypoAscender?: number;
  sTypoDescender?: number;
  sTypoLineGap?: number;
  usWinAscent?: number;
  usWinDescent?: number;
  /** Version 1 and later. */
  ulCodePageRange1?: number;
  ulCodePageRange2?: number;
  /** Version 2 and later. */
  sxHeight?: number;
  sCapHeight?: number;
  usDefaultChar?: number;
  usBreakChar?: number;
  usMaxContext?: number;
  /** Version 5 and later, in twentieths of a point. */
  usLowerOpticalPointSize?: number;
  usUpperOpticalPointSize?: number;
}

/** Bits of `fsSelection`. */
export const fsSelection = {
  italic: 1 << 0,
  bold: 1 << 5,
  regular: 1 << 6,
  useTypoMetrics: 1 << 7,
  wws: 1 << 8,
  oblique: 1 << 9,
} as const;

type Kind = 'uint16' | 'int16' | 'uint32' | 'tag' | 'panose';
type Field = readonly [keyof Os2, Kind];

const always: readonly Field[] = [
  ['version', 'uint16'],
  ['xAvgCharWidth', 'int16'],
  ['usWeightClass', 'uint16'],
  ['usWidthClass', 'uint16'],
  ['fsType', 'uint16'],
  ['ySubscriptXSize', 'int16'],
  ['ySubscriptYSize', 'int16'],
  ['ySubscriptXOffset', 'int16'],
  ['ySubscriptYOffset', 'int16'],
  ['ySuperscriptXSize', 'int16'],
  ['ySuperscriptYSize', 'int16'],
  ['ySuperscriptXOffset', 'int16'],
  ['ySuperscriptYOffset', 'int16'],
  ['yStrikeoutSize', 'int16'],
  ['yStrikeoutPosition', 'int16'],
  ['sFamilyClass', 'int16'],
  ['panose', 'panose'],
  ['ulUnicodeRange1', 'uint32'],
  ['ulUnicodeRange2', 'uint32'],
  ['ulUnicodeRange3', 'uint32'],
  ['ulUnicodeRange4', 'uint32'],
  ['achVendID', 'tag'],
  ['fsSelection', 'uint16'],
  ['usFirstCharIndex', 'uint16'],
  ['usLastCharIndex', 'uint16'],
];
const vertical: readonly Field[] = [
  ['sTypoAscender', 'int16'],
  ['sTypoDescender', 'int16'],
  ['sTypoLineGap', 'int16'],
  ['usWinAscent', 'uint16'],
  ['usWinDescent', 'uint16'],
];
const since1: readonly Field[] = [
  ['ulCodePageRange1', 'uint32'],
  ['ulCodePageRange2', 'uint32'],
];
const since2: readonly Field[] = [
  ['sxHeight', 'int16'],
  ['sCapHeight', 'int16'],
  ['usDefaultChar', 'uint16'],
  ['usBreakChar', 'uint16'],
  ['usMaxContext', 'uint16'],
];
const since5: readonly Field[] = [
  ['usLowerOpticalPointSize', 'uint16'],
  ['usUpperOpticalPointSize', 'uint16'],
];

export function parse(reader: Reader): Os2 {
  const table: Record<string, unknown> = {};
  const read = (fields: readonly Field[]) => {
    for (const [name, kind] of fields) table[name] = kind === 'panose' ? reader.take(10) : reader[kind]();
  };
  read(always);
  const version = table.version as number;
  if (version > 0 || reader.remaining >= 10) read(vertical);
  if (version >= 1) read(since1);
  if (version >= 2) read(since2);
  if (version >= 5) read(since5);
  return table as unknown as Os2;
}

export function serialise(table: Os2): Uint8Array {
  const writer = new Writer(100);
  for (const [name, kind] of [...always, ...vertical, ...since1, ...since2, ...since5]) {
    const value = table[name];
    if (value === undefined) continue;
    if (kind === 'panose') writer.write(value as Uint8Array);
    else if (kind === 'tag') writer.tag(value as string);
    else writer[kind](value as number);
  }
  return writer.bytes();
}
