// One piece: all signs of calculation, arrows and currencies, one function each.
import type { Design } from '../design.js';
import { GlyphPen, type Drawing, type GlyphSource } from '../glyph-pen.js';
import { capitalY } from './capitals.js';
import { figures } from './figures.js';
import { letterO, smallLetters } from './small-letters.js';
import { openRoundNodes } from './parts.js';

/** Signs of calculation stand on one axis, in one width. */
function sign(draw: (pen: GlyphPen, width: number, middle: number, thin: number) => void): GlyphSource {
  return (pen) => {
    const { bar, capHeight, fixedAdvance } = pen.design;
    const width = fixedAdvance ? 470 : 456;
    draw(pen, width, capHeight * 0.47, bar * 0.9);
    return pen.fit(48, width, 48);
  };
}

function level(pen: GlyphPen, width: number, y: number, thin: number): void {
  pen.box(0, y - thin / 2, width, y + thin / 2);
}

function chevron(pen: GlyphPen, width: number, middle: number, thin: number, direction: 1 | -1): void {
  const x = (value: number) => (direction > 0 ? value : width - value);
  const rise = 195;
  const slope = (thin * Math.hypot(width, rise)) / width / 2;
  const outline: [number, number][] = [
    [x(0), middle - rise - slope],
    [x(width), middle - slope * 1.1],
    [x(width), middle + slope * 1.1],
    [x(0), middle + rise + slope],
    [x(0), middle + rise - slope],
    [x(width - slope * 3.2), middle],
    [x(0), middle - rise + slope],
  ];
  pen.shape(direction > 0 ? outline : outline.reverse());
}

/** An arrow with its head at the end of a shaft, along an angle in degrees. */
function arrow(angle: number, bothWays = false): GlyphSource {
  return (pen) => {
    const { bar, capHeight, fixedAdvance } = pen.design;
    const length = fixedAdvance ? 480 : angle % 90 === 0 ? 640 : 560;
    const thin = bar * 0.92;
    const head = 150 + bar * 0.5;
    const upright = angle % 180 === 90;
    const width = upright ? head * 1.7 : length;
    const [cx, cy] = [width / 2, capHeight * 0.47];
    const radians = (angle * Math.PI) / 180;
    const turn = ({ x, y }: { x: number; y: number }) => ({
      x: cx + x * Math.cos(radians) - y * Math.sin(radians),
      y: cy + x * Math.sin(radians) + y * Math.cos(radians),
    });
    const flat = new GlyphPen(pen.design);
    const tip = length / 2;
    flat.box(bothWays ? -tip + thin : -tip, -thin / 2, tip - thin, thin / 2);
    for (const end of bothWays ? [1, -1] : [1]) {
      for (const side of [1, -1]) {
        const points: [number, number][] = [
          [end * (tip - head - thin * 0.1), side * head],
          [end * (tip - head - thin * 0.1), side * (head - thin * 1.38)],
          [end * (tip - thin * 1.36), 0],
          [end * tip, 0],
        ];
        flat.shape(end * side > 0 ? points : points.reverse());
      }
    }
    pen.add(flat.drawn, turn);
    return pen.fit(56, width, 56);
  };
}

function euro(pen: GlyphPen): Drawing {
  const { capStem, capBar, capHeight, overshoot, fixedAdvance } = pen.design;
  const width = fixedAdvance ? 440 : 320 + capStem * 1.8;
  const other = new GlyphPen(pen.design);
  other.stroke(openRoundNodes(width, -overshoot, capHeight + overshoot, capStem, capBar, 0.2));
  pen.add(other.drawn, ({ x, y }) => ({ x: x + 50, y }));
  for (const y of [capHeight * 0.41, capHeight * 0.59])
    pen.box(0, y - capBar * 0.36, width * 0.78, y + capBar * 0.36);
  return pen.fit(24, width + 50, 30);
}

