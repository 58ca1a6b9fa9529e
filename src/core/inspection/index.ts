/**
 * A thorough look inside a font: `inspectFont` says what it is called, what is in it, what CSS sees, which languages it
 * covers, what its licence says and where it is in trouble; `familiesOf` puts the faces of several fonts together.
 */
import type { FontFormat } from '../containers/formats.js';
import { faceStyleOf, type FaceStyle } from '../face/style.js';
import { layoutListsOf } from '../layout/common/feature-list.js';
import type { Font } from '../sfnt/font.js';
import { licenceOf, type StatedLicence } from '../face/licence.js';
import { recogniseLicence, type RecognisedLicence } from '../sfnt/open-licences.js';
import * as cmap from '../tables/cmap.js';
import * as fvar from '../tables/fvar.js';
import * as maxp from '../tables/maxp.js';
import * as name from '../tables/name.js';
import type { CodePointSet } from '../text/code-point-set.js';
import { languagesOf, type LanguageCoverage } from '../text/languages.js';
import { mappedCharacters } from '../text/mapped-characters.js';
import { scriptsOf, type ScriptCoverage } from '../text/scripts.js';
import { unicodeRangeText } from '../text/unicode-ranges.js';
import { featureWords, isAppliedByDefault } from '../../data/feature-names.js';
import type { Finding } from '../../findings.js';
import { findingsOf } from './findings.js';
import { hintingOf, type Hinting } from './hinting.js';
import { namesOf, type FontNames } from './names.js';
import { verticalMetricsOf, type VerticalMetrics } from './vertical-metrics.js';

export { familiesOf, type FamilyGrid } from './families.js';
export type { FontNames, Hinting, VerticalMetrics };

export interface InspectedFeature {
  tag: string;
  /** What it does, in plain words; the font's own name for a stylistic set where it gives one. */
  words: string;
  tables: ('GSUB' | 'GPOS')[];
  /** Browsers apply it without being asked. */
  byDefault: boolean;
}

export interface InspectedAxis {
  tag: string;
  name: string;
  minimum: number;
  start: number;
  maximum: number;
  /** Not meant for people to set. */
  hidden: boolean;
}

export interface Inspection {
  format: FontFormat;
  names: FontNames;
  face: FaceStyle;
  findings: Finding[];
  outlines: 'TrueType' | 'CFF' | 'CFF2' | 'bitmaps' | 'none';
  hinting: Hinting;
  /** Tables with colours or pictures: `COLR`, `SVG`, `CBDT`, `sbix`. */
  colour: string[];
  glyphs: number;
  characters: number;
  /** As `unicode-range` writes them. */
  characterRanges: string;
  axes: InspectedAxis[];
  instances: { name: string; coordinates: Record<string, number> }[];
  features: InspectedFeature[];
  layoutScripts: string[];
  layoutLanguages: string[];
  scripts: ScriptCoverage[];
  languages: LanguageCoverage[];
  metrics: VerticalMetrics;
  licence: StatedLicence & { recognised?: RecognisedLicence };
  weight: {
    /** Bytes of the file, or of one face of a collection as if it stood alone. */
    file: number;
    /** Bytes of each table without padding, the largest first. */
    tables: { tag: string; bytes: number }[];
  };
}

export interface InspectionOptions {
  /** Without its folder; compared with what the font says of itself. */
  fileName?: string;
  /** Texts found beside the file, where an open licence is looked for too. */
  licenceTexts?: readonly string[];
  /** What was found out about character sets, for faces of a collection that share theirs. */
  coverage?: CoverageCache;
}

interface Coverage {
  characters: CodePointSet;
  ranges: string;
  scripts: ScriptCoverage[];
  languages: LanguageCoverage[];
}

/** By where the cmap table starts in the file. */
export type CoverageCache = Map<number, Coverage>;

/**
 * @param size bytes of the file
 * @throws DenseGlyphError `table-missing` without head or hhea, `table-damaged`
 */
export function inspectFont(
  font: Font,
  format: FontFormat,
  size: number,
  options: InspectionOptions = {},
): Inspection {
  const { face, findings } = faceStyleOf(font);
  const metrics = verticalMetricsOf(font);
  const coverage = coverageOf(font, options.coverage ?? new Map<number, Coverage>());
  const lists = layoutListsOf(font);
  const stated = licenceOf(font);
  const own = [stated.licence, stated.licenceUrl, stated.copyright].filter((text) => text !== undefined);
  const recognised = recogniseLicence([...own, ...(options.licenceTexts ?? [])]);
  return {
    format,
    names: namesOf(font),
    face,
    findings: findingsOf(font, face, findings, metrics, options.fileName, format),
    outlines: outlineKind(font),
    hinting: hintingOf(font),
    colour: ['COLR', 'SVG ', 'CBDT', 'sbix'].filter((tag) => font.has(tag)).map((tag) => tag.trim()),
    glyphs: font.optional(maxp)?.numGlyphs ?? 0,
    characters: coverage.characters.size,
    characterRanges: coverage.ranges,
    ...variationsOf(font),
    features: lists.features.map(({ tag, tables, label }) => ({
      tag,
      words: label ?? featureWords(tag) ?? 'of the font’s own',
      tables,
      byDefault: isAppliedByDefault(tag),
    })),
    layoutScripts: lists.scripts,
    layoutLanguages: lists.languageSystems,
    scripts: coverage.scripts,
    languages: coverage.languages,
    metrics,
    licence: { ...stated, ...(recognised ? { recognised } : {}) },
    weight: { file: size, tables: tableWeights(font) },
  };
}

function coverageOf(font: Font, cache: CoverageCache): Coverage {
  const start = font.has(cmap.tag) ? font.bytesOf(cmap.tag).byteOffset : -1;
  const known = cache.get(start);
  if (known) return known;
  const characters = mappedCharacters(font);
  const scripts = scriptsOf(characters);
  const coverage = {
    characters,
    ranges: unicodeRangeText(characters.ranges()),
    scripts,
    languages: languagesOf(characters, scripts),
  };
  cache.set(start, coverage);
  return coverage;
}

function outlineKind(font: Font): Inspection['outlines'] {
  if (font.has('glyf')) return 'TrueType';
  if (font.has('CFF2')) return 'CFF2';
  if (font.has('CFF ')) return 'CFF';
  return font.has('CBDT') || font.has('EBDT') || font.has('sbix') ? 'bitmaps' : 'none';
}

/** fvar, flags of an axis: bit 0. */
const hiddenAxis = 0x0001;

function variationsOf(font: Font): Pick<Inspection, 'axes' | 'instances'> {
  const table = font.optional(fvar);
  if (!table) return { axes: [], instances: [] };
  const names = font.optional(name);
  const nameOf = (id: number) => (names && name.nameOf(names, id)) ?? '';
  return {
    axes: table.axes.map((axis) => ({
      tag: axis.axisTag,
      name: nameOf(axis.axisNameID),
      minimum: axis.minValue,
      start: axis.defaultValue,
      maximum: axis.maxValue,
      hidden: (axis.flags & hiddenAxis) !== 0,
    })),
    instances: table.instances.map(({ subfamilyNameID, coordinates }) => ({
      name: nameOf(subfamilyNameID),
      coordinates: Object.fromEntries(table.axes.map(({ axisTag }, i) => [axisTag, coordinates[i]])),
    })),
  };
}

function tableWeights(font: Font): Inspection['weight']['tables'] {
  const weights = font.tags.map((tag) => ({ tag: tag.trim(), bytes: font.bytesOf(tag).length }));
  return weights.sort((a, b) => b.bytes - a.bytes || (a.tag < b.tag ? -1 : 1));
}
