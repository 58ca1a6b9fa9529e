import { faceKey } from '../../core/face/index.js';
import type { KitFace } from '../kit.js';
import { fetchedPart } from '../planning/made.js';

/**
 * Faces of one file whose weight axis stops at theirs: a rule declares them together, for all weights between them, and draws what
 * theirs would draw. A browser fetches a file once for each rule, where it may not keep what it has.
 *
 * Rules of other files stay out of that range or share it: Chromium takes the characters of a face from rules of the same range alone.
 */
export function declaredTogether(faces: readonly KitFace[]): KitFace[] {
  const joined = new Map<string, KitFace>();
  for (const face of faces) {
    const own = faces.filter((one) => keyOf(one) === keyOf(face));
    const [lightest] = [...own].sort((a, b) => a.weight[0] - b.weight[0]);
    const highest = Math.max(...own.map(({ weight }) => weight[1]));
    const mayJoin = own.length > 1 && canJoin(own, faces);
    const key = mayJoin ? keyOf(face) : JSON.stringify([keyOf(face), face.weight]);
    if (!joined.has(key))
      joined.set(key, mayJoin ? { ...lightest, weight: [lightest.weight[0], highest] } : face);
  }
  return [...joined.values()];
}

function canJoin(own: readonly KitFace[], all: readonly KitFace[]): boolean {
  const weights = weightsOf(own);
  const [low, high] = [weights[0], weights[weights.length - 1]];
  const others = all.filter((one) => setOf(one) === setOf(own[0]) && keyOf(one) !== keyOf(own[0]));
  const stops = (list: readonly KitFace[]) => list.every(({ steps }) => steps !== undefined);
  return (
    stops(own) &&
    others.every((one) => {
      if (one.weight[1] < low || one.weight[0] > high) return true;
      const same = others.filter((other) => keyOf(other) === keyOf(one));
      return stops(same) && weightsOf(same).join() === weights.join();
    })
  );
}

const weightsOf = (faces: readonly KitFace[]): number[] =>
  [...new Set(faces.flatMap(({ weight }) => weight))].sort((a, b) => a - b);

/** What a browser chooses a weight from. */
const setOf = ({ style, stretch, slant }: KitFace): string => JSON.stringify([style, stretch, slant]);

/** All but the weight that tells a rule from another one. */
const keyOf = (face: KitFace): string =>
  JSON.stringify([
    faceKey({ ...face, weight: [0, 0] }),
    face.slant,
    face.descriptors,
    face.display,
    fetchedPart(face).file,
  ]);
