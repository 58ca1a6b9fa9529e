import type { Drawing, GlyphPen, GlyphSource } from '../glyph-pen.js';
import { archNodes, slab, upright } from './parts.js';
import { crossbar, hook, letterH, letterK, letterL, letterT, stemAndBowl } from './small-letters.js';

function ligature(pen: GlyphPen, letters: 'fi' | 'fl' | 'ffi'): Drawing {
  const { stem, ascender, xHeight, overshoot } = pen.design;
  const left = stem * 0.95;
  const step = left + stem * 0.5 + 74;
  const count = letters === 'ffi' ? 2 : 1;
  const last = left + count * step + stem * 0.45;
  for (let i = 0; i < count; i++) {
    const x = left + i * step;
    hook(pen, x, letters === 'fl' ? stem * 1.3 + 62 : stem * 1.2 + 52, ascender + overshoot);
    slab(pen, x, x + stem, 0, 1, 'both');
  }
  crossbar(pen, 0, letters === 'fl' ? left + stem * 1.3 + 30 : last + stem * 0.5);
  upright(pen, last, 0, letters === 'fl' ? ascender : xHeight, stem, { foot: 'both' });
  return pen.fit(pen.design.serif ? 34 : 22, last + stem, 'stem');
}

/** Ascending d with a bar: dcroat; h with a bar: hbar. */
function barred(
  source: GlyphSource,
  from: number,
  to: number,
  height: (pen: GlyphPen) => number,
): GlyphSource {
  return (pen) => {
    const y = height(pen);
    pen.box(
      pen.bodyWidth(404) * from,
      y - pen.design.bar * 0.38,
      pen.bodyWidth(404) * to,
      y + pen.design.bar * 0.38,
    );
    return source(pen);
  };
}

function joined(pen: GlyphPen, leftIsA: boolean): Drawing {
  const { stem, bar, xHeight, overshoot } = pen.design;
  const factor = pen.design.fixedAdvance ? 0.64 : 0.96;
  const half = (pen.design.fixedAdvance ? 410 : pen.bodyWidth(408)) * factor;
  const width = half * 2 - stem;
  const x = half - stem;
  const right = x + half;
  const middle = xHeight * 0.5;
  const cross = bar * 0.84;
  const round = stem * 0.96;
  pen.stroke([
    { x: right - stem / 2, y: middle - cross / 2, angle: 90, width: round },
    { x: right - stem / 2, y: xHeight * 0.56, angle: 90, width: round },
    { x: x + half * 0.51, y: xHeight + overshoot - bar / 2, angle: 180, width: bar },
    { x: x + stem / 2, y: xHeight / 2, angle: 270, width: stem },
    { x: x + half * 0.53, y: -overshoot + bar / 2, angle: 0, width: bar },
    { x: x + half * 0.94 - bar * 0.1, y: xHeight * 0.175, angle: 44, width: bar * 0.94 },
  ]);
  pen.box(x + stem * 0.5, middle - cross / 2, right - stem * 0.5, middle + cross / 2);
  if (leftIsA) {
    pen.stroke([
      { x: half * 0.085 + bar * 0.1, y: xHeight * 0.765, angle: 58, width: bar * 0.94 },
      { x: half * 0.47, y: xHeight + overshoot - bar / 2, angle: 0, width: bar },
      { x: half - stem / 2, y: xHeight * 0.62, angle: 270, width: stem },
      { x: half - stem / 2, y: xHeight * 0.3, angle: 270, width: stem },
    ]);
    pen.stroke([
      { x: half - stem * 0.5, y: xHeight * 0.548, angle: 180, width: bar * 0.84 },
      { x: half * 0.5, y: xHeight * 0.548, angle: 180, width: bar * 0.84 },
      { x: round / 2, y: xHeight * 0.27, angle: 270, width: round },
      { x: half * 0.42, y: -overshoot + bar * 0.47, angle: 0, width: bar * 0.94 },
      { x: half - stem * 0.34, y: xHeight * 0.33, angle: 66, width: stem * 0.6 },
    ]);
  } else {
    pen.ring(0, -overshoot, half, xHeight + overshoot, stem, bar);
  }
  return pen.marks(width, xHeight).fit('round', width, 'round');
}

function sharpS(pen: GlyphPen): Drawing {
  const { stem, bar, ascender, overshoot, xHeight } = pen.design;
  const width = pen.bodyWidth(400);
  const top = ascender + overshoot;
  const waist = xHeight * 0.84;
  pen.stroke([
    { x: stem / 2, y: 0, angle: 90, width: stem },
    { x: stem / 2, y: xHeight * 1.08, angle: 90, width: stem },
    { x: stem + (width - stem) * 0.36, y: top - bar / 2, angle: 0, width: bar },
    { x: width * 0.87 - stem / 2, y: (top + waist) / 2 + 8, angle: 270, width: stem * 0.94 },
    { x: width * 0.5, y: waist - bar * 0.3, angle: 205, width: bar * 0.9 },
  ]);
  pen.stroke([
    { x: width * 0.5 - bar * 0.1, y: waist - bar * 0.25, angle: 335, width: bar * 0.95 },
    { x: width - stem / 2, y: xHeight * 0.27, angle: 270, width: stem },
    { x: width * 0.58, y: -overshoot + bar / 2, angle: 180, width: bar },
    { x: width * 0.4, y: -overshoot + bar * 0.62, angle: 172, width: bar * 0.96 },
  ]);
  slab(pen, 0, stem, 0, 1, 'left');
  return pen.marks(width, ascender).fit('stem', width, 'round');
}

