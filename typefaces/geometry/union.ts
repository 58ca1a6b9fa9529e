import {
  at,
  extremaOf,
  pointOn,
  signedArea,
  splitAt,
  startsOf,
  tangentOn,
  type Contour,
  type Point,
  type Segment,
} from './contour.js';

/** Font units: how far beside an edge its two sides are looked at. */
const besideEdge = 0.02;
/** Font units: ends closer than this are one point. */
const samePoint = 0.6;
/** Font units: where edges graze each other, a gap up to this wide is closed with a straight line. */
const widestGap = 2.5;
/** Square font units: what grazing edges cut off is dropped up to this size. */
const smallestArea = 12;

interface Piece {
  from: Point;
  segment: Segment;
}

/**
 * One outline without overlaps from contours that overlap (non-zero winding).
 *
 * Cuts all segments where they meet, keeps the pieces that have the inside on one side only, and joins them.
 * Counter-clockwise contours enclose, clockwise ones cut out, and so does the result.
 */
export function union(contours: readonly Contour[]): Contour[] {
  const pieces = contours.flatMap((contour) => {
    const starts = startsOf(contour);
    return contour.segments
      .map((segment, i): Piece => ({ from: starts[i], segment }))
      .filter(({ from, segment }) => distance(from, segment.to) > 1e-6 || segment.kind === 'curve');
  });
  const cut = cutWhereTheyMeet(pieces);
  const edges = contours.flatMap(risingEdges);
  const kept: Piece[] = [];
  for (const piece of cut) {
    if (distance(piece.from, piece.segment.to) < 1e-3) continue;
    const middle = pointOn(piece.from, piece.segment, 0.5);
    const tangent = tangentOn(piece.from, piece.segment, 0.5);
    const length = Math.hypot(tangent.x, tangent.y);
    const normal = at((-tangent.y / length) * besideEdge, (tangent.x / length) * besideEdge);
    const left = windingAt(edges, at(middle.x + normal.x, middle.y + normal.y)) !== 0;
    const right = windingAt(edges, at(middle.x - normal.x, middle.y - normal.y)) !== 0;
    if (left === right) continue;
    const oriented = left ? piece : turned(piece);
    if (!kept.some((other) => coincide(other, oriented))) kept.push(oriented);
  }
  return join(kept).map(withoutNeedlessPoints);
}

const distance = (a: Point, b: Point) => Math.hypot(a.x - b.x, a.y - b.y);

function turned({ from, segment }: Piece): Piece {
  return segment.kind === 'line'
    ? { from: segment.to, segment: { kind: 'line', to: from } }
    : { from: segment.to, segment: { kind: 'curve', c1: segment.c2, c2: segment.c1, to: from } };
}

function coincide(a: Piece, b: Piece): boolean {
  return (
    distance(a.from, b.from) < samePoint &&
    distance(a.segment.to, b.segment.to) < samePoint &&
    distance(pointOn(a.from, a.segment, 0.5), pointOn(b.from, b.segment, 0.5)) < samePoint
  );
}

/** A piece of an outline on which y only rises or only falls. */
interface Edge extends Piece {
  low: number;
  high: number;
}

function risingEdges(contour: Contour): Edge[] {
  const starts = startsOf(contour);
  return contour.segments.flatMap((segment, i) => {
    let from = starts[i];
    return splitAt(from, segment, extremaOf(from, segment, 1e-9)).map((part) => {
      const edge = {
        from,
        segment: part,
        low: Math.min(from.y, part.to.y),
        high: Math.max(from.y, part.to.y),
      };
      from = part.to;
      return edge;
    });
  });
}

/** How often the edges wind around a point, counter-clockwise positive. */
function windingAt(edges: readonly Edge[], point: Point): number {
  let winding = 0;
  for (const { from, segment, low, high } of edges) {
    if (point.y < low || point.y >= high) continue;
    const rises = segment.to.y > from.y;
    let [t0, t1] = [0, 1];
    for (let step = 0; step < 40; step++) {
      const t = (t0 + t1) / 2;
      if (pointOn(from, segment, t).y < point.y === rises) t0 = t;
      else t1 = t;
    }
    if (pointOn(from, segment, t0).x > point.x) winding += rises ? 1 : -1;
  }
  return winding;
}

