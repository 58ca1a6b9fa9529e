import { faceLabel } from '../../core/face/index.js';
import { finding, type Finding } from '../../findings.js';
import { namesKitFile } from './rule-owner.js';
import type { FaceRule } from '../../site/usage/declared-faces.js';

const isOfKit = ({ source }: FaceRule): boolean => namesKitFile(source?.url ?? '');

/**
 * Rules of a page that stand behind the kit's and declare the same faces: browsers take the later one (CSS Fonts 4, section 5.2).
 *
 * @param rules of a page, in their order
 */
export function kitOverridden(rules: readonly FaceRule[]): Finding[] {
  const found: Finding[] = [];
  for (const [i, rule] of rules.entries()) {
    const { family, weight, style, stretch, source } = rule;
    if (source?.url === undefined || isOfKit(rule)) continue;
    const isBehind = rules
      .slice(0, i)
      .some(
        (one) =>
          isOfKit(one) &&
          one.family.toLowerCase() === family.toLowerCase() &&
          one.style === style &&
          one.weight[0] <= weight[1] &&
          one.weight[1] >= weight[0],
      );
    if (!isBehind) continue;
    const { file, line } = rule.rule;
    const label = faceLabel({ weight, style, stretch });
    const message = `${family} ${label} of the kit is not fetched: this rule stands behind it, and wins`;
    found.push(finding('kit-overridden', message, { file, line }));
  }
  return found;
}
