// One piece: all Greek letters that have a drawing of their own, one function each.
import type { Drawing, GlyphPen, GlyphSource } from '../glyph-pen.js';
import { capitalA, capitalO, capWidth } from './capitals.js';
import { bowlNodes, mirroredNodes, slab, upright } from './parts.js';
import { bodyOfP, letterK, letterN, letterU, smallLetters } from './small-letters.js';

function alpha(pen: GlyphPen): Drawing {
  const { stem, bar, xHeight } = pen.design;
  const width = pen.bodyWidth(408);
  pen.stroke(mirroredNodes(bowlNodes(pen, width), width));
  const right = width - stem / 2;
  pen.stroke([
    { x: right, y: xHeight, angle: 270, width: stem },
    { x: right, y: xHeight * 0.22, angle: 270, width: stem },
    { x: width + stem * 0.3 + 34, y: bar / 2 - 2, angle: 0, width: bar * 0.94 },
    { x: width + stem * 0.3 + 44, y: bar / 2 - 2, angle: 0, width: bar * 0.94 },
  ]);
  return pen.marks(width, xHeight).fit('round', width + 44 + stem * 0.3, 18);
}

function beta(pen: GlyphPen): Drawing {
  const { stem, bar, xHeight, ascender, descender, overshoot } = pen.design;
  const width = pen.bodyWidth(402);
  const top = ascender * 0.97 + overshoot;
  const waist = xHeight * 0.78;
  pen.stroke([
    { x: stem / 2, y: descender, angle: 90, width: stem },
    { x: stem / 2, y: top * 0.74, angle: 90, width: stem },
    { x: width * 0.48, y: top - bar / 2, angle: 0, width: bar },
    { x: width * 0.92 - stem / 2, y: (top + waist) / 2, angle: 270, width: stem * 0.95 },
    { x: width * 0.5, y: waist, angle: 180, width: bar * 0.9 },
    { x: stem + 26, y: waist, angle: 180, width: bar * 0.9 },
  ]);
  pen.stroke([
    { x: stem + 40, y: waist, angle: 0, width: bar * 0.9 },
    { x: width * 0.5, y: waist, angle: 0, width: bar * 0.9 },
    { x: width - stem / 2, y: xHeight * 0.37, angle: 270, width: stem },
    { x: width * 0.5, y: -overshoot + bar / 2, angle: 180, width: bar },
    { x: stem * 0.55, y: xHeight * 0.2, angle: 130, width: stem * 0.46 },
  ]);
  return pen.marks(width, ascender).fit('stem', width, 'round');
}

function gamma(pen: GlyphPen): Drawing {
  const { stem, xHeight, descender } = pen.design;
  const width = pen.bodyWidth(416);
  const thickness = stem * 0.95;
  const half = (thickness * Math.hypot(1, width / 2 / xHeight)) / 2;
  pen.diagonal(half, xHeight, width / 2 - half * 0.05, 0, thickness);
  pen.diagonal(width - half, xHeight, width / 2 + half * 0.05, 0, thickness * 0.96);
  pen.box(width / 2 - stem / 2, descender, width / 2 + stem / 2, stem * 0.5);
  return pen.marks(width, xHeight).fit('slant', width, 'slant');
}

function delta(pen: GlyphPen): Drawing {
  const { stem, bar, xHeight, ascender, overshoot } = pen.design;
  const width = pen.bodyWidth(420);
  const eye = xHeight * 0.95;
  pen.ring(0, -overshoot, width, eye, stem * 1.02, bar);
  pen.stroke([
    { x: width * 0.86, y: ascender - bar * 0.55, angle: 172, width: bar * 0.96 },
    { x: width * 0.5, y: ascender - bar * 0.48, angle: 180, width: bar * 0.96 },
    { x: width * 0.19 + stem * 0.4, y: ascender * 0.855, angle: 270, width: stem * 0.9 },
    { x: width * 0.55, y: xHeight * 0.93, angle: 326, width: stem * 0.72 },
    { x: width - stem * 0.56, y: xHeight * 0.52, angle: 276, width: stem * 0.9 },
  ]);
  return pen.marks(width, ascender).fit('round', width, 'round');
}

