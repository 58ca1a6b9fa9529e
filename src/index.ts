/**
 * Dense Glyph as a library: what each command does, as a function from a request to a result. Importing it loads next to
 * nothing; each function loads what it needs. `dense-glyph/core` is for fonts in memory, `dense-glyph/site` for pages,
 * `dense-glyph/kit` for the files of a kit.
 *
 * @example
 * import { convert } from 'dense-glyph';
 * const { conversions } = await convert({ fonts: ['fonts'], folder: process.cwd(), formats: ['woff2'], out: 'type' });
 */
import type { build as buildNow } from './app/build.js';
import type { convert as convertNow } from './app/convert.js';
import type { demo as demoNow } from './app/demo.js';
import type { inspect as inspectNow } from './app/inspect.js';
import type { scan as scanNow } from './app/scan.js';
import type { subset as subsetNow } from './app/subset.js';

export { DenseGlyphError, errorCodes, type ErrorCode, type ErrorKind, type Place } from './errors.js';
export { findingCodes, type Finding, type FindingCode, type Severity } from './findings.js';
export { version } from './version.js';
export type { BuildRequest, BuildResult } from './app/build.js';
export type { Conversion, ConvertedFile, ConvertRequest, ConvertResult } from './app/convert.js';
export type { DemoRequest, DemoResult } from './app/demo.js';
export type { InspectEvents, InspectRequest, InspectResult } from './app/inspect.js';
export type { InspectedFont } from './app/inspected-font.js';
export type { DrawingFace, ScannedFace, ScanRequest, ScanResult } from './app/scan.js';
export type { CutFont, SubsetRequest, SubsetResult } from './app/subset.js';
export type { OnProgress, Progress } from './app/progress.js';

/** Describes font files; see `InspectRequest`. */
export const inspect: typeof inspectNow = async (...call) =>
  (await import('./app/inspect.js')).inspect(...call);

/** Converts font files; see `ConvertRequest`. */
export const convert: typeof convertNow = async (...call) =>
  (await import('./app/convert.js')).convert(...call);

/** Cuts fonts down to what text needs; see `SubsetRequest`. */
export const subset: typeof subsetNow = async (...call) => (await import('./app/subset.js')).subset(...call);

/** Says which face draws which characters of a site; see `ScanRequest`. */
export const scan: typeof scanNow = async (...call) => (await import('./app/scan.js')).scan(...call);

/** Builds the kit that a config describes; see `BuildRequest`. */
export const build: typeof buildNow = async (...call) => (await import('./app/build.js')).build(...call);

/** Runs the whole job on the sample site; see `DemoRequest`. */
export const demo: typeof demoNow = async (...call) => (await import('./app/demo.js')).demo(...call);
