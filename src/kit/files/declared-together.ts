import { faceKey } from '../../core/face/index.js';
import type { KitFace } from '../kit.js';
import { fetchedPart } from '../planning/made.js';

/**
 * Faces of one variable file that a rule declares together, for all weights between them: a browser fetches a file once for each
 * rule, where it may not keep what it has. Only where no page asks for a weight in between, which
 * the one would draw otherwise, or where the axis stops at theirs.
 */
export function declaredTogether(faces: readonly KitFace[]): KitFace[] {
  // Of what no page was read for nobody knows what asks for it.
  if (faces.some(({ demand }) => demand === undefined)) return [...faces];
  const asked = faces.flatMap(({ demand }) => demand?.weights ?? []);
  const joined: KitFace[] = [];
  for (const face of faces) {
    const key = keyOf(face);
    const others = faces.filter((one) => keyOf(one) !== key).flatMap(({ weight }) => weight);
    const at = joined.findIndex((one) => keyOf(one) === key);
    const [light, bold] =
      at < 0 ? [face, face] : [joined[at], face].sort((a, b) => a.weight[0] - b.weight[0]);
    const isBetween = (weight: number) => weight > light.weight[1] && weight < bold.weight[0];
    const isOtherwise = face.steps === undefined && asked.some(isBetween);
    if (at < 0 || isOtherwise || others.some(isBetween)) joined.push(face);
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
