import { userAgentLineStyles, userAgentStyles } from '../../data/user-agent-styles.js';
import type { LengthContext } from '../css/lengths.js';
import { ofFaces, type PropertySet } from '../css/properties/index.js';
import { readRules } from '../css/rules.js';
import { IndexMatches, type RuleSet } from './matches.js';
import { StyleCache } from './page-styles.js';
import { ConditionSets, RuleIndex, type PageSheet } from './style-rules.js';

const userAgentSheets = new Map<PropertySet, PageSheet>();

function userAgent(properties: PropertySet): PageSheet {
  let sheet = userAgentSheets.get(properties);
  if (!sheet) {
    const css = properties === ofFaces ? userAgentStyles : userAgentStyles + userAgentLineStyles;
    const { rules } = readRules(css, 'user-agent', 1, properties);
    sheet = { origin: 'user-agent', rules, conditions: [], layers: [], layer: '' };
    userAgentSheets.set(properties, sheet);
  }
  return sheet;
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
  private readonly caches = new Map<string, StyleCache>();
  private readonly known = new Map<string, Known>();
  private readonly numbers = new Map<unknown, number>();

  /** @param properties what is computed of elements */
  constructor(readonly properties: PropertySet = ofFaces) {}

  /** To be called before each page. */
  beginPage(): void {
    for (const cache of [this.cache, ...this.caches.values()]) cache.beginPage();
  }

  /** Of styles whose lengths go by a screen. */
  cacheFor({ width, height }: LengthContext['viewport']): StyleCache {
    const key = `${width}×${height}`;
    let cache = this.caches.get(key);
    if (!cache) this.caches.set(key, (cache = new StyleCache()));
    return cache;
  }

  for(sheets: readonly PageSheet[]): Known {
    const key = sheets
      .map(({ rules, conditions, layer }) => `${this.numberOf(rules)} ${JSON.stringify(conditions)} ${layer}`)
      .join('|');
    let known = this.known.get(key);
    if (!known) {
      // A page with rules of its own has an index of its own; most are used once.
      if (this.known.size >= mostIndexes) this.known.clear();
      const index = new RuleIndex([userAgent(this.properties), ...sheets], this.conditions);
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
