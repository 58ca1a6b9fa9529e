// CSS Cascade 5, section 6.1: which declarations win

import { readDeclarations } from '../css/rules.js';
import type { SiteElement } from '../html/document.js';
import {
  computedStyle,
  forFaces,
  initialStyle,
  isSameStyle,
  type AppliedDeclaration,
  type Computing,
  type ComputedStyle,
} from './computed.js';
import { bySpecificity, type PageMatches, type RuleSet } from './matches.js';
import { strengths, type IndexedRule } from './style-rules.js';

export interface StyledElement {
  style: ComputedStyle;
  /** Styles of pseudo-elements that rules say something of. */
  pseudo: ReadonlyMap<string, ComputedStyle>;
  /** Whether what it draws depends on what comes before, or what comes after depends on it. */
  counts: boolean;
}

/** Styles by that of the parent and by what applies: many elements have the same, on other pages and screens too. */
export class StyleCache {
  private readonly known = new Map<ComputedStyle, Map<string, StyledElement>>();
  /** What was made for each parent, by what of it can be told by a text. */
  private readonly made = new Map<ComputedStyle, Map<string, StyledElement[]>>();
  private size = 0;

  for(parent: ComputedStyle, key: string, make: () => StyledElement): StyledElement {
    let inside = this.known.get(parent);
    if (!inside) this.known.set(parent, (inside = new Map<string, StyledElement>()));
    let styled = inside.get(key);
    if (!styled) {
      const made = make();
      styled = this.same(parent, made);
      inside.set(key, styled);
      // What is there already costs little more than its key.
      this.size += styled === made ? 1 : 0.1;
      if (this.size > mostOfPage) this.clear();
    }
    return styled;
  }

  /** An element that other rules brought to the same, where there is one. */
  private same(parent: ComputedStyle, made: StyledElement): StyledElement {
    let inside = this.made.get(parent);
    if (!inside) this.made.set(parent, (inside = new Map<string, StyledElement[]>()));
    const text = textOf(made);
    const alike = inside.get(text);
    const found = alike?.find((other) => isSame(made, other));
    if (found) return found;
    if (alike) alike.push(made);
    else inside.set(text, [made]);
    return made;
  }

  /** To be called before each page: within one, equal styles are to be the same, whatever was read before. */
  beginPage(): void {
    if (this.size > mostStyles) this.clear();
  }

  private clear(): void {
    this.known.clear();
    this.made.clear();
    this.size = 0;
  }
}

