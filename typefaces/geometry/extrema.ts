import { extremaOf, splitAt, startsOf, type Contour } from './contour.js';

/** The same outline with a point wherever a curve turns back in x or y. */
export function withExtrema(contour: Contour): Contour {
  const starts = startsOf(contour);
  const segments = contour.segments.flatMap((segment, i) => {
    return splitAt(starts[i], segment, extremaOf(starts[i], segment));
  });
  return { start: contour.start, segments };
}

/**
 * The same for outlines that are to be interpolated: a curve is cut where it turns back in all of them, each at its
 * own place, so that all keep the same points.
 */
export function withExtremaTogether(contours: readonly Contour[]): Contour[] {
  const starts = contours.map(startsOf);
  const results = contours.map((contour): Contour => ({ start: contour.start, segments: [] }));
  contours[0].segments.forEach((_, i) => {
    const places = contours.map((contour, k) => extremaOf(starts[k][i], contour.segments[i], 0.02));
    const cuts = Math.min(...places.map((list) => list.length));
    contours.forEach((contour, k) => {
      const chosen = places.every((list) => list.length === cuts) ? places[k] : [];
      results[k].segments.push(...splitAt(starts[k][i], contour.segments[i], chosen));
    });
  });
  return results;
}
