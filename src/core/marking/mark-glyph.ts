// OpenType: glyf; Adobe Technical Note 5177: the glyph that is put below letters, in both kinds of outlines

import { Writer } from '../bytes/writer.js';

/** What a mark looks like. */
export interface MarkShape {
  /** Whether it leans, for italics. */
  slanted: boolean;
  /** Whether it is thick, for bold faces. */
  bold: boolean;
}

type Point = readonly [x: number, y: number];

/** In em: below the letters, narrower than most of them. */
const [left, width, bottom] = [0.06, 0.2, -0.22];
const thickness = { usual: 0.06, bold: 0.11 };
const lean = 0.06;

/** Its four corners, clockwise, in font units. */
export function markPoints({ slanted, bold }: MarkShape, unitsPerEm: number): readonly Point[] {
  const units = (em: number) => Math.round(em * unitsPerEm);
  const shift = slanted ? lean : 0;
  const [low, high] = [units(bottom), units(bottom + (bold ? thickness.bold : thickness.usual))];
  return [
    [units(left), low],
    [units(left + shift), high],
    [units(left + width + shift), high],
    [units(left + width), low],
  ];
}

export const leftOf = (points: readonly Point[]): number => Math.min(...points.map(([x]) => x));

/** From each point to the next, from the origin to the first. */
const steps = (points: readonly Point[]): Point[] =>
  points.map(([x, y], i) => (i === 0 ? [x, y] : [x - points[i - 1][0], y - points[i - 1][1]]));

/** A simple glyph. */
export function glyfMark(points: readonly Point[]): Uint8Array {
  const onCurve = 1;
  const [xs, ys] = [points.map(([x]) => x), points.map(([, y]) => y)];
  const writer = new Writer(48).int16(1);
  writer
    .int16(Math.min(...xs))
    .int16(Math.min(...ys))
    .int16(Math.max(...xs))
    .int16(Math.max(...ys));
  writer.uint16(points.length - 1).uint16(0);
  for (let i = 0; i < points.length; i++) writer.uint8(onCurve);
  for (const [x] of steps(points)) writer.int16(x);
  for (const [, y] of steps(points)) writer.int16(y);
  return writer.align(4).bytes();
}

/** A charstring, as wide as the font has it where it says nothing. */
export function cffMark(points: readonly Point[]): Uint8Array {
  const [rmoveto, rlineto, endchar, shortInteger] = [21, 5, 14, 28];
  const writer = new Writer(48);
  steps(points).forEach(([x, y], i) => {
    writer.uint8(shortInteger).int16(x).uint8(shortInteger).int16(y);
    writer.uint8(i === 0 ? rmoveto : rlineto);
  });
  return writer.uint8(endchar).bytes();
}
