// One piece: a to z, one function each.
import type { Drawing, GlyphPen, GlyphSource } from '../glyph-pen.js';
import { doubleWedge, kick, saltire, wedge, zigzag } from './diagonals.js';
import {
  archNodes,
  bowlNodes,
  mirroredNodes,
  openRoundNodes,
  slab,
  spineNodes,
  turnedNodes,
  upright,
} from './parts.js';

function letterA(pen: GlyphPen): Drawing {
  const { stem, bar, xHeight, overshoot, cursive } = pen.design;
  if (cursive) {
    const width = pen.bodyWidth(402);
    pen.stroke(mirroredNodes(bowlNodes(pen, width), width));
    upright(pen, width - stem, 0, xHeight, stem);
    return pen
      .marks(width, xHeight)
      .anchor('ogonek', width - stem / 2, 0)
      .fit('round', width, 'stem');
  }
  const width = pen.bodyWidth(368);
  const right = width - stem / 2;
  pen.stroke([
    { x: width * 0.085 + bar * 0.1, y: xHeight * 0.765, angle: 58, width: bar * 0.94 },
    { x: width * 0.47, y: xHeight + overshoot - bar / 2, angle: 0, width: bar },
    { x: right, y: xHeight * 0.64, angle: 270, width: stem },
    { x: right, y: 0, angle: 270, width: stem },
  ]);
  const low = stem * 0.96;
  pen.stroke([
    { x: width - stem * 0.5, y: xHeight * 0.56, angle: 180, width: bar * 0.86 },
    { x: width * 0.5, y: xHeight * 0.56, angle: 180, width: bar * 0.86 },
    { x: low / 2, y: xHeight * 0.27, angle: 270, width: low },
    { x: width * 0.4, y: -overshoot + bar * 0.47, angle: 0, width: bar * 0.94 },
    { x: width - stem * 0.5, y: xHeight * 0.25, angle: 58, width: stem * 0.46 },
  ]);
  slab(pen, width - stem, width, 0, 1, 'right');
  return pen
    .marks(width, xHeight)
    .anchor('ogonek', width - stem / 2, 0)
    .fit('round', width, 'stem');
}

function letterE(pen: GlyphPen): Drawing {
  const { stem, bar, xHeight, overshoot } = pen.design;
  const width = pen.bodyWidth(408);
  const round = stem * 1.03;
  const middle = xHeight * 0.5;
  const cross = bar * 0.84;
  pen.stroke([
    { x: width - stem / 2, y: middle - cross / 2, angle: 90, width: stem * 0.98 },
    { x: width - stem / 2, y: xHeight * 0.56, angle: 90, width: stem * 0.98 },
    { x: width * 0.51, y: xHeight + overshoot - bar / 2, angle: 180, width: bar },
    { x: round / 2, y: xHeight / 2, angle: 270, width: round },
    { x: width * 0.53, y: -overshoot + bar / 2, angle: 0, width: bar },
    { x: width * 0.94 - bar * 0.1, y: xHeight * 0.175, angle: 44, width: bar * 0.94 },
  ]);
  pen.box(round * 0.5, middle - cross / 2, width - stem * 0.5, middle + cross / 2);
  return pen
    .marks(width, xHeight)
    .anchor('ogonek', width * 0.72, 0)
    .fit('round', width, 'round');
}

function letterG(pen: GlyphPen): Drawing {
  const { stem, bar, xHeight, descender } = pen.design;
  const width = pen.bodyWidth(404);
  pen.stroke(mirroredNodes(bowlNodes(pen, width), width));
  const right = width - stem / 2;
  pen.stroke([
    { x: right, y: xHeight, angle: 270, width: stem },
    { x: right, y: descender * 0.25, angle: 270, width: stem },
    { x: width * 0.47, y: descender + bar / 2, angle: 180, width: bar },
    { x: width * 0.09 + bar * 0.1, y: descender * 0.72, angle: 150, width: bar * 0.94 },
  ]);
  slab(pen, width - stem, width, xHeight, -1, 'right');
  return pen.marks(width, xHeight).fit('round', width, 'stem');
}

