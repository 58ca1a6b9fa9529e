import { GlyphPen, type Drawing, type GlyphSource } from '../glyph-pen.js';

const dotSize = (pen: GlyphPen) => pen.design.stem * 1.16 + 22;

/** Dots with their middle at these heights, one over the other. */
function dots(heights: (pen: GlyphPen) => number[]): GlyphSource {
  return (pen) => {
    const size = dotSize(pen);
    for (const y of heights(pen)) pen.dot(size / 2, y, size);
    const side = pen.design.besideStem * 0.72;
    return pen.fit(side, size, side);
  };
}

/** A comma whose dot has its middle at y. */
function comma(pen: GlyphPen, x: number, y: number): void {
  const size = dotSize(pen);
  pen.dot(x + size / 2, y, size);
  pen.stroke([
    { x: x + size * 0.72, y, angle: 270, width: size * 0.55 },
    { x: x + size * 0.1, y: y - size * 1.35, angle: 236, width: size * 0.36 },
  ]);
}

/** A quotation mark like a 9, or turned like a 6, its top at y. */
function quote(pen: GlyphPen, x: number, y: number, turned: boolean): void {
  const size = dotSize(pen) * 0.94;
  const other = new GlyphPen(pen.design);
  comma(other, 0, 0);
  const middle = y - size * 0.95;
  pen.add(other.drawn, (point) =>
    turned
      ? { x: x + size * 1.06 - point.x, y: middle - size * 0.35 - point.y }
      : { x: x + point.x, y: middle + size * 0.35 + point.y },
  );
}

function quotes(count: number, turned: boolean): GlyphSource {
  return (pen) => {
    const size = dotSize(pen);
    for (let i = 0; i < count; i++) quote(pen, i * size * 1.5, pen.design.capHeight + 30, turned);
    const side = pen.design.besideStem * 0.6;
    return pen.fit(side, size + (count - 1) * size * 1.5, side);
  };
}

function lowQuotes(count: number): GlyphSource {
  return (pen) => {
    const size = dotSize(pen);
    for (let i = 0; i < count; i++) comma(pen, i * size * 1.5, size / 2 - 4);
    return pen.fit(pen.design.besideStem * 0.6, size + (count - 1) * size * 1.5, pen.design.besideStem * 0.6);
  };
}

/** Straight ticks that narrow downwards. */
function ticks(count: number): GlyphSource {
  return (pen) => {
    const { stem, capHeight } = pen.design;
    const width = stem * 1.08;
    for (let i = 0; i < count; i++) {
      const x = i * width * 1.9;
      pen.shape([
        [x + width * 0.17, capHeight * 0.64],
        [x + width * 0.83, capHeight * 0.64],
        [x + width, capHeight + 20],
        [x, capHeight + 20],
      ]);
    }
    return pen.fit('stem', width + (count - 1) * width * 1.9, 'stem');
  };
}

function dash(width: number, bearing: number, thickness = 0.9): GlyphSource {
  return (pen) => {
    const { bar, xHeight, fixedAdvance } = pen.design;
    const length = fixedAdvance ? Math.min(width, fixedAdvance - 40) : width;
    const y = xHeight * 0.5;
    pen.box(0, y - (bar * thickness) / 2, length, y + (bar * thickness) / 2);
    return pen.fit(bearing, length, bearing);
  };
}

/** A straight sloping bar, as in the slash. */
function slash(direction: 1 | -1): GlyphSource {
  return (pen) => {
    const { bar, capHeight, descender } = pen.design;
    const [low, high] = [descender * 0.5, capHeight * 1.06];
    const width = 330;
    if (direction > 0) pen.diagonal(bar / 2, low, width - bar / 2, high, bar);
    else pen.diagonal(bar / 2, high, width - bar / 2, low, bar);
    return pen.fit(16, width, 16);
  };
}