/** Two open bowls over each other, as in ε and the upper part of ξ. */
function epsilonBowls(pen: GlyphPen, width: number, y0: number, y1: number): void {
  const { stem, bar } = pen.design;
  const waist = y0 + (y1 - y0) * 0.52;
  const thin = bar * 0.94;
  pen.stroke([
    { x: width * 0.93 - bar * 0.1, y: y1 - (y1 - y0) * 0.17, angle: 138, width: thin },
    { x: width * 0.52, y: y1 - thin / 2, angle: 180, width: thin },
    { x: stem * 0.6, y: (y1 + waist) / 2 + 4, angle: 270, width: stem * 0.92 },
    { x: width * 0.5, y: waist, angle: 0, width: bar * 0.84 },
    { x: width * 0.74, y: waist, angle: 0, width: bar * 0.84 },
  ]);
  pen.stroke([
    { x: width * 0.74, y: waist, angle: 180, width: bar * 0.84 },
    { x: width * 0.5, y: waist, angle: 180, width: bar * 0.84 },
    { x: stem * 0.5, y: (y0 + waist) / 2, angle: 270, width: stem },
    { x: width * 0.52, y: y0 + thin / 2, angle: 0, width: thin },
    { x: width * 0.97 - bar * 0.1, y: y0 + (y1 - y0) * 0.17, angle: 42, width: thin },
  ]);
}

function epsilon(pen: GlyphPen): Drawing {
  const { xHeight, overshoot } = pen.design;
  const width = pen.bodyWidth(352);
  epsilonBowls(pen, width, -overshoot, xHeight + overshoot);
  return pen.marks(width, xHeight).fit('round', width, 'round');
}

/** The tail under ζ, ξ and ς: from the left of a bowl into a hook. */
function tailNodes(pen: GlyphPen, width: number, fromY: number) {
  const { stem, bar, descender } = pen.design;
  return [
    { x: stem / 2, y: fromY, angle: 270, width: stem },
    { x: width * 0.58, y: bar * 0.42, angle: 0, width: bar },
    { x: width - stem * 0.45, y: descender * 0.44, angle: 270, width: stem * 0.86 },
    { x: width * 0.56, y: descender * 0.98, angle: 205, width: bar * 0.86 },
  ];
}

function zeta(pen: GlyphPen): Drawing {
  const { stem, bar, xHeight, ascender } = pen.design;
  const width = pen.bodyWidth(344);
  const top = ascender * 0.97;
  pen.box(width * 0.06, top - bar, width * 0.96, top);
  pen.stroke([
    { x: width * 0.84, y: top - bar * 0.5, angle: 226, width: stem * 0.86 },
    ...tailNodes(pen, width, xHeight * 0.42),
  ]);
  return pen.marks(width, ascender).fit('round', width, 'round');
}

function eta(pen: GlyphPen): Drawing {
  return letterN(pen, pen.design.descender);
}

function theta(pen: GlyphPen): Drawing {
  const { stem, bar, ascender, overshoot } = pen.design;
  const width = pen.bodyWidth(408);
  const top = ascender * 0.97 + overshoot;
  pen.ring(0, -overshoot, width, top, stem, bar);
  pen.box(stem * 0.5, top * 0.49 - bar * 0.43, width - stem * 0.5, top * 0.49 + bar * 0.43);
  return pen.marks(width, ascender).fit('round', width, 'round');
}

function iota(pen: GlyphPen): Drawing {
  const { stem, bar, xHeight, fixedAdvance } = pen.design;
  const left = fixedAdvance ? 120 : 0;
  const width = left + stem + stem * 0.3 + (fixedAdvance ? 150 : 56);
  const middle = left + stem / 2;
  pen.stroke([
    { x: middle, y: xHeight, angle: 270, width: stem },
    { x: middle, y: xHeight * 0.24, angle: 270, width: stem },
    { x: width - 16, y: bar / 2 - 4, angle: 0, width: bar * 0.96 },
    { x: width, y: bar / 2 - 4, angle: 0, width: bar * 0.96 },
  ]);
  return pen
    .anchor('top', middle, xHeight)
    .anchor('bottom', middle, 0)
    .fit(fixedAdvance ? 20 : 'stem', width, 20);
}

function lambda(pen: GlyphPen): Drawing {
  const { stem, xHeight, ascender } = pen.design;
  const width = pen.bodyWidth(410);
  const thickness = stem * 0.95;
  const half = (thickness * Math.hypot(1, width / 2 / xHeight)) / 2;
  const top = ascender * 0.97;
  const slope = (width / 2 - half) / xHeight;
  const apex = width / 2 + half * 0.1;
  pen.diagonal(width - half, 0, apex - slope * (top - xHeight * 0.94), top, thickness);
  pen.diagonal(half, 0, apex - half * 0.1, xHeight * 0.95, thickness * 0.96);
  return pen.marks(width, ascender).fit('slant', width, 'slant');
}