function sterling(pen: GlyphPen): Drawing {
  const { capStem, capBar, capHeight, overshoot, fixedAdvance } = pen.design;
  const width = fixedAdvance ? 430 : 290 + capStem * 1.9;
  const left = width * 0.19;
  pen.stroke([
    { x: left + capStem / 2, y: capBar * 0.5, angle: 90, width: capStem * 0.95 },
    { x: left + capStem / 2, y: capHeight * 0.66, angle: 90, width: capStem * 0.95 },
    { x: width * 0.62, y: capHeight + overshoot - capBar / 2, angle: 0, width: capBar },
    { x: width * 0.94 - capBar * 0.2, y: capHeight * 0.82, angle: 300, width: capBar * 0.95 },
  ]);
  pen.box(0, 0, width, capBar).box(0, capHeight * 0.4, width * 0.8, capHeight * 0.4 + capBar * 0.86);
  return pen.fit(30, width, 30);
}

function yen(pen: GlyphPen): Drawing {
  const { capBar, capHeight } = pen.design;
  const drawn = capitalY(pen);
  const bars = new GlyphPen({ ...pen.design, slant: 0 });
  const width = drawn.advance;
  for (const y of [capHeight * 0.2, capHeight * 0.36])
    bars.box(width * 0.17, y, width * 0.83, y + capBar * 0.7);
  const lean = Math.tan((pen.design.slant * Math.PI) / 180);
  const leaning = new GlyphPen({ ...pen.design, slant: 0 });
  leaning.add(bars.drawn, ({ x, y }) => ({ x: x + (y - pen.design.xHeight / 2) * lean, y }));
  return { ...drawn, contours: [...drawn.contours, ...leaning.drawn] };
}

/** The rouble: P with a bar under its bow and one through its foot. */
function rouble(pen: GlyphPen): Drawing {
  const { capStem, capBar, capHeight, fixedAdvance } = pen.design;
  const width = fixedAdvance ? 430 : 300 + capStem * 1.9;
  const left = 66;
  const waist = capHeight * 0.42;
  const turn = left + (width - left) * 0.42;
  pen.stroke([
    { x: left + capStem / 2, y: capHeight - capBar / 2, angle: 0, width: capBar },
    { x: turn, y: capHeight - capBar / 2, angle: 0, width: capBar },
    { x: width - capStem / 2, y: (waist + capHeight) / 2, angle: 270, width: capStem },
    { x: turn, y: waist + capBar / 2, angle: 180, width: capBar },
    { x: 0, y: waist + capBar / 2, angle: 180, width: capBar },
  ]);
  pen
    .box(left, 0, left + capStem, capHeight)
    .box(0, capHeight * 0.2, width * 0.75, capHeight * 0.2 + capBar * 0.84);
  return pen.fit(24, width, 'round');
}

/** The lira: a hooked stem with two rising bars. */
function lira(pen: GlyphPen): Drawing {
  const { capStem, capBar, capHeight, fixedAdvance } = pen.design;
  const width = fixedAdvance ? 430 : 300 + capStem * 1.7;
  const left = 84;
  pen.stroke([
    { x: left + capStem / 2, y: capHeight, angle: 270, width: capStem },
    { x: left + capStem / 2, y: capBar * 0.5 + 1, angle: 270, width: capStem },
  ]);
  pen.stroke([
    { x: left + capStem * 0.5, y: capBar / 2, angle: 0, width: capBar },
    { x: left + capStem + 20, y: capBar / 2, angle: 0, width: capBar },
    { x: width - capStem * 0.5, y: capHeight * 0.42, angle: 90, width: capStem * 0.96 },
  ]);
  for (const y of [capHeight * 0.38, capHeight * 0.55]) {
    pen.shape([
      [0, y],
      [left + capStem + 120, y + 92],
      [left + capStem + 120, y + 92 + capBar * 0.86],
      [0, y + capBar * 0.86],
    ]);
  }
  return pen.fit(24, width, 'round');
}

