import type { PageSteps } from '../../../io/browsers/page-steps.js';

/** What gives the text of a page: the network, or a browser that ran its scripts. */
export type PageReader = (url: string, steps?: PageSteps) => Promise<ReadPage | { reason: string }>;

export interface ReadPage {
  /** After redirects. */
  url: string;
  html: string;
  /** What a browser showed before it, while the page was loaded. */
  earlier?: readonly string[];
  /** As the server sent it; undefined where a browser made it. */
  bytes?: Uint8Array;
  charset?: string | undefined;
  /** Content-Security-Policy headers. */
  policies?: readonly string[];
}