function xi(pen: GlyphPen): Drawing {
  const { stem, bar, xHeight, ascender } = pen.design;
  const width = pen.bodyWidth(346);
  const top = ascender * 0.97;
  const waist = xHeight * 0.72;
  pen.box(width * 0.12, top - bar * 0.94, width * 0.94, top);
  pen.stroke([
    { x: width * 0.82, y: top - bar * 0.5, angle: 180, width: bar * 0.9 },
    { x: width * 0.6, y: top - bar * 0.5, angle: 180, width: bar * 0.9 },
    { x: width * 0.06 + stem * 0.5, y: (top + waist) / 2, angle: 270, width: stem * 0.92 },
    { x: width * 0.52, y: waist, angle: 0, width: bar * 0.86 },
    { x: width * 0.78, y: waist, angle: 0, width: bar * 0.86 },
  ]);
  pen.stroke([
    { x: width * 0.78, y: waist, angle: 180, width: bar * 0.86 },
    { x: width * 0.52, y: waist, angle: 180, width: bar * 0.86 },
    ...tailNodes(pen, width, xHeight * 0.35),
  ]);
  return pen.marks(width, ascender).fit('round', width, 'round');
}

function pi(pen: GlyphPen): Drawing {
  const { stem, bar, xHeight } = pen.design;
  const width = pen.bodyWidth(440);
  pen.box(0, xHeight - bar, width, xHeight);
  pen.box(width * 0.14, 0, width * 0.14 + stem, xHeight - bar / 2);
  pen.box(width * 0.86 - stem, 0, width * 0.86, xHeight - bar / 2);
  return pen.marks(width, xHeight).fit(24, width, 24);
}

function finalSigma(pen: GlyphPen): Drawing {
  const { bar, xHeight, overshoot } = pen.design;
  const width = pen.bodyWidth(362);
  pen.stroke([
    { x: width * 0.95 - bar * 0.12, y: xHeight * 0.84, angle: 134, width: bar * 0.94 },
    { x: width * 0.54, y: xHeight + overshoot - bar / 2, angle: 180, width: bar },
    ...tailNodes(pen, width, xHeight * 0.5),
  ]);
  return pen.marks(width, xHeight).fit('round', width, 'round');
}

function sigma(pen: GlyphPen): Drawing {
  const { stem, bar, xHeight, overshoot } = pen.design;
  const width = pen.bodyWidth(424);
  pen.ring(0, -overshoot, width, xHeight + overshoot * 0.3, stem * 1.03, bar);
  pen.box(width * 0.48, xHeight - bar, width * 1.1, xHeight);
  return pen.marks(width, xHeight).fit('round', width * 1.1, 16);
}

function tau(pen: GlyphPen): Drawing {
  const { stem, bar, xHeight } = pen.design;
  const width = pen.bodyWidth(350);
  pen.box(0, xHeight - bar, width, xHeight);
  pen.box(width / 2 - stem / 2, 0, width / 2 + stem / 2, xHeight - bar / 2);
  return pen.marks(width, xHeight).fit(22, width, 22);
}

function upsilon(pen: GlyphPen): Drawing {
  const { stem, bar, xHeight, overshoot } = pen.design;
  const width = pen.bodyWidth(386);
  pen.stroke([
    { x: stem / 2, y: xHeight, angle: 270, width: stem },
    { x: stem / 2, y: xHeight * 0.42, angle: 270, width: stem },
    { x: width * 0.48, y: -overshoot + bar / 2, angle: 0, width: bar },
    { x: width - stem / 2, y: xHeight * 0.5, angle: 90, width: stem },
    { x: width * 0.93 - stem / 2, y: xHeight, angle: 100, width: stem * 0.94 },
  ]);
  return pen.marks(width, xHeight).fit('stem', width, 'round');
}

function phi(pen: GlyphPen): Drawing {
  const { stem, bar, xHeight, descender, ascender, overshoot } = pen.design;
  const width = pen.bodyWidth(500, 3);
  pen.ring(0, -overshoot, width, xHeight + overshoot, stem * 0.98, bar * 0.94);
  pen.box(width / 2 - stem * 0.47, descender, width / 2 + stem * 0.47, ascender * 0.94);
  return pen.marks(width, xHeight).fit('round', width, 'round');
}