/** A figure at this scale, its strokes kept sturdy. */
function smallFigure(name: string, lift: number): GlyphSource {
  return (pen) => {
    const { design } = pen;
    const scaled: Design = {
      ...design,
      capHeight: design.capHeight * 0.56,
      capStem: design.capStem * 0.68,
      capBar: design.capBar * 0.7,
      width: design.width * 0.34,
      slant: 0,
      besideRound: 20,
      besideStem: 30,
    };
    delete scaled.fixedAdvance;
    delete scaled.serif;
    const figure = figures[name](new GlyphPen(scaled));
    pen.add(figure.contours, ({ x, y }) => ({ x, y: y + design.capHeight * lift }));
    return pen.fit(4, figure.advance, 4);
  };
}

function fraction(upper: string, lower: string): GlyphSource {
  return (pen) => {
    const { capHeight, bar, fixedAdvance } = pen.design;
    const squeeze = fixedAdvance ? 0.68 : 1;
    const flat: Design = { ...pen.design, slant: 0 };
    delete flat.fixedAdvance;
    const top = smallFigure(upper, 0.44)(new GlyphPen(flat));
    const bottom = smallFigure(lower, 0)(new GlyphPen(flat));
    const from = (top.advance + 90) * squeeze;
    pen.add(top.contours, ({ x, y }) => ({ x: x * squeeze, y }));
    pen.add(bottom.contours, ({ x, y }) => ({ x: from + x * squeeze, y }));
    pen.diagonal(
      from - 45 * squeeze - 110 * squeeze,
      0,
      from - 45 * squeeze + 110 * squeeze,
      capHeight,
      bar * 0.66,
    );
    return pen.fit(10, from + bottom.advance * squeeze, 10);
  };
}

/** A small letter raised and underlined: ª º. */
function ordinal(source: GlyphSource): GlyphSource {
  return (pen) => {
    const { design } = pen;
    const scaled = { ...design, stem: design.stem * 1.2, bar: design.bar * 1.15, slant: 0, cursive: false };
    delete scaled.fixedAdvance;
    delete scaled.serif;
    const letter = source(new GlyphPen(scaled));
    const scale = 0.6;
    const lift = design.capHeight - design.xHeight * scale;
    pen.add(letter.contours, ({ x, y }) => ({ x: x * scale, y: y * scale + lift }));
    pen.box(
      letter.advance * scale * 0.12,
      lift - 110,
      letter.advance * scale * 0.88,
      lift - 110 + design.bar * 0.7,
    );
    return pen.fit(8, letter.advance * scale, 8);
  };
}

/** A ring around a small letter: © ®. */
function ringed(draw: (pen: GlyphPen, cx: number, cy: number, thin: number) => void): GlyphSource {
  return (pen) => {
    const { bar, capHeight, overshoot, fixedAdvance } = pen.design;
    const width = fixedAdvance ? 550 : 716;
    const thin = bar * 0.66;
    pen.ring(0, -overshoot, width, capHeight + overshoot, thin, thin);
    draw(pen, width / 2, capHeight / 2, bar * 0.7);
    return pen.fit('round', width, 'round');
  };
}

function currency(pen: GlyphPen): Drawing {
  const { bar, stem, capHeight } = pen.design;
  const width = 400;
  const middle = capHeight * 0.47;
  pen.ring(50, middle - 160, 350, middle + 160, stem * 0.9, bar * 0.86);
  for (const [x, y] of [
    [0, -1],
    [0, 1],
    [1, -1],
    [1, 1],
  ]) {
    const cx = x === 0 ? 0 : width;
    const inner = x === 0 ? 112 : width - 112;
    const [from, to] = y > 0 ? [middle + 90, middle + 210] : [middle - 210, middle - 90];
    pen.diagonal(y > 0 ? inner : cx, from, y > 0 ? cx : inner, to, bar * 0.7);
  }
  return pen.fit(40, width, 40);
}

