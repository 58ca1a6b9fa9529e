// CSS Cascade 6, section 2.5: `@scope`

import { compileSelectors, type CompiledSelector, type MatchContext } from '../css/selectors/index.js';
import { componentsOf, textOf, tokensOf } from '../css/tokens.js';
import type { SiteElement } from '../html/document.js';

/** Where rules of a `@scope` hold. */
export interface Scope {
  /** The roots that an element lies in, the nearest first, each with how many steps away it is. */
  rootsOf(element: SiteElement, context: MatchContext): { root: SiteElement; steps: number }[];
}

/** @param prelude `(from) to (limit)` @returns 'unknown' where it can't be read: its rules are dropped */
export function scopedBy(prelude: string): Scope | 'unknown' {
  const parts = componentsOf(tokensOf(prelude)).map(textOf);
  const at = parts.findIndex((part) => part.toLowerCase() === 'to');
  const from = selectorsIn(at === 0 ? undefined : parts[0]);
  const limit = selectorsIn(at < 0 ? undefined : parts[at + 1]);
  // Without a root it is the parent of the style element, which is looked at as the root of the page.
  if (from === 'unknown' || limit === 'unknown') return 'unknown';
  return {
    rootsOf(element, context) {
      const found: { root: SiteElement; steps: number }[] = [];
      let steps = 0;
      for (let at: SiteElement | undefined = element; at; at = at.parent, steps++) {
        const root = at;
        const isRoot = from ? from.some(({ matches }) => matches(root, context)) : !root.parent;
        if (isRoot && !isBeyond(limit, element, root, context)) found.push({ root, steps });
      }
      return found;
    },
  };
}

/** Whether something between the root and the element is a limit. */
function isBeyond(
  limit: readonly CompiledSelector[] | undefined,
  element: SiteElement,
  root: SiteElement,
  context: MatchContext,
): boolean {
  if (!limit) return false;
  const within = { ...context, scope: root };
  for (let at: SiteElement | undefined = element; at && at !== root; at = at.parent) {
    const one = at;
    if (limit.some(({ matches, namesScope }) => matches(one, namesScope ? within : context))) return true;
  }
  return false;
}

/** @param text in brackets */
function selectorsIn(text: string | undefined): readonly CompiledSelector[] | 'unknown' | undefined {
  if (text === undefined) return undefined;
  const inner = text.replace(/^\(|\)$/g, '').trim();
  return compileSelectors(/^[>+~]/.test(inner) ? `:scope ${inner}` : inner, undefined) ?? 'unknown';
}
