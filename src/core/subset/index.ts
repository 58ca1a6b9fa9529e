/**
 * From any font to a smaller one that draws the wanted text as the whole one does: `subsetFont`.
 */
import { Reader } from '../bytes/reader.js';
import { DenseGlyphError } from '../errors.js';
import { GlyphMap } from '../layout/glyph-map.js';
import { markClass, readGdef, type Gdef } from '../layout/gdef.js';
import { readLayoutTable, type LayoutTable } from '../layout/layout-table.js';
import { fontOf, type Font } from '../sfnt/font.js';
import { cmap, fvar, glyf, head, hmtx, maxp, os2, post } from '../tables/index.js';
import { CodePointSet } from '../text/code-point-set.js';
import { mappedCharacters } from '../text/mapped-characters.js';
import { keptKern, kernsEverywhere } from '../layout/kern.js';
import { keptCff } from './cff.js';
import { keptCmap } from './character-map.js';
import { companionsOf, shapingOf, textKindsOf } from './companions.js';
import { isWantedFeature, type FeatureChoice } from './features.js';
import { charactersOfGlyphs, fittedLetters, isFittedByLetters } from './fitted-letters.js';
import { inOrder, type GlyphOrder } from './glyph-order.js';
import { glyphsFor, mappingsFor, type Mapping } from './glyphs.js';
import { keptBase, keptLayoutTables } from './layout.js';
import { keptMetrics, keptVerticalOrigins } from './metrics.js';
import { hasOwnSmallCapital } from './small-capitals.js';
import { changesOf, damagedClassWords, damageWords, formsByMorx, leftOut } from './notes.js';
import { keptName, keptOs2 } from './names.js';
import { instructionTables, keptGlyf, keptMaxp } from './outlines.js';
import { keptGvar, keptMetricVariations } from './variations.js';

/** Characters that may be drawn. */
export interface OptionalCharacters {
  characters: CodePointSet;
  /** Whether they are capitals that browsers make small ones of; where the font has those itself they go. */
  asSmallCapitals?: boolean;
}

export interface SubsetOptions {
  /** What text will be made of. */
  characters: CodePointSet;
  /** More of them, that are kept where the font has them and not missed where it hasn't. */
  optional?: readonly OptionalCharacters[];
  /** Features beside those that browsers apply without being asked, or all of them. */
  features?: FeatureChoice;
  /** Whether instructions for the pixel grid stay; in fonts without them the letters that are measured instead. */
  hinting?: 'keep' | 'drop';
  /** How glyphs are numbered; as in the font if left out. */
  glyphOrder?: GlyphOrder;
  /** Whether TrueType outlines are written as short as the table allows; WOFF2 writes them in its own way anyhow. */
  shortOutlines?: boolean;
}

export interface Subset {
  font: Font;
  characters: {
    /** Wanted and there, ascending. */
    had: number[];
    /** Controls are not missed in any font. */
    missing: number[];
    /** Not wanted, but drawn by browsers in place of wanted or optional ones, or measured. */
    companions: number[];
    /** Optional and there, but not wanted, ascending. */
    optional: number[];
  };
  glyphs: { before: number; after: number };
  /** Tags of features that still do something, and of those that aren't wanted. */
  features: { kept: string[]; left: string[] };
  /** Bytes of each table, the largest first. */
  tables: { tag: string; before: number; after: number }[];
  /** What was left out and why, beyond glyphs, names and features. */
  dropped: string[];
  /** What a browser draws otherwise than with the whole font. */
  changes: string[];
}

/**
 * @throws DenseGlyphError `subset-impossible` for fonts whose glyph numbers are used where they can't be changed,
 *   `characters-missing` where none of the characters is there, `table-missing`, `table-damaged`
 */
