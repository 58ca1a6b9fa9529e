import type { Coverage } from '../common/coverage.js';
import type { GlyphMap } from '../common/glyph-map.js';
import type { Work } from '../common/work.js';

/** What belongs to each glyph of a coverage; glyphs that nothing belongs to are left out. */
export function covered<Value>(
  coverage: Coverage,
  valueOf: (glyph: number, i: number) => Value | undefined,
): Map<number, Value> {
  const found = new Map<number, Value>();
  coverage.forEach((glyph, i) => {
    const value = valueOf(glyph, i);
    if (value !== undefined && !found.has(glyph)) found.set(glyph, value);
  });
  return found;
}

/** Replacements of which both glyphs stay. */
export function keptSingles(glyphs: ReadonlyMap<number, number>, map: GlyphMap): Map<number, number> {
  const kept = new Map<number, number>();
  for (const [from, to] of glyphs) {
    const [newFrom, newTo] = [map.newId(from), map.newId(to)];
    if (newFrom !== undefined && newTo !== undefined) kept.set(newFrom, newTo);
  }
  return kept;
}

/** Puts a glyph into the place of another. @returns where to go on from, or -1 where there is none */
export function put({ run }: Work, glyph: number | undefined, at: number): number {
  if (glyph === undefined) return -1;
  Object.assign(run[at], { glyph, ignorable: 'no' });
  return at + 1;
}
