import { userAgentStyles } from '../../data/user-agent-styles.js';
import { readRules } from '../css/rules.js';
import { IndexMatches, type RuleSet } from './matches.js';
import { StyleCache } from './page-styles.js';
import { ConditionSets, RuleIndex, type PageSheet } from './style-rules.js';

let userAgentSheet: PageSheet | undefined;

function userAgent(): PageSheet {
  userAgentSheet ??= {
    origin: 'user-agent',
    rules: readRules(userAgentStyles, 'user-agent').rules,
    conditions: [],
    layers: [],
    layer: '',
  };
  return userAgentSheet;
}

/** An index of rules with what was found by it so far. */
interface Known {
  atRest: IndexMatches;
  inStates: IndexMatches;
  hasStates: boolean;
}

/** What pages of a site share: rules of the same stylesheets are put into an index once, and matched once for what is alike. */
export class SiteStyles {
  readonly conditions = new ConditionSets();
  readonly cache = new StyleCache();
  private readonly known = new Map<string, Known>();
  private readonly numbers = new Map<unknown, number>();

  for(sheets: readonly PageSheet[]): Known {
    const key = sheets
      .map(({ rules, conditions, layer }) => `${this.numberOf(rules)} ${JSON.stringify(conditions)} ${layer}`)
      .join('|');
    let known = this.known.get(key);
    if (!known) {
      // A page with rules of its own has an index of its own; most are used once.
      if (this.known.size >= mostIndexes) this.known.clear();
      const index = new RuleIndex([userAgent(), ...sheets], this.conditions);
      const sets = new Map<string, RuleSet>();
      const atRest = new IndexMatches(index, false, sets);
      const inStates = index.hasStates ? new IndexMatches(index, true, sets) : atRest;
      this.known.set(key, (known = { atRest, inStates, hasStates: index.hasStates }));
    }
    return known;
  }

  private numberOf(rules: unknown): number {
    let number = this.numbers.get(rules);
    if (number === undefined) this.numbers.set(rules, (number = this.numbers.size));
    return number;
  }
}

const mostIndexes = 32;
