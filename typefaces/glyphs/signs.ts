import { GlyphPen, type Drawing, type GlyphSource } from '../glyph-pen.js';
import { openRoundNodes, spineNodes } from './parts.js';

function ampersand(pen: GlyphPen): Drawing {
  const { capStem, capBar, capHeight, overshoot, fixedAdvance } = pen.design;
  const width = fixedAdvance ? 500 : 420 + capStem * 2.1;
  const stem = capStem * 0.94;
  pen.stroke([
    { x: width - stem * 0.6, y: 0, angle: 131, width: stem },
    { x: width * 0.32, y: capHeight * 0.57, angle: 128, width: stem * 0.92 },
    { x: width * 0.15 + stem * 0.46, y: capHeight * 0.79, angle: 90, width: stem * 0.92 },
    { x: width * 0.415, y: capHeight + overshoot - capBar * 0.46, angle: 0, width: capBar * 0.92 },
    { x: width * 0.695 - stem * 0.45, y: capHeight * 0.8, angle: 270, width: stem * 0.9 },
    { x: width * 0.36, y: capHeight * 0.53, angle: 207, width: capBar * 0.9 },
    { x: stem * 0.5, y: capHeight * 0.245, angle: 270, width: stem },
    { x: width * 0.4, y: -overshoot + capBar / 2, angle: 0, width: capBar },
    { x: width * 0.85, y: capHeight * 0.4, angle: 78, width: capBar * 0.94 },
  ]);
  return pen.fit('round', width, 14);
}

function atSign(pen: GlyphPen): Drawing {
  const { bar, capHeight, fixedAdvance, stem } = pen.design;
  const width = fixedAdvance ? 530 : 800;
  const thin = bar * 0.78;
  const [low, high] = [-140, capHeight + 10];
  const middle = (low + high) / 2;
  const inner = width * 0.44;
  const x0 = width * 0.28;
  pen.ring(x0, middle - inner * 0.52, x0 + inner, middle + inner * 0.52, thin * 1.1, thin);
  const tail = x0 + inner - thin * 0.55;
  pen.stroke([
    { x: tail, y: middle + inner * 0.5, angle: 270, width: thin * 1.1 },
    { x: tail, y: middle - inner * 0.3, angle: 270, width: thin * 1.1 },
    { x: (tail + width) / 2, y: middle - inner * 0.52 + thin / 2, angle: 0, width: thin },
    { x: width - thin * 0.55, y: middle, angle: 90, width: thin * 1.1 },
    { x: width / 2, y: high - thin / 2, angle: 180, width: thin },
    { x: thin * 0.55, y: middle, angle: 270, width: thin * 1.1 },
    { x: width * 0.52, y: low + thin / 2, angle: 0, width: thin },
    { x: width * 0.8, y: low + thin * 0.95 + stem * 0.2, angle: 22, width: thin },
  ]);
  return pen.fit('round', width, 'round');
}

function asterisk(pen: GlyphPen): Drawing {
  const { bar, capHeight } = pen.design;
  const radius = 150;
  const middle = capHeight - radius * 0.8;
  for (let i = 0; i < 5; i++) {
    const angle = 90 + i * 72;
    const radians = (angle * Math.PI) / 180;
    pen.stroke([
      { x: radius, y: middle, angle, width: bar * 0.6 },
      {
        x: radius + Math.cos(radians) * radius,
        y: middle + Math.sin(radians) * radius,
        angle,
        width: bar * 0.98,
      },
    ]);
  }
  return pen.fit(40, radius * 2, 40);
}

function numberSign(pen: GlyphPen): Drawing {
  const { bar, capHeight } = pen.design;
  const width = 480;
  const thin = bar * 0.84;
  for (const x of [width * 0.3, width * 0.64]) pen.diagonal(x - 26, 0, x + 50, capHeight, thin);
  for (const y of [capHeight * 0.3, capHeight * 0.64]) pen.box(0, y, width, y + thin);
  return pen.fit(30, width, 30);
}

function percentSign(rings: number): GlyphSource {
  return (pen) => {
    const { stem, bar, capHeight, overshoot, fixedAdvance } = pen.design;
    const scale = fixedAdvance ? 0.7 : 1;
    const eye = (215 + stem * 0.6) * scale;
    const high = capHeight * 0.46;
    const gap = fixedAdvance ? 24 : 60;
    const width = eye * 2 + gap + 40 * scale + (rings - 2) * (eye + 24);
    const side = stem * 0.8 * scale;
    pen.ring(0, capHeight - high, eye, capHeight + overshoot, side, bar * 0.76 * scale);
    for (let i = 1; i < rings; i++) {
      const right = width - (rings - 1 - i) * (eye + 24);
      pen.ring(right - eye, -overshoot, right, high, side, bar * 0.76 * scale);
    }
    pen.diagonal(eye * 0.55, 0, eye * 1.55 + gap + 20 * scale, capHeight, bar * 0.74);
    return pen.fit('round', width, 'round');
  };
}

