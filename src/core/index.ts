/**
 * Computation on fonts: bytes in, bytes out. Knows nothing of files, network or terminal.
 */
export { DenseGlyphError, errorCodes, type ErrorCode, type Place } from '../errors.js';
export { findingCodes, type Finding, type FindingCode, type Severity } from '../findings.js';
export {
  fontFormats,
  mediaTypes,
  openFont,
  openFonts,
  writeFont,
  type FontFormat,
  type OpenedFont,
  type WriteOptions,
  type WrittenFont,
} from './containers/index.js';
export { Font, fontOf, type Flavour, type TableModule } from './sfnt/font.js';
export {
  outlinesOf,
  Outline,
  svgPathData,
  toTrueType,
  type GlyphOutlines,
  type OutlineSink,
  type TrueTypeConversion,
} from './outlines/index.js';
export { subsetFont, type Subset, type SubsetOptions } from './subset/index.js';
export { joinFonts, type Joined } from './join/index.js';
export { smallestSubset } from './subset/smallest.js';
export { glyphOrders, type GlyphOrder } from './subset/glyph-order.js';
export type { FeatureChoice } from './subset/features.js';
export { parseUnicodeRanges } from './text/parse-ranges.js';
export { CodePointSet } from './text/code-point-set.js';
export { lettersOfLanguage, requestedLanguage, type RequestedLanguage } from './text/requested-language.js';
export { licenceOf, type StatedLicence } from './face/licence.js';
export { recogniseLicence, type RecognisedLicence } from './sfnt/open-licences.js';
export {
  familiesOf,
  inspectFont,
  type CoverageCache,
  type FamilyGrid,
  type Inspection,
  type InspectionOptions,
} from './inspection/index.js';
export * as tables from './tables/index.js';
export * from './face/index.js';
export { slug } from './face/slug.js';
export {
  chooseFaces,
  openFile,
  sourcesOf,
  type NamedFace,
  type NamedFile,
  type OpenedFace,
  type Source,
} from './source/index.js';
export { rangesOf, unicodeRangeText, type CodePointRanges } from './text/unicode-ranges.js';
