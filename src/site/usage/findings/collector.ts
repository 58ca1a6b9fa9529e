import type { Finding, Severity } from '../../../findings.js';
import type { AskingRule, PageFace } from '../page-face.js';

export type SiteFinding = Finding & { pages: string[] };

/** Findings once each, with the pages where they hold. */
export class Collector {
  private readonly found = new Map<string, { finding: Finding; pages: Set<string> }>();

  add(one: Finding, pages: Iterable<string>): void {
    const key = JSON.stringify([one.code, one.message, one.place]);
    let known = this.found.get(key);
    if (!known) this.found.set(key, (known = { finding: one, pages: new Set() }));
    for (const page of pages) known.pages.add(page);
  }

  /** The gravest first. */
  all(): SiteFinding[] {
    return [...this.found.values()]
      .map(({ finding: one, pages }) => ({ ...one, pages: [...pages].sort() }))
      .sort(
        (a, b) =>
          severities.indexOf(a.severity) - severities.indexOf(b.severity) || b.pages.length - a.pages.length,
      );
  }
}

const severities: readonly Severity[] = ['error', 'warning', 'note'];

/** The rule that most of the text with a face stands behind, by property. */
export function ruleFor(face: PageFace, property: string): AskingRule | undefined {
  return [...face.rules.values()]
    .filter((one) => one.property === property)
    .sort((a, b) => b.pieces - a.pieces)[0];
}

export const placeOf = (rule: AskingRule | undefined): { file?: string; line?: number; selector?: string } =>
  rule ? { file: rule.file, line: rule.line, selector: rule.selector } : {};
