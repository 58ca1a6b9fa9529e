// OpenType: kern, Kerning: what pairs are moved by

import { Reader } from '../bytes/reader.js';
import { DenseGlyphError } from '../../errors.js';
import type { Font } from '../sfnt/font.js';

/** How much nearer or farther two glyphs are set, in font units. */
export type KernPairs = (left: number, right: number) => number;

const [horizontal, crossStream, overriding] = [0x0001, 0x0004, 0x0008];

/** The pairs of all horizontal subtables of version 0, format 0; undefined where there are none. */
export function horizontalKerning(font: Font): KernPairs | undefined {
  if (!font.has('kern')) return undefined;
  const pairs = new Map<number, number>();
  const reader = new Reader(font.bytesOf('kern'), 'kern');
  try {
    if (reader.uint16() !== 0) return undefined;
    const count = reader.uint16();
    for (let i = 0, start = 4; i < count; i++) {
      const length = reader.seek(start + 2).uint16();
      const coverage = reader.uint16();
      if (coverage >>> 8 === 0 && coverage & horizontal && !(coverage & crossStream))
        readPairs(reader, pairs, (coverage & overriding) !== 0);
      if (length === 0) break;
      start += length;
    }
  } catch (cause) {
    if (!(cause instanceof DenseGlyphError)) throw cause;
  }
  return pairs.size === 0 ? undefined : (left, right) => pairs.get(left * 0x10000 + right) ?? 0;
}

function readPairs(reader: Reader, pairs: Map<number, number>, overrides: boolean): void {
  const count = reader.uint16();
  reader.skip(6);
  for (let i = 0; i < count; i++) {
    const key = reader.uint16() * 0x10000 + reader.uint16();
    const value = reader.int16();
    pairs.set(key, overrides ? value : (pairs.get(key) ?? 0) + value);
  }
}
