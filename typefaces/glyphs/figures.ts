import { GlyphPen, type Drawing, type GlyphSource } from '../glyph-pen.js';

/** Strokes of figures are a little thinner than those of capitals. */
function measures(pen: GlyphPen) {
  const { capStem, capBar, capHeight, overshoot, fixedAdvance, width } = pen.design;
  const stem = capStem * 0.95;
  const body = fixedAdvance ? 440 : (470 - 180) * Math.sqrt(width) + 2 * stem;
  return { stem, bar: capBar * 0.96, height: capHeight, overshoot, body };
}

/** The advance that all tabular figures share, from the widest proportional one. */
export function tabularAdvance(pen: GlyphPen): number {
  return pen.design.fixedAdvance ?? Math.round(measures(pen).body + pen.design.besideRound * 2);
}

function zero(pen: GlyphPen): Drawing {
  const { stem, bar, height, overshoot, body } = measures(pen);
  pen.ring(0, -overshoot, body, height + overshoot, stem, bar);
  if (pen.design.fixedAdvance) pen.dot(body / 2, height / 2, stem * 1.25, stem * 1.7);
  return pen.fit('round', body, 'round');
}

function one(pen: GlyphPen): Drawing {
  const { stem, bar, height } = measures(pen);
  const { fixedAdvance, serif } = pen.design;
  const flag = 62 + stem;
  const left = fixedAdvance ? 160 : flag;
  pen.box(left, 0, left + stem, height);
  pen.shape([
    [left - flag, height - flag * 0.94],
    [left - flag + bar * 0.32, height - flag * 0.94 - bar * 0.82],
    [left + stem * 0.4, height - bar * 1.05],
    [left + stem * 0.4, height],
    [left + stem * 0.1, height],
  ]);
  if (fixedAdvance) pen.box(left - 150, 0, left + stem + 150, bar);
  if (serif) pen.box(left - serif.length - 14, 0, left + stem + serif.length + 14, serif.thickness);
  return pen.fit(fixedAdvance ? 40 : 28, left + stem + (fixedAdvance ? 150 : 0), fixedAdvance ? 40 : 'stem');
}

function two(pen: GlyphPen): Drawing {
  const { stem, bar, height, overshoot, body } = measures(pen);
  const width = body * 0.96;
  pen.stroke([
    { x: bar * 0.58, y: height * 0.735, angle: 72, width: bar },
    { x: width * 0.49, y: height + overshoot - bar / 2, angle: 0, width: bar },
    { x: width - stem / 2 - 4, y: height * 0.715, angle: 270, width: stem },
    { x: width * 0.56, y: height * 0.37, angle: 228, width: stem * 0.95 },
    { x: stem * 0.62, y: bar * 0.35, angle: 228, width: stem * 0.95 },
  ]);
  pen.box(width * 0.02, 0, width, bar);
  return pen.fit('round', width, 'round');
}

function three(pen: GlyphPen): Drawing {
  const { stem, bar, height, overshoot, body } = measures(pen);
  const width = body * 0.96;
  const waist = height * 0.53;
  pen.stroke([
    { x: bar * 0.72, y: height * 0.8, angle: 58, width: bar },
    { x: width * 0.48, y: height + overshoot - bar / 2, angle: 0, width: bar },
    { x: width * 0.95 - stem / 2, y: height * 0.745, angle: 270, width: stem * 0.95 },
    { x: width * 0.5, y: waist, angle: 180, width: bar * 0.92 },
    { x: width * 0.33, y: waist, angle: 180, width: bar * 0.92 },
  ]);
  pen.stroke([
    { x: width * 0.33, y: waist, angle: 0, width: bar * 0.92 },
    { x: width * 0.5, y: waist, angle: 0, width: bar * 0.92 },
    { x: width - stem / 2, y: height * 0.265, angle: 270, width: stem },
    { x: width * 0.48, y: -overshoot + bar / 2, angle: 180, width: bar },
    { x: bar * 0.56, y: height * 0.195, angle: 118, width: bar },
  ]);
  return pen.fit('round', width, 'round');
}

