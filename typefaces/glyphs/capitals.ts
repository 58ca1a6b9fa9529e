import type { Drawing, GlyphPen, GlyphSource } from '../glyph-pen.js';
import { armSlab, openRoundNodes, slab, spineNodes, upright } from './parts.js';
import { doubleWedge, kick, saltire, wedge, zigzag } from './diagonals.js';

/** The width of a capital's body. */
export function capWidth(pen: GlyphPen, regular: number, stems = 2): number {
  const { fixedAdvance, width, capStem } = pen.design;
  if (fixedAdvance) return Math.min(Math.max(440 + (regular - 480) * 0.25, 380), fixedAdvance - 60);
  return (regular - stems * 90) * Math.sqrt(width) + stems * capStem;
}

export const marks = (pen: GlyphPen, width: number) => pen.marks(width, pen.design.capHeight);

export function capitalA(pen: GlyphPen, crossed = true): Drawing {
  const { capStem, capBar, capHeight } = pen.design;
  const width = capWidth(pen, 610);
  const thickness = capStem * 0.97;
  const slope = width / 2 / capHeight;
  const half = (thickness * Math.hypot(1, slope)) / 2;
  pen.diagonal(half, 0, width / 2 - half * 0.1, capHeight, thickness * 0.94);
  pen.diagonal(width - half, 0, width / 2 + half * 0.1, capHeight, thickness);
  if (crossed) {
    const y = capHeight * 0.29;
    const inset = half + (width / 2 - half) * ((y - capBar / 2) / capHeight);
    pen.box(inset, y - capBar * 0.46, width - inset, y + capBar * 0.46);
  }
  slab(pen, half * 0.4, half * 1.6, 0, 1, 'both');
  slab(pen, width - half * 1.6, width - half * 0.4, 0, 1, 'both');
  return marks(pen, width)
    .anchor('ogonek', width - half, 0)
    .fit('slant', width, 'slant');
}

function capitalB(pen: GlyphPen): Drawing {
  const { capStem, capBar, capHeight } = pen.design;
  const width = capWidth(pen, 490);
  const waist = capHeight * 0.525;
  bow(pen, width * 0.94, waist - capBar / 2, capHeight, capStem * 0.97);
  bow(pen, width, 0, waist + capBar / 2, capStem);
  upright(pen, 0, 0, capHeight, capStem, { foot: 'left', head: 'left' });
  return marks(pen, width).fit('stem', width, 'round');
}

/** A bow to the right of a stem: B, P, R, D. */
export function bow(pen: GlyphPen, width: number, y0: number, y1: number, side: number): void {
  const { capBar, capStem } = pen.design;
  const height = y1 - y0;
  const turn = Math.max(width - side - height * 0.52, capStem * 1.02);
  pen.stroke([
    { x: capStem * 0.5, y: y1 - capBar / 2, angle: 0, width: capBar },
    { x: turn, y: y1 - capBar / 2, angle: 0, width: capBar },
    { x: width - side / 2, y: (y0 + y1) / 2, angle: 270, width: side },
    { x: turn, y: y0 + capBar / 2, angle: 180, width: capBar },
    { x: capStem * 0.5, y: y0 + capBar / 2, angle: 180, width: capBar },
  ]);
}

function capitalC(pen: GlyphPen): Drawing {
  const { capStem, capBar, capHeight, overshoot } = pen.design;
  const width = capWidth(pen, 586);
  pen.stroke(openRoundNodes(width, -overshoot, capHeight + overshoot, capStem * 1.03, capBar, 0.215));
  armSlab(pen, width * 0.985, capHeight + overshoot * 0.4, -1, capHeight * 0.31);
  return marks(pen, width * 1.03).fit('round', width, 'round');
}

export function capitalD(pen: GlyphPen): Drawing {
  const { capStem, capBar, capHeight } = pen.design;
  const width = capWidth(pen, 574);
  const turn = width * 0.4;
  const side = capStem * 1.02;
  pen.stroke([
    { x: capStem * 0.5, y: capHeight - capBar / 2, angle: 0, width: capBar },
    { x: turn, y: capHeight - capBar / 2, angle: 0, width: capBar },
    { x: width - side / 2, y: capHeight / 2, angle: 270, width: side },
    { x: turn, y: capBar / 2, angle: 180, width: capBar },
    { x: capStem * 0.5, y: capBar / 2, angle: 180, width: capBar },
  ]);
  upright(pen, 0, 0, capHeight, capStem, { foot: 'left', head: 'left' });
  return marks(pen, width).fit('stem', width, 'round');
}

