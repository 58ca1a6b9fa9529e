// What stylesheets of packages declare of faces that the kit has

import type { Manifest } from '../kit/files/manifest.js';
import { applied, removal, type Edit } from '../site/edits/edits.js';
import { itemsByRule } from '../site/edits/font-face-items.js';
import { readRules } from '../site/css/rules.js';
import { faceRuleOf, type FaceRule } from '../site/usage/declared-faces.js';

/** A stylesheet without rules that the kit replaces. */
export interface Stripped {
  css: string;
  /** URLs that they named, as they are written, and the faces, in words. */
  urls: string[];
  faces: string[];
}

const numbersIn = (text: string): number[] => (text.match(/[\d.]+/g) ?? []).map(Number);

/** Whether the kit has a face for all that a rule is for: browsers would choose between the two by their order. */
function isReplaced({ family, weight, style, stretch }: FaceRule, { families }: Manifest): boolean {
  const own = families.find((one) => one.family.toLowerCase() === family.toLowerCase());
  return (own?.faces ?? []).some((face) => {
    const [low, high = low] = numbersIn(face.weight);
    const [narrow, wide = narrow] = numbersIn(face.stretch);
    return (
      style === face.style &&
      weight[0] >= low &&
      weight[1] <= high &&
      (face.stretch === 'normal' || (stretch[0] >= narrow && stretch[1] <= wide))
    );
  });
}

/**
 * A stylesheet without the rules of faces that a kit has.
 *
 * @param isOwn whether a rule is the kit's own, by the URLs that it names
 * @returns undefined where there is none
 */
export function withoutReplaced(
  css: string,
  file: string,
  manifest: Manifest,
  isOwn: (urls: readonly string[]) => boolean = () => false,
): Stripped | undefined {
  if (!/@font-face/i.test(css)) return undefined;
  const edits: Edit[] = [];
  const urls: string[] = [];
  const faces = new Set<string>();
  for (const [item, descriptors] of itemsByRule(css, readRules(css, file).fontFaces)) {
    const rule = faceRuleOf(descriptors);
    const named = descriptors.sources.flatMap((source) => ('url' in source ? [String(source.url)] : []));
    // A stand-in names no file.
    if (named.length === 0 || isOwn(named) || !isReplaced(rule, manifest)) continue;
    edits.push(removal(css, item.offset, item.end));
    urls.push(...named);
    faces.add(`${rule.family} ${rule.weight.join('–').replace(/^(\d+)–\1$/, '$1')}`);
  }
  return edits.length === 0 ? undefined : { css: applied(css, edits), urls, faces: [...faces] };
}
