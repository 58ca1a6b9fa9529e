// How much a page may make one compare, and what was found meanwhile

import type { SiteElement } from '../../html/document.js';

/** Looks at elements that a page may cost. The heaviest of 800 public pages takes a fifteenth; this many take a few seconds. */
const mostLooks = 5_000_000;
/** A page has more rules and elements than are compared. */
export class TooMuchWork extends Error {}

/** What matching the rules of one page has cost, and what it has found. */
export class MatchingWork {
  private left = mostLooks;
  private readonly found = new Map<unknown, Map<SiteElement, unknown>>();

  /** @throws TooMuchWork */
  spend(looks: number): void {
    this.left -= looks;
    if (this.left < 0) throw new TooMuchWork();
  }

  get isSpent(): boolean {
    return this.left < 0;
  }

  /** What a part of a selector has found, by element. */
  foundBy(part: unknown): Map<SiteElement, unknown> {
    let found = this.found.get(part);
    if (!found) this.found.set(part, (found = new Map<SiteElement, unknown>()));
    return found;
  }
}
