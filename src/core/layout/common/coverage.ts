// OpenType Layout Common Table Formats: Coverage Table

import { Block, type BlockStore } from '../../bytes/blocks.js';
import type { Reader } from '../../bytes/reader.js';

/** Glyphs in the order of their coverage indexes. Real fonts aren't always sorted; then the order is theirs. */
export type Coverage = readonly number[];

/** Coverages that were read, by reader and offset; lookups share them. */
const known = new WeakMap<Reader, Map<number, Coverage>>();

export function readCoverage(reader: Reader, offset: number): Coverage {
  let coverages = known.get(reader);
  if (!coverages) known.set(reader, (coverages = new Map<number, Coverage>()));
  let coverage = coverages.get(offset);
  if (!coverage) coverages.set(offset, (coverage = parseCoverage(reader, offset)));
  return coverage;
}

function parseCoverage(reader: Reader, offset: number): Coverage {
  const format = reader.seek(offset).uint16();
  if (format === 1) return Array.from(reader.uint16Array(reader.uint16()));
  if (format !== 2) throw reader.damaged(`format ${format} of coverage tables is not known`, offset);
  const ranges = reader.uint16Array(reader.uint16() * 3);
  const glyphs: number[] = [];
  for (let i = 0; i < ranges.length; i += 3) {
    reader.charge(Math.max(0, ranges[i + 1] - ranges[i]) * 2);
    for (let glyph = ranges[i]; glyph <= ranges[i + 1]; glyph++) glyphs.push(glyph);
  }
  return glyphs;
}

/** The shorter of both formats. @param glyphs sorted */
export function writeCoverage(glyphs: Coverage, store: BlockStore): Block {
  const ranges = rangesIn(glyphs);
  const block = new Block(4 + glyphs.length * 2);
  if (ranges.length * 3 >= glyphs.length) block.uint16(1).uint16(glyphs.length).uint16Array(glyphs);
  else {
    block.uint16(2).uint16(ranges.length);
    let index = 0;
    for (const [first, last] of ranges) {
      block.uint16(first).uint16(last).uint16(index);
      index += last - first + 1;
    }
  }
  return store.keep(block);
}

/** Runs of consecutive numbers. @param sorted ascending, each once */
export function rangesIn(sorted: readonly number[]): [first: number, last: number][] {
  const ranges: [number, number][] = [];
  for (let i = 0; i < sorted.length; i++) {
    const first = sorted[i];
    while (i + 1 < sorted.length && sorted[i + 1] === sorted[i] + 1) i++;
    ranges.push([first, sorted[i]]);
  }
  return ranges;
}

export const ascending = (a: number, b: number): number => a - b;