/** A stem with arms to the right at these heights; the arms of E, F and L. */
function armed(pen: GlyphPen, width: number, arms: { y: number; reach: number }[], bearing: number): Drawing {
  const { capStem, capBar, capHeight, serif } = pen.design;
  for (const { y, reach } of arms) {
    pen.box(capStem * 0.5, y, width * reach, y + capBar);
    if (y === 0) armSlab(pen, width * reach, 0, 1, capHeight * 0.27);
    else if (y + capBar >= capHeight) armSlab(pen, width * reach, capHeight, -1, capHeight * 0.27);
  }
  const bottomArm = arms.some(({ y }) => y === 0);
  const topArm = arms.some(({ y }) => y + capBar >= capHeight);
  upright(pen, 0, 0, capHeight, capStem, {
    foot: bottomArm ? 'left' : 'both',
    head: topArm ? 'left' : 'both',
  });
  return marks(pen, width)
    .anchor('right', width * 0.62, 0)
    .fit('stem', width, serif ? 40 : bearing);
}

function capitalE(pen: GlyphPen): Drawing {
  const { capBar, capHeight } = pen.design;
  const width = capWidth(pen, 432);
  const arms = [
    { y: 0, reach: 1 },
    { y: capHeight * 0.525 - capBar / 2, reach: 0.9 },
    { y: capHeight - capBar, reach: 0.97 },
  ];
  pen.anchor('ogonek', width * 0.8, 0);
  return armed(pen, width, arms, 36);
}

function capitalG(pen: GlyphPen): Drawing {
  const { capStem, capBar, capHeight, overshoot } = pen.design;
  const width = capWidth(pen, 614);
  const nodes = openRoundNodes(width, -overshoot, capHeight + overshoot, capStem * 1.03, capBar, 0.205);
  pen.stroke([
    ...nodes.slice(0, 4),
    { x: width - capStem * 0.5, y: capHeight * 0.19, angle: 62, width: capStem * 0.8 },
  ]);
  const top = capHeight * 0.44;
  pen.box(width - capStem, capHeight * 0.075, width, top).box(width * 0.55, top - capBar, width, top);
  return marks(pen, width).fit('round', width, 'stem');
}

export function capitalH(pen: GlyphPen): Drawing {
  const { capStem, capBar, capHeight } = pen.design;
  const width = capWidth(pen, 548);
  upright(pen, 0, 0, capHeight, capStem, { foot: 'both', head: 'both' });
  upright(pen, width - capStem, 0, capHeight, capStem, { foot: 'both', head: 'both' });
  const y = capHeight * 0.52;
  pen.box(capStem * 0.5, y - capBar / 2, width - capStem * 0.5, y + capBar / 2);
  return marks(pen, width).fit('stem', width, 'stem');
}

function capitalI(pen: GlyphPen): Drawing {
  const { capStem, capBar, capHeight, fixedAdvance } = pen.design;
  if (fixedAdvance) {
    const width = 360;
    pen.box(width / 2 - capStem / 2, 0, width / 2 + capStem / 2, capHeight);
    pen.box(0, 0, width, capBar).box(0, capHeight - capBar, width, capHeight);
    return marks(pen, width)
      .anchor('ogonek', width / 2, 0)
      .fit(0, width, 0);
  }
  upright(pen, 0, 0, capHeight, capStem, { foot: 'both', head: 'both' });
  return marks(pen, capStem)
    .anchor('ogonek', capStem * 0.6, 0)
    .fit('stem', capStem, 'stem');
}

function capitalJ(pen: GlyphPen): Drawing {
  const { capStem, capBar, capHeight, overshoot, fixedAdvance } = pen.design;
  const width = capWidth(pen, 380);
  const middle = width - capStem / 2;
  pen.stroke([
    { x: middle, y: capHeight, angle: 270, width: capStem },
    { x: middle, y: capHeight * 0.28, angle: 270, width: capStem },
    { x: (width - capStem * 0.3) * 0.47, y: -overshoot + capBar / 2, angle: 180, width: capBar },
    { x: capBar * 0.55, y: capHeight * 0.19, angle: 112, width: capBar * 0.98 },
  ]);
  slab(pen, width - capStem, width, capHeight, -1, 'both');
  if (fixedAdvance) pen.box(width * 0.35, capHeight - capBar, width, capHeight);
  return pen
    .anchor('top', middle, capHeight)
    .anchor('bottom', width / 2, 0)
    .fit(20, width, 'stem');
}

