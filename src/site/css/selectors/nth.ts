// Selectors 4, section 13: positions among siblings

import type { CssNode } from 'css-tree';
import { siblingsOf } from './pseudo-classes.js';
import { any, forgiving, UnknownSelector, type Compiling, type Matcher } from './matcher.js';

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
  return (element, context) => {
    const fits: (other: typeof element) => boolean = (other) =>
      (!isType || other.name === element.name) && (!among || among(other, context));
    if (!fits(element)) return false;
    const siblings = siblingsOf(element);
    let position = isType || among ? 0 : isLast ? siblings.length - element.index : element.index + 1;
    if (isType || among) {
      const [start, end] = isLast ? [element.index, siblings.length - 1] : [0, element.index];
      for (let i = start; i <= end; i++) if (fits(siblings[i])) position++;
    }
    const steps = (position - b) / (a || 1);
    return a === 0 ? position === b : Number.isInteger(steps) && steps >= 0;
  };
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
