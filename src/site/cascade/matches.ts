import { compareSpecificity, MatchingWork, TooMuchWork, type MatchContext } from '../css/selectors/index.js';
import type { SiteElement } from '../html/document.js';
import { isUndecided, type IndexedRule, type RuleIndex } from './style-rules.js';

/** Rules that match an element together, whatever conditions hold; sorted by specificity and order. */
export interface RuleSet {
  number: number;
  rules: readonly IndexedRule[];
  /** Numbers of the sets of conditions that they stand under. */
  conditions: readonly number[];
  hasStates: boolean;
}

/** Elements that are alike to selectors, and so are those around them. */
interface Path {
  inside: Map<string, Path>;
  /** Names of the elements around those inside. */
  names: ReadonlySet<string>;
  matched: RuleSet;
  /** Rules that may match, as it depends on what else is in the page. */
  undecided: readonly IndexedRule[];
}

/** Pages of a template have the same paths; of pages that have little in common they would grow for ever. */
const mostPaths = 25_000;

/** A rule that looks around is compared with some elements. */
const looksOfARule = 4;

const noNames: ReadonlySet<string> = new Set();

/** Which rules of an index match; what is found on one page is used on the next. */
export class IndexMatches {
  private readonly none: RuleSet;
  private start: Path;
  private paths = 0;

  /** @param sets those of the index, which are the same with states and without */
  constructor(
    readonly index: RuleIndex,
    private readonly states: boolean,
    private readonly sets: Map<string, RuleSet>,
  ) {
    this.none = this.setOf('', []);
    this.start = this.newStart();
  }

  /** Forgets what was found if it has become much; paths that are in use stay valid. */
  begin(): Path {
    if (this.paths > mostPaths) {
      this.start = this.newStart();
      this.paths = 0;
      this.sets.clear(); // their numbers are not used again
    }
    return this.start;
  }

  private newStart(): Path {
    return { inside: new Map(), names: noNames, matched: this.none, undecided: [] };
  }

  /** @throws TooMuchWork */
  pathOf(element: SiteElement, outer: Path, work: MatchingWork): Path {
    const key = this.keyOf(element);
    let path = outer.inside.get(key);
    if (!path) {
      outer.inside.set(key, (path = this.newPath(element, outer, work)));
      this.paths++;
    }
    return path;
  }

  /** Of an element that no rule is compared with. */
  blankPath(): Path {
    return this.newStart();
  }

  /** What of an element selectors can see. */
  private keyOf({ name, attributes }: SiteElement): string {
    let key = name;
    const { ids, attributes: asked, values } = this.index;
    for (const [attribute, value] of attributes) {
      if (attribute === 'class') key += ` ${value}`;
      else if (values.has(attribute) || (attribute === 'id' && ids.has(value)))
        key += `\n${attribute}=${value}`;
      else if (asked.has(attribute)) key += `\n${attribute}`;
    }
    return key;
  }

  private newPath(element: SiteElement, outer: Path, work: MatchingWork): Path {
    const own = namesOf(element);
    const matched: IndexedRule[] = [];
    const undecided: IndexedRule[] = [];
    const context: MatchContext = { states: this.states, work };
    for (const rules of this.index.candidates(own, outer.names)) {
      work.spend(1 + rules.length);
      for (const rule of rules) {
        if (isUndecided(rule)) undecided.push(rule);
        else if (rule.selector.matches(element, context)) matched.push(rule);
      }
    }
    const names = own.every((name) => outer.names.has(name))
      ? outer.names
      : new Set([...outer.names, ...own]);
    return { inside: new Map(), names, matched: this.setOf('', matched), undecided };
  }

  /** @param host of the shadow tree that the element stands in @throws TooMuchWork */
  rulesFor(element: SiteElement, path: Path, host: SiteElement | undefined, work: MatchingWork): RuleSet {
    const { matched, undecided } = path;
    if (undecided.length === 0) return matched;
    work.spend(looksOfARule * undecided.length);
    const context: MatchContext = { states: this.states, host, work };
    const more = undecided.filter((rule) => isMatch(rule, element, context));
    return more.length === 0 ? matched : this.setOf(`${matched.number}`, more, matched.rules);
  }

  /** Rules of a shadow tree that match its host, or what is put into its slots. */
  outsideRules(element: SiteElement, host: SiteElement, work: MatchingWork): IndexedRule[] {
    const context: MatchContext = { states: this.states, host, work };
    return this.index.outside.filter(({ selector }) => selector.matches(element, context));
  }

  private setOf(start: string, rules: readonly IndexedRule[], others: readonly IndexedRule[] = []): RuleSet {
    const key = `${start}|${rules.map(({ order }) => order).join()}`;
    let set = this.sets.get(key);
    if (!set) {
      const all = [...others, ...rules].sort(bySpecificity);
      set = {
        number: setNumber++,
        rules: all,
        ...conditionsOf(all),
      };
      this.sets.set(key, set);
    }
    return set;
  }
}

let setNumber = 0;

