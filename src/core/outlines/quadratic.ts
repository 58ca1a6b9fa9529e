// Cubic to quadratic curves, as TrueType outlines need them.

/**
 * Approximates a cubic Bézier curve by quadratic ones that join smoothly.
 *
 * The curve is cut into equal steps of its parameter. The control points are those of a quadratic spline: halfway
 * between two of them lies a point on the curve, which TrueType can leave out. The first and the last control point
 * lie on the tangents of the ends, so joins that were smooth stay smooth.
 *
 * @param cubic x and y of the start, the two control points and the end
 * @param tolerance how far the result may stray, in the same units
 * @returns x and y of the control points, at least one
 */
export function quadraticControls(cubic: ArrayLike<number>, tolerance: number): number[] {
  const single = controlsFor(cubic, 1);
  if (deviation(cubic, single) <= tolerance) return single;
  let pieces = Math.min(Math.max(2, piecesFor(cubic, tolerance)), maximumPieces);
  let controls = controlsFor(cubic, pieces);
  if (deviation(cubic, controls) <= tolerance) {
    // The estimate may be generous: fewer pieces, as long as they do.
    while (pieces > 2) {
      const fewer = controlsFor(cubic, pieces - 1);
      if (deviation(cubic, fewer) > tolerance) break;
      controls = fewer;
      pieces--;
    }
    return controls;
  }
  while (++pieces <= maximumPieces) {
    controls = controlsFor(cubic, pieces);
    if (deviation(cubic, controls) <= tolerance) break;
  }
  return controls;
}

/** Curves of real fonts need two to four at the usual tolerance. */
const maximumPieces = 32;

/**
 * An estimate: a piece of a cubic strays from its best quadratic by at most √3/36 of its third difference, which
 * shrinks with the cube of the number of pieces.
 */
function piecesFor(cubic: ArrayLike<number>, tolerance: number): number {
  const third = (axis: 0 | 1) => cubic[6 + axis] - 3 * cubic[4 + axis] + 3 * cubic[2 + axis] - cubic[axis];
  const error = (Math.sqrt(3) / 36) * Math.hypot(third(0), third(1));
  return Math.ceil(Math.cbrt(error / tolerance));
}

function controlsFor(cubic: ArrayLike<number>, pieces: number): number[] {
  const controls: number[] = [];
  if (pieces === 1) {
    const single = [tangentCrossing(cubic, 0), tangentCrossing(cubic, 1)];
    return single[0] === undefined || single[1] === undefined ? middleControl(cubic) : (single as number[]);
  }
  const step = 1 / pieces;
  for (let piece = 0; piece < pieces; piece++) {
    for (let axis = 0; axis < 2; axis++) {
      const [p0, p1, p2, p3] = [cubic[axis], cubic[2 + axis], cubic[4 + axis], cubic[6 + axis]];
      if (piece === 0) controls.push(p0 + 1.5 * step * (p1 - p0));
      else if (piece === pieces - 1) controls.push(p3 + 1.5 * step * (p2 - p3));
      else {
        const t = (piece + 0.5) * step;
        const second = 6 * ((1 - t) * (p2 - 2 * p1 + p0) + t * (p3 - 2 * p2 + p1));
        controls.push(at(p0, p1, p2, p3, t) - (step * step * second) / 8);
      }
    }
  }
  return controls;
}

function at(p0: number, p1: number, p2: number, p3: number, t: number): number {
  const s = 1 - t;
  return s * s * s * p0 + 3 * s * s * t * p1 + 3 * s * t * t * p2 + t * t * t * p3;
}

/** Where the tangents of both ends meet, or undefined where they don't between the ends. */
function tangentCrossing(cubic: ArrayLike<number>, axis: 0 | 1): number | undefined {
  const [x0, y0, x1, y1, x2, y2, x3, y3] = Array.from(cubic);
  const [ax, ay] = x1 === x0 && y1 === y0 ? [x2 - x0, y2 - y0] : [x1 - x0, y1 - y0];
  const [bx, by] = x2 === x3 && y2 === y3 ? [x1 - x3, y1 - y3] : [x2 - x3, y2 - y3];
  const cross = ax * by - ay * bx;
  if (Math.abs(cross) < 1e-9 * (Math.hypot(ax, ay) * Math.hypot(bx, by) || 1)) return undefined;
  const along = ((x3 - x0) * by - (y3 - y0) * bx) / cross;
  const back = ((x3 - x0) * ay - (y3 - y0) * ax) / cross;
  if (along < 0 || back < 0) return undefined;
  return axis === 0 ? x0 + along * ax : y0 + along * ay;
}

/** For ends whose tangents are parallel, as in straight lines written as curves. */
function middleControl(cubic: ArrayLike<number>): number[] {
  return [0, 1].map((i) => (3 * (cubic[2 + i] + cubic[4 + i]) - cubic[i] - cubic[6 + i]) / 4);
}

/** Samples on each piece. */
const samples = 8;

/** How far the spline strays from the cubic: the largest distance from points of the one to the other. */
function deviation(cubic: ArrayLike<number>, controls: readonly number[]): number {
  const pieces = controls.length / 2;
  const [x0, y0, x1, y1, x2, y2, x3, y3] = Array.from(cubic);
  let worst = 0;
  let startX = x0;
  let startY = y0;
  for (let piece = 0; piece < pieces; piece++) {
    const cx = controls[piece * 2];
    const cy = controls[piece * 2 + 1];
    const last = piece === pieces - 1;
    const endX = last ? x3 : (cx + controls[piece * 2 + 2]) / 2;
    const endY = last ? y3 : (cy + controls[piece * 2 + 3]) / 2;
    for (let i = 1; i <= samples; i++) {
      const u = i / samples;
      const v = 1 - u;
      const x = v * v * startX + 2 * v * u * cx + u * u * endX;
      const y = v * v * startY + 2 * v * u * cy + u * u * endY;
      worst = Math.max(worst, distanceToCubic(x, y, (piece + u) / pieces));
    }
    startX = endX;
    startY = endY;
  }
  return worst;

  /** To the nearest point, searched from the parameter that the point should have. */
  function distanceToCubic(x: number, y: number, guess: number): number {
    let t = guess;
    for (let round = 0; round < 3; round++) {
      const s = 1 - t;
      const dx = 3 * (s * s * (x1 - x0) + 2 * s * t * (x2 - x1) + t * t * (x3 - x2));
      const dy = 3 * (s * s * (y1 - y0) + 2 * s * t * (y2 - y1) + t * t * (y3 - y2));
      const length = dx * dx + dy * dy;
      if (length === 0) break;
      const gap = (x - at(x0, x1, x2, x3, t)) * dx + (y - at(y0, y1, y2, y3, t)) * dy;
      t = Math.min(1, Math.max(0, t + gap / length));
    }
    return Math.hypot(x - at(x0, x1, x2, x3, t), y - at(y0, y1, y2, y3, t));
  }
}