function capitalK(pen: GlyphPen): Drawing {
  const { capStem, capHeight } = pen.design;
  const width = capWidth(pen, 530);
  upright(pen, 0, 0, capHeight, capStem, { foot: 'both', head: 'both' });
  kick(pen, capStem, width, capHeight, capStem * 0.93, capStem * 0.98);
  return marks(pen, width).fit('stem', width, 'slant');
}

function capitalM(pen: GlyphPen): Drawing {
  const { capStem, capHeight, fixedAdvance } = pen.design;
  const width = fixedAdvance ? 490 : capWidth(pen, 682, 3);
  const thickness = capStem * 0.9;
  const half = (thickness * Math.hypot(1, width / 2 / capHeight)) / 2;
  upright(pen, 0, 0, capHeight, capStem * 0.95, { foot: 'both', head: 'left' });
  upright(pen, width - capStem * 0.95, 0, capHeight, capStem * 0.95, { foot: 'both', head: 'right' });
  const low = fixedAdvance ? capHeight * 0.28 : 0;
  pen.diagonal(half, capHeight, width / 2 - half * 0.05, low, thickness);
  pen.diagonal(width - half, capHeight, width / 2 + half * 0.05, low, thickness);
  return marks(pen, width).fit('stem', width, 'stem');
}

export function capitalN(pen: GlyphPen): Drawing {
  const { capStem, capHeight } = pen.design;
  const width = capWidth(pen, 566);
  const thickness = capStem * 0.97;
  const half = (thickness * Math.hypot(1, width / capHeight)) / 2;
  upright(pen, 0, 0, capHeight, capStem * 0.95, { foot: 'both', head: 'left' });
  upright(pen, width - capStem * 0.95, 0, capHeight, capStem * 0.95, { head: 'both' });
  pen.diagonal(half, capHeight, width - half, 0, thickness);
  return marks(pen, width).fit('stem', width, 'stem');
}

export function roundWidth(pen: GlyphPen): number {
  return capWidth(pen, 646);
}

export function capitalO(pen: GlyphPen): Drawing {
  const { capStem, capBar, capHeight, overshoot } = pen.design;
  const width = roundWidth(pen);
  pen.ring(0, -overshoot, width, capHeight + overshoot, capStem * 1.03, capBar);
  return marks(pen, width)
    .anchor('ogonek', width * 0.6, 0)
    .fit('round', width, 'round');
}

function capitalP(pen: GlyphPen): Drawing {
  const { capStem, capBar, capHeight } = pen.design;
  const width = capWidth(pen, 478);
  bow(pen, width, capHeight * 0.47 - capBar / 2, capHeight, capStem);
  upright(pen, 0, 0, capHeight, capStem, { foot: 'both', head: 'left' });
  return marks(pen, width).fit('stem', width, 'round');
}

function capitalQ(pen: GlyphPen): Drawing {
  const { capStem, capHeight } = pen.design;
  const width = roundWidth(pen);
  pen.diagonal(width * 0.62, capHeight * 0.2, width * 0.97, -capHeight * 0.075, capStem * 0.86);
  return capitalO(pen);
}

function capitalR(pen: GlyphPen): Drawing {
  const { capStem, capBar, capHeight } = pen.design;
  const width = capWidth(pen, 500);
  const waist = capHeight * 0.48;
  bow(pen, width * 0.97, waist - capBar / 2, capHeight, capStem);
  const half = capStem * 0.56;
  pen.diagonal(width * 0.5, waist, width - half, 0, capStem * 0.98);
  upright(pen, 0, 0, capHeight, capStem, { foot: 'both', head: 'left' });
  slab(pen, width - half * 1.7, width - half * 0.2, 0, 1, 'both');
  return marks(pen, width).fit('stem', width, 'slant');
}

function capitalS(pen: GlyphPen): Drawing {
  const { capStem, capBar, capHeight, overshoot } = pen.design;
  const width = capWidth(pen, 488);
  pen.stroke(spineNodes(width, -overshoot, capHeight + overshoot, capStem, capBar, 0.2));
  return marks(pen, width).fit('round', width, 'round');
}

export function capitalT(pen: GlyphPen): Drawing {
  const { capStem, capBar, capHeight, serif } = pen.design;
  const width = capWidth(pen, 520);
  upright(pen, width / 2 - capStem / 2, 0, capHeight, capStem, { foot: 'both' });
  pen.box(0, capHeight - capBar, width, capHeight);
  armSlab(pen, width, capHeight, -1, capHeight * 0.29);
  if (serif) armSlab(pen, serif.thickness * 0.92, capHeight, -1, capHeight * 0.29);
  return marks(pen, width).fit(serif ? 36 : 24, width, serif ? 36 : 24);
}

