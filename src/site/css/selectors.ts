// Selectors 4, Nesting 1, Scoping 1: selectors compiled once and matched many times

import { ident, type CssNode, type PseudoClassSelector, type Selector, type SelectorList } from 'css-tree';
import { elementsWithin, type SiteElement } from '../html/document.js';
import {
  dir,
  lang,
  siblingsOf,
  stateNames,
  structure,
  UnknownSelector,
  type Matcher,
} from './pseudo-classes.js';

export interface CompiledSelector {
  matches: Matcher;
  /** Of ids, of classes and the like, of types (Selectors 4, section 17). */
  specificity: readonly [number, number, number];
  /** Without colons; undefined for the element itself. */
  pseudoElement: string | undefined;
  /** What an element must have to match at all, for an index of rules. */
  key: { id?: string; className?: string; type?: string };
  /** Whether it depends on a state. */
  hasState: boolean;
}

type Specificity = [number, number, number];

/** What `&` stands for. */
export type Outer = readonly CompiledSelector[] | undefined;

/**
 * @param outer the selectors of the rule around, for `&`
 * @returns undefined where one of them isn't known: then the rule is dropped, as in a browser
 */
export function compileSelectors(list: SelectorList, outer: Outer): CompiledSelector[] | undefined {
  try {
    const compiled: CompiledSelector[] = [];
    for (const node of list.children) {
      if (node.type !== 'Selector') return undefined;
      compiled.push(compileSelector(node, outer));
    }
    return compiled;
  } catch (cause) {
    if (cause instanceof UnknownSelector) return undefined;
    throw cause;
  }
}

interface Compound {
  matchers: Matcher[];
  combinator: string;
  key: CompiledSelector['key'];
}

function compileSelector(selector: Selector, outer: Outer): CompiledSelector {
  const specificity: Specificity = [0, 0, 0];
  const state = { hasState: false };
  let pseudoElement: string | undefined;
  const compounds: Compound[] = [{ matchers: [], combinator: ' ', key: {} }];
  const nodes = [...selector.children];
  const isNested = outer !== undefined && !nodes.some(({ type }) => type === 'NestingSelector');
  if (isNested) {
    const hasCombinator = nodes[0]?.type === 'Combinator';
    compounds[0].matchers.push(nestingMatcher(outer, specificity, state));
    if (!hasCombinator) compounds.push({ matchers: [], combinator: ' ', key: {} });
  }
  for (const node of nodes) {
    const compound = compounds[compounds.length - 1];
    switch (node.type) {
      case 'Combinator':
        if (compound.matchers.length === 0 && compounds.length === 1) throw new UnknownSelector();
        compounds.push({ matchers: [], combinator: node.name, key: {} });
        break;
      case 'PseudoElementSelector':
        pseudoElement = pseudoElementOf(node.name);
        specificity[2]++;
        break;
      case 'PseudoClassSelector':
        if (oldPseudoElements.has(node.name.toLowerCase())) {
          pseudoElement = node.name.toLowerCase();
          specificity[2]++;
        } else compound.matchers.push(pseudoClass(node, specificity, state, outer));
        break;
      default:
        compound.matchers.push(simple(node, compound, specificity, state, outer));
    }
  }
  const { key } = compounds[compounds.length - 1];
  return { matches: chain(compounds), specificity, pseudoElement, key, ...state };
}

const oldPseudoElements: ReadonlySet<string> = new Set(['before', 'after', 'first-letter', 'first-line']);
const knownPseudoElements =
  /^(before|after|marker|first-letter|first-line|placeholder|file-selector-button|selection|backdrop|cue|slotted|part|details-content|target-text|spelling-error|grammar-error|highlight|view-transition.*|scroll-.*|checkmark|picker.*|-webkit-.*|-moz-placeholder|-moz-focus-inner)$/;

function pseudoElementOf(name: string): string {
  const plain = name.toLowerCase();
  if (!knownPseudoElements.test(plain) || plain.startsWith('-moz-focus')) throw new UnknownSelector();
  if (plain === '-webkit-input-placeholder') return 'placeholder';
  return plain;
}

function chain(compounds: readonly Compound[]): Matcher {
  const own = (i: number): Matcher => {
    const { matchers } = compounds[i];
    if (matchers.length === 1) return matchers[0];
    return (element, context) => matchers.every((matches) => matches(element, context));
  };
  let matches = own(0);
  for (let i = 1; i < compounds.length; i++) matches = combined(matches, own(i), compounds[i].combinator);
  return matches;
}

