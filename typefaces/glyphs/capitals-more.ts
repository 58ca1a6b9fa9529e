import type { Drawing, GlyphPen, GlyphSource } from '../glyph-pen.js';
import {
  bow,
  capitalD,
  capitalH,
  capitalL,
  capitalN,
  capitalO,
  capitalT,
  capWidth,
  marks,
  roundWidth,
} from './capitals.js';
import { slab, upright } from './parts.js';

function capitalAE(pen: GlyphPen): Drawing {
  const { capStem, capBar, capHeight, fixedAdvance } = pen.design;
  const width = fixedAdvance ? 540 : capWidth(pen, 800, 3);
  const stem = fixedAdvance ? capStem * 0.9 : capStem;
  const left = width * 0.49;
  upright(pen, left, 0, capHeight, stem);
  for (const [y, reach] of [
    [0, 1],
    [capHeight * 0.525 - capBar / 2, 0.95],
    [capHeight - capBar, 0.985],
  ]) {
    pen.box(left + stem / 2, y, width * reach, y + capBar);
  }
  const half = (capStem * Math.hypot(1, (left * 0.95) / capHeight)) / 2;
  pen.diagonal(half, 0, left + stem * 0.3, capHeight, stem * 0.9);
  pen.box(
    width * 0.42 - capHeight * 0.16,
    capHeight * 0.2,
    left + stem * 0.5,
    capHeight * 0.2 + capBar * 0.92,
  );
  slab(pen, half * 0.4, half * 1.6, 0, 1, 'both');
  return marks(pen, width).fit('slant', width, 36);
}

function capitalOE(pen: GlyphPen): Drawing {
  const { capStem, capBar, capHeight, fixedAdvance } = pen.design;
  const width = fixedAdvance ? 540 : capWidth(pen, 850, 3);
  const left = width * 0.58 - capStem;
  const turn = left * 0.86 + capStem * 0.3;
  pen.stroke([
    { x: left + capStem / 2, y: capHeight - capBar / 2, angle: 180, width: capBar },
    { x: turn, y: capHeight - capBar / 2, angle: 180, width: capBar },
    { x: capStem / 2, y: capHeight / 2, angle: 270, width: capStem },
    { x: turn, y: capBar / 2, angle: 0, width: capBar },
    { x: left + capStem / 2, y: capBar / 2, angle: 0, width: capBar },
  ]);
  pen.box(left, 0, left + capStem, capHeight);
  for (const [y, reach] of [
    [0, 1],
    [capHeight * 0.525 - capBar / 2, 0.96],
    [capHeight - capBar, 0.985],
  ]) {
    pen.box(left + capStem / 2, y, width * reach, y + capBar);
  }
  return marks(pen, width).fit('round', width, 36);
}

function slashedO(pen: GlyphPen): Drawing {
  const { capHeight, capBar, overshoot } = pen.design;
  const width = roundWidth(pen);
  pen.diagonal(width * 0.08, -overshoot * 2.4, width * 0.92, capHeight + overshoot * 2.4, capBar * 0.66);
  return capitalO(pen);
}

function barredD(pen: GlyphPen): Drawing {
  const { capStem, capBar, capHeight } = pen.design;
  pen.box(-capStem * 0.65, capHeight * 0.52 - capBar * 0.42, capStem + 130, capHeight * 0.52 + capBar * 0.42);
  return capitalD(pen);
}

function capitalThorn(pen: GlyphPen): Drawing {
  const { capStem, capHeight } = pen.design;
  const width = capWidth(pen, 478);
  bow(pen, width, capHeight * 0.17, capHeight * 0.83, capStem);
  upright(pen, 0, 0, capHeight, capStem, { foot: 'both', head: 'both' });
  return marks(pen, width).fit('stem', width, 'round');
}

function barredH(pen: GlyphPen): Drawing {
  const { capBar, capHeight, capStem } = pen.design;
  const width = capWidth(pen, 548);
  const y = capHeight * 0.76;
  pen.box(-capStem * 0.55, y - capBar * 0.4, width + capStem * 0.55, y + capBar * 0.4);
  return capitalH(pen);
}

function barredT(pen: GlyphPen): Drawing {
  const { capBar, capHeight } = pen.design;
  const width = capWidth(pen, 520);
  pen.box(width * 0.22, capHeight * 0.4 - capBar * 0.4, width * 0.78, capHeight * 0.4 + capBar * 0.4);
  return capitalT(pen);
}

function strokedL(pen: GlyphPen): Drawing {
  const { capStem, capBar, capHeight } = pen.design;
  const y = capHeight * 0.46;
  const [x0, x1] = [-capStem * 0.5, capStem + 110];
  pen.shape([
    [x0, y - 70 - capBar * 0.45],
    [x1, y + 50 - capBar * 0.45],
    [x1, y + 50 + capBar * 0.45],
    [x0, y - 70 + capBar * 0.45],
  ]);
  return capitalL(pen);
}

function capitalEng(pen: GlyphPen): Drawing {
  const { capStem, capBar, capHeight, descender } = pen.design;
  const width = capWidth(pen, 566);
  const right = width - capStem * 0.475;
  pen.stroke([
    { x: right, y: capHeight * 0.1, angle: 270, width: capStem * 0.95 },
    { x: right, y: descender * 0.3, angle: 270, width: capStem * 0.95 },
    { x: width * 0.62, y: descender + capBar / 2, angle: 180, width: capBar },
    { x: width * 0.42, y: descender + capBar / 2, angle: 180, width: capBar },
  ]);
  return capitalN(pen);
}

/** Capitals beyond A to Z. */
export const moreCapitals: Record<string, GlyphSource> = {
  AE: capitalAE,
  OE: capitalOE,
  Oslash: slashedO,
  Eth: barredD,
  Thorn: capitalThorn,
  Hbar: barredH,
  Tbar: barredT,
  Lslash: strokedL,
  Eng: capitalEng,
};
