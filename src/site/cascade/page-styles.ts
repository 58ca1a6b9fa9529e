import { compareSpecificity, type MatchContext } from '../css/selectors.js';
import { readDeclarations } from '../css/rules.js';
import type { SiteElement } from '../html/document.js';
import { computedStyle, initialStyle, type AppliedDeclaration, type ComputedStyle } from './computed.js';
import type { IndexedRule, RuleIndex } from './style-rules.js';

/** Pseudo-elements whose text is told apart. */
export type PseudoName = 'before' | 'after' | 'marker' | 'first-letter' | 'first-line' | 'placeholder' | 'file-selector-button';

export interface StyledElement {
  style: ComputedStyle;
  /** Styles of pseudo-elements that rules say something of. */
  pseudo: ReadonlyMap<string, ComputedStyle>;
}

/** Under which conditions styles are computed. */
export interface Scenario {
  /** For each set of conditions of the index whether it holds. */
  holding: readonly boolean[];
  match: MatchContext;
}

const noPseudo: ReadonlyMap<string, ComputedStyle> = new Map();

/** Computes the styles of one page under one scenario, element by element from the root. */
export class PageStyles {
  /** Styles by that of the parent and by what applies, as many elements have the same. */
  private readonly known = new Map<ComputedStyle, Map<string, StyledElement>>();
  private readonly attributes = new Map<string, AppliedDeclaration[]>();

  constructor(
    private readonly index: RuleIndex,
    private readonly scenario: Scenario,
    /** The page, as the user would write it. */
    private readonly file: string,
  ) {}

  styleOf(element: SiteElement, parent: ComputedStyle = initialStyle): StyledElement {
    const rules = this.index
      .matching(element, this.scenario.match)
      .filter(({ conditions }) => this.scenario.holding[conditions]);
    const inline = element.attributes.get('style');
    const face = element.name === 'font' ? element.attributes.get('face') : undefined;
    const key = `${rules.map(({ order }) => order).join()}|${inline ?? ''}|${face ?? ''}`;
    let siblings = this.known.get(parent);
    if (!siblings) this.known.set(parent, (siblings = new Map()));
    const before = siblings.get(key);
    if (before) return before;
    const styled = this.computed(element, parent, rules, inline, face);
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
    const ranked: { strength: number; rule: IndexedRule | undefined; applied: readonly AppliedDeclaration[] }[] = [];
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