function round(mirrored: boolean): GlyphSource {
  return (pen) => {
    const { stem, ascender, descender, bar } = pen.design;
    const [low, high] = [descender * 0.85, ascender * 1.02];
    const width = 165 + stem * 0.5;
    const x = (value: number) => (mirrored ? width - value : value);
    const angle = (value: number) => (mirrored ? 180 - value : value);
    pen.stroke(
      [
        { x: x(width - bar * 0.42), y: high, angle: angle(236), width: bar * 0.86 },
        { x: x(stem / 2), y: (low + high) / 2, angle: 270, width: stem },
        { x: x(width - bar * 0.42), y: low, angle: angle(304), width: bar * 0.86 },
      ],
      0.62,
    );
    const [near, far] = [pen.design.besideStem * 0.75, 30];
    return mirrored ? pen.fit(far, width, near) : pen.fit(near, width, far);
  };
}

function square(mirrored: boolean): GlyphSource {
  return (pen) => {
    const { stem, bar, ascender, descender } = pen.design;
    const [low, high] = [descender * 0.85, ascender * 1.02];
    const width = 130 + stem * 0.6;
    const left = mirrored ? width - stem : 0;
    pen.box(left, low, left + stem, high);
    pen.box(0, high - bar * 0.9, width, high).box(0, low, width, low + bar * 0.9);
    const [near, far] = [pen.design.besideStem * 0.95, 36];
    return mirrored ? pen.fit(far, width, near) : pen.fit(near, width, far);
  };
}

function brace(mirrored: boolean): GlyphSource {
  return (pen) => {
    const { stem, bar, ascender, descender } = pen.design;
    const [low, high] = [descender * 0.85, ascender * 1.02];
    const middle = (low + high) / 2;
    const width = 210 + stem * 0.5;
    const spine = width * 0.5;
    const x = (value: number) => (mirrored ? width - value : value);
    const angle = (value: number) => (mirrored ? 180 - value : value);
    const thin = bar * 0.86;
    for (const direction of [1, -1]) {
      const end = direction > 0 ? high : low;
      pen.stroke([
        { x: x(width), y: end - (direction * thin) / 2, angle: angle(180), width: thin },
        { x: x(width * 0.9), y: end - (direction * thin) / 2, angle: angle(180), width: thin },
        { x: x(spine), y: end - direction * 120, angle: direction > 0 ? 270 : 90, width: stem * 0.92 },
        { x: x(spine), y: middle + direction * 110, angle: direction > 0 ? 270 : 90, width: stem * 0.92 },
        { x: x(width * 0.08), y: middle, angle: angle(180), width: thin },
        { x: x(0), y: middle, angle: angle(180), width: thin },
      ]);
    }
    return pen.fit(34, width, 34);
  };
}

function question(pen: GlyphPen): Drawing {
  const { stem, bar, capHeight, overshoot } = pen.design;
  const width = 250 + stem * 1.9;
  const size = dotSize(pen);
  const middle = width * 0.47;
  pen.stroke([
    { x: bar * 0.56, y: capHeight * 0.76, angle: 70, width: bar },
    { x: width * 0.48, y: capHeight + overshoot - bar / 2, angle: 0, width: bar },
    { x: width - stem * 0.52, y: capHeight * 0.74, angle: 270, width: stem },
    { x: middle + stem * 0.1, y: capHeight * 0.42, angle: 232, width: stem * 0.9 },
    { x: middle, y: capHeight * 0.3, angle: 270, width: stem * 0.95 },
    { x: middle, y: capHeight * 0.24, angle: 270, width: stem * 0.95 },
  ]);
  pen.dot(middle, size / 2 - 6, size);
  return pen.fit('round', width, 'round');
}

function exclamation(pen: GlyphPen): Drawing {
  const { stem, capHeight } = pen.design;
  const size = dotSize(pen);
  pen.shape([
    [size / 2 - stem * 0.36, capHeight * 0.245],
    [size / 2 + stem * 0.36, capHeight * 0.245],
    [size / 2 + stem * 0.54, capHeight],
    [size / 2 - stem * 0.54, capHeight],
  ]);
  pen.dot(size / 2, size / 2 - 6, size);
  return pen.fit('stem', size, 'stem');
}

