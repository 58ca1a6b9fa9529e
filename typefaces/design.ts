/** What distinguishes one style from another. All measures are font units of a 1000-unit em. */
export interface Design {
  /** Thickness of upright and level strokes in small letters. */
  stem: number;
  bar: number;
  /** The same in capitals and figures. */
  capStem: number;
  capBar: number;
  xHeight: number;
  capHeight: number;
  ascender: number;
  descender: number;
  /** How far round shapes go past flat ones. */
  overshoot: number;
  /** White beside a straight stem and beside a round side. */
  besideStem: number;
  besideRound: number;
  /** Factor for the white inside letters. */
  width: number;
  /** How full curves are; see `Node.fullness`. */
  fullness: number;
  /** Degrees that the letters lean to the right. */
  slant: number;
  /** Small letters take their cursive forms. */
  cursive: boolean;
  /** Slab serifs: how far they stick out, and how thick they are. */
  serif?: { length: number; thickness: number };
  /** All glyphs have this advance. */
  fixedAdvance?: number;
}

const mix = (low: number, high: number, t: number) => low + (high - low) * t;

/** Ferrywake Sans at a weight from 300 to 800. */
export function ferrywakeSans(weight: number, italic: boolean): Design {
  const light = weight <= 400;
  // The regular is the middle master, so lighter and bolder styles are each drawn on a straight line from it.
  const t = light ? (weight - 300) / 100 : (weight - 400) / 400;
  const by = (at300: number, at400: number, at800: number) =>
    light ? mix(at300, at400, t) : mix(at400, at800, t);
  return {
    stem: by(60, 82, 166),
    bar: by(54, 72, 122),
    capStem: by(65, 90, 180),
    capBar: by(58, 77, 132),
    xHeight: by(500, 503, 518),
    capHeight: 690,
    ascender: 745,
    descender: -208,
    overshoot: 11,
    besideStem: by(80, 74, 50),
    besideRound: by(52, 46, 30),
    width: by(1.03, 1, 0.82) * (italic ? 0.95 : 1),
    fullness: 0.585,
    slant: italic ? 9.5 : 0,
    cursive: italic,
  };
}

export const lampbuoySlab: Design = {
  stem: 136,
  bar: 96,
  capStem: 148,
  capBar: 100,
  xHeight: 512,
  capHeight: 700,
  ascender: 745,
  descender: -200,
  overshoot: 12,
  besideStem: 84,
  besideRound: 36,
  width: 0.94,
  fullness: 0.6,
  slant: 0,
  cursive: false,
  serif: { length: 52, thickness: 88 },
};

export const tidelogMono: Design = {
  stem: 78,
  bar: 70,
  capStem: 82,
  capBar: 72,
  xHeight: 515,
  capHeight: 690,
  ascender: 740,
  descender: -205,
  overshoot: 10,
  besideStem: 70,
  besideRound: 50,
  width: 1,
  fullness: 0.6,
  slant: 0,
  cursive: false,
  fixedAdvance: 600,
};

/** The same style, drawing capitals at the size of small letters. */
export function smallCapitals(design: Design): Design {
  return {
    ...design,
    capHeight: design.xHeight * 1.05,
    capStem: design.stem * 0.98,
    capBar: design.bar * 0.98,
    width: design.width * 0.86,
    besideStem: design.besideStem * 0.98,
  };
}
