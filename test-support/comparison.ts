import type { Font } from '#src/core/sfnt/font.js';
import { glyf } from '#src/core/tables/index.js';

/** Tables that two fonts don't share byte by byte. */
export function differing(a: Font, b: Font): string[] {
  const tags = new Set([...a.tags, ...b.tags]);
  return [...tags]
    .filter((tag) => !a.has(tag) || !b.has(tag) || Buffer.compare(a.bytesOf(tag), b.bytesOf(tag)) !== 0)
    .sort();
}

/** All glyphs, parsed. */
export const glyphsOf = (font: Font) => {
  const table = font.table(glyf);
  return Array.from({ length: table.offsets.length - 1 }, (_, i) => glyf.glyphOf(table, i));
};
