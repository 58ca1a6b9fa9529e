// CSS Cascade 5, section 6: the rules of a tree, sorted by what they match and by their strength

import {
  compileSelectors,
  outlinesOf,
  type CompiledSelector,
  type SelectorOutline,
} from '../css/selectors/index.js';
import type { Condition, StyleDeclaration, StyleRule } from '../css/rules.js';
import type { AppliedDeclaration } from './computed.js';
import { layerOrder } from './layers.js';
import { scopedBy, type Scope } from './scopes.js';

/** A stylesheet in the order of the page. */
export interface PageSheet {
  origin: 'user-agent' | 'author';
  rules: readonly StyleRule[];
  /** Conditions that hold for all of it: `media` of a link. */
  conditions: readonly Condition[];
  /** Names of layers, in the order in which it names them. */
  layers: readonly string[];
  /** The layer that it is imported into. */
  layer: string;
}

/** A rule with one of its selectors. */
export interface IndexedRule {
  readonly selector: CompiledSelector;
  scope: Scope | undefined;
  declarations: readonly AppliedDeclaration[];
  important: readonly AppliedDeclaration[];
  /** Number of the set of conditions that it stands under. */
  conditions: number;
  /** Origin and layer, from the weakest. */
  strength: number;
  importantStrength: number;
  order: number;
}

/** Whether what it matches depends on more than the element and those around it in its tree. */
export const isUndecided = ({ selector, scope }: IndexedRule): boolean =>
  selector.traits.looksAround || selector.reach !== 'tree' || scope !== undefined;

/** Rules by what their last compound asks for, and by what must stand around the element; each element looks at few. */
interface Bucket {
  plain: IndexedRule[];
  around?: Map<string, IndexedRule[]>;
}

/** Sets of conditions, each once; rules name theirs by its number. */
export class ConditionSets {
  /** The first one always holds. */
  readonly all: (readonly Condition[])[] = [[]];
  private readonly numbers = new Map<string, number>([['[]', 0]]);

  numberOf(conditions: readonly Condition[]): number {
    const key = JSON.stringify(conditions);
    let number = this.numbers.get(key);
    if (number === undefined) this.numbers.set(key, (number = this.all.push(conditions) - 1));
    return number;
  }
}

/** One whose selector is compiled once it is looked at. */
class OutlinedRule implements IndexedRule {
  readonly scope;
  readonly declarations;
  readonly important;
  readonly conditions;
  readonly strength;
  readonly importantStrength;
  readonly order;
  private compiled: CompiledSelector | undefined;
  private readonly text;

  constructor({ text }: SelectorOutline, about: Omit<IndexedRule, 'selector'>) {
    this.text = text;
    ({
      scope: this.scope,
      declarations: this.declarations,
      important: this.important,
      conditions: this.conditions,
      strength: this.strength,
      importantStrength: this.importantStrength,
      order: this.order,
    } = about);
  }

  get selector(): CompiledSelector {
    return (this.compiled ??= compileSelectors(this.text, undefined)![0]);
  }
}

/** The rules of a page, or of a shadow tree. */
export class RuleIndex {
  private readonly buckets = new Map<string, Bucket>();
  /** Those for hosts and for what is put into slots. */
  readonly outside: IndexedRule[] = [];
  private order = 0;
  hasStates = false;
  /** What selectors look at: ids, attributes, and those whose value matters. */
  readonly ids = new Set<string>();
  readonly attributes = new Set<string>();
  readonly values = new Set<string>();

  constructor(
    sheets: readonly PageSheet[],
    private readonly conditions: ConditionSets,
  ) {
    const layers = layerOrder(
      sheets
        .flatMap((sheet) => sheet.layers.map((name) => joined(sheet.layer, name)))
        .concat(sheets.flatMap(({ layer }) => (layer === '' ? [] : [layer]))),
    );
    for (const sheet of sheets) for (const rule of sheet.rules) this.addRule(rule, sheet, layers);
  }

