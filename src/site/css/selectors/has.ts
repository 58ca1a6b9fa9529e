// Selectors 4, section 4.5: `:has()`

import type { CssNode, Selector } from 'css-tree';
import { elementsWithin, type SiteElement } from '../../html/document.js';
import { UnknownSelector, type CompiledSelector, type Compiling, type Matcher } from './matcher.js';

/** Its selectors start from the element. @throws UnknownSelector */
export function has(inner: readonly CssNode[], compiling: Compiling): Matcher {
  const [list] = inner;
  if (list?.type !== 'SelectorList') throw new UnknownSelector();
  const compiled: CompiledSelector[] = [];
  const matchers = [...list.children].map((selector): Matcher => {
    if (selector.type !== 'Selector') throw new UnknownSelector();
    const nodes = [...selector.children];
    const combinator = nodes[0]?.type === 'Combinator' ? nodes[0].name : ' ';
    const rest = nodes[0]?.type === 'Combinator' ? nodes.slice(1) : nodes;
    const target = compiling.compile(
      { ...selector, children: rest as unknown as Selector['children'] },
      undefined,
    );
    compiled.push(target);
    return (element, context) => candidates(element, combinator).some((one) => target.matches(one, context));
  });
  compiling.include(compiled);
  return (element, context) => matchers.some((matches) => matches(element, context));
}

/** Elements that a relative selector may mean. */
function candidates(element: SiteElement, combinator: string): readonly SiteElement[] {
  const siblings = element.parent?.elements ?? [];
  switch (combinator) {
    case '>':
      return element.elements;
    case '+':
      return siblings.slice(element.index + 1, element.index + 2);
    case '~':
      return siblings.slice(element.index + 1);
    default:
      return elementsWithin(element).slice(1);
  }
}