const isCounting = ({
  display,
  counterReset,
  counterIncrement,
  counterSet,
  content,
}: ComputedStyle): boolean =>
  display === 'list-item' ||
  [counterReset, counterIncrement, counterSet].some((value) => value !== 'none') ||
  /counters?\(|-quote/i.test(content);

/** The words and numbers of a style and of its pseudo-elements: the same for those that are alike. */
function textOf({ style, pseudo }: StyledElement): string {
  const others = Array.from(pseudo, ([name, one]) => `${name} ${wordsOf(one)}`);
  return [wordsOf(style), ...others.sort()].join('|');
}

function wordsOf(style: ComputedStyle): string {
  let text = '';
  for (const key in style) {
    const value = style[key as keyof ComputedStyle];
    if (typeof value === 'string' || typeof value === 'number') text += `${value};`;
  }
  return text;
}

/** Other rules may come to the same. */
function isSame(a: StyledElement, b: StyledElement): boolean {
  if (a.pseudo.size !== b.pseudo.size || !isSameStyle(a.style, b.style)) return false;
  for (const [name, style] of a.pseudo) {
    const other = b.pseudo.get(name);
    if (!other || !isSameStyle(style, other)) return false;
  }
  return true;
}

/** Each holds a kilobyte or so. */
const mostStyles = 6_000;
/** No page that was seen has a quarter of these. */
const mostOfPage = 100_000;

const noPseudo: ReadonlyMap<string, ComputedStyle> = new Map();

/** Declarations with how strong they are. */
interface Ranked {
  strength: number;
  rule: IndexedRule | undefined;
  /** How many steps away the root of a scope is. */
  steps: number;
  applied: readonly AppliedDeclaration[];
}

/** Attributes that say what a style sheet could say. */
interface Presentation {
  inline: string | undefined;
  face: string | undefined;
}

/** Computes the styles of one page under one scenario, element by element from the root. */
export class PageStyles {
  private readonly attributes = new Map<string, AppliedDeclaration[]>();

  constructor(
    private readonly matches: PageMatches,
    /** For each set of conditions that matters whether it holds. */
    private readonly holding: readonly boolean[],
    /** The page, as the user would write it. */
    private readonly file: string,
    private readonly cache: StyleCache,
    private readonly computing: Computing = forFaces,
  ) {}

  /** Elements are asked for in the order of the document. */
  styleOf(element: SiteElement, parent: ComputedStyle = initialStyle): StyledElement {
    const set = this.matches.of(element);
    const outside = this.matches.outsideOf(element);
    const presentation: Presentation = {
      inline: element.attributes.get('style'),
      face: element.name === 'font' ? element.attributes.get('face') : undefined,
    };
    const hasScopes = set.rules.some(({ scope }) => scope !== undefined);
    const make = () => this.computed(element, parent, set, outside, presentation);
    if (outside.length > 0 || hasScopes) return make();
    return this.cache.for(parent, this.keyOf(set, element, presentation), make);
  }

  private keyOf({ number, conditions }: RuleSet, element: SiteElement, { inline, face }: Presentation) {
    let key = `${number}`;
    for (const condition of conditions) key += this.holding[condition] ? '+' : '-';
    if (inline !== undefined) key += `|${this.file} ${element.line} ${inline}`;
    if (face !== undefined) key += `|${this.file} ${element.line} ${face}`;
    return key;
  }

  private computed(
    element: SiteElement,
    parent: ComputedStyle,
    set: RuleSet,
    outside: readonly IndexedRule[],
    presentation: Presentation,
  ): StyledElement {
    const holds = ({ conditions }: IndexedRule) => conditions === 0 || this.holding[conditions];
    const rules = set.rules.filter(holds);
    const others = outside.filter(holds);
    const of = (list: readonly IndexedRule[], name: string | undefined) =>
      list.filter(({ selector }) => selector.pseudoElement === name);
    const applied = (name: string | undefined) => this.sorted(of(rules, name), of(others, name), element);
    const own = [...applied(undefined), ...this.presented(element, presentation)];
    const style = computedStyle(strongestLast(own), parent, this.computing);
    const names = new Set([...rules, ...others].flatMap(({ selector }) => selector.pseudoElement ?? []));
    if (names.size === 0) return { style, pseudo: noPseudo, counts: isCounting(style) };
    const pseudo = new Map<string, ComputedStyle>();
    for (const name of names)
      pseudo.set(name, computedStyle(strongestLast(applied(name)), style, this.computing));
    return { style, pseudo, counts: isCounting(style) || [...pseudo.values()].some(isCounting) };
  }

  private sorted(
    rules: readonly IndexedRule[],
    outside: readonly IndexedRule[],
    element: SiteElement,
  ): Ranked[] {
    const ranked: Ranked[] = [];
    const add = (rule: IndexedRule, normal: number, important: number) => {
      const steps = this.matches.stepsToScope(rule, element);
      if (rule.declarations.length > 0)
        ranked.push({ strength: normal, rule, steps, applied: rule.declarations });
      if (rule.important.length > 0)
        ranked.push({ strength: important, rule, steps, applied: rule.important });
    };
    for (const rule of rules) add(rule, rule.strength, rule.importantStrength);
    // Of a shadow tree: weaker than what stands outside of it, but for what is important (section 6.1).
    for (const rule of outside) {
      const within = (strength: number) => strength / 2_000_000;
      add(
        rule,
        strengths.shadow + within(rule.strength),
        strengths.shadowImportant + within(rule.importantStrength),
      );
    }
    return ranked;
  }

  private presented(element: SiteElement, { inline, face }: Presentation): Ranked[] {
    if (inline === undefined && face === undefined) return [];
    const ranked: Ranked[] = [];
    const { line } = element;
    const steps = Infinity;
    if (face !== undefined) {
      const place = { file: this.file, line, selector: '<font face>' };
      const applied = [{ property: 'font-family', value: face, origin: 'author', layer: '', place } as const];
      ranked.push({ strength: strengths.presentation, rule: undefined, steps, applied });
    }
    if (inline !== undefined) {
      const of = (important: boolean) => this.inlineOf(inline, line, important);
      ranked.push({ strength: strengths.inline, rule: undefined, steps, applied: of(false) });
      ranked.push({ strength: strengths.inlineImportant, rule: undefined, steps, applied: of(true) });
    }
    return ranked;
  }

  private inlineOf(css: string, line: number, important: boolean): AppliedDeclaration[] {
    const key = `${important ? '!' : ''}${line}|${css}`;
    let found = this.attributes.get(key);
    if (!found) {
      found = readDeclarations(css, line, this.computing.properties)
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
  }
}

function strongestLast(ranked: Ranked[]): AppliedDeclaration[] {
  ranked.sort((a, b) => a.strength - b.strength || (a.rule && b.rule ? nearerLast(a, b) : 0));
  return ranked.flatMap(({ applied }) => applied);
}

/** CSS Cascade 6, section 2.5.1: of rules that are as specific, the root of whose scope is nearer wins. */
function nearerLast(a: Ranked, b: Ranked): number {
  const sameSpecificity = a.rule!.selector.specificity.every(
    (value, i) => value === b.rule!.selector.specificity[i],
  );
  return sameSpecificity && a.steps !== b.steps ? b.steps - a.steps : bySpecificity(a.rule!, b.rule!);
}
