// Selectors 4, section 15: combinators

import type { SiteElement } from '../../html/document.js';
import { UnknownSelector, type MatchContext, type Matcher } from './matcher.js';
import { searchedBy, searchedOnce } from './remembered.js';

/** The one element that a combinator means, as seen from the one on its right. */
const nearest: Readonly<Record<string, (left: Matcher) => Matcher>> = {
  '>': (left) => (element, context) => {
    const parent = around(element, context.host);
    return parent !== undefined && left(parent, context);
  },
  '+': (left) => (element, context) => {
    const beside = before(element);
    return beside !== undefined && left(beside, context);
  },
};

const before = ({ parent, index }: SiteElement): SiteElement | undefined => parent?.elements[index - 1];

/** The parent; behind the root of a shadow tree its host, which only `:host` matches. */
const around = (element: SiteElement, host: SiteElement | undefined): SiteElement | undefined =>
  element === host ? undefined : (element.parent?.host ?? element.parent);

const outwards = (element: SiteElement, { host }: MatchContext) => around(element, host);

/** Those that look at one element after the other. */
const searching: Readonly<
  Record<string, (element: SiteElement, context: MatchContext) => SiteElement | undefined>
> = {
  ' ': outwards,
  '~': before,
};

/**
 * @param isSearched whether the left one looks far itself
 * @throws UnknownSelector
 */
export function combined(left: Matcher, right: Matcher, combinator: string, isSearched: boolean): Matcher {
  const meets = meeting(left, combinator, isSearched);
  return (element, context) => right(element, context) && meets(element, context);
}

function meeting(left: Matcher, combinator: string, isSearched: boolean): Matcher {
  if (Object.hasOwn(nearest, combinator)) return nearest[combinator](left);
  if (!Object.hasOwn(searching, combinator)) throw new UnknownSelector();
  return (isSearched ? searchedOnce : searchedBy)(left, searching[combinator]);
}

/** Whether a combinator looks at more than one element. */
export const looksFar = (combinator: string): boolean => combinator === ' ' || combinator === '~';
/** Whether it looks beside the element. */
export const looksBeside = (combinator: string): boolean => combinator === '+' || combinator === '~';
