// OpenType: kern, Kerning

import { Reader } from '../bytes/reader.js';
import { Writer } from '../bytes/writer.js';
import type { Font } from '../sfnt/font.js';
import type { GlyphMap } from './common/glyph-map.js';
import { readLayoutTable, type LayoutTable } from './layout-table.js';

const horizontalPairs = 0x0001;
const subtableHeader = 14;
const pairSize = 6;
/** More make a subtable that can't state its length. */
const maximumPairs = Math.floor((0xffff - subtableHeader) / pairSize);

/** Whether GPOS kerns in every script and language, so that the kern table is never asked. */
export function kernsEverywhere({ scripts, features }: LayoutTable): boolean {
  const systems = scripts.flatMap(({ defaultLanguageSystem, languageSystems }) => [
    ...(defaultLanguageSystem ? [defaultLanguageSystem] : []),
    ...languageSystems.map(({ system }) => system),
  ]);
  return (
    systems.length > 0 &&
    systems.every((system) => system.features.some((feature) => features[feature]?.tag === 'kern'))
  );
}

/**
 * How many pairs are in a subtable that is too long to state its length in 16 bits, where browsers kern with it at all.
 * Chromium and Firefox leave such a table out; WebKit kerns with it.
 */
export function overlongKernPairs(font: Font): number | undefined {
  if (!font.has('kern')) return undefined;
  const reader = new Reader(font.bytesOf('kern'), 'kern');
  const [version, count] = [reader.uint16(), reader.uint16()];
  if (version !== 0 || count === 0 || reader.length < 4 + subtableHeader) return undefined;
  const pairs = reader.seek(10).uint16();
  if (pairs <= maximumPairs) return undefined;
  const gpos = readLayoutTable(font, 'GPOS');
  return gpos && kernsEverywhere(gpos) ? undefined : pairs;
}

/**
 * OpenType: kern, version 0, format 0: pairs that are listed.
 *
 * @returns undefined where no pair stays
 */
export function keptKern(font: Font, map: GlyphMap): Uint8Array | undefined {
  const reader = new Reader(font.bytesOf('kern'), 'kern');
  if (reader.uint16() !== 0) return undefined;
  const count = reader.uint16();
  const writer = new Writer(256).uint16(0).uint16(0);
  let kept = 0;
  for (let i = 0, start = 4; i < count && start + 6 <= reader.length; i++) {
    const length = reader.seek(start + 2).uint16();
    const coverage = reader.uint16();
    // The length of a single large subtable overflows its 16 bits.
    const isFormat0 = coverage >>> 8 === 0;
    const pairs = isFormat0 && coverage & horizontalPairs ? readKernPairs(reader, map) : [];
    for (let from = 0; from < pairs.length; from += maximumPairs) {
      writeKernPairs(writer, pairs.slice(from, from + maximumPairs), coverage);
      kept++;
    }
    if (length === 0) break;
    start += length;
  }
  return kept === 0 ? undefined : writer.patchUint16(2, kept).bytes();
}

function readKernPairs(reader: Reader, map: GlyphMap): [left: number, right: number, value: number][] {
  const count = reader.uint16();
  reader.skip(6);
  const pairs: [number, number, number][] = [];
  for (let i = 0; i < count; i++) {
    const [left, right] = [map.newId(reader.uint16()), map.newId(reader.uint16())];
    const value = reader.int16();
    if (left !== undefined && right !== undefined) pairs.push([left, right, value]);
  }
  return pairs.sort((a, b) => a[0] - b[0] || a[1] - b[1]);
}

function writeKernPairs(writer: Writer, pairs: readonly [number, number, number][], coverage: number): void {
  const entrySelector = Math.floor(Math.log2(pairs.length));
  const searchRange = pairSize * 2 ** entrySelector;
  writer
    .uint16(0)
    .uint16(subtableHeader + pairs.length * pairSize)
    .uint16(coverage)
    .uint16(pairs.length);
  writer
    .uint16(searchRange & 0xffff)
    .uint16(entrySelector)
    .uint16((pairs.length * pairSize - searchRange) & 0xffff);
  for (const [left, right, value] of pairs) writer.uint16(left).uint16(right).int16(value);
}