function letterF(pen: GlyphPen): Drawing {
  const { stem, bar, ascender, overshoot, serif } = pen.design;
  const left = stem * 0.95;
  const width = left + stem * 1.3 + 78 + bar * 0.15;
  hook(pen, left, stem * 1.72 + 60, ascender + overshoot);
  crossbar(pen, 0, left + stem * 1.3 + 78);
  slab(pen, left, left + stem, 0, 1, 'both');
  return pen.marks(width, ascender).fit(serif ? 34 : 22, width, 14);
}

/** The stem of f, its left edge at x, with a hook that reaches so far to the right. */
export function hook(pen: GlyphPen, x: number, reach: number, top: number): void {
  const { stem, bar, xHeight } = pen.design;
  const middle = x + stem / 2;
  pen.stroke([
    { x: middle, y: 0, angle: 90, width: stem },
    { x: middle, y: xHeight + (top - xHeight) * 0.28, angle: 90, width: stem },
    { x: x + reach * 0.82, y: top - bar / 2, angle: 0, width: bar },
    { x: x + reach, y: top - bar / 2, angle: 0, width: bar },
  ]);
}

export function crossbar(pen: GlyphPen, x0: number, x1: number): void {
  const { xHeight, bar } = pen.design;
  pen.box(x0, xHeight - bar * 0.92, x1, xHeight);
}

export function letterH(pen: GlyphPen): Drawing {
  const { stem, ascender, xHeight } = pen.design;
  const width = pen.bodyWidth(382);
  upright(pen, 0, 0, ascender, stem, { foot: 'both', head: 'left' });
  pen.stroke(archNodes(pen, 0, width));
  slab(pen, width - stem, width, 0, 1, 'both');
  return pen.marks(width, ascender).anchor('right', width, xHeight).fit('stem', width, 'stem');
}

/** The stem of i, j and their like: with a bar on top and at the foot where the advance is fixed. */
function shortStem(pen: GlyphPen, dotted: boolean): Drawing {
  const { stem, bar, xHeight, fixedAdvance } = pen.design;
  if (fixedAdvance) {
    const width = 340;
    const left = width / 2 - stem / 2 + 14;
    pen
      .box(left, 0, left + stem, xHeight)
      .box(20, xHeight - bar, left + stem, xHeight)
      .box(0, 0, width, bar);
    if (dotted) tittle(pen, left + stem / 2 - 6);
    return pen
      .anchor('top', left + stem / 2, xHeight)
      .anchor('ogonek', left + stem, 0)
      .anchor('bottom', left + stem / 2, 0)
      .fit(0, width, 0);
  }
  upright(pen, 0, 0, xHeight, stem, { foot: 'both', head: 'left' });
  if (dotted) tittle(pen, stem / 2);
  return pen
    .marks(stem, xHeight)
    .anchor('ogonek', stem * 0.6, 0)
    .fit('stem', stem, 'stem');
}

function tittle(pen: GlyphPen, cx: number): void {
  const { stem, xHeight, capHeight } = pen.design;
  const size = stem * 1.1 + 16;
  pen.dot(cx, Math.max(capHeight * 0.985 - size / 2, xHeight + 70 + size / 2), size);
}

function letterJ(pen: GlyphPen, dotted: boolean): Drawing {
  const { stem, bar, xHeight, descender, fixedAdvance } = pen.design;
  const reach = fixedAdvance ? 190 : stem * 0.55 + 66;
  const middle = reach + stem / 2;
  pen.stroke([
    { x: middle, y: xHeight, angle: 270, width: stem },
    { x: middle, y: descender * 0.3, angle: 270, width: stem },
    { x: reach * 0.3, y: descender + bar / 2, angle: 180, width: bar },
    { x: 0, y: descender + bar / 2, angle: 180, width: bar },
  ]);
  slab(pen, reach, reach + stem, xHeight, -1, 'left');
  if (fixedAdvance) pen.box(reach - 120, xHeight - bar, reach + stem, xHeight);
  if (dotted) tittle(pen, middle);
  pen.anchor('top', middle, xHeight);
  return fixedAdvance
    ? pen.fit(60, reach + stem, 100)
    : pen.fit(pen.design.besideStem - reach, reach + stem, 'stem');
}