function dollar(pen: GlyphPen): Drawing {
  const { capStem, capBar, capHeight, fixedAdvance } = pen.design;
  const width = fixedAdvance ? 420 : 290 + capStem * 1.9;
  pen.stroke(spineNodes(width, 8, capHeight - 8, capStem * 0.94, capBar * 0.94, 0.2));
  pen.box(width / 2 - capBar * 0.36, -84, width / 2 + capBar * 0.36, capHeight + 84);
  return pen.fit('round', width, 'round');
}

function cent(pen: GlyphPen): Drawing {
  const { stem, bar, xHeight, overshoot } = pen.design;
  const width = 230 + stem * 1.9;
  pen.stroke(openRoundNodes(width, -overshoot, xHeight + overshoot, stem, bar, 0.2));
  pen.box(width * 0.54 - bar * 0.36, -110, width * 0.54 + bar * 0.36, xHeight + 110);
  return pen.fit('round', width, 'round');
}

function section(pen: GlyphPen): Drawing {
  const { bar, capHeight, overshoot, stem } = pen.design;
  const width = 250 + stem * 1.5;
  const low = -110;
  const height = capHeight + overshoot - low;
  pen.stroke(
    spineNodes(width * 0.95, low + height * 0.37, capHeight + overshoot, stem * 0.92, bar * 0.84, 0.16),
  );
  const other = new GlyphPen(pen.design);
  other.stroke(
    spineNodes(width * 0.95, low + height * 0.37, capHeight + overshoot, stem * 0.92, bar * 0.84, 0.16),
  );
  const centre = low + capHeight + overshoot;
  pen.add(other.drawn, ({ x, y }) => ({ x: width * 0.98 - x, y: centre - y }));
  return pen.fit('round', width, 'round');
}

function pilcrow(pen: GlyphPen): Drawing {
  const { bar, capHeight, stem } = pen.design;
  const width = 330 + stem;
  const thin = bar * 0.9;
  pen.stroke(
    [
      { x: width * 0.62, y: capHeight - capHeight * 0.25, angle: 180, width: capHeight * 0.5 },
      { x: width * 0.42, y: capHeight - capHeight * 0.25, angle: 180, width: capHeight * 0.5 },
      { x: width * 0.12, y: capHeight - capHeight * 0.25, angle: 180, width: capHeight * 0.2 },
    ],
    0.5,
  );
  for (const x of [width * 0.55, width - thin]) pen.box(x, -110, x + thin, capHeight);
  pen.box(width * 0.5, capHeight - thin * 0.8, width, capHeight);
  return pen.fit(30, width, 50);
}

function dagger(double: boolean): GlyphSource {
  return (pen) => {
    const { bar, capHeight } = pen.design;
    const width = 290;
    pen.box(width / 2 - bar * 0.46, -100, width / 2 + bar * 0.46, capHeight);
    pen.box(0, capHeight * 0.66, width, capHeight * 0.66 + bar * 0.86);
    if (double) pen.box(0, capHeight * 0.12, width, capHeight * 0.12 + bar * 0.86);
    return pen.fit(34, width, 34);
  };
}

function verticalBar(broken: boolean): GlyphSource {
  return (pen) => {
    const { bar, ascender, descender } = pen.design;
    const middle = (ascender + descender) / 2;
    pen.box(0, descender, bar * 0.86, broken ? middle - 50 : ascender);
    if (broken) pen.box(0, middle + 50, bar * 0.86, ascender);
    return pen.fit(90, bar * 0.86, 90);
  };
}

/** Signs of the text: of offices, shops and footnotes. */
export const signs: Record<string, GlyphSource> = {
  ampersand,
  at: atSign,
  asterisk,
  numbersign: numberSign,
  percent: percentSign(2),
  perthousand: percentSign(3),
  dollar,
  cent,
  section,
  paragraph: pilcrow,
  dagger: dagger(false),
  daggerdbl: dagger(true),
  bar: verticalBar(false),
  brokenbar: verticalBar(true),
};
