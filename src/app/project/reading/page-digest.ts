import { sha256 } from '../../../kit/digest.js';
import { withoutBlock } from '../../../kit/planning/visits.js';
import type { SitePage } from '../../../site/scanning/site.js';

/** SHA-256 of what a server sends for a page, without what wire put in; undefined where a browser alone has seen it. */
export function digestOf({ sent, read }: Pick<SitePage, 'sent' | 'read'>): string | undefined {
  const content = sent?.() ?? read();
  if (typeof content === 'string') return undefined;
  const own = withoutBlock(content);
  return sha256(typeof own === 'string' ? new TextEncoder().encode(own) : own);
}
