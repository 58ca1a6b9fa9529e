/** Pages of a site: reading them, and putting the kit's markup into them. */
export { pageStyles, type PageStyles } from './page-styles.js';
export { stringsOf } from './css-tokens.js';
export { importsOf, requestedFeatures } from './requested-features.js';
export { insertIntoHead } from './head-insertion.js';