function four(pen: GlyphPen): Drawing {
  const { stem, bar, height, body } = measures(pen);
  const width = body * 1.06;
  const right = width * 0.8;
  const level = height * 0.2;
  pen.box(right - stem, 0, right, height);
  pen.box(0, level - bar * 0.1, width, level + bar * 0.86);
  pen.shape([
    [0, level + bar * 0.86],
    [0, level - bar * 0.1],
    [stem * 0.9, level - bar * 0.1],
    [stem * 1.02, level + bar * 0.86],
    [right - stem * 0.16, height],
    [right - stem * 1.05, height],
  ]);
  return pen.fit(pen.design.besideRound * 0.55, width, pen.design.besideRound * 0.55);
}

function five(pen: GlyphPen): Drawing {
  const { stem, bar, height, overshoot, body } = measures(pen);
  const width = body * 0.96;
  const left = width * 0.1;
  pen.box(left, height - bar, width * 0.93, height);
  pen.shape([
    [left - stem * 0.05, height * 0.44],
    [left + stem * 0.83, height * 0.44],
    [left + stem * 0.95, height],
    [left + stem * 0.02, height],
  ]);
  pen.stroke([
    { x: left + stem * 0.45, y: height * 0.475, angle: 36, width: bar * 0.9 },
    { x: width * 0.52, y: height * 0.645 - bar / 2, angle: 0, width: bar },
    { x: width - stem / 2, y: height * 0.315, angle: 270, width: stem },
    { x: width * 0.47, y: -overshoot + bar / 2, angle: 180, width: bar },
    { x: bar * 0.56, y: height * 0.17, angle: 124, width: bar },
  ]);
  return pen.fit('round', width, 'round');
}

function sixContours(pen: GlyphPen, turnedAround: boolean): Drawing {
  const { stem, bar, height, overshoot, body } = measures(pen);
  const turn = ({ x, y }: { x: number; y: number }) =>
    turnedAround ? { x: body - x, y: height - y } : { x, y };
  const other = new GlyphPen(pen.design);
  const eye = height * 0.615;
  other.ring(0, -overshoot, body, eye, stem, bar);
  other.stroke([
    { x: stem / 2, y: eye * 0.47, angle: 90, width: stem },
    { x: stem / 2, y: height * 0.46, angle: 90, width: stem },
    { x: body * 0.54, y: height + overshoot - bar / 2, angle: 0, width: bar },
    { x: body * 0.93 - bar * 0.2, y: height * 0.835, angle: 308, width: bar },
  ]);
  pen.add(other.drawn, turn);
  return pen.fit('round', body, 'round');
}

function seven(pen: GlyphPen): Drawing {
  const { stem, bar, height, body } = measures(pen);
  const width = body * 0.94;
  pen.box(0, height - bar, width, height);
  const top = height - bar * 0.5;
  pen.stroke([
    { x: width - stem * 0.62, y: top, angle: 242, width: stem },
    { x: width * 0.42, y: height * 0.33, angle: 255, width: stem * 0.99 },
    { x: width * 0.31 + stem * 0.1, y: 0, angle: 268, width: stem },
  ]);
  return pen.fit(pen.design.besideRound * 0.7, width, pen.design.besideRound * 0.5);
}

function eight(pen: GlyphPen): Drawing {
  const { stem, bar, height, overshoot, body } = measures(pen);
  const waist = height * 0.53;
  const inset = body * 0.045;
  pen.ring(inset, waist - bar * 0.46, body - inset, height + overshoot, stem * 0.94, bar * 0.92);
  pen.ring(0, -overshoot, body, waist + bar * 0.46, stem, bar * 0.96);
  return pen.fit('round', body, 'round');
}

export const figures: Record<string, GlyphSource> = {
  zero,
  one,
  two,
  three,
  four,
  five,
  six: (pen) => sixContours(pen, false),
  seven,
  eight,
  nine: (pen) => sixContours(pen, true),
};
