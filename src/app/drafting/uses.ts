import { faceLabel } from '../../core/face/index.js';
import type { FoundOnSite } from '../project/reading/scan-threads.js';

/** How the pages of a site use a family. */
export interface FamilyUse {
  /** Pieces of text behind rules with these selectors. */
  body: number;
  headings: number;
  code: number;
  /** The stack behind it, as the first rule has it that has one. */
  stack: readonly string[];
  /** On how many pages each face of it is. */
  faces: Map<string, number>;
  /** Whether a page draws it at once. */
  isDrawn: boolean;
}

/** By the families' names in small letters. */
export type FamilyUses = ReadonlyMap<string, FamilyUse>;

const headings = /(^|[\s,>+~])h[1-6]\b|title|head/i;
const code = /(^|[\s,>+~])(code|pre|kbd|samp|tt)\b|mono|code/i;

/** Families that pages draw, or may draw. */
export function familyUses(pages: FoundOnSite['pages']): FamilyUses {
  const uses = new Map<string, FamilyUse>();
  const useOf = (family: string) => {
    const key = family.toLowerCase();
    const known = uses.get(key) ?? {
      body: 0,
      headings: 0,
      code: 0,
      stack: [],
      faces: new Map<string, number>(),
      isDrawn: false,
    };
    uses.set(key, known);
    return known;
  };
  for (const { faces } of pages) {
    for (const { asked, stack, rules, drawn, possible } of faces.values()) {
      if (drawn.size + possible.size === 0) continue;
      const label = faceLabel({ weight: [asked.weight, asked.weight], style: asked.style });
      for (const [i, family] of stack.entries()) {
        const use = useOf(family);
        use.faces.set(label, (use.faces.get(label) ?? 0) + 1);
        use.isDrawn ||= drawn.size > 0;
        if (use.stack.length === 0) use.stack = stack.slice(i + 1);
      }
      const [first] = stack;
      if (first === undefined) continue;
      for (const { property, selector, pieces } of rules.values())
        if (property === 'font-family') useOf(first)[kindOfText(selector)] += pieces;
    }
  }
  return uses;
}

/** A rule that is for other text too, as a reset of everything, is for the body. */
function kindOfText(selectors: string): 'body' | 'headings' | 'code' {
  const all = selectors.split(',');
  if (all.every((selector) => code.test(selector))) return 'code';
  return all.every((selector) => headings.test(selector)) ? 'headings' : 'body';
}

/** `drawn: 400 on 2 pages`; empty where no page uses it. */
export function useText(use: FamilyUse | undefined): string {
  const faces = [...(use?.faces ?? [])].sort(([, a], [, b]) => b - a);
  const texts = faces.map(([face, pages]) => `${face} on ${pages === 1 ? '1 page' : `${pages} pages`}`);
  const shown = `${texts.slice(0, 4).join(', ')}${texts.length > 4 ? ' …' : ''}`;
  return shown === '' ? '' : `${use?.isDrawn ? 'drawn' : 'may be drawn'}: ${shown}`;
}
