import { at } from '../geometry/contour.js';
import { GlyphPen, type AnchorName, type Drawing } from '../glyph-pen.js';

/** A mark around x = 0, with the point that goes onto the base letter. */
export type MarkSource = (pen: GlyphPen) => Drawing;

/** Space between a small letter and the mark over it. */
const gap = 62;

function above(draw: (pen: GlyphPen, low: number, thin: number) => void): MarkSource {
  return (pen) => {
    const { xHeight, bar, stem } = pen.design;
    draw(pen, xHeight + gap, (bar + stem) * 0.47);
    return finish(pen, 'top', xHeight);
  };
}

function below(
  draw: (pen: GlyphPen, thin: number) => void,
  name: 'bottom' | 'ogonek' = 'bottom',
): MarkSource {
  return (pen) => {
    draw(pen, (pen.design.bar + pen.design.stem) * 0.44);
    return finish(pen, name, 0);
  };
}

function finish(pen: GlyphPen, name: AnchorName, y: number): Drawing {
  return pen.anchor(name, 0, y).fitMark();
}

function slantedBar(pen: GlyphPen, low: number, thin: number, direction: 1 | -1, x = 0): void {
  const rise = 148;
  const half = thin * 0.72;
  const points: [number, number][] = [
    [x - direction * 62 - half * 0.72, low],
    [x - direction * 62 + half * 0.72, low],
    [x + direction * 50 + half * 1.15, low + rise],
    [x + direction * 50 - half * 1.15, low + rise],
  ];
  pen.shape(points);
}

function roof(pen: GlyphPen, low: number, thin: number, direction: 1 | -1): void {
  const [tip, foot] = direction > 0 ? [low + 136, low] : [low, low + 136];
  for (const side of [-1, 1]) {
    const [x0, x1] = [side * 100, side * thin * 0.1];
    if (direction > 0) pen.diagonal(x0, foot, x1, tip, thin * 0.86);
    else pen.diagonal(x1, tip, x0, foot, thin * 0.86);
  }
}

function commaShape(pen: GlyphPen, x: number, y: number, size: number, turned = false): void {
  const other = new GlyphPen(pen.design);
  other.dot(0, 0, size);
  other.stroke([
    { x: size * 0.22, y: 0, angle: 270, width: size * 0.55 },
    { x: -size * 0.36, y: -size * 1.25, angle: 236, width: size * 0.3 },
  ]);
  pen.add(other.drawn, (p) => (turned ? at(x - p.x, y - p.y) : at(x + p.x, y + p.y)));
}

export const marks: Record<string, MarkSource> = {
  uni0300: above((pen, low, thin) => slantedBar(pen, low, thin, -1)),
  uni0301: above((pen, low, thin) => slantedBar(pen, low, thin, 1)),
  uni0302: above((pen, low, thin) => roof(pen, low, thin, 1)),
  uni0303: above((pen, low, thin) => {
    const width = 268 + thin * 0.3;
    const other = new GlyphPen(pen.design);
    const rise = 22 + thin * 0.14;
    const y = low + 70;
    other.stroke([
      { x: thin * 0.3, y: y - rise, angle: 66, width: thin * 0.86 },
      { x: width * 0.28, y: y + rise, angle: 0, width: thin * 0.86 },
      { x: width * 0.72, y: y - rise, angle: 0, width: thin * 0.86 },
      { x: width - thin * 0.3, y: y + rise, angle: 66, width: thin * 0.86 },
    ]);
    pen.add(other.drawn, (p) => at(p.x - width / 2, p.y));
  }),
  uni0304: above((pen, low, thin) => pen.box(-125, low + 36, 125, low + 36 + thin * 0.88)),
  uni0306: above((pen, low, thin) => {
    pen.stroke([
      { x: -108, y: low + 142, angle: 280, width: thin * 0.86 },
      { x: 0, y: low + 4 + thin * 0.43, angle: 0, width: thin * 0.9 },
      { x: 108, y: low + 142, angle: 80, width: thin * 0.86 },
    ]);
  }),
  uni0307: above((pen, low, thin) => pen.dot(0, low + 22 + thin * 0.66, thin * 1.32)),
  uni0308: above((pen, low, thin) => {
    for (const side of [-1, 1]) pen.dot(side * (64 + thin * 0.5), low + 22 + thin * 0.62, thin * 1.24);
  }),
  uni030A: above((pen, low, thin) => {
    const half = 76 + thin * 0.42;
    pen.ring(-half, low - 14, half, low - 14 + half * 2, thin * 0.8, thin * 0.76);
  }),
  uni030B: above((pen, low, thin) => {
    for (const x of [-72 - thin * 0.2, 72 + thin * 0.2]) slantedBar(pen, low, thin, 1, x);
  }),
  uni030C: above((pen, low, thin) => roof(pen, low, thin, -1)),
  /** A comma turned over, for g. */
  uni0312: above((pen, low, thin) => commaShape(pen, 0, low + 30, thin * 1.25, true)),
  uni0326: below((pen, thin) => commaShape(pen, 8, -90 - thin * 0.5, thin * 1.25)),
  uni0327: below((pen, thin) => {
    pen.box(-thin * 0.36, -70, thin * 0.36, 10);
    pen.stroke([
      { x: -thin * 0.3, y: -58 - thin * 0.2, angle: 0, width: thin * 0.76 },
      { x: 20, y: -58 - thin * 0.2, angle: 0, width: thin * 0.76 },
      { x: 82, y: -132, angle: 270, width: thin * 0.92 },
      { x: 0, y: -206, angle: 180, width: thin * 0.8 },
      { x: -92, y: -196, angle: 168, width: thin * 0.8 },
    ]);
  }),
  uni0328: below((pen, thin) => {
    pen.stroke([
      { x: -10, y: 20, angle: 236, width: thin * 0.7 },
      { x: -92, y: -116, angle: 270, width: thin * 0.9 },
      { x: -22, y: -202 + thin * 0.2, angle: 0, width: thin * 0.82 },
      { x: 42, y: -190 + thin * 0.2, angle: 20, width: thin * 0.8 },
    ]);
  }, 'ogonek'),
  /** Dieresis with an acute between the dots, for Greek. */
  uni03080301: above((pen, low, thin) => {
    for (const side of [-1, 1]) pen.dot(side * (110 + thin * 0.5), low + 22 + thin * 0.62, thin * 1.24);
    slantedBar(pen, low + 6, thin, 1);
  }),
  /** The caron beside tall letters, like an apostrophe. */
  caronright(pen) {
    const { stem, ascender } = pen.design;
    commaShape(pen, 40 + stem * 0.62, ascender - stem * 0.5, stem * 1.06);
    return finish(pen, 'right', 0);
  },
};
