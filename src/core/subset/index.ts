/**
 * From any font to a smaller one that draws the wanted text as the whole one does: `subsetFont`.
 */
import { DenseGlyphError } from '../../errors.js';
import type { Finding } from '../../findings.js';
import { GlyphMap } from '../layout/common/glyph-map.js';
import { markClass, readGdef } from '../layout/common/gdef.js';
import { readLayoutTable, type LayoutTable } from '../layout/layout-table.js';
import { fontOf, type Font } from '../sfnt/font.js';
import { cmap, head, hmtx, maxp } from '../tables/index.js';
import { CodePointSet } from '../text/code-point-set.js';
import { mappedCharacters } from '../text/mapped-characters.js';
import { companionsOf, composedOf, shapingOf, textKindsOf } from './companions.js';
import { isWantedFeature, type FeatureChoice } from './features.js';
import { charactersOfGlyphs, fittedLetters, isFittedByLetters } from './fitted-letters.js';
import { inOrder, type GlyphOrder } from './glyph-order.js';
import { glyphsFor, mappingsFor } from './glyphs.js';
import { keptLayoutTables } from './layout.js';
import { keptMetrics } from './metrics.js';
import { hasOwnSmallCapital } from './small-capitals.js';
import { longLicenceOf } from './names.js';
import { changesOf, damagedClasses, damages, formsByMorx } from './notes.js';
import { keptGlyf } from './outlines.js';
import { refuseUnknown, writeTables } from './tables.js';
import { once } from './work.js';

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
  /**
   * Marks that text may have where its letters come taken apart (UAX 15, NFD). Browsers compose them if the font has the marks
   * too; unlike wanted ones they don't bring all letters that they could make.
   */
  marks?: CodePointSet;
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
  /** A licence that is too long to be in each file, and has to lie beside them. */
  licenceText?: string;
  /** What a browser draws otherwise than with the whole font. */
  changes: Finding[];
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
  if (had.length + optional.length === 0) {
    throw new DenseGlyphError('characters-missing', 'the font has none of the characters that are asked for');
  }
  const order = inOrder(glyphs, options.glyphOrder ?? 'font', font, mappings);
  const map = new GlyphMap(order, font.table(maxp).numGlyphs);
  const gpos = readLayoutTable(font, 'GPOS', map);
  const gdef = readGdef(font);
  const hasMarks = order.some((glyphId) => gdef?.glyphClasses?.get(glyphId) === markClass);
  const presenceMatters = kinds.marks || kinds.complex || kinds.rightToLeft || hasMarks;
  const layout = once(() =>
    keptLayoutTables(font, map, { gsub, gpos, gdef, isWanted, presenceMatters, hinted }),
  );
  const outlines = once(() => keptGlyf(font, map, hinted, options.shortOutlines === true));
  const metrics = once(() => keptMetrics(font, 'hhea', 'hmtx', map));
  const work = { font, map, hinted, mappings, characters, gsub, gpos, isWanted, outlines, metrics, layout };
  const { tables, dropped } = writeTables(work);
  const licenceText = longLicenceOf(font);
  return {
    font: fontOf(font.flavour, tables),
    characters: {
      had,
      missing,
      companions: [...companions, ...others].sort((a, b) => a - b),
      optional,
    },
    glyphs: { before: font.table(maxp).numGlyphs, after: map.size },
    features: { kept: layout().features, left: unwantedFeatures([gsub, gpos], isWanted) },
    tables: font.tags
      .map((tag) => ({
        tag: tag.trim(),
        before: font.bytesOf(tag).length,
        after: tables.get(tag)?.length ?? 0,
      }))
      .sort((a, b) => b.before - a.before),
    dropped,
    ...(licenceText === undefined ? {} : { licenceText }),
    changes: [...changesOf(font, tables), ...[gsub, gpos].flatMap(damages), ...damagedClasses(gdef)],
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

function charactersOf(
  font: Font,
  { characters: asked, optional: sets = [], marks, features, hinting }: SubsetOptions,
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
  const companions = [...new Set([...drawn, ...measured, ...withMarks(wanted, marks, available)])]
    .filter((c) => available.has(c) && !wanted.has(c))
    .sort((a, b) => a - b);
  const characters = new CodePointSet(companions);
  characters.addAll(wanted);
  return { characters, had, missing, companions, optional };
}

/**
 * Marks for text that comes taken apart, and what they and letters of the set are composed to: else an accent hits its letter,
 * as the font places it by the composed one.
 */
function withMarks(wanted: CodePointSet, marks: CodePointSet | undefined, available: CodePointSet): number[] {
  if (!marks || marks.size === 0) return [];
  const all = new CodePointSet();
  for (const set of [wanted, marks]) all.addAll(set);
  return [...marks.codePoints(), ...composedOf(all, available)];
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

function unwantedFeatures(
  layouts: readonly (LayoutTable | undefined)[],
  isWanted: (tag: string) => boolean,
): string[] {
  const tags = layouts.flatMap((layout) => layout?.features.map(({ tag }) => tag) ?? []);
  return [...new Set(tags)].filter((tag) => !isWanted(tag)).sort();
}