const conditionsOf = (rules: readonly IndexedRule[]): Pick<RuleSet, 'conditions' | 'hasStates'> => ({
  conditions: [...new Set(rules.map(({ conditions }) => conditions))].filter((one) => one !== 0),
  hasStates: rules.some(({ selector }) => selector.traits.hasState),
});

export const bySpecificity = (a: IndexedRule, b: IndexedRule): number =>
  compareSpecificity(a.selector.specificity, b.selector.specificity) || a.order - b.order;

function isMatch({ selector, scope }: IndexedRule, element: SiteElement, context: MatchContext): boolean {
  if (!scope) return selector.matches(element, context);
  return scope
    .rootsOf(element, context)
    .some(
      ({ root }) =>
        (selector.namesScope || root !== element) && selector.matches(element, { ...context, scope: root }),
    );
}

function namesOf({ name, attributes, classes }: SiteElement): string[] {
  const names = [name.toLowerCase()];
  const id = attributes.get('id');
  if (id !== undefined) names.push(`#${id}`);
  for (const one of classes) names.push(`.${one}`);
  return names;
}

/** Which rules match the elements of one page, its shadow trees too; found once, and used under all conditions. */
export class PageMatches {
  private readonly known = new Map<SiteElement, { path: Path; rules: RuleSet; of: IndexMatches }>();
  /** Rules of other trees, with what makes them differ from those of other elements. */
  private readonly outside = new Map<SiteElement, readonly IndexedRule[]>();
  private readonly starts = new Map<IndexMatches, Path>();
  /** Numbers of the sets of conditions that matter to the page. */
  readonly conditions = new Set<number>();
  private readonly conditional = new Set<SiteElement>();
  /** Whether a rule with a state matches. */
  hasStates = false;
  private readonly work = new MatchingWork();

  /** @param trees the rules of each shadow tree, by its root; those of the page without one */
  constructor(private readonly trees: ReadonlyMap<SiteElement | undefined, IndexMatches>) {}

  of(element: SiteElement): RuleSet {
    return this.lookUp(element).rules;
  }

  /** What else applies to hosts and to what is put into slots. */
  outsideOf(element: SiteElement): readonly IndexedRule[] {
    return this.outside.get(element) ?? [];
  }

  private lookUp(element: SiteElement): { path: Path; rules: RuleSet; of: IndexMatches } {
    const before = this.known.get(element);
    if (before) return before;
    // Elements are asked for in the order of the document, so that the parent is known.
    const outer = element.parent && this.lookUp(element.parent);
    const of = outer?.of ?? this.trees.get(element.host ? element : undefined)!;
    const found = { ...this.matched(element, of, outer?.path ?? this.startOf(of)), of };
    this.known.set(element, found);
    this.note(element, found.rules);
    this.asFarAsBounded(() => this.addOutside(element));
    return found;
  }

  private matched(element: SiteElement, of: IndexMatches, outer: Path): { path: Path; rules: RuleSet } {
    const path = this.asFarAsBounded(() => of.pathOf(element, outer, this.work)) ?? of.blankPath();
    const { host } = rootOf(element);
    const rules = this.asFarAsBounded(() => of.rulesFor(element, path, host, this.work));
    return { path, rules: rules ?? path.matched };
  }

  /** How many steps away the root of a rule's scope is. */
  stepsToScope({ scope }: IndexedRule, element: SiteElement): number {
    const context = { states: false, work: this.work };
    const roots = scope && this.asFarAsBounded(() => scope.rootsOf(element, context));
    return roots?.[0]?.steps ?? Infinity;
  }

  private asFarAsBounded<Result>(look: () => Result): Result | undefined {
    try {
      return look();
    } catch (cause) {
      if (!(cause instanceof TooMuchWork)) throw cause;
      return undefined;
    }
  }

  /** Whether it has more rules and elements than were compared. */
  get isBounded(): boolean {
    return this.work.isSpent;
  }

  private startOf(of: IndexMatches): Path {
    let start = this.starts.get(of);
    if (!start) this.starts.set(of, (start = of.begin()));
    return start;
  }

  /** Whether it depends on conditions or states which rules apply. */
  varies(element: SiteElement): boolean {
    return this.conditional.has(element);
  }

  private note(
    element: SiteElement,
    { conditions, hasStates }: Pick<RuleSet, 'conditions' | 'hasStates'>,
  ): void {
    for (const number of conditions) this.conditions.add(number);
    if (hasStates) this.hasStates = true;
    if (hasStates || conditions.length > 0) this.conditional.add(element);
  }

  private addOutside(element: SiteElement): void {
    const found: IndexedRule[] = [];
    const look = (shadow: SiteElement | undefined, host: SiteElement | undefined) => {
      const of = shadow && this.trees.get(shadow);
      if (of && host) found.push(...of.outsideRules(element, host, this.work));
    };
    look(element.shadow, element);
    if (element.slot) look(element.parent?.shadow, element.parent);
    if (found.length === 0) return;
    this.outside.set(element, found.sort(bySpecificity));
    this.note(element, conditionsOf(found));
  }
}

function rootOf(element: SiteElement): SiteElement {
  let root = element;
  while (root.parent) root = root.parent;
  return root;
}
