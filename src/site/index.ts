/** Pages of a site: reading them, and putting the kit's markup into them. */
export { insertIntoHead } from './head-insertion.js';
