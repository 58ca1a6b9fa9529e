/**
 * Dense Glyph as a library: what each command does, as a function from a request to a result. Importing it loads next to
 * nothing; each function loads what it needs. `dense-glyph/core` is for fonts in memory, `dense-glyph/site` for pages,
 * `dense-glyph/kit` for the files of a kit.
 *
 * @example
 * import { convert } from 'dense-glyph';
 * const { conversions } = await convert({ fonts: ['fonts'], folder: process.cwd(), formats: ['woff2'], out: 'type' });
 */
export { DenseGlyphError, errorCodes, type ErrorCode, type ErrorKind, type Place } from './errors.js';
export { findingCodes, type Finding, type FindingCode, type Severity } from './findings.js';
export { version } from './version.js';
export type { InspectedFont } from './app/fonts/inspected-font.js';
export type { OnProgress, Progress } from './app/progress.js';
export * from './use-cases.js';
