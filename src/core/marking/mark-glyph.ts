// OpenType: glyf: the glyph that is put below letters

import { Writer } from '../bytes/writer.js';

/** What a mark looks like. */
export interface MarkShape {
  /** Whether it leans, for italics. */
  slanted: boolean;
  /** Whether it is thick, for bold faces. */
  bold: boolean;
}

/** In em: below the letters, narrower than most of them. */
const [left, width, bottom] = [0.06, 0.2, -0.22];
const thickness = { usual: 0.06, bold: 0.11 };
const lean = 0.06;
const onCurve = 1;

/** A simple glyph of four points. @returns its bytes, and its left side bearing in font units */
export function markGlyph(
  { slanted, bold }: MarkShape,
  unitsPerEm: number,
): { bytes: Uint8Array; left: number } {
  const units = (em: number) => Math.round(em * unitsPerEm);
  const height = bold ? thickness.bold : thickness.usual;
  const shift = slanted ? lean : 0;
  const [low, high] = [units(bottom), units(bottom + height)];
  const points = [
    [units(left), low],
    [units(left + shift), high],
    [units(left + width + shift), high],
    [units(left + width), low],
  ] as const;
  const xs = points.map(([x]) => x);
  const writer = new Writer(40)
    .int16(1)
    .int16(Math.min(...xs))
    .int16(low)
    .int16(Math.max(...xs))
    .int16(high)
    .uint16(points.length - 1)
    .uint16(0);
  for (const _ of points) writer.uint8(onCurve);
  points.forEach(([x], i) => writer.int16(x - (i === 0 ? 0 : points[i - 1][0])));
  points.forEach(([, y], i) => writer.int16(y - (i === 0 ? 0 : points[i - 1][1])));
  return { bytes: writer.align(4).bytes(), left: Math.min(...xs) };
}