function trademark(pen: GlyphPen): Drawing {
  const { capHeight, bar, fixedAdvance } = pen.design;
  const thin = bar * 0.66;
  const scale = fixedAdvance ? 0.72 : 1;
  const top = capHeight;
  const low = capHeight * 0.55;
  const tee = 240 * scale;
  const em = 300 * scale;
  pen.box(0, top - thin * 0.9, tee, top).box(tee / 2 - thin / 2, low, tee / 2 + thin / 2, top - thin / 2);
  const x = tee + 36 * scale;
  pen.box(x, low, x + thin * 0.92, top).box(x + em - thin * 0.92, low, x + em, top);
  pen.diagonal(x + thin * 0.6, top, x + em / 2, low + 40, thin * 0.9);
  pen.diagonal(x + em - thin * 0.6, top, x + em / 2, low + 40, thin * 0.9);
  return pen.fit(40, x + em, 40);
}

export const symbols: Record<string, GlyphSource> = {
  space: (pen) => pen.fit(0, pen.design.fixedAdvance ?? 246 * Math.sqrt(pen.design.width), 0),
  notdef(pen) {
    const { capHeight, bar } = pen.design;
    const width = 440;
    const thin = bar * 0.7;
    pen.box(0, 0, thin, capHeight).box(width - thin, 0, width, capHeight);
    pen.box(0, 0, width, thin).box(0, capHeight - thin, width, capHeight);
    return pen.fit(50, width, 50);
  },
  plus: sign((pen, width, middle, thin) => {
    level(pen, width, middle, thin);
    pen.box(width / 2 - thin / 2, middle - width / 2, width / 2 + thin / 2, middle + width / 2);
  }),
  minus: sign(level),
  multiply: sign((pen, width, middle, thin) => {
    const half = width * 0.4;
    pen.diagonal(width / 2 - half, middle - half, width / 2 + half, middle + half, thin);
    pen.diagonal(width / 2 - half, middle + half, width / 2 + half, middle - half, thin);
  }),
  divide: sign((pen, width, middle, thin) => {
    level(pen, width, middle, thin);
    for (const y of [-1, 1]) pen.dot(width / 2, middle + y * 185, thin * 1.45);
  }),
  equal: sign((pen, width, middle, thin) => {
    for (const y of [-1, 1]) level(pen, width, middle + y * 88, thin);
  }),
  notequal: sign((pen, width, middle, thin) => {
    for (const y of [-1, 1]) level(pen, width, middle + y * 88, thin);
    pen.diagonal(width * 0.32, middle - 230, width * 0.68, middle + 230, thin * 0.9);
  }),
  approxequal: sign((pen, width, middle, thin) => {
    for (const y of [-80, 80]) tilde(pen, width, middle + y, thin);
  }),
  plusminus: sign((pen, width, middle, thin) => {
    level(pen, width, middle + 50, thin);
    pen.box(width / 2 - thin / 2, middle + 50 - 190, width / 2 + thin / 2, middle + 50 + 215);
    pen.box(0, 0, width, thin);
  }),
  less: sign((pen, width, middle, thin) => chevron(pen, width, middle, thin, -1)),
  greater: sign((pen, width, middle, thin) => chevron(pen, width, middle, thin, 1)),
  lessequal: sign((pen, width, middle, thin) => {
    chevron(pen, width, middle + 70, thin, -1);
    pen.box(0, 0, width, thin);
  }),
  greaterequal: sign((pen, width, middle, thin) => {
    chevron(pen, width, middle + 70, thin, 1);
    pen.box(0, 0, width, thin);
  }),
  logicalnot: sign((pen, width, middle, thin) => {
    level(pen, width, middle + 60, thin);
    pen.box(width - thin, middle - 130, width, middle + 60);
  }),
  asciitilde: sign((pen, width, middle, thin) => tilde(pen, width, middle, thin)),
  asciicircum: sign((pen, width, _middle, thin) => {
    const { capHeight } = pen.design;
    pen.diagonal(width * 0.14, capHeight * 0.52, width * 0.49, capHeight, thin);
    pen.diagonal(width * 0.86, capHeight * 0.52, width * 0.51, capHeight, thin);
  }),
  degree(pen) {
    const { bar, capHeight, overshoot } = pen.design;
    const size = 245;
    pen.ring(0, capHeight + overshoot - size, size, capHeight + overshoot, bar * 0.82, bar * 0.78);
    return pen.fit(44, size, 44);
  },
  copyright: ringed((pen, cx, cy, thin) => {
    const other = new GlyphPen(pen.design);
    const size = pen.design.fixedAdvance ? 230 : 290;
    other.stroke(openRoundNodes(size, -size * 0.55, size * 0.55, thin * 1.1, thin, 0.21));
    pen.add(other.drawn, ({ x, y }) => ({ x: x + cx - size * 0.5, y: y + cy }));
  }),
  registered: ringed((pen, cx, cy, thin) => {
    const half = pen.design.fixedAdvance ? 78 : 110;
    const high = 190;
    const left = cx - half;
    pen.box(left, cy - high, left + thin * 1.1, cy + high);
    pen.stroke([
      { x: left + thin / 2, y: cy + high - thin / 2, angle: 0, width: thin },
      { x: left + half * 0.9, y: cy + high - thin / 2, angle: 0, width: thin },
      { x: cx + half - thin / 2, y: cy + high * 0.5, angle: 270, width: thin * 1.1 },
      { x: left + half * 0.9, y: cy - thin * 0.1, angle: 180, width: thin },
      { x: left + thin / 2, y: cy - thin * 0.1, angle: 180, width: thin },
    ]);
    pen.diagonal(left + half * 0.9, cy, cx + half, cy - high, thin * 1.1);
  }),
  trademark,
  ordfeminine: ordinal(smallLetters.a),
  ordmasculine: ordinal(letterO),
  onesuperior: smallFigure('one', 0.44),
  twosuperior: smallFigure('two', 0.44),
  threesuperior: smallFigure('three', 0.44),
  onehalf: fraction('one', 'two'),
  onequarter: fraction('one', 'four'),
  threequarters: fraction('three', 'four'),
  fraction(pen) {
    const { capHeight, bar } = pen.design;
    pen.diagonal(0, 0, 220, capHeight, bar * 0.66);
    return pen.fit(-20, 220, -20);
  },
  mu(pen) {
    const { stem, descender, xHeight } = pen.design;
    pen.box(0, descender, stem, xHeight * 0.6);
    return smallLetters.u(pen);
  },
  Euro: euro,
  sterling,
  yen,
  uni20BD: rouble,
  uni20BA: lira,
  currency,
  arrowleft: arrow(180),
  arrowup: arrow(90),
  arrowright: arrow(0),
  arrowdown: arrow(270),
  arrowboth: arrow(0, true),
  arrowupdn: arrow(90, true),
  uni2196: arrow(135),
  uni2197: arrow(45),
  uni2198: arrow(315),
  uni2199: arrow(225),
  prime: primes(1),
  second: primes(2),
};

function primes(count: number): GlyphSource {
  return (pen) => {
    const { bar, capHeight } = pen.design;
    for (let i = 0; i < count; i++)
      pen.diagonal(40 + i * 110, capHeight * 0.66, 100 + i * 110, capHeight, bar * 0.8);
    return pen.fit(24, 130 + (count - 1) * 110, 24);
  };
}

/** A wave as wide as a sign of calculation. */
function tilde(pen: GlyphPen, width: number, y: number, thin: number): void {
  const rise = 46 + thin * 0.1;
  pen.stroke(
    [
      { x: thin * 0.3, y: y - rise * 0.75, angle: 62, width: thin },
      { x: width * 0.27, y: y + rise, angle: 0, width: thin },
      { x: width * 0.73, y: y - rise, angle: 0, width: thin },
      { x: width - thin * 0.3, y: y + rise * 0.75, angle: 62, width: thin },
    ],
    0.55,
  );
}
