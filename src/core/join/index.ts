/**
 * From the partial files that a host cut a face into to one font again: `joinFonts`.
 */
import { writeGdef } from '../layout/common/gdef.js';
import type { LayoutTag } from '../layout/common/lookup-kind.js';
import { writeLayout } from '../layout/write-layout.js';
import { fontOf, type Font } from '../sfnt/font.js';
import { subsetFont } from '../subset/index.js';
import type { VariationSelector } from '../tables/cmap-variation-sequences.js';
import { cmap, head, hhea, maxp, os2, post } from '../tables/index.js';
import { CodePointSet } from '../text/code-point-set.js';
import { mappedCharacters } from '../text/mapped-characters.js';
import { CffOutlines } from './cff.js';
import { GlyphContents } from './glyph-contents.js';
import { joinedGdef, withMovedMarkSets } from './glyph-classes.js';
import { joinedLayout, layoutsOf } from './layout.js';
import { joinedMetricVariations } from './metric-variations.js';
import { withMovedDeltas } from './moved-deltas.js';
import { numberGlyphs, type Numbering } from './numbering.js';
import { joinedGlyphVariations, joinedMetrics, joinedOutlines, joinedVerticalOrigins } from './outlines.js';
import { Hindrance, type PartialFont } from './partial-font.js';
import { coverageFields, refuseOthers, wholeTables } from './same-font.js';
import { SharedTuples } from './shared-tuples.js';

/** One font, or why the files have to stay what they are, to follow on «because»: `their metrics differ`. */
export type Joined = { font: Font } | { hindrance: string };

/** Hosts cut the largest fonts into some hundred files; what comes from a host may be made to take long. */
const mostParts = 1000;
const mostCharacters = 0x20000;

/** Shaping puts it under a mark that stands alone, with the marks of the same file, whatever the file's rule names. */
const dottedCircle = 0x25cc;

/**
 * Puts the cuts of one font together: their characters, outlines, kerning and features. What each file draws of its characters,
 * the joined font draws in the same way. Where letters of two files meet, there is no more kerning than between the files, as
 * none of them knows it.
 *
 * @param files in the order of their rules
 * @throws DenseGlyphError `table-damaged`, `table-missing`
 */
export function joinFonts(files: readonly { font: Font; ranges?: CodePointSet | undefined }[]): Joined {
  try {
    const parts = files.map(({ font, ranges }): PartialFont => {
      const characters = new CodePointSet();
      mappedCharacters(font).forEach((character) => {
        if (character === dottedCircle || (ranges?.has(character) ?? true)) characters.add(character);
      });
      return { font, characters };
    });
    if (files.length > mostParts || parts.some(({ characters }) => characters.size > mostCharacters))
      return { hindrance: 'they are more than a font is cut into' };
    refuseOthers(parts);
    return { font: joined(parts) };
  } catch (cause) {
    if (cause instanceof Hindrance) return { hindrance: cause.message };
    throw cause;
  }
}

function joined(parts: readonly PartialFont[]): Font {
  const [{ font: first }] = parts;
  const tuples = new SharedTuples(parts);
  const cff = first.has('glyf') ? undefined : new CffOutlines(parts);
  const contents = new GlyphContents(parts, tuples, cff);
  const numbering = numberGlyphs(parts, contents.same);
  const { tables: outlines, indexToLocFormat } = cff
    ? { tables: new Map([['CFF ', cff.joined(numbering)]]), indexToLocFormat: 0 }
    : joinedOutlines(parts, numbering, contents);
  const tables = new Map<string, Uint8Array>([
    [head.tag, joinedHead(parts, indexToLocFormat)],
    [maxp.tag, joinedMaxp(parts, numbering)],
    ...joinedMetrics(parts, numbering, joinedHhea(parts), ['hhea', 'hmtx']),
    [cmap.tag, joinedCmap(parts, numbering)],
    ...outlines,
    [post.tag, post.serialise({ ...first.table(post), version: 0x00030000 })],
    ...joinedLayouts(parts, numbering, contents),
  ]);
  if (first.has('name')) tables.set('name', first.bytesOf('name'));
  if (first.has(os2.tag)) tables.set(os2.tag, joinedOs2(parts));
  if (first.has('vmtx') && first.has('vhea')) {
    const vertical = joinedMetrics(parts, numbering, first.bytesOf('vhea'), ['vhea', 'vmtx']);
    for (const [tag, bytes] of vertical) tables.set(tag, bytes);
  }
  for (const tag of Object.keys(wholeTables)) if (first.has(tag)) tables.set(tag, first.bytesOf(tag));
  if (first.has('gvar')) tables.set('gvar', joinedGlyphVariations(parts, numbering, tuples));
  for (const tag of ['HVAR', 'VVAR'] as const)
    if (first.has(tag)) tables.set(tag, joinedMetricVariations(parts, numbering, tag));
  if (first.has('VORG')) tables.set('VORG', joinedVerticalOrigins(parts, numbering));
  return withoutUnreached(fontOf(first.flavour, tables), numbering);
}

/** Each part had its own copies of what it is made of; those that nothing leads to go. */
function withoutUnreached(font: Font, { mappings }: Numbering): Font {
  const characters = new CodePointSet(mappings.map(([character]) => character));
  return subsetFont(font, { characters, features: 'all', hinting: 'keep' }).font;
}

