/** What one fetch may take. */
export const limits = {
  /** As many as browsers follow is twenty; sites that need more than a few are in a circle. */
  redirects: 8,
  retries: 1,
  /** Milliseconds. */
  retryWait: 1000,
  time: 20_000,
  /** At once to a host; it may be a small one. */
  connections: 2,
  /** The largest font files have some 20 MB; pages and stylesheets are far from it. */
  bytes: 30_000_000,
} as const;
