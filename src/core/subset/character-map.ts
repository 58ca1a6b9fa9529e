// OpenType: cmap of the characters that stay

import type { GlyphMap } from '../layout/common/glyph-map.js';
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
  encodingRecords.push({ platformID: 3, encodingID: symbol ? 0 : 1, subtable: segmentsTable(basic) });
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

/** Characters that follow each other: places in the list of mappings, without the one at `to`. */
interface Run {
  from: number;
  to: number;
}

/** Runs of characters whose glyphs count up with them. */
function runsOf(mappings: readonly Mapping[]): Run[] {
  const runs: Run[] = [];
  for (let from = 0, to = 1; from < mappings.length; from = to++) {
    const [character, glyph] = mappings[from];
    const follows = (mapping: Mapping) =>
      mapping[0] - character === to - from && mapping[1] - glyph === to - from;
    while (to < mappings.length && follows(mappings[to])) to++;
    runs.push({ from, to });
  }
  return runs;
}

function groupsOf(mappings: readonly Mapping[]): Uint32Array {
  const groups = runsOf(mappings).flatMap(({ from, to }) => [
    mappings[from][0],
    mappings[to - 1][0],
    mappings[from][1],
  ]);
  return Uint32Array.from(groups);
}

/** Bytes of a segment, and of a glyph in the array behind the segments. */
const segmentSize = 8;
const entrySize = 2;

interface Segment extends Run {
  /** Whether glyphs are listed, as they don't count up with the characters. */
  listed: boolean;
}

/** Neighbouring runs share a segment and list their glyphs where that is shorter. */
function segmentsOf(mappings: readonly Mapping[]): Segment[] {
  const segments: Segment[] = [];
  for (const { from, to } of runsOf(mappings)) {
    const before = segments[segments.length - 1];
    const joins = from > 0 && mappings[from - 1][0] + 1 === mappings[from][0];
    const entries = to - from + (!before || before.listed ? 0 : before.to - before.from);
    if (joins && entries * entrySize < segmentSize) {
      before.to = to;
      before.listed = true;
    } else segments.push({ from, to, listed: false });
  }
  return segments;
}

/** Format 4. */
function segmentsTable(mappings: readonly Mapping[]): cmap.CmapSubtable {
  const segments = segmentsOf(mappings);
  const segCount = segments.length + 1;
  const endCode = new Uint16Array(segCount);
  const startCode = new Uint16Array(segCount);
  const idDelta = new Int16Array(segCount);
  const idRangeOffset = new Uint16Array(segCount);
  const glyphIdArray: number[] = [];
  segments.forEach(({ from, to, listed }, i) => {
    startCode[i] = mappings[from][0];
    endCode[i] = mappings[to - 1][0];
    if (!listed) idDelta[i] = mappings[from][1] - startCode[i];
    else {
      idRangeOffset[i] = (segCount - i + glyphIdArray.length) * 2;
      for (let at = from; at < to; at++) glyphIdArray.push(mappings[at][1]);
    }
  });
  // The last segment maps U+FFFF to glyph 0.
  startCode[segCount - 1] = endCode[segCount - 1] = 0xffff;
  idDelta[segCount - 1] = 1;
  return {
    format: 4,
    language: 0,
    endCode,
    startCode,
    idDelta,
    idRangeOffset,
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
