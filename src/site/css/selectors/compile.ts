// Selectors 4, Nesting 1, Scoping 1: selectors compiled once and matched many times

import {
  ident,
  parse,
  type CssNode,
  type PseudoClassSelector,
  type Selector,
  type SelectorList,
} from 'css-tree';
import { attribute } from './attributes.js';
import { combined, looksBeside, looksFar } from './combinators.js';
import { has } from './has.js';
import {
  any,
  compareSpecificity,
  forgiving,
  strict,
  UnknownSelector,
  type CompiledSelector,
  type Compiling,
  type Matcher,
  type Outer,
  type Traits,
} from './matcher.js';
import { nth } from './nth.js';
import { around, dir, lang, own, stateNames } from './pseudo-classes.js';
import { once } from './remembered.js';

/** Of a selector list as it is written; undefined where it is none. */
export function parsedList(text: string): SelectorList | undefined {
  let failed = false;
  try {
    const list = parse(text, { context: 'selectorList', onParseError: () => (failed = true) });
    return failed || list.type !== 'SelectorList' ? undefined : list;
  } catch {
    return undefined;
  }
}

/**
 * @param text a selector list
 * @param outer the selectors of the rule around, for `&`
 * @returns undefined where one of them isn't known: then the rule is dropped, as in a browser
 */