function capitalU(pen: GlyphPen): Drawing {
  const { capStem, capBar, capHeight, overshoot } = pen.design;
  const width = capWidth(pen, 540);
  const turn = capHeight * 0.35;
  pen.stroke([
    { x: capStem / 2, y: capHeight, angle: 270, width: capStem },
    { x: capStem / 2, y: turn, angle: 270, width: capStem },
    { x: width / 2, y: -overshoot + capBar / 2, angle: 0, width: capBar },
    { x: width - capStem / 2, y: turn, angle: 90, width: capStem },
    { x: width - capStem / 2, y: capHeight, angle: 90, width: capStem },
  ]);
  slab(pen, 0, capStem, capHeight, -1, 'both');
  slab(pen, width - capStem, width, capHeight, -1, 'both');
  return marks(pen, width)
    .anchor('ogonek', width * 0.56, 0)
    .fit('stem', width, 'stem');
}

export function capitalY(pen: GlyphPen): Drawing {
  const { capStem, capHeight } = pen.design;
  const width = capWidth(pen, 570);
  const fork = capHeight * 0.42;
  const half = (capStem * Math.hypot(1, width / 2 / (capHeight - fork))) / 2;
  pen.diagonal(half, capHeight, width / 2 - half * 0.1, fork - capStem * 0.3, capStem * 0.97);
  pen.diagonal(width - half, capHeight, width / 2 + half * 0.1, fork - capStem * 0.3, capStem * 0.94);
  upright(pen, width / 2 - capStem / 2, 0, fork + capStem * 0.1, capStem, { foot: 'both' });
  slab(pen, half * 0.4, half * 1.6, capHeight, -1, 'both');
  slab(pen, width - half * 1.6, width - half * 0.4, capHeight, -1, 'both');
  return marks(pen, width).fit('slant', width, 'slant');
}

function capitalZ(pen: GlyphPen): Drawing {
  const { capStem, capBar, capHeight, serif } = pen.design;
  const width = capWidth(pen, 510);
  zigzag(pen, width, capHeight, capBar, capStem);
  armSlab(pen, width, 0, 1, capHeight * 0.27);
  if (serif) armSlab(pen, serif.thickness * 0.92 + width * 0.02, capHeight, -1, capHeight * 0.27);
  return marks(pen, width).fit('round', width, 'round');
}

export function capitalL(pen: GlyphPen): Drawing {
  return armed(pen, capWidth(pen, 410), [{ y: 0, reach: 1 }], 22);
}

export const capitals: Record<string, GlyphSource> = {
  A: (pen) => capitalA(pen),
  B: capitalB,
  C: capitalC,
  D: capitalD,
  E: capitalE,
  F(pen) {
    const { capBar, capHeight } = pen.design;
    const arms = [
      { y: capHeight * 0.49 - capBar / 2, reach: 0.88 },
      { y: capHeight - capBar, reach: 1 },
    ];
    return armed(pen, capWidth(pen, 412), arms, 24);
  },
  G: capitalG,
  H: capitalH,
  I: capitalI,
  J: capitalJ,
  K: capitalK,
  L: capitalL,
  M: capitalM,
  N: capitalN,
  O: capitalO,
  P: capitalP,
  Q: capitalQ,
  R: capitalR,
  S: capitalS,
  T: capitalT,
  U: capitalU,
  V(pen) {
    const width = capWidth(pen, 596);
    wedge(pen, width, pen.design.capHeight, pen.design.capStem * 0.98);
    return marks(pen, width).fit('slant', width, 'slant');
  },
  W(pen) {
    const { capStem, capHeight, fixedAdvance } = pen.design;
    const width = fixedAdvance ? 540 : capWidth(pen, 850, 4) + capStem * 0.3;
    doubleWedge(pen, width, capHeight, capStem * (fixedAdvance ? 0.8 : 0.93));
    return marks(pen, width).fit('slant', width, 'slant');
  },
  X(pen) {
    const width = capWidth(pen, 566);
    saltire(pen, width, pen.design.capHeight, pen.design.capStem * 0.97);
    return marks(pen, width).fit('slant', width, 'slant');
  },
  Y: capitalY,
  Z: capitalZ,
};