export function subsetFont(font: Font, options: SubsetOptions): Subset {
  refuseUnknown(font);
  const hinted = options.hinting === 'keep';
  const gsub = readLayoutTable(font, 'GSUB');
  const { characters, had, missing, companions, optional } = charactersOf(font, options, gsub);
  const kinds = textKindsOf(new CodePointSet([...had, ...optional, ...companions]));
  if (formsByMorx(font) && kinds.complex) {
    throw new DenseGlyphError(
      'subset-impossible',
      'it joins letters, or puts syllables in order, by a table (morx) that cannot be cut down yet',
    );
  }
  const isWanted = isWantedFeature(options.features, characters);
  const { mappings, glyphs, others } = closedOver(font, characters, gsub, isWanted, hinted);
  if (mappings.length === 0) {
    throw new DenseGlyphError('characters-missing', 'the font has none of the characters that are asked for');
  }
  const order = inOrder(glyphs, options.glyphOrder ?? 'font', font, mappings);
  const map = new GlyphMap(order, font.table(maxp).numGlyphs);
  const gpos = readLayoutTable(font, 'GPOS', map);
  const tables = new Map<string, Uint8Array>();
  const dropped: string[] = [];
  const features: string[] = [];
  const gdef = readGdef(font);
  const hasMarks = order.some((glyphId) => gdef?.glyphClasses?.get(glyphId) === markClass);
  writeTables({
    presenceMatters: kinds.marks || kinds.complex || kinds.rightToLeft || hasMarks,
    font,
    map,
    hinted,
    shortOutlines: options.shortOutlines === true,
    mappings,
    characters,
    gsub,
    gpos,
    gdef,
    isWanted,
    tables,
    dropped,
    features,
  });
  const ordered = new Map(font.tags.flatMap((tag) => (tables.has(tag) ? [[tag, tables.get(tag)!]] : [])));
  return {
    font: fontOf(font.flavour, ordered),
    characters: {
      had,
      missing,
      companions: [...companions, ...others].sort((a, b) => a - b),
      optional,
    },
    glyphs: { before: font.table(maxp).numGlyphs, after: map.size },
    features: { kept: features, left: unwantedFeatures([gsub, gpos], isWanted) },
    tables: font.tags
      .map((tag) => ({
        tag: tag.trim(),
        before: font.bytesOf(tag).length,
        after: tables.get(tag)?.length ?? 0,
      }))
      .sort((a, b) => b.before - a.before),
    dropped,
    changes: [...changesOf(font, tables), ...[gsub, gpos].flatMap(damageWords), ...damagedClassWords(gdef)],
  };
}

/**
 * The glyphs that text may come to. Where they are fitted to the pixel grid by letters, their other characters stay too,
 * as these tell which letters: of a ligature, or of a joined form, they are the only ones.
 *
 * @param characters gets those as well
 * @returns with them as `others`
 */
function closedOver(
  font: Font,
  characters: CodePointSet,
  gsub: LayoutTable | undefined,
  isWanted: (tag: string) => boolean,
  hinted: boolean,
) {
  const others: number[] = [];
  for (;;) {
    const mappings = mappingsFor(font, characters);
    const glyphs = glyphsFor(font, mappings, characters, gsub, isWanted);
    const more =
      hinted && isFittedByLetters(font)
        ? charactersOfGlyphs(font, glyphs).filter((c) => !characters.has(c))
        : [];
    if (more.length === 0) return { mappings, glyphs, others };
    for (const character of more) characters.add(character);
    others.push(...more);
  }
}

/** Tables that name glyphs and aren't renumbered yet; without them the text would look different. */
const refused: Readonly<Record<string, string>> = {
  COLR: 'its glyphs have colours (COLR)',
  'SVG ': 'its glyphs are pictures (SVG)',
  CBDT: 'its glyphs are pictures (CBDT)',
  sbix: 'its glyphs are pictures (sbix)',
  CFF2: 'its outlines are variable CFF outlines (CFF2)',
};

