import type { FindingCode } from '../../findings.js';
import type { HostedReference } from './hosted-references.js';

/** Something that is wrong on a page: what it names and isn't there, that it can't be read, or what else a fact of it says. */
export interface SiteProblem {
  code: FindingCode;
  url: string;
  file: string;
  line: number;
  family?: string;
  /** Why, where it isn't that the file is missing. */
  reason?: string;
  /** What is told, where that isn't a file which can't be had. */
  message?: string;
  advice?: string;
  /** The same file elsewhere, as it would be written. */
  nearest?: string | undefined;
}

/** A stylesheet that does nothing but declare faces. */
export interface LinkedStylesheet {
  /** As the user would write it. */
  url: string;
  /** What leads to it. */
  file: string;
  line: number;
}

export type OnPages<Found> = Found & { pages: string[] };

/** What was found while pages were read: each once, with the pages where. */
export class FoundOnPages<Found extends { file: string; line: number; url: string }> {
  private readonly found = new Map<string, { one: Found; pages: Set<string> }>();

  /** @param what tells it from other kinds */
  add(what: string, one: Found, pages: Iterable<string>): void {
    const key = `${what} ${one.file}:${one.line} ${one.url}`;
    let known = this.found.get(key);
    if (!known) this.found.set(key, (known = { one, pages: new Set() }));
    for (const page of pages) known.pages.add(page);
  }

  all(): OnPages<Found>[] {
    return Array.from(this.found.values(), ({ one, pages }) => ({ ...one, pages: [...pages] }));
  }

  clear(): void {
    this.found.clear();
  }
}

export const newProblems = (): FoundOnPages<SiteProblem> => new FoundOnPages<SiteProblem>();
export const newReferences = (): FoundOnPages<HostedReference> => new FoundOnPages<HostedReference>();
export const newStylesheets = (): FoundOnPages<LinkedStylesheet> => new FoundOnPages<LinkedStylesheet>();
