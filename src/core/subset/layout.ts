// OpenType: GSUB, GPOS, GDEF, kern and BASE of the glyphs that stay

import { Reader } from '../bytes/reader.js';
import { Writer } from '../bytes/writer.js';
import { keptGdef, readGdef, writeGdef, type Gdef } from '../layout/gdef.js';
import type { GlyphMap } from '../layout/glyph-map.js';
import { deltaSetsOf, keptLayout, type KeptLayout } from '../layout/kept-layout.js';
import type { LayoutTable } from '../layout/layout-table.js';
import { writeLayout } from '../layout/write-layout.js';
import type { Font } from '../sfnt/font.js';
import { keptDeltaSets } from '../variations/item-variation-store.js';

export interface LayoutChoice {
  gsub: LayoutTable | undefined;
  gpos: LayoutTable | undefined;
  /** Which features stay, by tag. */
  isWanted: (tag: string) => boolean;
  /**
   * Whether shaping goes by the scripts of these tables even where no feature is left, as it does for marks and for
   * syllables: without a GPOS, browsers place marks by themselves.
   */
  scriptsMatter: boolean;
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
  const layouts = [choice.gsub, choice.gpos].flatMap(
    (table) => (table && keptLayout(table, map, isWanted, choice.scriptsMatter)) ?? [],
  );
  const gdef = readGdef(font);
  const kept = gdef && keptGdef(gdef, map);
  const moved = kept && withUsedDeltaSets(kept, layouts, font.has('fvar'));
  if (kept && moved) {
    const bytes = writeGdef({ ...moved.gdef, markGlyphSets: usedSets(moved.gdef, layouts) });
    if (bytes) tables.set('GDEF', bytes);
  }
  for (const layout of layouts) {
    tables.set(layout.tag, writeLayout(layout, { deltaSets: moved?.deltaSets, hinted }));
  }
  const tags = layouts.flatMap(({ features }) => features.map(({ tag }) => tag));
  return { tables, features: [...new Set(tags)].sort() };
}

/** @param varies whether the font has axes; without them deltas mean nothing */
function withUsedDeltaSets(
  gdef: Gdef,
  layouts: readonly KeptLayout[],
  varies: boolean,
): { gdef: Gdef; deltaSets?: ReadonlyMap<number, number> } {
  const { variationStore, ...rest } = gdef;
  if (!variationStore) return { gdef };
  if (!varies) return { gdef: rest, deltaSets: new Map() };
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

const horizontalPairs = 0x0001;

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
    if (pairs.length > 0) {
      writeKernPairs(writer, pairs, coverage);
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
  const searchRange = 6 * 2 ** entrySelector;
  writer
    .uint16(0)
    .uint16(Math.min(14 + pairs.length * 6, 0xffff))
    .uint16(coverage)
    .uint16(pairs.length);
  writer
    .uint16(searchRange & 0xffff)
    .uint16(entrySelector)
    .uint16((pairs.length * 6 - searchRange) & 0xffff);
  for (const [left, right, value] of pairs) writer.uint16(left).uint16(right).int16(value);
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
