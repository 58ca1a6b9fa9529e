// Selectors 4, section 15: combinators

import type { SiteElement } from '../../html/document.js';
import { UnknownSelector, type Matcher } from './matcher.js';

/** Where the element on the left of each combinator is looked for, as seen from the one on the right. */
const combinators: Readonly<Record<string, (left: Matcher) => Matcher>> = {
  '>': (left) => (element, context) => {
    const parent = around(element, context.host);
    return parent !== undefined && left(parent, context);
  },
  ' ': (left) => (element, context) => {
    for (let at = around(element, context.host); at; at = around(at, context.host))
      if (left(at, context)) return true;
    return false;
  },
  '+': (left) => (element, context) => {
    const before = element.parent?.elements[element.index - 1];
    return before !== undefined && left(before, context);
  },
  '~': (left) => (element, context) => {
    const { parent } = element;
    for (let i = element.index - 1; parent && i >= 0; i--) if (left(parent.elements[i], context)) return true;
    return false;
  },
};

/** The parent; behind the root of a shadow tree its host, which only `:host` matches. */
const around = (element: SiteElement, host: SiteElement | undefined): SiteElement | undefined =>
  element === host ? undefined : (element.parent?.host ?? element.parent);

/** @throws UnknownSelector */
export function combined(left: Matcher, right: Matcher, combinator: string): Matcher {
  if (!Object.hasOwn(combinators, combinator)) throw new UnknownSelector();
  const meets = combinators[combinator](left);
  return (element, context) => right(element, context) && meets(element, context);
}

/** Whether a combinator looks beside the element. */
export const looksBeside = (combinator: string): boolean => combinator === '+' || combinator === '~';
