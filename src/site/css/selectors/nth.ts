// Selectors 4, section 13: positions among siblings

import type { CssNode } from 'css-tree';
import type { SiteElement } from '../../html/document.js';
import { any, forgiving, UnknownSelector, type Compiling, type Matcher } from './matcher.js';
import { siblingsOf } from './pseudo-classes.js';
import { Remembered } from './remembered.js';

/** `:nth-child()` and the like. @throws UnknownSelector */
export function nth(name: string, inner: readonly CssNode[], compiling: Compiling): Matcher {
  const [node] = inner;
  if (node?.type !== 'Nth') throw new UnknownSelector();
  const [a, b] = stepOf(node.nth);
  const selectors = node.selector ? forgiving([node.selector], compiling) : undefined;
  if (selectors) compiling.include(selectors);
  const among = selectors && any(selectors);
  const isLast = name.includes('last');
  const isType = name.endsWith('of-type');
  const places = new Remembered<ReadonlyMap<SiteElement, number>>();
  return (element, context) => {
    const siblings = siblingsOf(element);
    const place = () => {
      if (!isType && !among) return isLast ? siblings.length - element.index : element.index + 1;
      const [first] = siblings;
      context.work.spend(1);
      const known =
        places.get(first, context) ??
        places.set(
          first,
          context,
          placesOf(
            siblings.filter((one) => !among || among(one, context)),
            { isType, isLast },
          ),
        );
      return known.get(element);
    };
    const position = place();
    if (position === undefined) return false;
    const steps = (position - b) / (a || 1);
    return a === 0 ? position === b : Number.isInteger(steps) && steps >= 0;
  };
}

/** From 1, of all of them or of those of each type. */
function placesOf(
  siblings: readonly SiteElement[],
  { isType, isLast }: { isType: boolean; isLast: boolean },
): ReadonlyMap<SiteElement, number> {
  const places = new Map<SiteElement, number>();
  const counts = new Map<string, number>();
  for (const one of isLast ? [...siblings].reverse() : siblings) {
    const kind = isType ? one.name : '';
    const count = (counts.get(kind) ?? 0) + 1;
    counts.set(kind, count);
    places.set(one, count);
  }
  return places;
}

function stepOf(node: CssNode): [a: number, b: number] {
  if (node.type === 'Identifier') return node.name.toLowerCase() === 'even' ? [2, 0] : [2, 1];
  if (node.type !== 'AnPlusB') throw new UnknownSelector();
  const number = (text: string | null | undefined, missing: number) =>
    text === null || text === undefined
      ? missing
      : text === '+' || text === ''
        ? 1
        : text === '-'
          ? -1
          : Number(text);
  return [number(node.a, 0), number(node.b, 0)];
}