function chi(pen: GlyphPen): Drawing {
  const { stem, xHeight, descender } = pen.design;
  const width = pen.bodyWidth(416);
  const half = (stem * Math.hypot(1, width / (xHeight - descender))) / 2;
  pen.diagonal(half, xHeight, width - half, descender, stem * 0.97);
  pen.diagonal(half, descender, width - half, xHeight, stem * 0.9);
  return pen.marks(width, xHeight).fit('slant', width, 'slant');
}

function psi(pen: GlyphPen): Drawing {
  const { stem, bar, xHeight, descender, ascender, overshoot } = pen.design;
  const width = pen.bodyWidth(510, 3);
  pen.stroke([
    { x: stem * 0.48, y: xHeight, angle: 270, width: stem * 0.96 },
    { x: stem * 0.48, y: xHeight * 0.42, angle: 270, width: stem * 0.96 },
    { x: width / 2, y: -overshoot + bar / 2, angle: 0, width: bar },
    { x: width - stem * 0.48, y: xHeight * 0.42, angle: 90, width: stem * 0.96 },
    { x: width - stem * 0.48, y: xHeight, angle: 90, width: stem * 0.96 },
  ]);
  pen.box(width / 2 - stem * 0.46, descender, width / 2 + stem * 0.46, ascender * 0.94);
  return pen.marks(width, xHeight).fit('stem', width, 'stem');
}

function omega(pen: GlyphPen): Drawing {
  const { stem, bar, xHeight, overshoot, fixedAdvance } = pen.design;
  const width = pen.bodyWidth(fixedAdvance ? 620 : 580, 3);
  const half = width / 2;
  const thin = fixedAdvance ? stem * 0.9 : stem;
  for (const side of [1, -1]) {
    const x = (value: number) => (side > 0 ? value : width - value);
    const angle = (value: number) => (side > 0 ? value : 180 - value);
    pen.stroke([
      { x: x(width * 0.16), y: xHeight - bar * 0.1, angle: angle(216), width: bar * 0.8 },
      { x: x(thin / 2), y: xHeight * 0.4, angle: 270, width: thin },
      { x: x(half * 0.56), y: -overshoot + bar / 2, angle: angle(0), width: bar },
      { x: x(half), y: xHeight * 0.34, angle: 90, width: thin * 0.94 },
      { x: x(half), y: xHeight * 0.66, angle: 90, width: thin * 0.94 },
    ]);
  }
  return pen.marks(width, xHeight).fit('round', width, 'round');
}

const capMarks = (pen: GlyphPen, width: number) => pen.marks(width, pen.design.capHeight);

function capitalGamma(pen: GlyphPen): Drawing {
  const { capStem, capBar, capHeight, serif } = pen.design;
  const width = capWidth(pen, 412);
  upright(pen, 0, 0, capHeight, capStem, { foot: 'both', head: 'left' });
  pen.box(capStem / 2, capHeight - capBar, width, capHeight);
  if (serif) pen.box(width - serif.thickness * 0.92, capHeight * 0.73, width, capHeight);
  return capMarks(pen, width).fit('stem', width, 24);
}

function capitalDelta(pen: GlyphPen): Drawing {
  const { capStem, capBar, capHeight } = pen.design;
  const width = capWidth(pen, 620);
  const half = (capStem * Math.hypot(1, width / 2 / capHeight)) / 2;
  pen.diagonal(half, 0.5, width / 2 - half * 0.1, capHeight, capStem * 0.92);
  pen.diagonal(width - half, 0.5, width / 2 + half * 0.1, capHeight, capStem);
  pen.box(0, 0, width, capBar);
  return capMarks(pen, width).fit('slant', width, 'slant');
}

function capitalTheta(pen: GlyphPen): Drawing {
  const { capStem, capBar, capHeight } = pen.design;
  const width = capWidth(pen, 646);
  pen.box(
    width * 0.5 - capStem * 1.25,
    capHeight / 2 - capBar / 2,
    width * 0.5 + capStem * 1.25,
    capHeight / 2 + capBar / 2,
  );
  return capitalO(pen);
}

function capitalXi(pen: GlyphPen): Drawing {
  const { capBar, capHeight } = pen.design;
  const width = capWidth(pen, 500);
  pen.box(0, 0, width, capBar).box(0, capHeight - capBar, width, capHeight);
  pen.box(width * 0.08, capHeight * 0.51 - capBar / 2, width * 0.92, capHeight * 0.51 + capBar / 2);
  return capMarks(pen, width).fit(40, width, 40);
}

