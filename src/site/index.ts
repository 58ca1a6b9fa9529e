/** Pages of a site: reading them and their styles, and putting the kit's markup into them. */
export { attributeValues, readPage, type Page } from './page.js';
export { generatedTextOf, type GeneratedText } from './generated-text.js';
export { requestedFeatures } from './requested-features.js';
export { readStylesheet, type Declaration, type Stylesheet } from './stylesheet.js';
export { addCustomProperties, type CustomProperties } from './custom-properties.js';
export { transformedText, type TextTransform } from './transformed-text.js';
export { insertIntoHead } from './head-insertion.js';