function cutWhereTheyMeet(pieces: readonly Piece[]): Piece[] {
  const places = pieces.map((): number[] => []);
  const boxes = pieces.map(boxOf);
  for (let i = 0; i < pieces.length; i++) {
    for (let j = i + 1; j < pieces.length; j++) {
      if (apart(boxes[i], boxes[j])) continue;
      for (const [t, u] of meetings(pieces[i], pieces[j])) {
        places[i].push(t);
        places[j].push(u);
      }
    }
  }
  return pieces.flatMap((piece, i) => {
    const inner = places[i].filter((t) => t > 1e-4 && t < 1 - 1e-4).sort((a, b) => a - b);
    const distinct = inner.filter((t, k) => k === 0 || t - inner[k - 1] > 1e-4);
    let from = piece.from;
    return splitAt(piece.from, piece.segment, distinct).map((segment) => {
      const part = { from, segment };
      from = segment.to;
      return part;
    });
  });
}

type Box = [xMin: number, yMin: number, xMax: number, yMax: number];

function boxOf({ from, segment }: Piece): Box {
  const points = segment.kind === 'line' ? [from, segment.to] : [from, segment.c1, segment.c2, segment.to];
  const xs = points.map((p) => p.x);
  const ys = points.map((p) => p.y);
  return [Math.min(...xs), Math.min(...ys), Math.max(...xs), Math.max(...ys)];
}

const near = 0.002;
const apart = (a: Box, b: Box) =>
  a[2] < b[0] - near || b[2] < a[0] - near || a[3] < b[1] - near || b[3] < a[1] - near;

function meetings(a: Piece, b: Piece): [number, number][] {
  if (a.segment.kind === 'line' && b.segment.kind === 'line') return lineMeetings(a, b);
  const found: [number, number][] = [];
  searchMeetings(a, b, 0, 1, 0, 1, found);
  return found;
}

function lineMeetings(a: Piece, b: Piece): [number, number][] {
  const [p, r] = [a.from, at(a.segment.to.x - a.from.x, a.segment.to.y - a.from.y)];
  const [q, s] = [b.from, at(b.segment.to.x - b.from.x, b.segment.to.y - b.from.y)];
  const cross = r.x * s.y - r.y * s.x;
  const gap = at(q.x - p.x, q.y - p.y);
  if (Math.abs(cross) > 1e-7 * Math.hypot(r.x, r.y) * Math.hypot(s.x, s.y)) {
    const t = (gap.x * s.y - gap.y * s.x) / cross;
    const u = (gap.x * r.y - gap.y * r.x) / cross;
    const within = t > -1e-6 && t < 1 + 1e-6 && u > -1e-6 && u < 1 + 1e-6;
    return within ? [[t, u]] : [];
  }
  const lengthA = r.x * r.x + r.y * r.y;
  const lengthB = s.x * s.x + s.y * s.y;
  if (Math.abs(gap.x * r.y - gap.y * r.x) > 1e-3 * Math.sqrt(lengthA)) return [];
  // On one line: each is cut at the ends of the other.
  const onA = (point: Point) => ((point.x - p.x) * r.x + (point.y - p.y) * r.y) / lengthA;
  const onB = (point: Point) => ((point.x - q.x) * s.x + (point.y - q.y) * s.y) / lengthB;
  return [
    [onA(b.from), 0],
    [onA(b.segment.to), 1],
    [0, onB(a.from)],
    [1, onB(a.segment.to)],
  ].map(([t, u]) => [Math.min(Math.max(t, 0), 1), Math.min(Math.max(u, 0), 1)]);
}

/** Halves both segments until the meeting is narrowed down to a thousandth of a unit. */
function searchMeetings(
  a: Piece,
  b: Piece,
  a0: number,
  a1: number,
  b0: number,
  b1: number,
  found: [number, number][],
): void {
  const boxA = boxOf(a);
  const boxB = boxOf(b);
  if (found.length > 32 || apart(boxA, boxB)) return;
  const sizeA = Math.max(boxA[2] - boxA[0], boxA[3] - boxA[1]);
  const sizeB = Math.max(boxB[2] - boxB[0], boxB[3] - boxB[1]);
  if (sizeA < 0.004 && sizeB < 0.004) {
    const t = (a0 + a1) / 2;
    const u = (b0 + b1) / 2;
    if (!found.some(([t2, u2]) => Math.abs(t - t2) < 1e-3 && Math.abs(u - u2) < 1e-3)) found.push([t, u]);
    return;
  }
  const halvesA = sizeA >= sizeB ? halves(a, a0, a1) : [{ piece: a, low: a0, high: a1 }];
  const halvesB = sizeA >= sizeB ? [{ piece: b, low: b0, high: b1 }] : halves(b, b0, b1);
  for (const partA of halvesA) {
    for (const partB of halvesB) {
      searchMeetings(partA.piece, partB.piece, partA.low, partA.high, partB.low, partB.high, found);
    }
  }
}