function combined(left: Matcher, right: Matcher, combinator: string): Matcher {
  switch (combinator) {
    case '>':
      return (element, context) =>
        right(element, context) && element.parent !== undefined && left(element.parent, context);
    case '+':
      return (element, context) => {
        if (!right(element, context)) return false;
        const before = element.parent?.elements[element.index - 1];
        return before !== undefined && left(before, context);
      };
    case '~':
      return (element, context) => {
        if (!right(element, context) || !element.parent) return false;
        for (let i = element.index - 1; i >= 0; i--)
          if (left(element.parent.elements[i], context)) return true;
        return false;
      };
    case ' ':
      return (element, context) => {
        if (!right(element, context)) return false;
        for (let at = element.parent; at; at = at.parent) if (left(at, context)) return true;
        return false;
      };
    default:
      throw new UnknownSelector();
  }
}

function simple(
  node: CssNode,
  compound: Compound,
  specificity: Specificity,
  state: { hasState: boolean },
  outer: Outer,
): Matcher {
  switch (node.type) {
    case 'TypeSelector': {
      const name = ident.decode(node.name.replace(/^.*\|/, ''));
      if (name === '*') return () => true;
      specificity[2]++;
      const small = name.toLowerCase();
      compound.key.type = small;
      return (element) => element.name === name || element.name.toLowerCase() === small;
    }
    case 'IdSelector': {
      const id = ident.decode(node.name);
      specificity[0]++;
      compound.key.id = id;
      return (element) => element.attributes.get('id') === id;
    }
    case 'ClassSelector': {
      const name = ident.decode(node.name);
      specificity[1]++;
      compound.key.className = name;
      return (element) => element.classes.has(name);
    }
    case 'AttributeSelector':
      specificity[1]++;
      return attribute(node);
    case 'NestingSelector':
      return nestingMatcher(outer, specificity, state);
    default:
      throw new UnknownSelector();
  }
}

/** Values of these attributes are compared without regard to case (HTML, section 4.16.2). */
const caseless =
  /^(accept|align|checked|charset|dir|disabled|hidden|lang|language|media|method|multiple|rel|rev|selected|shape|type|valign)$/;

function attribute(node: Extract<CssNode, { type: 'AttributeSelector' }>): Matcher {
  const name = ident.decode(node.name.name.replace(/^.*\|/, '')).toLowerCase();
  const { matcher, flags } = node;
  if (!matcher || !node.value) return (element) => element.attributes.has(name);
  const written = node.value.type === 'String' ? node.value.value : ident.decode(node.value.name);
  const isCaseless = flags?.toLowerCase() === 'i' || (flags?.toLowerCase() !== 's' && caseless.test(name));
  const wanted = isCaseless ? written.toLowerCase() : written;
  const test = attributeTests[matcher];
  if (!test) throw new UnknownSelector();
  return (element) => {
    const value = element.attributes.get(name);
    return value !== undefined && test(isCaseless ? value.toLowerCase() : value, wanted);
  };
}

const attributeTests: Readonly<Record<string, (value: string, wanted: string) => boolean>> = {
  '=': (value, wanted) => value === wanted,
  '~=': (value, wanted) => wanted !== '' && value.split(/\s+/).includes(wanted),
  '|=': (value, wanted) => value === wanted || value.startsWith(`${wanted}-`),
  '^=': (value, wanted) => wanted !== '' && value.startsWith(wanted),
  '$=': (value, wanted) => wanted !== '' && value.endsWith(wanted),
  '*=': (value, wanted) => wanted !== '' && value.includes(wanted),
};

function nestingMatcher(outer: Outer, specificity: Specificity, state: { hasState: boolean }): Matcher {
  if (!outer) return (element) => element.parent === undefined;
  addHighest(outer, specificity, state);
  return (element, context) => outer.some(({ matches }) => matches(element, context));
}

function addHighest(
  selectors: readonly CompiledSelector[],
  specificity: Specificity,
  state: { hasState: boolean },
): void {
  const [highest] = selectors.map((one) => one.specificity).sort((a, b) => compareSpecificity(b, a));
  if (highest) highest.forEach((value, i) => (specificity[i] += value));
  if (selectors.some(({ hasState }) => hasState)) state.hasState = true;
}

export const compareSpecificity = (
  a: readonly [number, number, number],
  b: readonly [number, number, number],
): number => a[0] - b[0] || a[1] - b[1] || a[2] - b[2];