function eth(pen: GlyphPen): Drawing {
  const { stem, bar, xHeight, overshoot, ascender } = pen.design;
  const width = pen.bodyWidth(424);
  const low = xHeight * 0.94;
  pen.ring(0, -overshoot, width, low + overshoot, stem * 1.02, bar);
  pen.stroke([
    { x: width * 0.25, y: ascender - bar * 0.3, angle: 335, width: bar },
    { x: width - stem * 0.52, y: xHeight * 0.47, angle: 270, width: stem },
  ]);
  pen.shape([
    [width * 0.22, xHeight * 1.1],
    [width * 0.22 + bar * 0.25, xHeight * 1.1 - bar * 0.6],
    [width * 0.82, xHeight * 1.36],
    [width * 0.82 - bar * 0.25, xHeight * 1.36 + bar * 0.6],
  ]);
  return pen.marks(width, ascender).fit('round', width, 'round');
}

function slashed(pen: GlyphPen): Drawing {
  const { stem, bar, xHeight, overshoot } = pen.design;
  const width = pen.bodyWidth(430);
  pen.ring(0, -overshoot, width, xHeight + overshoot, stem * 1.04, bar);
  pen.diagonal(width * 0.07, -overshoot * 2.6, width * 0.93, xHeight + overshoot * 2.6, bar * 0.62);
  return pen.marks(width, xHeight).fit('round', width, 'round');
}

function barredL(pen: GlyphPen): Drawing {
  const { stem, bar, ascender, fixedAdvance } = pen.design;
  const middle = fixedAdvance ? 360 * 0.42 : stem / 2;
  const reach = stem * 0.72 + 44;
  const y = ascender * 0.5;
  pen.shape([
    [middle - reach, y - 62 - bar * 0.35],
    [middle + reach, y + 62 - bar * 0.35],
    [middle + reach, y + 62 + bar * 0.35],
    [middle - reach, y - 62 + bar * 0.35],
  ]);
  return letterL(pen);
}

function kra(pen: GlyphPen): Drawing {
  return letterK(pen, pen.design.xHeight);
}

function longS(pen: GlyphPen): Drawing {
  const { stem, ascender, overshoot } = pen.design;
  hook(pen, 0, stem * 1.72 + 60, ascender + overshoot);
  slab(pen, 0, stem, 0, 1, 'both');
  return pen.fit('stem', stem * 1.3 + 40, 10);
}

function thorn(pen: GlyphPen): Drawing {
  return stemAndBowl(pen, pen.design.descender, pen.design.ascender, false);
}

/** n whose right stem ends in a hook to the left: eng. */
function letterEng(pen: GlyphPen): Drawing {
  const { stem, bar, xHeight, descender } = pen.design;
  const width = pen.bodyWidth(380);
  upright(pen, 0, 0, xHeight, stem, { foot: 'both', head: 'left' });
  const arch = archNodes(pen, 0, width, descender * 0.3);
  pen.stroke([
    ...arch,
    { x: width * 0.62, y: descender + bar / 2, angle: 180, width: bar },
    { x: width * 0.38, y: descender + bar / 2, angle: 180, width: bar },
  ]);
  return pen.marks(width, xHeight).fit('stem', width, 'stem');
}

/** Small letters beyond a to z, and ligatures. */
export const moreSmallLetters: Record<string, GlyphSource> = {
  ae: (pen) => joined(pen, true),
  oe: (pen) => joined(pen, false),
  germandbls: sharpS,
  eth,
  thorn,
  oslash: slashed,
  dcroat: barred(
    (pen) => stemAndBowl(pen, 0, pen.design.ascender, true),
    0.45,
    1.1,
    (pen) => pen.design.xHeight * 1.25,
  ),
  hbar: barred(letterH, -0.12, 0.55, (pen) => pen.design.xHeight * 1.25),
  lslash: barredL,
  tbar: barred(letterT, 0.02, 0.6, (pen) => pen.design.xHeight * 0.55),
  eng: letterEng,
  kgreenlandic: kra,
  longs: longS,
  f_i: (pen) => ligature(pen, 'fi'),
  f_l: (pen) => ligature(pen, 'fl'),
  f_f_i: (pen) => ligature(pen, 'ffi'),
};