function capitalPi(pen: GlyphPen): Drawing {
  const { capStem, capBar, capHeight } = pen.design;
  const width = capWidth(pen, 548);
  upright(pen, 0, 0, capHeight, capStem, { foot: 'both', head: 'left' });
  upright(pen, width - capStem, 0, capHeight, capStem, { foot: 'both', head: 'right' });
  pen.box(capStem / 2, capHeight - capBar, width - capStem / 2, capHeight);
  return capMarks(pen, width).fit('stem', width, 'stem');
}

function capitalSigma(pen: GlyphPen): Drawing {
  const { capStem, capBar, capHeight } = pen.design;
  const width = capWidth(pen, 490);
  const half = capStem * 0.6;
  const tip = width * 0.52;
  pen.box(0, 0, width, capBar).box(0, capHeight - capBar, width * 0.97, capHeight);
  pen.diagonal(half, 0.5, tip, capHeight * 0.52, capStem * 0.86);
  pen.diagonal(tip, capHeight * 0.5, half, capHeight - 0.5, capStem * 0.86);
  return capMarks(pen, width).fit(34, width, 34);
}

function capitalPhi(pen: GlyphPen): Drawing {
  const { capStem, capBar, capHeight } = pen.design;
  const width = capWidth(pen, 680, 3);
  pen.ring(0, capHeight * 0.13, width, capHeight * 0.87, capStem, capBar);
  upright(pen, width / 2 - capStem / 2, 0, capHeight, capStem, { foot: 'both', head: 'both' });
  return capMarks(pen, width).fit('round', width, 'round');
}

function capitalPsi(pen: GlyphPen): Drawing {
  const { capStem, capBar, capHeight } = pen.design;
  const width = capWidth(pen, 680, 3);
  const low = capHeight * 0.25;
  pen.stroke([
    { x: capStem / 2, y: capHeight, angle: 270, width: capStem },
    { x: capStem / 2, y: capHeight * 0.6, angle: 270, width: capStem },
    { x: width / 2, y: low + capBar / 2, angle: 0, width: capBar },
    { x: width - capStem / 2, y: capHeight * 0.6, angle: 90, width: capStem },
    { x: width - capStem / 2, y: capHeight, angle: 90, width: capStem },
  ]);
  upright(pen, width / 2 - capStem / 2, 0, capHeight, capStem, { foot: 'both', head: 'both' });
  slab(pen, 0, capStem, capHeight, -1, 'both');
  slab(pen, width - capStem, width, capHeight, -1, 'both');
  return capMarks(pen, width).fit('stem', width, 'stem');
}

function capitalOmega(pen: GlyphPen): Drawing {
  const { capStem, capBar, capHeight, overshoot } = pen.design;
  const width = capWidth(pen, 640);
  const foot = width * 0.36;
  for (const side of [1, -1]) {
    const x = (value: number) => (side > 0 ? value : width - value);
    const angle = (value: number) => (side > 0 ? value : 180 - value);
    pen.box(Math.min(x(width * 0.02), x(foot)), 0, Math.max(x(width * 0.02), x(foot)), capBar);
    pen.stroke([
      { x: x(foot - capBar * 0.46), y: capBar * 0.5, angle: 90, width: capBar * 0.92 },
      { x: x(foot - capBar * 0.46), y: capBar * 0.8, angle: 90, width: capBar * 0.92 },
      { x: x(capStem / 2), y: capHeight * 0.53, angle: 90, width: capStem },
      { x: x(width / 2), y: capHeight + overshoot - capBar / 2, angle: angle(0), width: capBar },
    ]);
  }
  return capMarks(pen, width).fit('round', width, 'round');
}

/** Greek letters whose shape isn't that of a Latin one. */
export const greek: Record<string, GlyphSource> = {
  Gamma: capitalGamma,
  uni0394: capitalDelta,
  Theta: capitalTheta,
  Lambda: (pen) => capitalA(pen, false),
  Xi: capitalXi,
  Pi: capitalPi,
  Sigma: capitalSigma,
  Phi: capitalPhi,
  Psi: capitalPsi,
  uni03A9: capitalOmega,
  alpha,
  beta,
  gamma,
  delta,
  epsilon,
  zeta,
  eta,
  theta,
  iota,
  kappa: (pen) => letterK(pen, pen.design.xHeight),
  lambda,
  uni03BC(pen) {
    const { stem, descender, xHeight } = pen.design;
    pen.box(0, descender, stem, xHeight * 0.6);
    return letterU(pen);
  },
  nu: smallLetters.v,
  xi,
  pi,
  rho: bodyOfP,
  uni03C2: finalSigma,
  sigma,
  tau,
  upsilon,
  phi,
  chi,
  psi,
  omega,
};