  private addRule(rule: StyleRule, sheet: PageSheet, layers: ReadonlyMap<string, number>): void {
    const scope = rule.scope === undefined ? undefined : scopedBy(rule.scope);
    if (scope === 'unknown') return;
    const outlines = rule.outer === undefined ? outlinesOf(rule.prelude) : undefined;
    const selectors = outlines ? [] : compiledFor(rule);
    if (!selectors) return;
    const layer = joined(sheet.layer, rule.layer);
    const conditions = this.conditions.numberOf([...sheet.conditions, ...rule.conditions]);
    const applied = appliedBy(rule, sheet.origin, layer);
    const strength = strengthsOf(sheet.origin, layer === '' ? undefined : layers.get(layer));
    for (const outline of outlines ?? []) {
      if (outline.hasState) this.hasStates = true;
      for (const id of outline.ids) this.ids.add(id);
      const about = { scope, ...applied, conditions, ...strength, order: this.order++ };
      this.add(new OutlinedRule(outline, about), outline);
    }
    for (const selector of selectors) {
      const { hasState, ids, attributes, values } = selector.traits;
      if (hasState) this.hasStates = true;
      for (const id of ids) this.ids.add(id);
      for (const name of attributes) this.attributes.add(name);
      for (const name of values) this.values.add(name);
      const about = { scope, ...applied, conditions, ...strength, order: this.order++ };
      this.add({ selector, ...about }, selector);
    }
  }

  /**
   * Rules that may match an element, for each a look at one of its names and at one of those around it.
   *
   * @param names of the element: `#id`, `.class`, its type
   * @param around names of the elements around it
   */
  *candidates(names: readonly string[], around: ReadonlySet<string>): Generator<readonly IndexedRule[]> {
    for (const name of ['*', ...names]) {
      const bucket = this.buckets.get(name);
      if (!bucket) continue;
      yield bucket.plain;
      if (!bucket.around) continue;
      if (bucket.around.size < around.size) {
        for (const [outer, rules] of bucket.around) if (around.has(outer)) yield rules;
      } else {
        for (const outer of around) {
          const rules = bucket.around.get(outer);
          if (rules) yield rules;
        }
      }
    }
  }

  private add(
    rule: IndexedRule,
    { key, around, reach = 'tree' }: Pick<CompiledSelector, 'key' | 'around'> & Partial<CompiledSelector>,
  ): void {
    if (reach !== 'tree') this.outside.push(rule);
    if (reach === 'slotted') return;
    const { id, className, type } = key;
    const name = id !== undefined ? `#${id}` : className !== undefined ? `.${className}` : (type ?? '*');
    let bucket = this.buckets.get(name);
    if (!bucket) this.buckets.set(name, (bucket = { plain: [] }));
    if (around === undefined) bucket.plain.push(rule);
    else {
      const outer = (bucket.around ??= new Map());
      const list = outer.get(around);
      if (list) list.push(rule);
      else outer.set(around, [rule]);
    }
  }
}

/**
 * CSS Cascade 5, section 6.1, from the weakest. Layers stand before what is in none; the other way round where it is
 * important.
 */
export const strengths = {
  presentation: 0.25,
  /** Of a shadow tree, seen from outside. */
  shadow: 0.5,
  layer: 1,
  unlayered: 100_000,
  inline: 200_000,
  unlayeredImportant: 300_000,
  layerImportant: 400_000,
  inlineImportant: 500_000,
  shadowImportant: 600_000,
  userAgentImportant: 900_000,
} as const;

/** @param rank of the layer; undefined outside of layers */
function strengthsOf(
  origin: PageSheet['origin'],
  rank: number | undefined,
): Pick<IndexedRule, 'strength' | 'importantStrength'> {
  if (origin === 'user-agent') return { strength: 0, importantStrength: strengths.userAgentImportant };
  if (rank === undefined)
    return { strength: strengths.unlayered, importantStrength: strengths.unlayeredImportant };
  return { strength: strengths.layer + rank, importantStrength: strengths.layerImportant - rank };
}

const joined = (outer: string, inner: string) => [outer, inner].filter(Boolean).join('.');

/** Selectors are compiled once for a rule, whichever pages use it. */
const known = new WeakMap<StyleRule, { selectors: CompiledSelector[] | undefined }>();

function compiledFor(rule: StyleRule): CompiledSelector[] | undefined {
  const before = known.get(rule);
  if (before) return before.selectors;
  const outer = rule.outer && compiledFor(rule.outer);
  const selectors = rule.outer && !outer ? undefined : compileSelectors(rule.prelude, outer);
  known.set(rule, { selectors });
  return selectors;
}

function appliedBy(
  { declarations, file, line, selectorText }: StyleRule,
  origin: 'user-agent' | 'author',
  layer: string,
): Pick<IndexedRule, 'declarations' | 'important'> {
  const applied = (declaration: StyleDeclaration): AppliedDeclaration => ({
    property: declaration.property,
    value: declaration.value,
    origin,
    layer,
    place: origin === 'author' ? { file, line: declaration.line || line, selector: selectorText } : undefined,
  });
  return {
    declarations: declarations.filter(({ important }) => !important).map(applied),
    important: declarations.filter(({ important }) => important).map(applied),
  };
}