function refuseUnknown(font: Font): void {
  for (const [tag, reason] of Object.entries(refused)) {
    if (!font.has(tag)) continue;
    throw new DenseGlyphError('subset-impossible', `${reason}, which cannot be cut down yet`);
  }
  if (!font.has('glyf') && !font.has('CFF ')) {
    throw new DenseGlyphError('subset-impossible', 'it has no outlines to cut down');
  }
  if (font.has('EBDT') && font.has('glyf') && !hasOutlines(font)) {
    throw new DenseGlyphError(
      'subset-impossible',
      'its glyphs are bitmaps (EBDT), which cannot be cut down yet',
    );
  }
}

/** Fonts made of bitmaps have an outline for a missing glyph at most. */
function hasOutlines(font: Font): boolean {
  const { offsets } = font.table(glyf);
  let drawn = 0;
  for (let i = 1; i < offsets.length && drawn < 3; i++) if (offsets[i] > offsets[i - 1]) drawn++;
  return drawn >= 3 || drawn >= offsets.length - 1;
}

function charactersOf(
  font: Font,
  { characters: asked, optional: sets = [], features, hinting }: SubsetOptions,
  gsub: LayoutTable | undefined,
) {
  const available = mappedCharacters(font);
  const [had, missing]: [number[], number[]] = [[], []];
  asked.forEach((c) => {
    if (available.has(c)) had.push(c);
    else if (!isControl(c)) missing.push(c);
  });
  const isNeedless = isKept('smcp', features) ? hasOwnSmallCapital(font, gsub) : () => false;
  const optional = optionalOf(sets, isNeedless).filter((c) => available.has(c) && !asked.has(c));
  const wanted = new CodePointSet(optional);
  wanted.addAll(asked);
  const kinds = textKindsOf(wanted);
  const advanceOf = (character: number) =>
    hmtx.advanceOf(font.table(hmtx), cmap.glyphIdOf(font.table(cmap), character)) /
    font.table(head).unitsPerEm;
  const drawn = companionsOf(wanted, available, kinds, shapingOf(gsub), advanceOf);
  const measured = hinting === 'keep' && isFittedByLetters(font) ? fittedLetters(wanted) : [];
  const companions = [...new Set([...drawn, ...measured])]
    .filter((c) => available.has(c) && !wanted.has(c))
    .sort((a, b) => a - b);
  const characters = new CodePointSet(companions);
  characters.addAll(wanted);
  return { characters, had, missing, companions, optional };
}

/** Ranges often start at U+0000. Browsers draw controls by themselves (CSS Text 3, section 4.1). */
const isControl = (character: number) => character < 0x20 || (character >= 0x7f && character < 0xa0);

const isKept = (tag: string, choice: SubsetOptions['features']) =>
  choice === 'all' || (choice?.keep.includes(tag) === true && !choice.leave.includes(tag));

/** All of these sets, ascending. */
function optionalOf(
  sets: readonly OptionalCharacters[],
  hasOwnSmallCapital: (capital: number) => boolean,
): number[] {
  const found = new Set<number>();
  for (const { characters, asSmallCapitals } of sets) {
    characters.forEach((c) => {
      if (!asSmallCapitals || !hasOwnSmallCapital(c)) found.add(c);
    });
  }
  return [...found].sort((a, b) => a - b);
}

interface Work {
  font: Font;
  map: GlyphMap;
  hinted: boolean;
  shortOutlines: boolean;
  mappings: readonly Mapping[];
  characters: CodePointSet;
  gsub: LayoutTable | undefined;
  gpos: LayoutTable | undefined;
  gdef: Gdef | undefined;
  isWanted: (tag: string) => boolean;
  presenceMatters: boolean;
  tables: Map<string, Uint8Array>;
  dropped: string[];
  /** Tags of those that are left. */
  features: string[];
}

/** Tables that hold no glyph numbers. */
const carried = ['avar', 'STAT', 'MVAR', 'meta'];
/** Tables whose loss nobody sees in a browser; no word is needed. */
const silent = ['DSIG', 'FFTM', 'LTSH', 'VDMX', 'hdmx', 'PCLT', 'TTFA', 'GDEF', 'GPOS', 'GSUB', 'JSTF'];

