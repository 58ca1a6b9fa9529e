import type { CssNode, Selector } from 'css-tree';
import type { SiteElement } from '../../html/document.js';
import type { MatchingWork } from './work.js';

/** What a selector is matched under. */
export interface MatchContext {
  /** Whether states that need an event (`:hover`, `:checked` by hand, …) count as reached. */
  states: boolean;
  /** What `:scope` stands for; the root of the document if left out. */
  scope?: SiteElement | undefined;
  /** The host of the shadow tree that the rules stand in. */
  host?: SiteElement | undefined;
  /** What it has cost so far. */
  work: MatchingWork;
}

export type Matcher = (element: SiteElement, context: MatchContext) => boolean;

/** A selector that browsers drop, or that isn’t known here. */
export class UnknownSelector extends Error {}

/** Of ids, of classes and the like, of types (Selectors 4, section 17). */
export type Specificity = readonly [number, number, number];

export const compareSpecificity = (a: Specificity, b: Specificity): number =>
  a[0] - b[0] || a[1] - b[1] || a[2] - b[2];

/** What a selector looks at, noted while it is compiled; those inside of it count too. */
export interface Traits {
  /** Whether it depends on a state. */
  hasState: boolean;
  /** Whether it looks at more than the element and those around it: at siblings, at what is in it. */
  looksAround: boolean;
  /** Ids and attributes that it asks for, and those of them whose value matters. */
  ids: Set<string>;
  attributes: Set<string>;
  values: Set<string>;
}

export interface CompiledSelector {
  matches: Matcher;
  specificity: Specificity;
  /** Without colons; undefined for the element itself. */
  pseudoElement: string | undefined;
  /** What an element must have to match at all, for an index of rules. */
  key: { id?: string; className?: string; type?: string };
  /** What must stand somewhere around it: `#id`, `.class` or a type; undefined where nothing must. */
  around: string | undefined;
  traits: Traits;
  /** Whether it may mean the host of its shadow tree, or what is put into a slot of it. */
  reach: 'tree' | 'host' | 'slotted';
  /** Whether it says `:scope` or `&`. */
  namesScope: boolean;
}

/** What `&` stands for. */
export type Outer = readonly CompiledSelector[] | undefined;

/** A selector while it is compiled, as its parts see it. */
export interface Compiling {
  specificity: [number, number, number];
  traits: Traits;
  outer: Outer;
  compile: (selector: Selector, outer: Outer) => CompiledSelector;
  /** Takes over what selectors inside of it look at, and the highest specificity of them. */
  include: (selectors: readonly CompiledSelector[], isSpecific?: boolean) => void;
  /** Noted by `:scope` and `&`. */
  namesScope: boolean;
  reach: CompiledSelector['reach'];
}

/** Selectors of a list inside of a pseudo-class; one that fails is left out. */
export function forgiving(inner: readonly CssNode[], compiling: Compiling): CompiledSelector[] {
  return selectorsIn(inner, () => undefined).flatMap((selector) => {
    try {
      return [innerSelector(selector, compiling)];
    } catch (cause) {
      if (cause instanceof UnknownSelector) return [];
      throw cause;
    }
  });
}

/** The same where one that fails makes the whole fail. @throws UnknownSelector */
export function strict(inner: readonly CssNode[], compiling: Compiling): CompiledSelector[] {
  const fail = () => {
    throw new UnknownSelector();
  };
  return selectorsIn(inner, fail).map((selector) => innerSelector(selector, compiling));
}

function selectorsIn(inner: readonly CssNode[], otherwise: () => void): Selector[] {
  return inner.flatMap((list) => {
    if (list.type === 'Selector') return [list];
    if (list.type !== 'SelectorList') {
      otherwise();
      return [];
    }
    return [...list.children].flatMap((selector) => {
      if (selector.type === 'Selector') return [selector];
      otherwise();
      return [];
    });
  });
}

/** Pseudo-elements have no place inside of a pseudo-class; nothing is nested there unless it says `&`. */
function innerSelector(selector: Selector, { compile, outer }: Compiling): CompiledSelector {
  const isNested = [...selector.children].some(({ type }) => type === 'NestingSelector');
  const compiled = compile(selector, isNested ? outer : undefined);
  if (compiled.pseudoElement !== undefined) throw new UnknownSelector();
  return compiled;
}

/** Whether one of them matches. */
export const any =
  (selectors: readonly CompiledSelector[]): Matcher =>
  (element, context) => {
    if (selectors.length > 1) context.work.spend(selectors.length);
    return selectors.some(({ matches }) => matches(element, context));
  };