export function compileSelectors(text: string, outer: Outer): CompiledSelector[] | undefined {
  const list = parsedList(text);
  if (!list) return undefined;
  try {
    return [...list.children].map((node) => {
      if (node.type !== 'Selector') throw new UnknownSelector();
      return compileSelector(node, outer);
    });
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

function compiling(outer: Outer): Compiling {
  const traits: Traits = {
    hasState: false,
    looksAround: false,
    ids: new Set(),
    attributes: new Set(),
    values: new Set(),
  };
  const made: Compiling = {
    specificity: [0, 0, 0],
    traits,
    outer,
    compile: compileSelector,
    namesScope: false,
    reach: 'tree',
    include(selectors, isSpecific = true) {
      for (const one of selectors) {
        traits.hasState ||= one.traits.hasState;
        traits.looksAround ||= one.traits.looksAround;
        for (const id of one.traits.ids) traits.ids.add(id);
        for (const name of one.traits.attributes) traits.attributes.add(name);
        for (const name of one.traits.values) traits.values.add(name);
        made.namesScope ||= one.namesScope;
        if (made.reach === 'tree') made.reach = one.reach;
      }
      const highest = selectors
        .map(({ specificity }) => specificity)
        .sort(compareSpecificity)
        .at(-1);
      if (highest && isSpecific) highest.forEach((value, i) => (made.specificity[i] += value));
    },
  };
  return made;
}

function compileSelector(selector: Selector, outer: Outer): CompiledSelector {
  const made = compiling(outer);
  const { specificity, traits } = made;
  let pseudoElement: string | undefined;
  let slotted: Matcher | undefined;
  const compounds: Compound[] = [{ matchers: [], combinator: ' ', key: {} }];
  const nodes = [...selector.children];
  if (outer !== undefined && !nodes.some(({ type }) => type === 'NestingSelector')) {
    compounds[0].matchers.push(nesting(made));
    made.namesScope = false;
    if (nodes[0]?.type !== 'Combinator') compounds.push({ matchers: [], combinator: ' ', key: {} });
  }
  for (const node of nodes) {
    const compound = compounds[compounds.length - 1];
    if (node.type === 'Combinator') {
      if (compound.matchers.length === 0 && compounds.length === 1) throw new UnknownSelector();
      if (looksBeside(node.name)) traits.looksAround = true;
      compounds.push({ matchers: [], combinator: node.name, key: {} });
    } else if (node.type === 'PseudoElementSelector' && /^slotted$/i.test(node.name)) {
      slotted = slottedMatcher(node, made);
    } else if (isPseudoElement(node)) {
      pseudoElement = pseudoElementOf(node.name);
      specificity[2]++;
    } else compound.matchers.push(simple(node, compound, made));
  }
  const { key } = compounds[compounds.length - 1];
  const matches = chain(compounds);
  return {
    // The slot is in the tree, what is put into it stands outside.
    matches: slotted ? meetsSlot(matches, slotted) : matches,
    specificity,
    pseudoElement,
    key: slotted ? {} : key,
    around: slotted ? undefined : aroundOf(compounds),
    traits: sharedTraits(traits),
    reach: slotted ? 'slotted' : made.reach,
    namesScope: made.namesScope,
  };
}

/** Most selectors look at nothing that others don't look at. */
const knownTraits = new Map<string, Traits>();
const mostTraits = 2000;

function sharedTraits(traits: Traits): Traits {
  const { hasState, looksAround, ids, attributes, values } = traits;
  const key = JSON.stringify([hasState, looksAround, [...ids], [...attributes], [...values]]);
  const known = knownTraits.get(key);
  if (known) return known;
  if (knownTraits.size < mostTraits) knownTraits.set(key, traits);
  return traits;
}

/** The rarest of what must stand around; what is beside, or in `:is()`, says nothing. */
export function aroundOf(compounds: readonly Pick<Compound, 'combinator' | 'key'>[]): string | undefined {
  let found: string | undefined;
  for (let i = compounds.length - 1; i > 0 && !looksBeside(compounds[i].combinator); i--) {
    const { id, className, type } = compounds[i - 1].key;
    if (id !== undefined) return `#${id}`;
    if (className !== undefined && !found?.startsWith('.')) found = `.${className}`;
    else if (type !== undefined) found ??= type;
  }
  return found;
}

const oldPseudoElements: ReadonlySet<string> = new Set(['before', 'after', 'first-letter', 'first-line']);
const isPseudoElement = (node: CssNode): node is Extract<CssNode, { name: string }> =>
  node.type === 'PseudoElementSelector' ||
  (node.type === 'PseudoClassSelector' && oldPseudoElements.has(node.name.toLowerCase()));
const knownPseudoElements =
  /^(before|after|marker|first-letter|first-line|placeholder|file-selector-button|selection|backdrop|cue|part|details-content|target-text|spelling-error|grammar-error|highlight|view-transition.*|scroll-.*|checkmark|picker.*|-webkit-.*|-moz-placeholder|-moz-focus-inner)$/;

function pseudoElementOf(name: string): string {
  const plain = name.toLowerCase();
  if (!knownPseudoElements.test(plain) || plain.startsWith('-moz-focus')) throw new UnknownSelector();
  if (plain === '-webkit-input-placeholder') return 'placeholder';
  return plain;
}

function chain(compounds: readonly Compound[]): Matcher {
  const all = ({ matchers }: Compound): Matcher =>
    matchers.length === 1
      ? matchers[0]
      : (element, context) => matchers.every((matches) => matches(element, context));
  const [first, ...others] = compounds;
  let isSearched = false;
  return others.reduce((left, one) => {
    const matches = combined(left, all(one), one.combinator, isSearched);
    isSearched ||= looksFar(one.combinator);
    return matches;
  }, all(first));
}

function simple(node: CssNode, { key }: Compound, made: Compiling): Matcher {
  const { specificity, traits } = made;
  switch (node.type) {
    case 'TypeSelector': {
      const name = ident.decode(node.name.replace(/^.*\|/, ''));
      if (name === '*') return (element) => !element.host;
      specificity[2]++;
      const small = name.toLowerCase();
      key.type = small;
      return (element) => element.name === name || element.name.toLowerCase() === small;
    }
    case 'IdSelector': {
      const id = ident.decode(node.name);
      specificity[0]++;
      key.id = id;
      traits.ids.add(id);
      return (element) => element.attributes.get('id') === id;
    }
    case 'ClassSelector': {
      const name = ident.decode(node.name);
      specificity[1]++;
      key.className = name;
      return (element) => element.classes.has(name);
    }
    case 'AttributeSelector':
      specificity[1]++;
      return attribute(node, traits);
    case 'NestingSelector':
      return nesting(made);
    case 'PseudoClassSelector':
      return pseudoClass(node, made);
    default:
      throw new UnknownSelector();
  }
}

function nesting(made: Compiling): Matcher {
  made.namesScope = true;
  if (!made.outer) return own.scope[0];
  made.include(made.outer);
  return once(any(made.outer));
}

function pseudoClass(node: PseudoClassSelector, made: Compiling): Matcher {
  const { specificity, traits } = made;
  const name = node.name.toLowerCase();
  const inner = node.children ? [...node.children] : [];
  if (Object.hasOwn(functional, name)) return functional[name](inner, made, name);
  specificity[1]++;
  if (stateNames.test(name)) {
    traits.hasState = true;
    return (_, context) => context.states;
  }
  if (Object.hasOwn(around, name)) {
    traits.looksAround = true;
    return around[name];
  }
  if (!Object.hasOwn(own, name)) throw new UnknownSelector();
  const [matches, ...attributes] = own[name];
  for (const one of attributes) traits.attributes.add(one);
  if (name === 'placeholder-shown') traits.values.add('value');
  if (name === 'scope') made.namesScope = true;
  return matches;
}

type Functional = (inner: readonly CssNode[], made: Compiling, name: string) => Matcher;

const is =
  (isSpecific: boolean): Functional =>
  (inner, made) => {
    const selectors = forgiving(inner, made);
    made.include(selectors, isSpecific);
    return any(selectors);
  };

const position: Functional = (inner, made, name) => {
  made.specificity[1]++;
  made.traits.looksAround = true;
  return nth(name, inner, made);
};

/** Pseudo-classes that take selectors or words. */
const functional: Readonly<Record<string, Functional>> = {
  is: is(true),
  where: is(false),
  matches: is(true),
  any: is(true),
  '-webkit-any': is(true),
  '-moz-any': is(true),
  not: (inner, made) => {
    const selectors = strict(inner, made);
    made.include(selectors);
    const matches = any(selectors);
    return (element, context) => !matches(element, context);
  },
  has: (inner, made) => {
    made.traits.looksAround = true;
    return has(inner, made);
  },
  'nth-child': position,
  'nth-last-child': position,
  'nth-of-type': position,
  'nth-last-of-type': position,
  lang: (inner, { specificity, traits }) => {
    specificity[1]++;
    for (const name of ['lang', 'xml:lang']) traits.values.add(name);
    return lang(inner);
  },
  dir: (inner, { specificity, traits }) => {
    specificity[1]++;
    traits.values.add('dir');
    return dir(inner);
  },
  host: (inner, made) => {
    made.specificity[1]++;
    made.reach = 'host';
    const selectors = inner.length > 0 ? strict(inner, made) : undefined;
    if (selectors) made.include(selectors);
    const matches = selectors && any(selectors);
    return (element, context) =>
      element === context.host && (!matches || matches(element, { ...context, host: undefined }));
  },
  'host-context': (inner, made) => {
    made.specificity[1]++;
    made.reach = 'host';
    const selectors = strict(inner, made);
    made.include(selectors);
    const matches = any(selectors);
    return (element, context) => {
      if (element !== context.host) return false;
      for (let at: typeof element | undefined = element; at; at = at.parent)
        if (matches(at, { ...context, host: undefined })) return true;
      return false;
    };
  },
};

/** CSS Scoping 1, section 3.2.4: what is put into a slot of the tree. */
function slottedMatcher(node: Extract<CssNode, { type: 'PseudoElementSelector' }>, made: Compiling): Matcher {
  made.specificity[2]++;
  const selectors = strict(node.children ? [...node.children] : [], made);
  made.include(selectors);
  return any(selectors);
}

const meetsSlot =
  (slot: Matcher, slotted: Matcher): Matcher =>
  (element, context) =>
    element.slot !== undefined &&
    slot(element.slot, context) &&
    slotted(element, { ...context, host: undefined });
