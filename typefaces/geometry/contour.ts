/** Closed contours of straight and cubic segments, in font units with y upwards. */

export interface Point {
  x: number;
  y: number;
}

export type Segment = { kind: 'line'; to: Point } | { kind: 'curve'; c1: Point; c2: Point; to: Point };

export interface Contour {
  start: Point;
  /** The last segment ends at `start`. */
  segments: Segment[];
}

export const at = (x: number, y: number): Point => ({ x, y });

/** A contour of straight segments. */
export function polygon(points: readonly Point[]): Contour {
  const [start, ...rest] = points;
  return { start, segments: [...rest, start].map((to) => ({ kind: 'line', to })) };
}

export function mapContour(contour: Contour, map: (point: Point) => Point): Contour {
  return {
    start: map(contour.start),
    segments: contour.segments.map((segment) =>
      segment.kind === 'line'
        ? { kind: 'line', to: map(segment.to) }
        : { kind: 'curve', c1: map(segment.c1), c2: map(segment.c2), to: map(segment.to) },
    ),
  };
}

/** The same outline, walked the other way round. */
export function reversed(contour: Contour): Contour {
  const froms = startsOf(contour);
  const segments = contour.segments.map((segment, i): Segment => {
    const to = froms[i];
    return segment.kind === 'line'
      ? { kind: 'line', to }
      : { kind: 'curve', c1: segment.c2, c2: segment.c1, to };
  });
  return { start: contour.start, segments: segments.reverse() };
}

/** Where each segment starts. */
export function startsOf(contour: Contour): Point[] {
  return [contour.start, ...contour.segments.slice(0, -1).map((segment) => segment.to)];
}

/** Twice the signed area; positive for a contour that runs counter-clockwise. */
export function signedArea(contour: Contour): number {
  let area = 0;
  for (const line of flatten(contour, 8)) area += line.from.x * line.to.y - line.to.x * line.from.y;
  return area;
}

export function flatten(contour: Contour, steps: number): { from: Point; to: Point }[] {
  const lines: { from: Point; to: Point }[] = [];
  let from = contour.start;
  for (const segment of contour.segments) {
    if (segment.kind === 'line') lines.push({ from, to: segment.to });
    else {
      let last = from;
      for (let i = 1; i <= steps; i++) {
        const next = i === steps ? segment.to : pointOn(from, segment, i / steps);
        lines.push({ from: last, to: next });
        last = next;
      }
    }
    from = segment.to;
  }
  return lines;
}

export function pointOn(from: Point, segment: Segment, t: number): Point {
  const { to } = segment;
  if (segment.kind === 'line') return at(from.x + (to.x - from.x) * t, from.y + (to.y - from.y) * t);
  const u = 1 - t;
  const [a, b, c, d] = [u * u * u, 3 * u * u * t, 3 * u * t * t, t * t * t];
  const { c1, c2 } = segment;
  return at(a * from.x + b * c1.x + c * c2.x + d * to.x, a * from.y + b * c1.y + c * c2.y + d * to.y);
}

/** The direction of the curve at t; not of unit length. */
export function tangentOn(from: Point, segment: Segment, t: number): Point {
  const { to } = segment;
  if (segment.kind === 'line') return at(to.x - from.x, to.y - from.y);
  const u = 1 - t;
  const { c1, c2 } = segment;
  const [a, b, c] = [u * u, 2 * u * t, t * t];
  return at(
    a * (c1.x - from.x) + b * (c2.x - c1.x) + c * (to.x - c2.x),
    a * (c1.y - from.y) + b * (c2.y - c1.y) + c * (to.y - c2.y),
  );
}

const between = (a: Point, b: Point, t: number): Point => at(a.x + (b.x - a.x) * t, a.y + (b.y - a.y) * t);

/** Cuts a segment in two at t. */
export function splitSegment(from: Point, segment: Segment, t: number): [Segment, Segment] {
  if (segment.kind === 'line') {
    return [
      { kind: 'line', to: between(from, segment.to, t) },
      { kind: 'line', to: segment.to },
    ];
  }
  const ab = between(from, segment.c1, t);
  const bc = between(segment.c1, segment.c2, t);
  const cd = between(segment.c2, segment.to, t);
  const abc = between(ab, bc, t);
  const bcd = between(bc, cd, t);
  const middle = between(abc, bcd, t);
  return [
    { kind: 'curve', c1: ab, c2: abc, to: middle },
    { kind: 'curve', c1: bcd, c2: cd, to: segment.to },
  ];
}

/** Cuts a segment at several places, ascending between 0 and 1. */
export function splitAt(from: Point, segment: Segment, places: readonly number[]): Segment[] {
  const pieces: Segment[] = [];
  let rest = segment;
  let start = from;
  let done = 0;
  for (const place of places) {
    const [head, tail] = splitSegment(start, rest, (place - done) / (1 - done));
    pieces.push(head);
    start = head.to;
    rest = tail;
    done = place;
  }
  return [...pieces, rest];
}

/** Where a curve turns back in x or in y, ascending; ends excluded by `margin`. */
export function extremaOf(from: Point, segment: Segment, margin = 0.01): number[] {
  if (segment.kind === 'line') return [];
  const places = [
    ...turns(from.x, segment.c1.x, segment.c2.x, segment.to.x),
    ...turns(from.y, segment.c1.y, segment.c2.y, segment.to.y),
  ];
  return places.filter((t) => t > margin && t < 1 - margin).sort((a, b) => a - b);
}

/** Roots of the derivative of a cubic in one coordinate. */
export function turns(p0: number, p1: number, p2: number, p3: number): number[] {
  const a = -p0 + 3 * p1 - 3 * p2 + p3;
  const b = 2 * (p0 - 2 * p1 + p2);
  const c = p1 - p0;
  if (Math.abs(a) < 1e-9) return Math.abs(b) < 1e-9 ? [] : [-c / b];
  const discriminant = b * b - 4 * a * c;
  if (discriminant <= 0) return [];
  const root = Math.sqrt(discriminant);
  return [(-b + root) / (2 * a), (-b - root) / (2 * a)];
}

export function roundContour(contour: Contour): Contour {
  return mapContour(contour, ({ x, y }) => at(Math.round(x), Math.round(y)));
}