export function letterK(pen: GlyphPen, height: number): Drawing {
  const { stem, xHeight } = pen.design;
  const width = pen.bodyWidth(372);
  upright(pen, 0, 0, height, stem, { foot: 'both', head: 'left' });
  kick(pen, stem, width, xHeight, stem * 0.9, stem * 0.96);
  return pen.marks(width, height).fit('stem', width, 'slant');
}

export function letterL(pen: GlyphPen): Drawing {
  const { stem, bar, ascender, fixedAdvance } = pen.design;
  if (fixedAdvance) {
    const width = 360;
    const middle = width * 0.42;
    pen.stroke([
      { x: middle, y: ascender, angle: 270, width: stem },
      { x: middle, y: 150, angle: 270, width: stem },
      { x: width * 0.86, y: bar / 2 - 4, angle: 0, width: bar },
      { x: width, y: bar / 2 - 4, angle: 0, width: bar },
    ]);
    pen.box(10, ascender - bar, middle + stem / 2, ascender);
    return pen
      .anchor('top', middle, ascender)
      .anchor('bottom', width / 2, 0)
      .anchor('right', middle + stem / 2, 0)
      .fit(0, width, 0);
  }
  upright(pen, 0, 0, ascender, stem, { foot: 'both', head: 'left' });
  return pen.marks(stem, ascender).anchor('right', stem, 0).fit('stem', stem, 'stem');
}

function letterM(pen: GlyphPen): Drawing {
  const { stem, xHeight, fixedAdvance } = pen.design;
  const width = fixedAdvance ? 496 : pen.bodyWidth(636, 3);
  const thin = fixedAdvance ? stem * 0.86 : stem;
  const middle = (width + thin) / 2;
  upright(pen, 0, 0, xHeight, thin, { foot: 'both', head: 'left' });
  for (const [x0, x1] of [
    [0, middle],
    [middle - thin, width],
  ]) {
    pen.stroke(
      archNodes(pen, x0, x1).map((node) => ({
        ...node,
        ...(fixedAdvance ? { width: node.width * 0.86 } : {}),
      })),
    );
  }
  slab(pen, middle - thin, middle, 0, 1, 'both');
  slab(pen, width - thin, width, 0, 1, 'both');
  return pen.marks(width, xHeight).fit('stem', width, 'stem');
}

export function letterN(pen: GlyphPen, base = 0): Drawing {
  const { stem, xHeight } = pen.design;
  const width = pen.bodyWidth(380);
  upright(pen, 0, 0, xHeight, stem, { foot: base < 0 ? 'none' : 'both', head: 'left' });
  pen.stroke(archNodes(pen, 0, width, base));
  if (base === 0) slab(pen, width - stem, width, 0, 1, 'both');
  return pen.marks(width, xHeight).fit('stem', width, 'stem');
}

export function letterO(pen: GlyphPen): Drawing {
  const { stem, bar, xHeight, overshoot } = pen.design;
  const width = pen.bodyWidth(430);
  pen.ring(0, -overshoot, width, xHeight + overshoot, stem * 1.04, bar);
  return pen
    .marks(width, xHeight)
    .anchor('ogonek', width * 0.6, 0)
    .fit('round', width, 'round');
}

export function stemAndBowl(pen: GlyphPen, y0: number, y1: number, mirrored: boolean): Drawing {
  const { stem, xHeight, serif } = pen.design;
  const width = pen.bodyWidth(404);
  const bowl = bowlNodes(pen, width);
  pen.stroke(mirrored ? mirroredNodes(bowl, width) : bowl);
  const left = mirrored ? width - stem : 0;
  upright(pen, left, y0, y1, stem, {
    head: y1 > xHeight || !mirrored ? 'left' : 'none',
    foot: y0 < 0 ? 'both' : mirrored ? 'right' : 'none',
  });
  if (serif && mirrored && y0 < 0) slab(pen, left, left + stem, xHeight, -1, 'right');
  pen.marks(width, Math.max(y1, xHeight)).anchor('right', width, 0);
  return mirrored ? pen.fit('round', width, 'stem') : pen.fit('stem', width, 'round');
}

