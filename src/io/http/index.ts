/** Fetching with limits: what a site may make this program do, and for how long. */
export { HttpClient, type ClientOptions, type Fetched, type Validators } from './client.js';
export { networkReason, statusReason } from './failure.js';
export { InnerAddressError, type NamedHosts } from './guard.js';
