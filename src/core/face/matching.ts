// CSS Fonts 4, section 5.2: font style matching

import type { Range, Slope } from './style.js';

/** What a rule declares of a face. */
export interface DeclaredFace {
  weight: Range;
  style: Slope;
  /** Percent. */
  stretch: Range;
}

/** What an element asks for. */
export interface AskedFace {
  weight: number;
  style: Slope;
  stretch: number;
}

/** The faces of a family that match best; several where rules declare the same style. */
export function matchingFaces<Face extends DeclaredFace>(faces: readonly Face[], asked: AskedFace): Face[] {
  const wide = nearest(faces, ({ stretch }) => stretchDistance(stretch, asked.stretch));
  const slanted = nearest(wide, ({ style }) => styleDistance(style, asked.style));
  return nearest(slanted, ({ weight }) => weightDistance(weight, asked.weight));
}

function nearest<Face>(faces: readonly Face[], distanceOf: (face: Face) => number): Face[] {
  let least = Infinity;
  let found: Face[] = [];
  for (const face of faces) {
    const distance = distanceOf(face);
    if (distance < least) [least, found] = [distance, []];
    if (distance === least) found.push(face);
  }
  return found;
}

/** Any distance on the side that is looked at second is larger than all on the first. */
const otherSide = 10_000;

function sided(below: number, above: number, isBelowFirst: boolean): number {
  if (below <= 0 && above <= 0) return 0;
  if (below > 0) return below + (isBelowFirst ? 0 : otherSide);
  return above + (isBelowFirst ? otherSide : 0);
}

/** Narrow widths look at narrower faces first, wide ones at wider ones. */
const stretchDistance = ([low, high]: Range, asked: number) => sided(asked - high, low - asked, asked <= 100);

const styleOrder: Readonly<Record<Slope, readonly Slope[]>> = {
  normal: ['normal', 'oblique', 'italic'],
  italic: ['italic', 'oblique', 'normal'],
  oblique: ['oblique', 'italic', 'normal'],
};

const styleDistance = (style: Slope, asked: Slope) => styleOrder[asked].indexOf(style);

/** From 400 to 500 the weights up to 500 come first, then lighter ones, then bolder ones. */
function weightDistance([low, high]: Range, asked: number): number {
  if (asked >= 400 && asked <= 500) {
    if (low > asked && low <= 500) return low - asked;
    return sided(asked - high, low - asked, true) + (low <= asked && asked <= high ? 0 : 500);
  }
  return sided(asked - high, low - asked, asked < 400);
}

/** Weights from here on are drawn bold by the browser itself where the face is lighter (section 2.8). */
export const boldFrom = 600;