function letterR(pen: GlyphPen): Drawing {
  const { stem, bar, xHeight, overshoot, fixedAdvance } = pen.design;
  const left = fixedAdvance ? 90 : 0;
  const width = left + (fixedAdvance ? 300 : stem + 62 + stem * 0.75);
  const top = xHeight + overshoot;
  pen.stroke([
    { x: left + stem * 0.6, y: xHeight * 0.64, angle: 66, width: stem * 0.46 },
    { x: width - stem * 0.1, y: top - bar * 0.56, angle: 0, width: bar * 1.08 },
    { x: width, y: top - bar * 0.56, angle: 0, width: bar * 1.08 },
  ]);
  upright(pen, left, 0, xHeight, stem, { foot: 'both', head: 'left' });
  if (fixedAdvance) pen.box(0, 0, left + stem + 110, bar).box(10, xHeight - bar, left + stem, xHeight);
  return pen
    .anchor('top', left + (width - left) * 0.5, xHeight)
    .anchor('bottom', left + stem / 2, 0)
    .fit(fixedAdvance ? 20 : 'stem', width, fixedAdvance ? 0 : 12);
}

function letterS(pen: GlyphPen): Drawing {
  const { stem, bar, xHeight, overshoot } = pen.design;
  const width = pen.bodyWidth(350);
  pen.stroke(spineNodes(width, -overshoot, xHeight + overshoot, stem, bar));
  return pen.marks(width, xHeight).fit('round', width, 'round');
}

export function letterT(pen: GlyphPen): Drawing {
  const { stem, bar, xHeight, overshoot, fixedAdvance } = pen.design;
  const left = fixedAdvance ? 110 : stem * 0.92;
  const width = left + stem + (fixedAdvance ? 210 : stem * 0.3 + 84);
  const middle = left + stem / 2;
  const bottom = -overshoot;
  pen.stroke([
    { x: middle, y: xHeight * 1.27, angle: 270, width: stem },
    { x: middle, y: xHeight * 0.27, angle: 270, width: stem },
    { x: width * 0.9, y: bottom + bar / 2, angle: 0, width: bar },
    { x: width, y: bottom + bar / 2, angle: 0, width: bar },
  ]);
  crossbar(pen, 0, width);
  return pen
    .anchor('top', middle, xHeight * 1.27)
    .anchor('bottom', width * 0.6, 0)
    .anchor('right', left + stem, 0)
    .fit(pen.design.serif ? 30 : 22, width, 24);
}

export function letterU(pen: GlyphPen, foot = 0): Drawing {
  const { stem, xHeight } = pen.design;
  const width = pen.bodyWidth(380);
  upright(pen, width - stem, foot, xHeight, stem, { head: 'left', foot: foot < 0 ? 'none' : 'right' });
  pen.stroke(turnedNodes(archNodes(pen, 0, width), width, xHeight));
  slab(pen, 0, stem, xHeight, -1, 'left');
  return pen
    .marks(width, xHeight)
    .anchor('ogonek', width - stem / 2, 0)
    .fit('stem', width, 'stem');
}

function letterV(pen: GlyphPen): Drawing {
  const { stem, xHeight } = pen.design;
  const width = pen.bodyWidth(416);
  wedge(pen, width, xHeight, stem * 0.97);
  return pen.marks(width, xHeight).fit('slant', width, 'slant');
}

function letterW(pen: GlyphPen): Drawing {
  const { stem, xHeight, fixedAdvance } = pen.design;
  const width = fixedAdvance ? 530 : pen.bodyWidth(640, 4) + stem * 0.35;
  doubleWedge(pen, width, xHeight, stem * (fixedAdvance ? 0.82 : 0.93));
  return pen.marks(width, xHeight).fit('slant', width, 'slant');
}

