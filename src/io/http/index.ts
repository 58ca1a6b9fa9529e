/** Fetching with limits: what a site may make this program do, and for how long. */
export { HttpClient, type Fetched } from './client.js';
