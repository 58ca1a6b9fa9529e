// Media Queries 5: the screens under which the styles of a page differ

import { breakpointsOf, holds, type Environment } from '../css/conditions.js';
import type { Condition } from '../css/rules.js';

/** Under which conditions a page is looked at, and whether that is how screens show it on load. */
export interface PageScenario {
  /** For each set of conditions that matters to the page whether it holds. */
  holding: boolean[];
  states: boolean;
  certainty: 'drawn' | 'possible';
}

/** What most visitors have; the first that is looked at. */
export const usualScreen: Environment = {
  type: 'screen',
  width: 1280,
  height: 800,
  scheme: 'light',
  preferences: new Map(),
  containers: true,
};

/** From a small phone to a wide desk. */
const [narrowest, widest] = [320, 2560];

/** More differ only in conditions that hardly matter together. */
const mostScenarios = 48;

/** Screens that are tried for these; of more, every second, third and so on is taken. */
const mostScreens = 400;

/** Preferences and abilities that visitors have, with what they may be besides the usual. */
const otherwise: readonly (readonly [feature: string, value: string])[] = [
  ['prefers-reduced-motion', 'reduce'],
  ['prefers-reduced-transparency', 'reduce'],
  ['prefers-reduced-data', 'reduce'],
  ['prefers-contrast', 'more'],
  ['prefers-contrast', 'less'],
  ['forced-colors', 'active'],
  ['inverted-colors', 'inverted'],
  ['hover', 'none'],
  ['any-hover', 'none'],
  ['pointer', 'coarse'],
  ['any-pointer', 'coarse'],
  ['scripting', 'none'],
];

/**
 * The scenarios of a page that differ in which conditions hold: all screens, then paper and states.
 *
 * @param conditionSets those of all rules
 * @param used numbers of those that match an element of the page
 * @param hasStates whether a rule depends on a state
 */
export function scenariosOf(
  conditionSets: readonly (readonly Condition[])[],
  used: ReadonlySet<number>,
  hasStates: boolean,
): PageScenario[] {
  const found = new Map<string, PageScenario>();
  const sets = [...used].map((i) => [i, conditionSets[i]] as const);
  const add = (environment: Environment, states: boolean, certainty: PageScenario['certainty']) => {
    const holding: boolean[] = [];
    let key = states ? 's' : '';
    for (const [i, set] of sets) {
      holding[i] = holds(set, environment);
      key += holding[i] ? '+' : '-';
    }
    if (!found.has(key) && found.size < mostScenarios) found.set(key, { holding, states, certainty });
  };
  const screens = screensFor(sets.map(([, set]) => set));
  for (const screen of screens) add(screen, false, 'drawn');
  if (hasStates) for (const screen of screens) add(screen, true, 'possible');
  add({ ...usualScreen, type: 'print', width: 720, height: 1000 }, false, 'possible');
  return [...found.values()];
}

function screensFor(conditionSets: readonly (readonly Condition[])[]): Environment[] {
  const texts = [...new Set(conditionSets.flatMap((set) => set.map(({ text }) => text)))];
  if (texts.length === 0) return [usualScreen];
  const widths = between(breakpointsOf(texts, 'width'), narrowest, widest);
  const heights = between(breakpointsOf(texts, 'height'), 480, 1440);
  const hasShapes = texts.some((text) => /orientation|aspect-ratio/i.test(text));
  const sizes: Environment[] = [];
  for (const width of widths) {
    for (const height of hasShapes ? [width * 1.6, width * 0.6, ...heights] : heights)
      sizes.push({ ...usualScreen, width, height });
  }
  const narrow = { ...usualScreen, width: 390, height: 844 };
  const screens: Environment[] = [];
  for (const base of [usualScreen, narrow]) {
    if (texts.some((text) => text.includes('prefers-color-scheme')))
      screens.push({ ...base, scheme: 'dark' });
    for (const [feature, value] of otherwise) {
      if (texts.some((text) => text.includes(feature)))
        screens.push({ ...base, preferences: new Map([[feature, value]]) });
    }
    screens.push({ ...base, containers: false });
  }
  const step = Math.ceil(sizes.length / mostScreens);
  return [usualScreen, narrow, ...screens, ...sizes.filter((_, i) => i % step === 0)];
}

/** Each breakpoint, a little less, and a little more. */
function between(breakpoints: readonly number[], low: number, high: number): number[] {
  const values = [390, 768, 1280, 800, ...breakpoints.flatMap((one) => [one - 0.02, one, one + 1])];
  return [...new Set(values)].filter((value) => value >= low && value <= high).sort((a, b) => a - b);
}
