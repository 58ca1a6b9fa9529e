// Adobe Technical Note 5176: CFF of the glyphs that stay

import { brotliCompressSync, constants } from 'node:zlib';
import { Reader } from '../bytes/reader.js';
import { GlyphMap } from '../layout/common/glyph-map.js';
import { operator, readRawDict } from '../outlines/cff-data.js';
import { readCff, type Cff } from '../outlines/cff.js';
import type { Font } from '../sfnt/font.js';
import { cffBytes, type WrittenPrivate } from '../outlines/write-cff.js';
import { calledSubroutines, flatCharstrings, type CalledSubroutines } from './charstrings.js';

/** Operators of a Private DICT that only guide hints. */
const hintOperators: ReadonlySet<number> = new Set([
  6, 7, 8, 9, 10, 11, 1209, 1210, 1211, 1212, 1213, 1214, 1217, 1218, 1219,
]);
/**
 * The table without glyph names, with unused subroutines gone or with all of them put in their place, whichever is
 * smaller once it is compressed.
 */
export function keptCff(font: Font, map: GlyphMap, hinted: boolean): Uint8Array {
  const cff = readCff(font);
  const flat = flatCharstrings(cff, map, hinted);
  const called = calledSubroutines(cff, map);
  const forms = [writeCff(cff, map.oldIds, { charstrings: flat, global: [], local: new Map() }, hinted)];
  if (called && (called.global.length > 0 || called.local.size > 0 || hinted))
    forms.push(writeCff(cff, map.oldIds, called, true));
  return smallest(forms);
}

/** The table with a glyph more at its end, whose charstring is given; all others keep their hints. */
export function cffWithOneMore(font: Font, charstring: Uint8Array): Uint8Array {
  const cff = readCff(font);
  const { count } = cff.charStrings;
  const map = new GlyphMap(
    Array.from({ length: count }, (_, i) => i),
    count,
  );
  const charstrings = [...flatCharstrings(cff, map, true), charstring];
  return writeCff(cff, [...map.oldIds, 0], { charstrings, global: [], local: new Map() }, true);
}

function smallest(forms: readonly Uint8Array[]): Uint8Array {
  if (forms.length === 1) return forms[0];
  const sizes = forms.map((form) => compressedSize(form));
  return forms[sizes.indexOf(Math.min(...sizes))];
}

/** Near enough to what the WOFF2 will take, at a tenth of its time. */
function compressedSize(bytes: Uint8Array): number {
  return brotliCompressSync(bytes, {
    params: { [constants.BROTLI_PARAM_QUALITY]: 9, [constants.BROTLI_PARAM_SIZE_HINT]: bytes.length },
  }).length;
}

/** @param oldIds whose Private DICT each charstring has */
function writeCff(
  cff: Cff,
  oldIds: readonly number[],
  { charstrings, global, local }: CalledSubroutines,
  hinted: boolean,
): Uint8Array {
  const { name, topDict, fontDicts } = cff.stored!;
  const usedDicts = [...new Set(oldIds.map((oldId) => cff.fontDictOf(oldId)))].sort((a, b) => a - b);
  const privates = usedDicts.map((fontDict): WrittenPrivate => {
    const entries = [...readRawDict(new Reader(cff.privateAt(fontDict).bytes, cff.tag))];
    const dict = entries.filter(([key]) => key !== operator.subrs && (hinted || !hintOperators.has(key)));
    return { fontDict: fontDicts?.at(fontDict), dict, subrs: local.get(fontDict) ?? [] };
  });
  return cffBytes({
    name,
    topDict,
    isCid: fontDicts !== undefined,
    privates,
    privateOf: oldIds.map((oldId) => usedDicts.indexOf(cff.fontDictOf(oldId))),
    charstrings,
    global,
  });
}