function letterX(pen: GlyphPen): Drawing {
  const { stem, xHeight } = pen.design;
  const width = pen.bodyWidth(406);
  saltire(pen, width, xHeight, stem * 0.96);
  return pen.marks(width, xHeight).fit('slant', width, 'slant');
}

function letterY(pen: GlyphPen): Drawing {
  const { stem, bar, xHeight, descender } = pen.design;
  const width = pen.bodyWidth(416);
  const thickness = stem * 0.95;
  const half = (thickness * Math.hypot(1, width / 2 / xHeight)) / 2;
  const slope = (width / 2 - half) / xHeight;
  const tail = width / 2 + slope * descender * 0.62;
  pen.diagonal(half, xHeight, width / 2 - half * 0.04, 0, thickness);
  const angle = (Math.atan2(xHeight, width / 2 - half) * 180) / Math.PI;
  pen.stroke([
    { x: width - half - slope * 2, y: xHeight - 2, angle: 180 + angle, width: thickness * 0.96 },
    { x: tail, y: descender * 0.5, angle: 180 + angle, width: thickness * 0.96 },
    { x: tail - 70 - stem * 0.35, y: descender + bar / 2, angle: 180, width: bar * 0.98 },
    { x: tail - 90 - stem * 0.35, y: descender + bar / 2, angle: 180, width: bar * 0.98 },
  ]);
  // The cut on top is level, like that of the other diagonals.
  pen.diagonal(width - half, xHeight, width - half - slope * 60, xHeight - 60, thickness * 0.96);
  slab(pen, half * 0.35, half * 1.65, xHeight, -1, 'both');
  slab(pen, width - half * 1.65, width - half * 0.35, xHeight, -1, 'both');
  return pen.marks(width, xHeight).fit('slant', width, 'slant');
}

function letterZ(pen: GlyphPen): Drawing {
  const { stem, xHeight, bar, serif } = pen.design;
  const width = pen.bodyWidth(370);
  zigzag(pen, width, xHeight, bar * 0.96, stem * 0.98);
  if (serif)
    pen
      .box(0, xHeight - 150, serif.thickness * 0.8, xHeight)
      .box(width - serif.thickness * 0.8, 0, width, 150);
  return pen.marks(width, xHeight).fit('round', width, 'round');
}

export const bodyOfP: GlyphSource = (pen) =>
  stemAndBowl(pen, pen.design.descender, pen.design.xHeight, false);

export const smallLetters: Record<string, GlyphSource> = {
  a: letterA,
  b: (pen) => stemAndBowl(pen, 0, pen.design.ascender, false),
  c(pen) {
    const { stem, bar, xHeight, overshoot } = pen.design;
    const width = pen.bodyWidth(384);
    pen.stroke(openRoundNodes(width, -overshoot, xHeight + overshoot, stem * 1.03, bar, 0.2));
    return pen.marks(width * 1.04, xHeight).fit('round', width, 'round');
  },
  d: (pen) => stemAndBowl(pen, 0, pen.design.ascender, true),
  e: letterE,
  f: letterF,
  g: letterG,
  h: letterH,
  i: (pen) => shortStem(pen, true),
  dotlessi: (pen) => shortStem(pen, false),
  j: (pen) => letterJ(pen, true),
  dotlessj: (pen) => letterJ(pen, false),
  k: (pen) => letterK(pen, pen.design.ascender),
  l: letterL,
  m: letterM,
  n: (pen) => letterN(pen),
  o: letterO,
  p: bodyOfP,
  q: (pen) => stemAndBowl(pen, pen.design.descender, pen.design.xHeight, true),
  r: letterR,
  s: letterS,
  t: letterT,
  u: (pen) => letterU(pen),
  v: letterV,
  w: letterW,
  x: letterX,
  y: letterY,
  z: letterZ,
};
