// OpenType: cmap of the characters that stay

import type { GlyphMap } from '../layout/glyph-map.js';
import type { Font } from '../sfnt/font.js';
import type { VariationSelector } from '../tables/cmap-variation-sequences.js';
import { cmap } from '../tables/index.js';
import type { CodePointSet } from '../text/code-point-set.js';
import type { Mapping } from './glyphs.js';

/**
 * The smallest table that browsers take: format 4 for the basic plane, format 12 beside it where there are characters
 * beyond, format 14 for variation sequences.
 */
export function keptCmap(
  font: Font,
  mappings: readonly Mapping[],
  characters: CodePointSet,
  map: GlyphMap,
): Uint8Array {
  const kept = mappings.map(([codePoint, glyphId]): Mapping => [codePoint, map.newId(glyphId)!]);
  const basic = kept.filter(([codePoint]) => codePoint < 0xffff);
  const source = font.table(cmap);
  const symbol = isSymbolOnly(source);
  const encodingRecords: cmap.EncodingRecord[] = [];
  const selectors = keptSelectors(source, characters, map);
  if (selectors.length > 0) {
    encodingRecords.push({ platformID: 0, encodingID: 5, subtable: { format: 14, varSelectors: selectors } });
  }
  encodingRecords.push({ platformID: 3, encodingID: symbol ? 0 : 1, subtable: segmentsOf(basic) });
  if (basic.length < kept.length) {
    encodingRecords.push({
      platformID: 3,
      encodingID: 10,
      subtable: { format: 12, language: 0, groups: groupsOf(kept) },
    });
  }
  return cmap.serialise({ version: 0, encodingRecords });
}

/** Fonts of signs without a Unicode mapping; browsers find their glyphs at U+F000 and on. */
export function isSymbolOnly(table: cmap.Cmap): boolean {
  const unicode = table.encodingRecords.some(
    ({ platformID, encodingID, subtable }) =>
      subtable.format !== 14 && (platformID === 0 || (platformID === 3 && encodingID !== 0)),
  );
  return (
    !unicode &&
    table.encodingRecords.some(({ platformID, encodingID }) => platformID === 3 && encodingID === 0)
  );
}

/** Runs of characters whose glyphs count up with them. */
function runsOf(mappings: readonly Mapping[]): { first: number; last: number; glyphs: number[] }[] {
  const runs: { first: number; last: number; glyphs: number[] }[] = [];
  for (const [codePoint, glyphId] of mappings) {
    const run = runs[runs.length - 1];
    if (run && run.last + 1 === codePoint && run.glyphs[run.glyphs.length - 1] + 1 === glyphId) {
      run.last = codePoint;
      run.glyphs.push(glyphId);
    } else runs.push({ first: codePoint, last: codePoint, glyphs: [glyphId] });
  }
  return runs;
}

function groupsOf(mappings: readonly Mapping[]): Uint32Array {
  return Uint32Array.from(runsOf(mappings).flatMap(({ first, last, glyphs }) => [first, last, glyphs[0]]));
}

/** Bytes of a segment, and of a glyph in the array behind the segments. */
const segmentSize = 8;
const entrySize = 2;

/** Format 4. Neighbouring runs share a segment and list their glyphs where that is shorter. */
function segmentsOf(mappings: readonly Mapping[]): cmap.CmapSubtable {
  const segments: { first: number; last: number; glyphs: number[]; listed: boolean }[] = [];
  for (const run of runsOf(mappings)) {
    const before = segments[segments.length - 1];
    const joins = before && before.last + 1 === run.first;
    const cost = joins
      ? (before.listed ? 0 : before.glyphs.length * entrySize) + run.glyphs.length * entrySize
      : Infinity;
    if (before && cost < segmentSize) {
      before.last = run.last;
      before.glyphs.push(...run.glyphs);
      before.listed = true;
    } else segments.push({ ...run, glyphs: [...run.glyphs], listed: false });
  }
  segments.push({ first: 0xffff, last: 0xffff, glyphs: [0], listed: false });
  const glyphIdArray: number[] = [];
  const idRangeOffset = segments.map(({ listed, glyphs }, i) => {
    if (!listed) return 0;
    const offset = (segments.length - i + glyphIdArray.length) * 2;
    glyphIdArray.push(...glyphs);
    return offset;
  });
  return {
    format: 4,
    language: 0,
    endCode: Uint16Array.from(segments, ({ last }) => last),
    startCode: Uint16Array.from(segments, ({ first }) => first),
    // The last segment maps U+FFFF to glyph 0.
    idDelta: Int16Array.from(segments, ({ first, glyphs, listed }) => (listed ? 0 : glyphs[0] - first)),
    idRangeOffset: Uint16Array.from(idRangeOffset),
    glyphIdArray: Uint16Array.from(glyphIdArray),
  };
}

function keptSelectors(table: cmap.Cmap, characters: CodePointSet, map: GlyphMap): VariationSelector[] {
  const selectors: VariationSelector[] = [];
  for (const { subtable } of table.encodingRecords) {
    if (subtable.format !== 14) continue;
    for (const { varSelector, defaultUVS, nonDefaultUVS } of subtable.varSelectors) {
      if (!characters.has(varSelector)) continue;
      const usual = keptDefaults(defaultUVS ?? new Uint32Array(), characters);
      const own = keptOwn(nonDefaultUVS ?? new Uint32Array(), characters, map);
      if (usual.length + own.length === 0) continue;
      selectors.push({
        varSelector,
        ...(usual.length > 0 ? { defaultUVS: usual } : {}),
        ...(own.length > 0 ? { nonDefaultUVS: own } : {}),
      });
    }
  }
  return selectors;
}

function keptDefaults(pairs: Uint32Array, characters: CodePointSet): Uint32Array {
  const kept: number[] = [];
  for (let i = 0; i < pairs.length; i += 2) {
    for (let character = pairs[i]; character <= pairs[i] + pairs[i + 1]; character++) {
      if (!characters.has(character)) continue;
      const last = kept.length - 2;
      if (last >= 0 && kept[last] + kept[last + 1] + 1 === character && kept[last + 1] < 255)
        kept[last + 1]++;
      else kept.push(character, 0);
    }
  }
  return Uint32Array.from(kept);
}

function keptOwn(pairs: Uint32Array, characters: CodePointSet, map: GlyphMap): Uint32Array {
  const kept: number[] = [];
  for (let i = 0; i < pairs.length; i += 2) {
    const newId = map.newId(pairs[i + 1]);
    if (characters.has(pairs[i]) && newId !== undefined) kept.push(pairs[i], newId);
  }
  return Uint32Array.from(kept);
}
