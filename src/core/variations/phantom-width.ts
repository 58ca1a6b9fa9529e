// OpenType: gvar; Font Variations Common Table Formats: Tuple Variation Store; Glyph Data: phantom points

import { Reader } from '../bytes/reader.js';
import type { Font } from '../sfnt/font.js';
import { glyf } from '../tables/index.js';
import type { GlyphVariations } from './glyph-variations.js';
import { axisScalar, type Place } from './place.js';

const tupleFlag = {
  embeddedPeak: 0x8000,
  intermediate: 0x4000,
  privatePoints: 0x2000,
  index: 0x0fff,
} as const;
const sharedPoints = 0x8000;
const pointFlag = { words: 0x80, count: 0x7f } as const;
const deltaFlag = { zero: 0x80, words: 0x40, count: 0x3f } as const;

/** How much wider a glyph is at a place than at the default, in font units: its two horizontal phantom points move apart. */
export function phantomWidthDelta(
  font: Font,
  variations: GlyphVariations,
  glyph: number,
  place: Place,
): number {
  const record = variations.recordOf(glyph);
  if (record.length < 4) return 0;
  const { axisCount } = variations;
  const left = outlinePoints(font, glyph);
  const reader = new Reader(record, 'gvar');
  const counts = reader.uint16();
  let dataAt = reader.uint16();
  const headers = Array.from({ length: counts & tupleFlag.index }, () => {
    const size = reader.uint16();
    const index = reader.uint16();
    const tuple = () => Array.from({ length: axisCount }, () => reader.f2dot14());
    const peak =
      index & tupleFlag.embeddedPeak
        ? tuple()
        : tupleOf(variations.sharedTupleAt(index & tupleFlag.index), axisCount);
    const ends = index & tupleFlag.intermediate ? [tuple(), tuple()] : undefined;
    return { size, index, peak, ends };
  });
  reader.seek(dataAt);
  const shared = counts & sharedPoints ? readPoints(reader) : undefined;
  dataAt = reader.position;
  let sum = 0;
  for (const { size, index, peak, ends } of headers) {
    const scalar = peak.reduce((product, at, axis) => {
      const [start, end] = ends ? [ends[0][axis], ends[1][axis]] : [Math.min(at, 0), Math.max(at, 0)];
      return product * axisScalar(start, at, end, place[axis] ?? 0);
    }, 1);
    reader.seek(dataAt);
    dataAt += size;
    if (scalar === 0) continue;
    const points = index & tupleFlag.privatePoints ? readPoints(reader) : shared;
    sum += scalar * widthIn(reader, points, left);
  }
  return sum;
}

const tupleOf = (bytes: Uint8Array, axisCount: number): number[] => {
  const reader = new Reader(bytes, 'gvar');
  return Array.from({ length: axisCount }, () => reader.f2dot14());
};

/** Points of its outline; the phantom points follow. */
function outlinePoints(font: Font, glyph: number): number {
  const outline = glyf.glyphOf(font.table(glyf), glyph);
  if (!outline) return 0;
  if (outline.kind === 'composite') return glyf.parseComponents(outline.components).length;
  return (outline.endPtsOfContours.at(-1) ?? -1) + 1;
}

/** Packed point numbers; undefined for all points. */
function readPoints(reader: Reader): number[] | undefined {
  const first = reader.uint8();
  const count = first & pointFlag.words ? ((first & pointFlag.count) << 8) | reader.uint8() : first;
  if (count === 0) return undefined;
  const points: number[] = [];
  let point = 0;
  while (points.length < count) {
    const control = reader.uint8();
    for (let i = 0; i <= (control & pointFlag.count) && points.length < count; i++) {
      point += control & pointFlag.words ? reader.uint16() : reader.uint8();
      points.push(point);
    }
  }
  return points;
}

/** The difference of the deltas of both phantom points. */
function widthIn(reader: Reader, points: readonly number[] | undefined, left: number): number {
  const count = points?.length ?? left + 4;
  const [from, to] = points ? [points.indexOf(left), points.indexOf(left + 1)] : [left, left + 1];
  let [leftDelta, rightDelta] = [0, 0];
  for (let i = 0; i < count;) {
    const control = reader.uint8();
    for (let k = 0; k <= (control & deltaFlag.count) && i < count; k++, i++) {
      const delta = control & deltaFlag.zero ? 0 : control & deltaFlag.words ? reader.int16() : reader.int8();
      if (i === from) leftDelta = delta;
      if (i === to) rightDelta = delta;
    }
  }
  return rightDelta - leftDelta;
}
