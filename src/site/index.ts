/**
 * Pages of a site: reading them and their styles, what they ask of fonts, and putting the kit's markup into them. Text in,
 * facts and edits out; files come through the port `Site`.
 *
 * @example
 * const html = '<style>b { font: 700 1em Harbour }</style><b>Pier</b>';
 * const site = siteOf(new Map([['index.html', new TextEncoder().encode(html)]]));
 * const [{ faces }] = await new PageScanner(site).scanned(site.pages[0]); // 'Harbour' at 700 draws P, i, e and r
 */
export { decodedPage, decodedStylesheet } from './html/encoding.js';
export { PageScanner, type ScannedPage, type ScanOptions } from './scanning/page-scanner.js';
export type { PageRequest } from './scanning/requests.js';
export type { Site, SitePage } from './scanning/site.js';
export { siteOf } from './scanning/site-of-files.js';
export { readRules, type StyleRules } from './css/rules.js';
export { computedStyle, initialStyle, type ComputedStyle } from './cascade/computed.js';
export { longhands, shorthands } from './css/properties/index.js';
export { PageTexts, type AskedOfFont } from './usage/page-texts.js';
export type { TextBlock, TextRun, TextStyle } from './usage/text-blocks.js';
export type { PageFace } from './usage/page-face.js';
export type { DrawnBesides, RequestedFeatures } from './usage/styled-files.js';
export { transformedText, type TextTransform } from './usage/transformed-text.js';
export { insertIntoHead } from './edits/head-insertion.js';
