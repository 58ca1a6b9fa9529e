import type { FontFaceDescriptors } from '../../site/css/rules.js';
import { faceRuleOf } from '../../site/usage/declared-faces.js';

/**
 * What a file is of that several rules name: a host may declare a variable file once for each weight that a page asks for.
 *
 * @param face one of them
 * @param rules all of one family and style that name the file
 */
export function spannedFace<Face extends FontFaceDescriptors>(face: Face, rules: readonly Face[]): Face {
  const all = rules.map((rule) => faceRuleOf(rule));
  const weight = spanOf(all.map((rule) => rule.weight));
  const stretch = spanOf(all.map((rule) => rule.stretch));
  return {
    ...face,
    ...(weight[0] < weight[1] ? { weight: weight.join(' ') } : {}),
    ...(stretch[0] < stretch[1] ? { stretch: stretch.map((one) => `${one}%`).join(' ') } : {}),
  };
}

const spanOf = (ranges: readonly (readonly [number, number])[]): [number, number] => [
  Math.min(...ranges.map(([low]) => low)),
  Math.max(...ranges.map(([, high]) => high)),
];