function halves(piece: Piece, low: number, high: number) {
  const [first, second] = splitAt(piece.from, piece.segment, [0.5]);
  const middle = (low + high) / 2;
  return [
    { piece: { from: piece.from, segment: first }, low, high: middle },
    { piece: { from: first.to, segment: second }, low: middle, high },
  ];
}

function join(pieces: Piece[]): Contour[] {
  const left = new Set(pieces);
  const contours: Contour[] = [];
  for (const first of pieces) {
    if (!left.delete(first)) continue;
    const segments = [first.segment];
    let current = first;
    while (distance(current.segment.to, first.from) > samePoint) {
      const next = nextPiece(current, left) ?? nearestPiece(current, left, first);
      if (!next) break;
      if (next === first) {
        segments.push({ kind: 'line', to: first.from });
        current = { from: current.segment.to, segment: segments[segments.length - 1] };
        break;
      }
      if (distance(next.from, current.segment.to) > samePoint) segments.push({ kind: 'line', to: next.from });
      left.delete(next);
      segments.push(next.segment);
      current = next;
    }
    if (distance(current.segment.to, first.from) > samePoint) {
      const length = segments.reduce(
        (sum, { to }, i) => sum + distance(to, segments[i - 1]?.to ?? first.from),
        0,
      );
      if (length < widestGap * 2) continue;
      const { x, y } = current.segment.to;
      throw new Error(`an outline does not close at ${x.toFixed(1)}, ${y.toFixed(1)}`);
    }
    segments[segments.length - 1] = { ...current.segment, to: first.from };
    const contour = { start: first.from, segments };
    if (Math.abs(signedArea(contour)) / 2 > smallestArea) contours.push(contour);
  }
  return contours;
}

/** The piece whose start is nearest, if it is near enough; `first` where the outline closes. */
function nearestPiece(current: Piece, left: ReadonlySet<Piece>, first: Piece): Piece | undefined {
  const reach = (piece: Piece) => distance(piece.from, current.segment.to);
  const candidates = [...left, first].filter((piece) => reach(piece) <= widestGap);
  return candidates.sort((a, b) => reach(a) - reach(b))[0];
}

/** Of the pieces that start here the one that turns furthest to the left, so that touching contours stay apart. */
function nextPiece(current: Piece, left: ReadonlySet<Piece>): Piece | undefined {
  const candidates = [...left].filter((piece) => distance(piece.from, current.segment.to) <= samePoint);
  const arriving = tangentOn(current.from, current.segment, 0.999);
  const turn = (piece: Piece) => {
    const leaving = tangentOn(piece.from, piece.segment, 0.001);
    return Math.atan2(
      arriving.x * leaving.y - arriving.y * leaving.x,
      arriving.x * leaving.x + arriving.y * leaving.y,
    );
  };
  return candidates.sort((a, b) => turn(b) - turn(a))[0];
}

/** Joins straight segments that go on in the same direction and drops those too short to see. */
function withoutNeedlessPoints(contour: Contour): Contour {
  let { segments } = contour;
  let start = contour.start;
  for (let changed = true; changed && segments.length > 2;) {
    changed = false;
    const starts = startsOf({ start, segments });
    for (let i = 0; i < segments.length; i++) {
      const next = (i + 1) % segments.length;
      const [a, b] = [segments[i], segments[next]];
      if (a.kind !== 'line' || b.kind !== 'line' || segments.length < 3) continue;
      const r = at(a.to.x - starts[i].x, a.to.y - starts[i].y);
      const s = at(b.to.x - a.to.x, b.to.y - a.to.y);
      const bend =
        Math.abs(r.x * s.y - r.y * s.x) / Math.max(Math.hypot(r.x, r.y), Math.hypot(s.x, s.y), 1e-9);
      if (bend > 0.35) continue;
      segments = segments.slice();
      segments[i] = { kind: 'line', to: b.to };
      segments.splice(next, 1);
      if (next === 0) start = b.to;
      changed = true;
      break;
    }
  }
  return { start, segments };
}