function writeTables(work: Work): void {
  const { font, map, hinted, mappings, characters, tables, dropped } = work;
  const put = (written: ReadonlyMap<string, Uint8Array>) => {
    for (const [tag, bytes] of written) tables.set(tag, bytes);
  };
  if (font.has('glyf')) {
    const { indexToLocFormat, tables: outlines } = keptGlyf(font, map, hinted, work.shortOutlines);
    put(outlines);
    tables.set(head.tag, head.serialise({ ...font.table(head), indexToLocFormat }));
  } else {
    tables.set('CFF ', keptCff(font, map, hinted));
    tables.set(head.tag, font.bytesOf(head.tag));
  }
  tables.set(maxp.tag, keptMaxp(font, map, hinted));
  tables.set(cmap.tag, keptCmap(font, mappings, characters, map));
  put(keptMetrics(font, 'hhea', 'hmtx', map));
  if (font.has('vhea') && font.has('vmtx')) put(keptMetrics(font, 'vhea', 'vmtx', map));
  if (font.has('VORG')) tables.set('VORG', keptVerticalOrigins(font, map));
  if (font.has(os2.tag)) tables.set(os2.tag, keptOs2(font, mappings));
  if (font.has('name'))
    tables.set(
      'name',
      keptName(
        font,
        [work.gsub, work.gpos].map((t) => onlyWanted(t, work.isWanted)),
      ),
    );
  if (font.has(post.tag)) tables.set(post.tag, withoutNames(font));
  const layout = keptLayoutTables(font, map, work);
  put(layout.tables);
  work.features.push(...layout.features);
  if (font.has('BASE')) tables.set('BASE', keptBase(font));
  keepKern(work);
  for (const tag of carried) if (font.has(tag)) tables.set(tag, font.bytesOf(tag));
  // Named instances are for the menus of other programs.
  if (font.has(fvar.tag)) tables.set(fvar.tag, fvar.serialise({ ...font.table(fvar), instances: [] }));
  if (font.has('gvar')) tables.set('gvar', keptGvar(font, map));
  for (const tag of ['HVAR', 'VVAR'] as const)
    if (font.has(tag)) tables.set(tag, keptMetricVariations(font, tag, map));
  keepInstructions(work);
  for (const tag of font.tags) {
    if (!tables.has(tag) && !silent.includes(tag) && !instructionTables.includes(tag))
      dropped.push(leftOut(tag));
  }
}

function onlyWanted(
  table: LayoutTable | undefined,
  isWanted: (tag: string) => boolean,
): LayoutTable | undefined {
  return table && { ...table, features: table.features.filter(({ tag }) => isWanted(tag)) };
}

/** Version 3, without names: no browser needs them. */
function withoutNames(font: Font): Uint8Array {
  const table = post.parseWithoutNames(new Reader(font.bytesOf(post.tag), post.tag));
  return post.serialise({ ...table, version: 0x00030000 });
}

/** Browsers read kern only where GPOS doesn't kern for the script at hand. */
function keepKern({ font, map, gpos, isWanted, tables }: Work): void {
  if (!font.has('kern') || !isWanted('kern') || (gpos && kernsEverywhere(gpos))) return;
  const kern = keptKern(font, map);
  if (kern) tables.set('kern', kern);
}

/** One range up to the largest size: greys at all sizes, smooth in both directions (gasp, version 1). */
const smoothAtAllSizes = Uint8Array.of(0, 1, 0, 1, 0xff, 0xff, 0, 0x0a);

function keepInstructions({ font, hinted, tables }: Work): void {
  if (hinted) {
    for (const tag of [...instructionTables, 'gasp']) if (font.has(tag)) tables.set(tag, font.bytesOf(tag));
  } else if (font.has('gasp')) tables.set('gasp', smoothAtAllSizes);
}

function unwantedFeatures(
  layouts: readonly (LayoutTable | undefined)[],
  isWanted: (tag: string) => boolean,
): string[] {
  const tags = layouts.flatMap((layout) => layout?.features.map(({ tag }) => tag) ?? []);
  return [...new Set(tags)].filter((tag) => !isWanted(tag)).sort();
}
