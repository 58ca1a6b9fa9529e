// CSS Cascade 5, section 6: the rules of a page, sorted by what they match and by their strength

import type { MatchContext } from '../css/pseudo-classes.js';
import { compileSelectors, type CompiledSelector } from '../css/selectors.js';
import type { Condition, StyleDeclaration, StyleRule } from '../css/rules.js';
import type { SiteElement } from '../html/document.js';
import type { AppliedDeclaration } from './computed.js';
import { layerOrder } from './layers.js';

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
  selector: CompiledSelector;
  declarations: readonly AppliedDeclaration[];
  important: readonly AppliedDeclaration[];
  /** Number of the set of conditions that it stands under. */
  conditions: number;
  /** Origin and layer, from the weakest. */
  strength: number;
  importantStrength: number;
  order: number;
}

/** Rules by what their last compound asks for; each element looks at few of them. */
export class RuleIndex {
  private readonly byId = new Map<string, IndexedRule[]>();
  private readonly byClass = new Map<string, IndexedRule[]>();
  private readonly byType = new Map<string, IndexedRule[]>();
  private readonly others: IndexedRule[] = [];
  /** Each set of conditions once; rules name it by its number. */
  readonly conditionSets: (readonly Condition[])[] = [[]];
  private readonly conditionNumbers = new Map<string, number>([['[]', 0]]);
  private order = 0;
  /** Strengths of style attributes. */
  readonly inlineStrength: number;
  readonly inlineImportantStrength: number;
  readonly hasStates: boolean;

  constructor(sheets: readonly PageSheet[]) {
    const layers = layerOrder(
      sheets
        .flatMap((sheet) => sheet.layers.map((name) => joined(sheet.layer, name)))
        .concat(sheets.flatMap(({ layer }) => (layer === '' ? [] : [layer]))),
    );
    const count = layers.size;
    this.inlineStrength = count + 2;
    this.inlineImportantStrength = 2 * count + 6;
    const compiled = new Map<StyleRule, CompiledSelector[] | undefined>();
    let hasStates = false;
    for (const sheet of sheets) {
      for (const rule of sheet.rules) {
        const selectors = compiledFor(rule, compiled);
        if (!selectors) continue;
        const layer = joined(sheet.layer, rule.layer);
        const isAuthor = sheet.origin === 'author';
        const rank = layers.get(layer) ?? 0;
        const strength = isAuthor ? (layer === '' ? count + 1 : rank + 1) : 0;
        const importantStrength = isAuthor
          ? layer === ''
            ? count + 3
            : count + 4 + (count - rank)
          : 2 * count + 8;
        const conditions = this.numberOf([...sheet.conditions, ...rule.conditions]);
        for (const selector of selectors) {
          if (selector.hasState) hasStates = true;
          this.add({
            selector,
            ...appliedBy(rule, sheet.origin, layer),
            conditions,
            strength,
            importantStrength,
            order: this.order++,
          });
        }
      }
    }
    this.hasStates = hasStates;
  }

  /** Rules that match an element or one of its pseudo-elements, whatever conditions hold. */
  matching(element: SiteElement, context: MatchContext): IndexedRule[] {
    const found: IndexedRule[] = [];
    const look = (rules: readonly IndexedRule[] | undefined) => {
      if (!rules) return;
      for (const rule of rules) if (rule.selector.matches(element, context)) found.push(rule);
    };
    const id = element.attributes.get('id');
    if (id !== undefined) look(this.byId.get(id));
    for (const name of element.classes) look(this.byClass.get(name));
    look(this.byType.get(element.name.toLowerCase()));
    look(this.others);
    return found;
  }

  private numberOf(conditions: readonly Condition[]): number {
    if (conditions.length === 0) return 0;
    const key = JSON.stringify(conditions);
    let number = this.conditionNumbers.get(key);
    if (number === undefined) {
      number = this.conditionSets.push(conditions) - 1;
      this.conditionNumbers.set(key, number);
    }
    return number;
  }

  private add(rule: IndexedRule): void {
    const { id, className, type } = rule.selector.key;
    if (id !== undefined) push(this.byId, id, rule);
    else if (className !== undefined) push(this.byClass, className, rule);
    else if (type !== undefined) push(this.byType, type, rule);
    else this.others.push(rule);
  }
}

const joined = (outer: string, inner: string) => [outer, inner].filter(Boolean).join('.');

function push(map: Map<string, IndexedRule[]>, key: string, rule: IndexedRule): void {
  const list = map.get(key);
  if (list) list.push(rule);
  else map.set(key, [rule]);
}

/** Selectors are compiled once for a rule, whichever pages use it. */
const known = new WeakMap<StyleRule, { selectors: CompiledSelector[] | undefined }>();

function compiledFor(
  rule: StyleRule,
  compiled: Map<StyleRule, CompiledSelector[] | undefined>,
): CompiledSelector[] | undefined {
  const before = known.get(rule);
  if (before) return before.selectors;
  const outer = rule.outer && compiledFor(rule.outer, compiled);
  const selectors = rule.outer && !outer ? undefined : compileSelectors(rule.selectors, outer);
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
