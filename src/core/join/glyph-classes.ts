// OpenType: GDEF of partial files as one

import { keptGdef, readGdef, type Gdef } from '../layout/common/gdef.js';
import type { ClassDefinition } from '../layout/common/class-definition.js';
import type { KeptLayout } from '../layout/kept-layout.js';
import { joinedStores } from './metric-variations.js';
import type { Numbering } from './numbering.js';
import { Hindrance, type PartialFont } from './partial-font.js';

/** @returns also where the mark glyph sets and the delta sets of each part start */
export function joinedGdef(
  parts: readonly PartialFont[],
  { maps }: Numbering,
): { gdef: Gdef | undefined; markSetStarts: number[]; deltaStarts: number[] } {
  const own = parts.map(({ font }, part) => {
    const table = readGdef(font);
    if (table?.damage) throw new Hindrance('GDEF is damaged in one of them');
    return table && keptGdef(table, maps[part]);
  });
  const { store, starts: deltaStarts } = joinedStores(own.map((table) => table?.variationStore));
  const markGlyphSets: Gdef['markGlyphSets'] = [];
  const markSetStarts = own.map((table) => {
    const start = markGlyphSets.length;
    markGlyphSets.push(...(table?.markGlyphSets ?? []));
    return start;
  });
  if (own.every((table) => table === undefined)) return { gdef: undefined, markSetStarts, deltaStarts };
  const classed = own.flatMap((table) => table?.glyphClasses ?? []);
  const gdef: Gdef = {
    glyphClasses: classed.length > 0 ? union(classed) : undefined,
    markAttachmentClasses: union(own.flatMap((table) => table?.markAttachmentClasses ?? [])),
    markGlyphSets,
    ...(store ? { variationStore: store } : {}),
  };
  return { gdef, markSetStarts, deltaStarts };
}

function union(all: readonly ClassDefinition[]): ClassDefinition {
  const joined = new Map<number, number>();
  for (const classes of all) {
    for (const [glyph, value] of classes) {
      if ((joined.get(glyph) ?? value) !== value) throw new Hindrance('they class a glyph differently');
      joined.set(glyph, value);
    }
  }
  return joined;
}

export function withMovedMarkSets(layout: KeptLayout, start: number): KeptLayout {
  const lookups = layout.lookups.map((lookup) =>
    lookup.markFilteringSet === undefined
      ? lookup
      : { ...lookup, markFilteringSet: lookup.markFilteringSet + start },
  );
  return { ...layout, lookups };
}
