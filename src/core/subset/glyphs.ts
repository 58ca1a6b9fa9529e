// OpenType: which glyphs a set of characters needs

import { closeOverSubstitutions } from '../layout/closure.js';
import { lookupsOfFeatures } from '../layout/kept-layout.js';
import type { LayoutTable } from '../layout/layout-table.js';
import type { Font } from '../sfnt/font.js';
import { eachComponent } from '../tables/glyf-components.js';
import { cmap, glyf, maxp } from '../tables/index.js';
import { Reader } from '../bytes/reader.js';
import type { CodePointSet } from '../text/code-point-set.js';

/** A character with its glyph. */
export type Mapping = readonly [codePoint: number, glyphId: number];

/** The glyph of each wanted character that the font has, ascending. */
export function mappingsFor(font: Font, characters: CodePointSet): Mapping[] {
  const subtable = cmap.unicodeSubtable(font.table(cmap));
  const { numGlyphs } = font.table(maxp);
  const mappings: Mapping[] = [];
  if (!subtable) return mappings;
  characters.forEach((codePoint) => {
    const glyphId = cmap.glyphIdIn(subtable, codePoint);
    if (glyphId !== 0 && glyphId < numGlyphs) mappings.push([codePoint, glyphId]);
  });
  return mappings;
}

/**
 * All glyphs that text of these characters may come to: by substitution, and as parts of composite glyphs.
 *
 * @param characters also those that only variation sequences are made of
 * @returns ascending, with glyph 0
 */
export function glyphsFor(
  font: Font,
  mappings: readonly Mapping[],
  characters: CodePointSet,
  gsub: LayoutTable | undefined,
  isWanted: (tag: string) => boolean,
): number[] {
  const { numGlyphs } = font.table(maxp);
  const glyphs = mappedGlyphs(mappings).add(0);
  for (const glyphId of sequenceGlyphs(font, characters)) glyphs.add(glyphId);
  if (gsub) closeOverSubstitutions(gsub, glyphs, lookupsOfFeatures(gsub, isWanted));
  keepBelow(numGlyphs, glyphs);
  if (font.has('glyf')) addComponents(font.table(glyf), glyphs);
  return Array.from(Uint16Array.from(glyphs).sort());
}

// Loops of their own: a function with a loop over all glyphs is optimised with all that it calls, which takes longer.

function mappedGlyphs(mappings: readonly Mapping[]): Set<number> {
  const glyphs = new Set<number>();
  for (let i = 0; i < mappings.length; i++) glyphs.add(mappings[i][1]);
  return glyphs;
}

function keepBelow(numGlyphs: number, glyphs: Set<number>): void {
  glyphs.forEach((glyphId) => {
    if (glyphId >= numGlyphs) glyphs.delete(glyphId);
  });
}

/** Variation sequences of which both characters are wanted. */
function* sequenceGlyphs(font: Font, characters: CodePointSet): Generator<number> {
  for (const { subtable } of font.table(cmap).encodingRecords) {
    if (subtable.format !== 14) continue;
    for (const { varSelector, nonDefaultUVS } of subtable.varSelectors) {
      if (!nonDefaultUVS || !characters.has(varSelector)) continue;
      for (let i = 0; i < nonDefaultUVS.length; i += 2) {
        if (characters.has(nonDefaultUVS[i])) yield nonDefaultUVS[i + 1];
      }
    }
  }
}

function addComponents(table: glyf.Glyf, glyphs: Set<number>): void {
  const count = table.offsets.length - 1;
  // A set hands out what is added to it on the way, so components of components are met too.
  glyphs.forEach((glyphId) => {
    if (glyphId >= count) return;
    const record = glyf.recordOf(table, glyphId);
    if (record.length < 2 || record[0] < 0x80) return; // numberOfContours isn't negative
    const reader = new Reader(record, glyf.tag, table.offsets[glyphId]);
    eachComponent(reader.seek(glyf.headerSize), (glyphIndex) => {
      if (glyphIndex < count) glyphs.add(glyphIndex);
    });
  });
}
