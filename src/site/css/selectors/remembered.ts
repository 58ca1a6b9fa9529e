// What parts of selectors have found: what is nested adds up and doesn't multiply

import type { SiteElement } from '../../html/document.js';
import type { MatchContext, Matcher } from './matcher.js';

/** To keep what was found takes memory. */
const looksOfKeeping = 20;

/** What part of a selector finds, kept as long as the work on a page goes on. */
export class Remembered<Value> {
  /** The same part means something else in another scope, or in the tree of another host. */
  private readonly atRest = { everywhere: {}, around: new WeakMap<SiteElement, object>() };
  private readonly inStates = { everywhere: {}, around: new WeakMap<SiteElement, object>() };

  get(element: SiteElement, context: MatchContext): Value | undefined {
    return this.store(context).get(element) as Value | undefined;
  }

  /** @throws TooMuchWork */
  set(element: SiteElement, context: MatchContext, value: Value): Value {
    context.work.spend(looksOfKeeping);
    this.store(context).set(element, value);
    return value;
  }

  private store({ states, scope, host, work }: MatchContext): Map<SiteElement, unknown> {
    const { everywhere, around } = states ? this.inStates : this.atRest;
    const place = scope ?? host;
    if (!place) return work.foundBy(everywhere);
    let part = around.get(place);
    if (!part) around.set(place, (part = {}));
    return work.foundBy(part);
  }
}

/** A matcher that is asked once for each element. */
export function once(matches: Matcher): Matcher {
  const known = new Remembered<boolean>();
  return (element, context) =>
    known.get(element, context) ?? known.set(element, context, matches(element, context));
}

type Next = (element: SiteElement, context: MatchContext) => SiteElement | undefined;

/** Whether one of the elements that are reached step by step matches. */
export const searchedBy =
  (matches: Matcher, next: Next): Matcher =>
  (element, context) => {
    for (let at = next(element, context); at; at = next(at, context)) {
      context.work.spend(1);
      if (matches(at, context)) return true;
    }
    return false;
  };

/** The same where matching searches too: all that are passed remember what was found beyond them. */
export function searchedOnce(matches: Matcher, next: Next): Matcher {
  const known = new Remembered<boolean>();
  return (element, context) => {
    const passed: SiteElement[] = [];
    let found: boolean | undefined;
    for (let at: SiteElement | undefined = element; at && found === undefined;) {
      found = known.get(at, context);
      if (found !== undefined) break;
      passed.push(at);
      at = next(at, context);
      if (at && matches(at, context)) found = true;
    }
    for (const one of passed) known.set(one, context, found ?? false);
    return found ?? false;
  };
}
