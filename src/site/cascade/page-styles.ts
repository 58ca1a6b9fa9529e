import type { MatchContext } from '../css/pseudo-classes.js';
import { compareSpecificity } from '../css/selectors.js';
import { readDeclarations } from '../css/rules.js';
import type { SiteElement } from '../html/document.js';
import { computedStyle, initialStyle, type AppliedDeclaration, type ComputedStyle } from './computed.js';
import type { IndexedRule, RuleIndex } from './style-rules.js';

export interface StyledElement {
  style: ComputedStyle;
  /** Styles of pseudo-elements that rules say something of. */
  pseudo: ReadonlyMap<string, ComputedStyle>;
}

/** What matches an element, whatever conditions hold. */
interface Matches {
  rules: readonly IndexedRule[];
  /** The same for elements that the same rules match and whose attributes say the same. */
  key: string;
}

/** Which rules match the elements of a page; found once, and used under all conditions. */
export class PageMatches {
  private readonly known = new Map<SiteElement, Matches>();
  /** Numbers of the sets of conditions that matter to the page. */
  readonly conditions = new Set<number>();
  /** Whether a rule with a state matches. */
  hasStates = false;

  constructor(
    private readonly index: RuleIndex,
    private readonly context: MatchContext,
  ) {}

  of(element: SiteElement): Matches {
    let matches = this.known.get(element);
    if (!matches) this.known.set(element, (matches = this.found(element)));
    return matches;
  }

  private found(element: SiteElement): Matches {
    const rules = this.index.matching(element, this.context);
    let key = '';
    for (const { order, conditions, selector } of rules) {
      key += `${order},`;
      if (conditions !== 0) this.conditions.add(conditions);
      if (selector.hasState) this.hasStates = true;
    }
    const inline = element.attributes.get('style');
    if (inline !== undefined) key += `|${element.line} ${inline}`;
    if (element.name === 'font') key += `|${element.attributes.get('face') ?? ''}`;
    return { rules, key };
  }
}

const noPseudo: ReadonlyMap<string, ComputedStyle> = new Map();

/** Computes the styles of one page under one scenario, element by element from the root. */
export class PageStyles {
  /** Styles by that of the parent and by what applies, as many elements have the same. */
  private readonly known = new Map<ComputedStyle, Map<string, StyledElement>>();
  private readonly attributes = new Map<string, AppliedDeclaration[]>();

  constructor(
    private readonly index: RuleIndex,
    private readonly matches: PageMatches,
    /** For each set of conditions of the index whether it holds. */
    private readonly holding: readonly boolean[],
    /** The page, as the user would write it. */
    private readonly file: string,
  ) {}

  styleOf(element: SiteElement, parent: ComputedStyle = initialStyle): StyledElement {
    const { rules, key } = this.matches.of(element);
    let siblings = this.known.get(parent);
    if (!siblings) this.known.set(parent, (siblings = new Map<string, StyledElement>()));
    const before = siblings.get(key);
    if (before) return before;
    const inline = element.attributes.get('style');
    const face = element.name === 'font' ? element.attributes.get('face') : undefined;
    const holding = rules.filter(({ conditions }) => this.holding[conditions]);
    const styled = this.computed(element, parent, holding, inline, face);
    siblings.set(key, styled);
    return styled;
  }

  private computed(
    element: SiteElement,
    parent: ComputedStyle,
    rules: readonly IndexedRule[],
    inline: string | undefined,
    face: string | undefined,
  ): StyledElement {
    const own = rules.filter(({ selector }) => selector.pseudoElement === undefined);
    const style = computedStyle(this.sorted(own, element, inline, face), parent);
    const names = new Set(rules.flatMap(({ selector }) => selector.pseudoElement ?? []));
    if (names.size === 0) return { style, pseudo: noPseudo };
    const pseudo = new Map<string, ComputedStyle>();
    for (const name of names) {
      const its = rules.filter(({ selector }) => selector.pseudoElement === name);
      pseudo.set(name, computedStyle(this.sorted(its, element, undefined, undefined), style));
    }
    return { style, pseudo };
  }

  /** What applies, the strongest last. */
  private sorted(
    rules: readonly IndexedRule[],
    element: SiteElement,
    inline: string | undefined,
    face: string | undefined,
  ): AppliedDeclaration[] {
    const { inlineStrength, inlineImportantStrength } = this.index;
    const ranked: {
      strength: number;
      rule: IndexedRule | undefined;
      applied: readonly AppliedDeclaration[];
    }[] = [];
    for (const rule of rules) {
      if (rule.declarations.length > 0)
        ranked.push({ strength: rule.strength, rule, applied: rule.declarations });
      if (rule.important.length > 0)
        ranked.push({ strength: rule.importantStrength, rule, applied: rule.important });
    }
    if (face !== undefined) {
      const place = { file: this.file, line: element.line, selector: '<font face>' };
      const applied = [{ property: 'font-family', value: face, origin: 'author', layer: '', place } as const];
      ranked.push({ strength: 0.5, rule: undefined, applied });
    }
    if (inline !== undefined) {
      const [normal, important] = this.inlineOf(inline, element.line);
      ranked.push({ strength: inlineStrength, rule: undefined, applied: normal });
      ranked.push({ strength: inlineImportantStrength, rule: undefined, applied: important });
    }
    ranked.sort(
      (a, b) =>
        a.strength - b.strength ||
        (a.rule && b.rule
          ? compareSpecificity(a.rule.selector.specificity, b.rule.selector.specificity) ||
            a.rule.order - b.rule.order
          : 0),
    );
    return ranked.flatMap(({ applied }) => applied);
  }

  private inlineOf(css: string, line: number): [AppliedDeclaration[], AppliedDeclaration[]] {
    const read = (important: boolean): AppliedDeclaration[] => {
      const key = `${important ? '!' : ''}${line}|${css}`;
      let found = this.attributes.get(key);
      if (!found) {
        found = readDeclarations(css, line)
          .filter((declaration) => declaration.important === important)
          .map(({ property, value }) => ({
            property,
            value,
            origin: 'author',
            layer: '',
            place: { file: this.file, line, selector: 'style attribute' },
          }));
        this.attributes.set(key, found);
      }
      return found;
    };
    return [read(false), read(true)];
  }
}