function pseudoClass(
  node: PseudoClassSelector,
  specificity: Specificity,
  state: { hasState: boolean },
  outer: Outer,
): Matcher {
  const name = node.name.toLowerCase();
  const inner = node.children ? [...node.children] : [];
  if (stateNames.test(name)) {
    specificity[1]++;
    state.hasState = true;
    return (_, context) => context.states;
  }
  switch (name) {
    case 'is':
    case 'where':
    case 'matches':
    case '-webkit-any':
    case '-moz-any':
    case 'any': {
      const selectors = forgiving(inner, outer);
      if (name !== 'where') addHighest(selectors, specificity, state);
      else if (selectors.some(({ hasState }) => hasState)) state.hasState = true;
      return (element, context) => selectors.some(({ matches }) => matches(element, context));
    }
    case 'not': {
      const selectors = strict(inner, outer);
      addHighest(selectors, specificity, state);
      return (element, context) => !selectors.some(({ matches }) => matches(element, context));
    }
    case 'has': {
      const found = relative(inner, specificity, state);
      return (element, context) => found.some((matches) => matches(element, context));
    }
  }
  specificity[1]++;
  const structural = structure[name];
  if (structural) return structural;
  if (/^nth-(last-)?(child|of-type)$/.test(name)) return nth(name, inner, specificity, state, outer);
  if (name === 'lang') return lang(inner);
  if (name === 'dir') return dir(inner);
  throw new UnknownSelector();
}

function forgiving(inner: readonly CssNode[], outer: Outer): CompiledSelector[] {
  return inner.flatMap((list) =>
    list.type !== 'SelectorList'
      ? []
      : [...list.children].flatMap((selector) => {
          try {
            return selector.type === 'Selector' ? [innerSelector(selector, outer)] : [];
          } catch (cause) {
            if (cause instanceof UnknownSelector) return [];
            throw cause;
          }
        }),
  );
}

function strict(inner: readonly CssNode[], outer: Outer): CompiledSelector[] {
  return inner.flatMap((list) => {
    if (list.type !== 'SelectorList') throw new UnknownSelector();
    return [...list.children].map((selector) => {
      if (selector.type !== 'Selector') throw new UnknownSelector();
      return innerSelector(selector, outer);
    });
  });
}

/** Pseudo-elements have no place inside of a pseudo-class. */
function innerSelector(selector: Selector, outer: Outer): CompiledSelector {
  const compiled = compileSelector(selector, withoutNesting(outer, selector));
  if (compiled.pseudoElement !== undefined) throw new UnknownSelector();
  return compiled;
}

/** Inside of a pseudo-class nothing is nested unless it says `&`. */
const withoutNesting = (outer: Outer, selector: Selector): Outer =>
  [...selector.children].some(({ type }) => type === 'NestingSelector') ? outer : undefined;

/** `:has()`: its selectors start from the element. */
function relative(
  inner: readonly CssNode[],
  specificity: Specificity,
  state: { hasState: boolean },
): Matcher[] {
  const [list] = inner;
  if (list?.type !== 'SelectorList') throw new UnknownSelector();
  const compiled: CompiledSelector[] = [];
  const matchers = [...list.children].map((selector): Matcher => {
    if (selector.type !== 'Selector') throw new UnknownSelector();
    const nodes = [...selector.children];
    const combinator = nodes[0]?.type === 'Combinator' ? nodes[0].name : ' ';
    const rest = nodes[0]?.type === 'Combinator' ? nodes.slice(1) : nodes;
    const target = compileSelector({ ...selector, children: listOf(rest) }, undefined);
    compiled.push(target);
    return (element, context) => candidates(element, combinator).some((one) => target.matches(one, context));
  });
  addHighest(compiled, specificity, state);
  return matchers;
}

const listOf = (nodes: readonly CssNode[]) => nodes as unknown as Selector['children'];

/** Elements that a relative selector may mean; a bounded number of them. */
function candidates(element: SiteElement, combinator: string): SiteElement[] {
  const siblings = element.parent?.elements ?? [];
  switch (combinator) {
    case '>':
      return element.elements;
    case '+':
      return siblings.slice(element.index + 1, element.index + 2);
    case '~':
      return siblings.slice(element.index + 1);
    default: {
      const all: SiteElement[] = [];
      for (const one of elementsWithin(element)) if (one !== element) all.push(one);
      return all;
    }
  }
}

function nth(
  name: string,
  inner: readonly CssNode[],
  specificity: Specificity,
  state: { hasState: boolean },
  outer: Outer,
): Matcher {
  const [node] = inner;
  if (node?.type !== 'Nth') throw new UnknownSelector();
  const [a, b] = stepOf(node.nth);
  const among = node.selector ? forgiving([node.selector], outer) : undefined;
  if (among) addHighest(among, specificity, state);
  const isLast = name.includes('last');
  const isType = name.endsWith('of-type');
  return (element, context) => {
    const fits = (other: SiteElement) =>
      (!isType || other.name === element.name) &&
      (!among || among.some(({ matches }) => matches(other, context)));
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