/** The same glyph turned by half a turn, its top at the height of small letters: ¿ ¡. */
function turnedAround(source: GlyphSource): GlyphSource {
  return (pen) => {
    const { xHeight, capHeight, besideRound } = pen.design;
    const plain = source(new GlyphPen({ ...pen.design, slant: 0 }));
    const lift = xHeight - capHeight;
    const { advance } = plain;
    pen.add(plain.contours, ({ x, y }) => ({ x: advance - x, y: capHeight - y + lift - 4 }));
    return pen.design.fixedAdvance
      ? pen.fit(0, advance, 0)
      : pen.fit(besideRound * 0.05, advance, besideRound * 0.05);
  };
}

function guillemets(count: number, direction: 1 | -1): GlyphSource {
  return (pen) => {
    const { bar, xHeight } = pen.design;
    const half = xHeight * 0.29;
    const depth = 118;
    const thick = bar * 0.86;
    const step = depth + thick * 0.62;
    const middle = xHeight * 0.5;
    const width = depth + thick + (count - 1) * step;
    for (let i = 0; i < count; i++) {
      const other = new GlyphPen(pen.design);
      const slope = (thick * Math.hypot(depth, half)) / half;
      other.shape([
        [0, middle],
        [depth, middle - half],
        [depth + slope * 0.98, middle - half],
        [slope * 0.98, middle],
        [depth + slope * 0.98, middle + half],
        [depth, middle + half],
      ]);
      const x = i * step;
      pen.add(other.drawn, (point) => ({ x: direction < 0 ? x + point.x : width - x - point.x, y: point.y }));
    }
    return pen.fit(46, width, 46);
  };
}

export const punctuation: Record<string, GlyphSource> = {
  exclam: exclamation,
  quotedbl: ticks(2),
  quotesingle: ticks(1),
  parenleft: round(false),
  parenright: round(true),
  comma(pen) {
    const size = dotSize(pen);
    comma(pen, 0, size / 2 - 6);
    return pen.fit(pen.design.besideStem * 0.72, size, pen.design.besideStem * 0.72);
  },
  hyphen: dash(235, 42),
  period: dots((pen) => [dotSize(pen) / 2 - 6]),
  slash: slash(1),
  colon: dots((pen) => [dotSize(pen) / 2 - 6, pen.design.xHeight - dotSize(pen) / 2 - 6]),
  'colon.case': dots((pen) => [pen.design.capHeight * 0.3, pen.design.capHeight * 0.7]),
  semicolon(pen) {
    const size = dotSize(pen);
    comma(pen, 0, size / 2 - 6);
    pen.dot(size / 2, pen.design.xHeight - size / 2 - 6, size);
    return pen.fit(pen.design.besideStem * 0.72, size, pen.design.besideStem * 0.72);
  },
  question,
  bracketleft: square(false),
  backslash: slash(-1),
  bracketright: square(true),
  underscore(pen) {
    const { bar, descender, fixedAdvance } = pen.design;
    const width = fixedAdvance ?? 480;
    pen.box(0, descender * 0.6 - bar * 0.8, width, descender * 0.6);
    return pen.fit(0, width, 0);
  },
  braceleft: brace(false),
  braceright: brace(true),
  exclamdown: turnedAround(exclamation),
  guillemotleft: guillemets(2, -1),
  guillemotright: guillemets(2, 1),
  periodcentered: dots((pen) => [pen.design.xHeight * 0.5]),
  questiondown: turnedAround(question),
  endash: dash(440, 30),
  emdash: dash(800, 30),
  quoteleft: quotes(1, true),
  quoteright: quotes(1, false),
  quotesinglbase: lowQuotes(1),
  quotedblleft: quotes(2, true),
  quotedblright: quotes(2, false),
  quotedblbase: lowQuotes(2),
  bullet(pen) {
    pen.dot(120, pen.design.xHeight * 0.5, 220);
    return pen.fit(44, 240, 44);
  },
  ellipsis(pen) {
    const size = dotSize(pen);
    const step = pen.design.fixedAdvance ? 190 : size + 120;
    for (let i = 0; i < 3; i++) pen.dot(size / 2 + i * step, size / 2 - 6, size);
    return pen.fit(60, size + 2 * step, 60);
  },
  guilsinglleft: guillemets(1, -1),
  guilsinglright: guillemets(1, 1),
};
