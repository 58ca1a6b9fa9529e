import { createRequire } from 'node:module';

/** The version of this package. */
export function version(): string {
  const { version: own } = createRequire(import.meta.url)('../package.json') as { version: string };
  return own;
}
