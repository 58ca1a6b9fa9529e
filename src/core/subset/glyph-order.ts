import type { Font } from '../sfnt/font.js';
import { hmtx } from '../tables/index.js';
import type { Mapping } from './glyphs.js';

/**
 * How the glyphs that stay are numbered: as in the font, by advance, or by character. Which one compresses best depends
 * on the font; as in the font is best on the whole.
 */
export const glyphOrders = ['font', 'advance', 'character'] as const;
export type GlyphOrder = (typeof glyphOrders)[number];

/** @param oldIds ascending, with glyph 0, which stays first */
export function inOrder(
  oldIds: readonly number[],
  order: GlyphOrder,
  font: Font,
  mappings: readonly Mapping[],
): readonly number[] {
  if (order === 'font') return oldIds;
  if (order === 'character') return [...new Set([0, ...mappings.map(([, glyphId]) => glyphId), ...oldIds])];
  const metrics = font.table(hmtx);
  const advances = new Map(oldIds.map((oldId) => [oldId, hmtx.advanceOf(metrics, oldId)]));
  const [notdef, ...others] = oldIds;
  return [notdef, ...others.sort((a, b) => advances.get(a)! - advances.get(b)! || a - b)];
}
