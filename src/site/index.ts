/** Pages of a site: reading them and their styles, what they ask of fonts, and putting the kit's markup into them. */
export { decodedPage, decodedStylesheet } from './html/encoding.js';
export { attributeValues, readPage, type Page } from './html/page.js';
export { readStylesheet, type Declaration, type Stylesheet } from './css/stylesheet.js';
export { addCustomProperties, type CustomProperties } from './css/custom-properties.js';
export { generatedTextOf, type GeneratedText } from './usage/generated-text.js';
export { readPages, type PageDemand, type SiteFiles } from './usage/page-demand.js';
export { requestedFeatures } from './usage/requested-features.js';
export type { DrawnBesides, RequestedFeatures } from './usage/styled-files.js';
export { transformedText, type TextTransform } from './usage/transformed-text.js';
export { insertIntoHead } from './edits/head-insertion.js';
