// OpenType: avar, Axis Variations Table: a weight axis that stops at some weights

import { Writer } from '../bytes/writer.js';
import { fontOf, type Font } from '../sfnt/font.js';
import * as fvar from '../tables/fvar.js';
import { mapped, one, plainCoordinate, readSegments, type Segment } from './place.js';

/** User units from a whole weight, between which all changes: weights on both sides stay clear of it, however places are rounded. */
const [start, end] = [0.25, 0.75];

/** Whether its weight is on an axis; else all weights are drawn alike. */
export const hasWeightAxis = (font: Font): boolean =>
  font.optional(fvar)?.axes.some(({ axisTag }) => axisTag === 'wght') === true;

/**
 * A font whose weight axis has nothing between some weights: what is asked for between two of them is drawn as the one that font
 * matching takes where a rule declares each alone (CSS Fonts 4, section 5.2). One rule for all of them then draws what these draw.
 *
 * @param weights user coordinates, ascending
 * @returns undefined where its axis can't stop so: its default would have to be drawn as another weight, or it has none
 */
export function withSteps(font: Font, weights: readonly number[]): Font | undefined {
  const axes = font.optional(fvar)?.axes ?? [];
  const at = axes.findIndex(({ axisTag }) => axisTag === 'wght');
  const axis = axes[at];
  const known = font.has('avar') ? readSegments(font) : [];
  if (!axis || (font.has('avar') && !isFirstVersion(font))) return undefined;
  const { minValue, defaultValue, maxValue } = axis;
  const own = [...new Set(weights.map((weight) => Math.min(Math.max(weight, minValue), maxValue)))];
  const [lightest, boldest] = [own[0], own[own.length - 1]];
  const isBetween = defaultValue > lightest && defaultValue < boldest;
  if (own.length < 2 || (isBetween && !own.includes(defaultValue))) return undefined;
  const placed = (weight: number) => rounded(plainCoordinate(axis, weight));
  const drawn = (weight: number) => rounded(mapped(plainCoordinate(axis, weight), known[at] ?? []));
  const points = new Map<number, number>();
  points.set(placed(Math.max(lightest - start, minValue)), drawn(lightest));
  points.set(placed(Math.min(boldest + start, maxValue)), drawn(boldest));
  for (const [i, weight] of own.entries()) {
    points.set(placed(weight), drawn(weight));
    if (i === 0) continue;
    const [below, above] = stepBetween(own[i - 1], weight);
    points.set(placed(below), drawn(own[i - 1]));
    points.set(placed(above), drawn(weight));
  }
  // What every map has; those of the range stay as they are.
  for (const fixed of [-1, 0, 1]) if (!points.has(fixed)) points.set(fixed, fixed);
  const steps = [...points].sort(([a], [b]) => a - b);
  const segments = axes.map((_, i) => (i === at ? steps : known[i]?.length ? known[i] : plainSegment));
  return fontOf(font.flavour, font.tables().set('avar', serialised(segments)));
}

const plainSegment: Segment = [
  [-1, -1],
  [0, 0],
  [1, 1],
];

/** The two places between which all changes from one weight to the next one. */
function stepBetween(light: number, bold: number): [below: number, above: number] {
  if (bold <= 400) return [bold - end, bold - start];
  if (light < 400 && bold <= 500) return [400 - end, 400 - start];
  if (bold <= 500 || light >= 500) return [light + start, light + end];
  return [500 + start, 500 + end];
}

const rounded = (value: number): number => Math.round(value * one) / one;

const isFirstVersion = (font: Font): boolean => font.bytesOf('avar')[1] === 1;

function serialised(segments: readonly Segment[]): Uint8Array {
  const writer = new Writer(64);
  writer.uint16(1).uint16(0).uint16(0).uint16(segments.length);
  for (const segment of segments) {
    writer.uint16(segment.length);
    for (const [from, to] of segment) writer.f2dot14(from).f2dot14(to);
  }
  return writer.bytes();
}
