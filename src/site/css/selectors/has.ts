// Selectors 4, section 4.5: `:has()`

import type { CssNode, Selector } from 'css-tree';
import type { SiteElement } from '../../html/document.js';
import { once, searchedOnce } from './remembered.js';
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
    return reaching(target.matches, combinator);
  });
  compiling.include(compiled);
  return (element, context) => matchers.some((matches) => matches(element, context));
}

/** Whether a relative selector means some element. */
function reaching(target: Matcher, combinator: string): Matcher {
  switch (combinator) {
    case '>':
      return once((element, context) => element.elements.some((one) => target(one, context)));
    case '+':
      return (element, context) => {
        const beside = after(element);
        return beside !== undefined && target(beside, context);
      };
    case '~':
      return searchedOnce(target, after);
    default: {
      const within: Matcher = once((element, context) =>
        element.elements.some((one) => target(one, context) || within(one, context)),
      );
      return within;
    }
  }
}

const after = ({ parent, index }: SiteElement): SiteElement | undefined => parent?.elements[index + 1];
