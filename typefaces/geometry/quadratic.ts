import {
  at,
  pointOn,
  splitAt,
  splitSegment,
  startsOf,
  tangentOn,
  type Contour,
  type Point,
  type Segment,
} from './contour.js';

/** Points of a TrueType contour, in font units. */
export interface QuadraticPoint extends Point {
  onCurve: boolean;
}

/** The control point of the quadratic curve with the same ends and tangents as a cubic one. */
function controlPoint(from: Point, segment: Segment & { kind: 'curve' }): Point {
  // Rounding can put a handle onto its end, so the tangents are taken a little way in.
  const d0 = tangentOn(from, segment, 1e-4);
  const d1 = tangentOn(from, segment, 1 - 1e-4);
  const cross = d0.x * d1.y - d0.y * d1.x;
  const { to } = segment;
  if (Math.abs(cross) <= 1e-6 * Math.hypot(d0.x, d0.y) * Math.hypot(d1.x, d1.y)) {
    return at((from.x + to.x) / 2, (from.y + to.y) / 2);
  }
  const t = ((to.x - from.x) * d1.y - (to.y - from.y) * d1.x) / cross;
  return at(from.x + d0.x * t, from.y + d0.y * t);
}

function quadraticError(from: Point, segment: Segment & { kind: 'curve' }, control: Point): number {
  let error = 0;
  for (const t of [0.25, 0.5, 0.75]) {
    const wanted = pointOn(from, segment, t);
    const u = 1 - t;
    const x = u * u * from.x + 2 * u * t * control.x + t * t * segment.to.x;
    const y = u * u * from.y + 2 * u * t * control.y + t * t * segment.to.y;
    // Only the distance across the curve shows.
    const tangent = tangentOn(from, segment, t);
    const across =
      Math.abs((x - wanted.x) * tangent.y - (y - wanted.y) * tangent.x) /
      Math.max(Math.hypot(tangent.x, tangent.y), 1e-9);
    error = Math.max(error, across);
  }
  return error;
}

/** So many quadratic curves for each cubic one, for outlines that are to be interpolated. */
export function toQuadraticEvenly(contour: Contour, pieces: number): QuadraticPoint[] {
  const places = Array.from({ length: pieces - 1 }, (_, i) => (i + 1) / pieces);
  return toPoints(contour, (from, segment) => splitAt(from, segment, places));
}

/** As few quadratic curves as keep within a tolerance in font units. */
export function toQuadraticWithin(contour: Contour, tolerance: number): QuadraticPoint[] {
  const halve = (from: Point, segment: Segment & { kind: 'curve' }, depth: number): Segment[] => {
    if (depth === 0 || quadraticError(from, segment, controlPoint(from, segment)) <= tolerance)
      return [segment];
    const [first, second] = splitSegment(from, segment, 0.5) as [typeof segment, typeof segment];
    return [...halve(from, first, depth - 1), ...halve(first.to, second, depth - 1)];
  };
  return toPoints(contour, (from, segment) => halve(from, segment, 4));
}

function toPoints(
  contour: Contour,
  cut: (from: Point, segment: Segment & { kind: 'curve' }) => Segment[],
): QuadraticPoint[] {
  const points: QuadraticPoint[] = [];
  const starts = startsOf(contour);
  contour.segments.forEach((segment, i) => {
    points.push({ ...rounded(starts[i]), onCurve: true });
    if (segment.kind === 'line') return;
    let from = starts[i];
    for (const piece of cut(from, segment)) {
      if (from !== starts[i]) points.push({ ...rounded(from), onCurve: true });
      points.push({ ...rounded(controlPoint(from, piece as Segment & { kind: 'curve' })), onCurve: false });
      from = piece.to;
    }
  });
  return points;
}

const rounded = ({ x, y }: Point): Point => at(Math.round(x), Math.round(y));

/** Drops points that rounding put on top of the one before. */
export function withoutRepeats(points: readonly QuadraticPoint[]): QuadraticPoint[] {
  return points.filter((point, i) => {
    const before = points[(i + points.length - 1) % points.length];
    return !(point.onCurve && before.onCurve && point.x === before.x && point.y === before.y);
  });
}
