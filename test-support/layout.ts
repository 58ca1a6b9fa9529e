import { PairCollector, type PairList } from '#src/core/layout/gpos/glyph-pairs.js';
import { allGlyphs, GlyphMap, type Scope } from '#src/core/layout/common/glyph-map.js';
import type { KeptLayout } from '#src/core/layout/kept-layout.js';
import type { Subtable } from '#src/core/layout/kinds.js';
import { readLayoutTable, type LayoutTable } from '#src/core/layout/layout-table.js';
import type { Value } from '#src/core/layout/gpos/value-record.js';
import { writeLayout } from '#src/core/layout/write-layout.js';
import { fontOf } from '#src/core/sfnt/font.js';

/** A map that keeps all glyphs of a font under their numbers. */
export const everyGlyph = (count: number): GlyphMap =>
  new GlyphMap(
    Array.from({ length: count }, (_, i) => i),
    count,
  );

/** Of layout tables everything, with what changes along axes. */
export const everything: Scope = { wanted: allGlyphs, varies: true };

export const value = (xAdvance: number, xPlacement = 0): Value => ({ values: [xPlacement, 0, xAdvance, 0] });

/** A table of one feature and the given lookups, all of which the feature applies. */
export function layoutOf(
  tag: 'GSUB' | 'GPOS',
  lookups: { type: number; flag?: number; markFilteringSet?: number; subtables: Subtable[] }[],
  applied = lookups.map((_, i) => i),
): LayoutTable {
  const kept: KeptLayout = {
    tag,
    scripts: [
      {
        tag: 'latn',
        defaultLanguageSystem: { features: [0] },
        languageSystems: [{ tag: 'TRK ', system: { required: 0, features: [] } }],
      },
    ],
    features: [{ tag: 'ss01', params: Uint8Array.of(0, 0, 1, 5), lookups: applied }],
    lookups: lookups.map((lookup) => ({ flag: 0, ...lookup })),
    lookupNumbers: new Map(lookups.map((_, i) => [i, i])),
    featureVariations: [
      {
        conditions: [{ axisIndex: 0, minimum: 0x2000, maximum: 0x4000 }],
        substitutions: [{ feature: 0, lookups: [0] }],
      },
    ],
  };
  const bytes = writeLayout(kept, { hinted: true });
  const tables = new Map([
    [tag, bytes],
    ['fvar', new Uint8Array()],
  ]);
  return readLayoutTable(fontOf('truetype', tables), tag)!;
}

export type ListedPair = [first: number, second: number, number: number];

/** @param pairs those of one first glyph after the other */
export function pairList(pairs: readonly ListedPair[]): PairList {
  const collector = new PairCollector();
  pairs.forEach(([first, second, number], i) => {
    collector.add(second, number);
    if (pairs[i + 1]?.[0] !== first) collector.end(first);
  });
  return collector.list();
}

export const pairsIn = ({ firsts, starts, ends, seconds, numbers }: PairList): ListedPair[] =>
  firsts.flatMap((first, i) =>
    Array.from(seconds.subarray(starts[i], ends[i]), (second, k): ListedPair => [
      first,
      second,
      numbers[starts[i] + k],
    ]),
  );
