import type { GlyphMap } from '../layout/common/glyph-map.js';
import type { LayoutTable } from '../layout/layout-table.js';
import type { Font } from '../sfnt/font.js';
import type { CodePointSet } from '../text/code-point-set.js';
import type { Mapping } from './glyphs.js';
import type { keptLayoutTables } from './layout.js';
import type { keptMetrics } from './metrics.js';
import type { keptGlyf } from './outlines.js';

/** What each table of a subset is written from. */
export interface SubsetWork {
  font: Font;
  /** The glyphs that stay, with their new numbers. */
  map: GlyphMap;
  /** Whether instructions stay. */
  hinted: boolean;
  mappings: readonly Mapping[];
  characters: CodePointSet;
  gsub: LayoutTable | undefined;
  gpos: LayoutTable | undefined;
  isWanted: (tag: string) => boolean;
  /** glyf and loca, which are written together; the first call writes them. */
  outlines: () => ReturnType<typeof keptGlyf>;
  /** hhea and hmtx, which are written together; the first call writes them. */
  metrics: () => ReturnType<typeof keptMetrics>;
  /** GSUB, GPOS and GDEF, which are written together; the first call writes them. */
  layout: () => ReturnType<typeof keptLayoutTables>;
}

/** A computation that is done when it is first asked for, and once. */
export function once<Result>(compute: () => Result): () => Result {
  let made: { result: Result } | undefined;
  return () => (made ??= { result: compute() }).result;
}
