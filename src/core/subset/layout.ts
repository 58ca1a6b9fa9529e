// OpenType: GSUB, GPOS, GDEF and BASE of the glyphs that stay

import { Reader } from '../bytes/reader.js';
import { Writer } from '../bytes/writer.js';
import { keptGdef, writeGdef, type Gdef } from '../layout/common/gdef.js';
import type { GlyphMap } from '../layout/common/glyph-map.js';
import { deltaSetsOf, hasLookups, keptLayout, type KeptLayout } from '../layout/kept-layout.js';
import { lookupFlag } from '../layout/common/lookup.js';
import type { LayoutTable } from '../layout/layout-table.js';
import { writeLayout } from '../layout/write-layout.js';
import type { Font } from '../sfnt/font.js';
import { cmap } from '../tables/index.js';
import { keptDeltaSets } from '../variations/item-variation-store.js';

export interface LayoutChoice {
  gsub: LayoutTable | undefined;
  gpos: LayoutTable | undefined;
  gdef: Gdef | undefined;
  /** Which features stay, by tag. */
  isWanted: (tag: string) => boolean;
  /**
   * Whether shaping goes by these tables even where nothing is left in them, as it does for marks and for syllables:
   * without a GPOS, browsers place marks by themselves, and without classes in GDEF they tell marks by their characters.
   */
  presenceMatters: boolean;
  /** Whether instructions stay. */
  hinted: boolean;
}

/** The layout tables, written anew, and the tags of the features that are left in them. */
export function keptLayoutTables(
  font: Font,
  map: GlyphMap,
  choice: LayoutChoice,
): { tables: Map<string, Uint8Array>; features: string[] } {
  const { isWanted, hinted } = choice;
  const tables = new Map<string, Uint8Array>();
  const space = keptSpace(font, map);
  const layouts = [choice.gsub, choice.gpos]
    .map((table) => table && keptLayout(table, map, isWanted, choice.presenceMatters, space))
    .filter((layout) => layout !== undefined);
  const { gdef } = choice;
  const moved = gdef && withUsedDeltaSets(keptGdef(gdef, map), layouts, font.has('fvar'));
  if (moved) {
    const classesMatter = choice.presenceMatters || layouts.some(ignoresBases);
    const sets = usedSets(moved.gdef, layouts);
    const bytes = writeGdef({ ...moved.gdef, markGlyphSets: sets }, classesMatter);
    if (bytes) tables.set('GDEF', bytes);
  }
  for (const layout of layouts) {
    tables.set(layout.tag, writeLayout(layout, { deltaSets: moved?.deltaSets, hinted }));
  }
  const tags = layouts.flatMap((layout) =>
    layout.features.filter((_, i) => hasLookups(layout, i)).map(({ tag }) => tag),
  );
  return { tables, features: [...new Set(tags)].sort() };
}

/**
 * The space, where it stays. If no feature but kerning has it, Firefox shapes text word by word, which leaves out kerning
 * with spaces and rounds the width of each word.
 *
 * @returns its number in the font
 */
function keptSpace(font: Font, map: GlyphMap): number | undefined {
  const space = cmap.glyphIdOf(font.table(cmap), 0x20);
  return space !== 0 && map.has(space) ? space : undefined;
}

const ignoresBases = ({ lookups }: KeptLayout) =>
  lookups.some(({ flag }) => (flag & lookupFlag.ignoreBaseGlyphs) !== 0);

/** @param varies whether the font has axes; without them deltas mean nothing */
function withUsedDeltaSets(
  gdef: Gdef,
  layouts: readonly KeptLayout[],
  varies: boolean,
): { gdef: Gdef; deltaSets?: ReadonlyMap<number, number> } {
  const { variationStore, ...rest } = gdef;
  if (!varies) return { gdef, deltaSets: new Map() };
  if (!variationStore) return { gdef };
  const used = new Set(layouts.flatMap((layout) => [...deltaSetsOf(layout)]));
  const { store, moved } = keptDeltaSets(variationStore, used);
  return { gdef: { ...rest, variationStore: store }, deltaSets: moved };
}

/** Sets that no lookup names are emptied, and those at the end go. */
function usedSets({ markGlyphSets }: Gdef, layouts: readonly KeptLayout[]): Gdef['markGlyphSets'] {
  const used = new Set(
    layouts.flatMap(({ lookups }) => lookups.map((lookup) => lookup.markFilteringSet ?? -1)),
  );
  const sets = markGlyphSets.map((set, i) => (used.has(i) ? set : []));
  return sets.slice(0, Math.max(...used, -1) + 1);
}

/** OpenType: BASE. Coordinates that follow a point of a glyph (format 2) become plain ones: hinting alone moves it. */
export function keptBase(font: Font): Uint8Array {
  const source = font.bytesOf('BASE');
  const reader = new Reader(source, 'BASE').limitReadings();
  const writer = new Writer(source.length).write(source);
  const coordinate = (at: number) => {
    if (reader.seek(at).uint16() === 2) writer.patchUint16(at, 1);
  };
  const minMax = (at: number) => {
    const [minimum, maximum, count] = reader.seek(at).uint16Array(3);
    for (const offset of [minimum, maximum]) if (offset) coordinate(at + offset);
    for (let i = 0; i < count; i++) {
      for (const offset of reader.seek(at + 6 + i * 8 + 4).uint16Array(2))
        if (offset) coordinate(at + offset);
    }
  };
  for (const axis of reader.seek(4).uint16Array(2)) {
    if (axis === 0) continue;
    const list = axis + reader.seek(axis + 2).uint16();
    const scripts = reader.seek(list).uint16();
    for (let i = 0; i < scripts; i++) {
      const script = list + reader.seek(list + 2 + i * 6 + 4).uint16();
      const [values, standard, languages] = reader.seek(script).uint16Array(3);
      if (values) {
        const offsets = reader.seek(script + values + 2).uint16Array(reader.uint16());
        for (const offset of offsets) coordinate(script + values + offset);
      }
      if (standard) minMax(script + standard);
      for (let k = 0; k < languages; k++) minMax(script + reader.seek(script + 6 + k * 6 + 4).uint16());
    }
  }
  return writer.bytes();
}
