// OpenType: fvar and avar; Font Variations Common Table Formats: where on its axes a font is, and what a delta comes to there

import { Reader } from '../bytes/reader.js';
import type { Font } from '../sfnt/font.js';
import * as fvar from '../tables/fvar.js';
import type { ItemVariationStore } from './item-variation-store.js';

/** Coordinates as 2.14, normalised: -1 to 1, one an axis; empty for a font without axes. */
export type Place = readonly number[];

/** As numbers of 2.14 are stored. */
export const one = 0x4000;

/**
 * Where a font is, at user coordinates (OpenType: coordinate scales and normalization).
 *
 * @param wanted by axis tag; axes that aren't named stay at their default
 */
export function placeAt(font: Font, wanted: Readonly<Record<string, number>> = {}): Place {
  const axes = font.optional(fvar)?.axes ?? [];
  const segments = axes.length > 0 && font.has('avar') ? readSegments(font) : [];
  return axes.map((axis, i) => {
    const plain = plainCoordinate(axis, wanted[axis.axisTag] ?? axis.defaultValue);
    return Math.round(mapped(plain, segments[i] ?? []) * one) / one;
  });
}

/** Where a user coordinate is on its axis, before avar bends it: -1 to 1. */
export function plainCoordinate(
  { minValue, defaultValue, maxValue }: Pick<fvar.VariationAxis, 'minValue' | 'defaultValue' | 'maxValue'>,
  wanted: number,
): number {
  const value = Math.min(Math.max(wanted, minValue), maxValue);
  const span = value < defaultValue ? defaultValue - minValue : maxValue - defaultValue;
  return span === 0 ? 0 : (value - defaultValue) / span;
}

export type Segment = readonly (readonly [from: number, to: number])[];

/** OpenType: avar, version 1; later versions have the same maps first. */
export function readSegments(font: Font): Segment[] {
  const reader = new Reader(font.bytesOf('avar'), 'avar');
  reader.skip(6);
  const count = reader.uint16();
  return Array.from({ length: count }, () =>
    Array.from({ length: reader.uint16() }, () => [reader.f2dot14(), reader.f2dot14()] as const),
  );
}

export function mapped(value: number, segment: Segment): number {
  if (segment.length < 2) return value;
  const next = segment.findIndex(([from]) => from >= value);
  if (next <= 0) return next < 0 ? value : (segment[0]?.[1] ?? value) + (value - segment[0][0]);
  const [[low, lowTo], [high, highTo]] = [segment[next - 1], segment[next]];
  return high === low ? highTo : lowTo + ((value - low) / (high - low)) * (highTo - lowTo);
}

/** How much of a region holds at a place, for each axis its start, peak and end as 2.14. */
export function regionScalar(region: Int16Array, place: Place): number {
  let scalar = 1;
  for (let axis = 0; axis * 3 < region.length; axis++) {
    const [start, peak, end] = [region[axis * 3], region[axis * 3 + 1], region[axis * 3 + 2]];
    scalar *= axisScalar(start / one, peak / one, end / one, place[axis] ?? 0);
    if (scalar === 0) return 0;
  }
  return scalar;
}

/** OpenType: algorithm for interpolation of instance values. */
export function axisScalar(start: number, peak: number, end: number, at: number): number {
  if (start > peak || peak > end || (start < 0 && end > 0 && peak !== 0) || peak === 0) return 1;
  if (at < start || at > end) return 0;
  if (at === peak) return 1;
  return at < peak ? (at - start) / (peak - start) : (end - at) / (end - peak);
}

/** What the delta sets of a store come to at a place. */
export class Deltas {
  private readonly scalars: readonly number[];

  constructor(
    private readonly store: ItemVariationStore,
    place: Place,
  ) {
    this.scalars = store.regions.map((region) => regionScalar(region, place));
  }

  /** In the unit of what varies; 0 for a delta set that isn't there. */
  at(outer: number, inner: number): number {
    const data = this.store.data[outer];
    const row = data?.rows[inner];
    if (!row) return 0;
    let sum = 0;
    for (let i = 0; i < row.length; i++) sum += row[i] * this.scalars[data.regionIndexes[i]];
    return sum;
  }
}
