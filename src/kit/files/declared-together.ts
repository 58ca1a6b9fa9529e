import { faceKey } from '../../core/face/index.js';
import type { KitFace } from '../kit.js';
import { fetchedPart } from '../planning/made.js';

/**
 * Faces of one file whose weight axis stops at theirs: a rule declares them together, for all weights between them, and draws what
 * theirs would draw. A browser fetches a file once for each rule, where it may not keep what it has.
 */
export function declaredTogether(faces: readonly KitFace[]): KitFace[] {
  const joined: KitFace[] = [];
  for (const face of faces) {
    const key = keyOf(face);
    const others = faces.filter((one) => keyOf(one) !== key).flatMap(({ weight }) => weight);
    const at = joined.findIndex((one) => keyOf(one) === key);
    const [light, bold] =
      at < 0 ? [face, face] : [joined[at], face].sort((a, b) => a.weight[0] - b.weight[0]);
    const isBetween = (weight: number) => weight > light.weight[1] && weight < bold.weight[0];
    if (at < 0 || face.steps === undefined || others.some(isBetween)) joined.push(face);
    else joined[at] = { ...light, weight: [light.weight[0], Math.max(light.weight[1], bold.weight[1])] };
  }
  return joined;
}

/** All but the weight that tells a rule from another one. */
const keyOf = (face: KitFace): string =>
  JSON.stringify([
    faceKey({ ...face, weight: [0, 0] }),
    face.slant,
    face.descriptors,
    face.display,
    fetchedPart(face).file,
  ]);
