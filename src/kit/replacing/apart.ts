// CSS Fonts 4, section 5.2: rules that several browsers don't take together

import type { FaceRule } from '../../site/usage/declared-faces.js';
import type { AskedStyle } from '../../site/usage/page-face.js';
import { namesKitFile } from './rule-owner.js';

/**
 * A kit's rules and others of the family may have the weight that is asked for, in ranges that aren't the same. Some browsers look
 * for a character in all of these, others in those of one range, whichever that is.
 *
 * @returns the rules of a page as each of these browsers takes them; empty where none do otherwise
 */
export function takenApart(
  rules: readonly FaceRule[],
  { weight }: Pick<AskedStyle, 'weight'>,
): readonly FaceRule[][] {
  const sets = new Map<string, Map<string, FaceRule[]>>();
  for (const rule of rules) {
    if (rule.weight[0] > weight || rule.weight[1] < weight) continue;
    const { family, style, stretch } = rule;
    const key = JSON.stringify([family.toLowerCase(), style, stretch]);
    const ranges = sets.get(key) ?? new Map<string, FaceRule[]>();
    const range = rule.weight.join();
    sets.set(key, ranges.set(range, [...(ranges.get(range) ?? []), rule]));
  }
  return [...sets.values()].flatMap((ranges) => {
    const all = [...ranges.values()];
    if (all.length < 2 || !all.flat().some(({ source }) => namesKitFile(source?.url ?? ''))) return [];
    return all.map((own) => {
      const others = new Set(all.flatMap((one) => (one === own ? [] : one)));
      return rules.filter((rule) => !others.has(rule));
    });
  });
}