function joinedLayouts(
  parts: readonly PartialFont[],
  numbering: Numbering,
  contents: GlyphContents,
): Map<string, Uint8Array> {
  const tables = new Map<string, Uint8Array>();
  const { gdef, markSetStarts, deltaStarts } = joinedGdef(parts, numbering);
  const contentOf = (glyph: number) => contents.of(numbering.origins[glyph]);
  for (const tag of ['GSUB', 'GPOS'] satisfies LayoutTag[]) {
    const own = layoutsOf(parts, numbering, tag);
    if (own.every((layout) => layout === undefined)) continue;
    const moved = own.map(
      (layout, part) =>
        layout && withMovedDeltas(withMovedMarkSets(layout, markSetStarts[part]), deltaStarts[part]),
    );
    tables.set(tag, writeLayout(joinedLayout(moved, numbering, contentOf), { hinted: true }));
  }
  const bytes = gdef && writeGdef(gdef, gdef.glyphClasses !== undefined);
  if (bytes) tables.set('GDEF', bytes);
  return tables;
}

const largest = (numbers: readonly number[]) => Math.max(...numbers);
const smallest = (numbers: readonly number[]) => Math.min(...numbers);

function joinedHead(parts: readonly PartialFont[], indexToLocFormat: number): Uint8Array {
  const all = parts.map(({ font }) => font.table(head));
  return head.serialise({
    ...all[0],
    indexToLocFormat,
    xMin: smallest(all.map(({ xMin }) => xMin)),
    yMin: smallest(all.map(({ yMin }) => yMin)),
    xMax: largest(all.map(({ xMax }) => xMax)),
    yMax: largest(all.map(({ yMax }) => yMax)),
  });
}

function joinedHhea(parts: readonly PartialFont[]): Uint8Array {
  const all = parts.map(({ font }) => font.table(hhea));
  return hhea.serialise({
    ...all[0],
    advanceWidthMax: largest(all.map((table) => table.advanceWidthMax)),
    minLeftSideBearing: smallest(all.map((table) => table.minLeftSideBearing)),
    minRightSideBearing: smallest(all.map((table) => table.minRightSideBearing)),
    xMaxExtent: largest(all.map((table) => table.xMaxExtent)),
  });
}

function joinedMaxp(parts: readonly PartialFont[], { origins }: Numbering): Uint8Array {
  const { version } = parts[0].font.table(maxp);
  const all = parts.flatMap(({ font }) => font.table(maxp).limits ?? []);
  if (all.length === 0) return maxp.serialise({ version, numGlyphs: origins.length });
  const limits = { ...all[0] };
  for (const field of Object.keys(limits) as (keyof maxp.TrueTypeLimits)[])
    limits[field] = largest(all.map((own) => own[field]));
  return maxp.serialise({ version, numGlyphs: origins.length, limits });
}

/** Bits of what a font is for come together. */
function joinedOs2(parts: readonly PartialFont[]): Uint8Array {
  const all = parts.map(({ font }) => font.table(os2));
  const together = { ...all[0] };
  for (const field of coverageFields) {
    if (together[field] === undefined) continue;
    together[field] = all.reduce((sum, table) => (sum | (table[field] ?? 0)) >>> 0, 0);
  }
  if (together.usMaxContext !== undefined)
    together.usMaxContext = largest(all.map((table) => table.usMaxContext ?? 0));
  return os2.serialise(together);
}

function joinedCmap(parts: readonly PartialFont[], numbering: Numbering): Uint8Array {
  const groups: number[] = [];
  for (const [character, glyph] of numbering.mappings) {
    const last = groups.length - 3;
    const follows = last >= 0 && groups[last + 1] + 1 === character;
    if (follows && groups[last + 2] + groups[last + 1] - groups[last] + 1 === glyph) groups[last + 1]++;
    else groups.push(character, character, glyph);
  }
  const varSelectors = joinedSelectors(parts, numbering);
  return cmap.serialise({
    version: 0,
    encodingRecords: [
      ...(varSelectors.length > 0
        ? [{ platformID: 0, encodingID: 5, subtable: { format: 14 as const, varSelectors } }]
        : []),
      {
        platformID: 3,
        encodingID: 10,
        subtable: { format: 12 as const, language: 0, groups: Uint32Array.from(groups) },
      },
    ],
  });
}

/** Variation sequences of the characters that each part draws. */
function joinedSelectors(parts: readonly PartialFont[], { maps }: Numbering): VariationSelector[] {
  const found = new Map<number, { usual: Set<number>; own: Map<number, number> }>();
  parts.forEach(({ font, characters }, part) => {
    for (const { subtable } of font.table(cmap).encodingRecords) {
      if (subtable.format !== 14) continue;
      for (const { varSelector, defaultUVS = [], nonDefaultUVS = [] } of subtable.varSelectors) {
        const known = found.get(varSelector) ?? { usual: new Set(), own: new Map() };
        found.set(varSelector, known);
        for (let i = 0; i < defaultUVS.length; i += 2)
          for (let c = defaultUVS[i]; c <= defaultUVS[i] + defaultUVS[i + 1]; c++)
            if (characters.has(c)) known.usual.add(c);
        for (let i = 0; i < nonDefaultUVS.length; i += 2) {
          const glyph = maps[part].newId(nonDefaultUVS[i + 1]);
          if (characters.has(nonDefaultUVS[i]) && glyph !== undefined) known.own.set(nonDefaultUVS[i], glyph);
        }
      }
    }
  });
  return [...found]
    .filter(([, { usual, own }]) => usual.size + own.size > 0)
    .sort(([a], [b]) => a - b)
    .map(([varSelector, { usual, own }]) => ({
      varSelector,
      ...(usual.size > 0
        ? { defaultUVS: Uint32Array.from([...usual].sort((a, b) => a - b).flatMap((c) => [c, 0])) }
        : {}),
      ...(own.size > 0 ? { nonDefaultUVS: Uint32Array.from([...own].sort(([a], [b]) => a - b).flat()) } : {}),
    }));
}
