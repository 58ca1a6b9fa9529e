/** Receives the contours of a glyph, in font units. Each starts with `moveTo` and ends with `closePath`. */
export interface OutlineSink {
  moveTo(x: number, y: number): void;
  lineTo(x: number, y: number): void;
  quadraticCurveTo(controlX: number, controlY: number, x: number, y: number): void;
  bezierCurveTo(c1x: number, c1y: number, c2x: number, c2y: number, x: number, y: number): void;
  closePath(): void;
}

/** The kinds of segment, each with the number of coordinates that it takes. */
export const segment = { move: 0, line: 1, quadratic: 2, cubic: 3, close: 4 } as const;
export const coordinatesOf = [2, 2, 4, 6, 0] as const;

/** A glyph's contours, kept. */
export class Outline implements OutlineSink {
  readonly segments: number[] = [];
  /** As many for each segment as `coordinatesOf` says, the end point last. */
  readonly coordinates: number[] = [];

  moveTo(x: number, y: number): void {
    this.segments.push(segment.move);
    this.coordinates.push(x, y);
  }

  lineTo(x: number, y: number): void {
    this.segments.push(segment.line);
    this.coordinates.push(x, y);
  }

  quadraticCurveTo(controlX: number, controlY: number, x: number, y: number): void {
    this.segments.push(segment.quadratic);
    this.coordinates.push(controlX, controlY, x, y);
  }

  bezierCurveTo(c1x: number, c1y: number, c2x: number, c2y: number, x: number, y: number): void {
    this.segments.push(segment.cubic);
    this.coordinates.push(c1x, c1y, c2x, c2y, x, y);
  }

  closePath(): void {
    this.segments.push(segment.close);
  }

  get isEmpty(): boolean {
    return this.segments.length === 0;
  }

  /** Plays the contours to another sink. */
  drawTo(sink: OutlineSink): void {
    const { coordinates: c } = this;
    let at = 0;
    for (const kind of this.segments) {
      if (kind === segment.move) sink.moveTo(c[at], c[at + 1]);
      else if (kind === segment.line) sink.lineTo(c[at], c[at + 1]);
      else if (kind === segment.quadratic) sink.quadraticCurveTo(c[at], c[at + 1], c[at + 2], c[at + 3]);
      else if (kind === segment.cubic)
        sink.bezierCurveTo(c[at], c[at + 1], c[at + 2], c[at + 3], c[at + 4], c[at + 5]);
      else sink.closePath();
      at += coordinatesOf[kind];
    }
  }
}

const letters = ['M', 'L', 'Q', 'C', 'Z'] as const;

/**
 * The contours as SVG path data (SVG 1.1, section 8.3), with absolute coordinates.
 *
 * @param decimals digits after the point that are kept
 */
export function svgPathData({ segments, coordinates }: Outline, decimals = 0): string {
  const scale = 10 ** decimals;
  let data = '';
  let at = 0;
  for (const kind of segments) {
    data += letters[kind];
    const end = at + coordinatesOf[kind];
    for (let i = at; i < end; i++) {
      const value = Math.round(coordinates[i] * scale) / scale;
      data += i > at && value >= 0 ? ` ${value}` : `${value}`;
    }
    at = end;
  }
  return data;
}

/** A sink that moves what it passes on. */
export function moved(sink: OutlineSink, dx: number, dy: number): OutlineSink {
  return {
    moveTo: (x, y) => sink.moveTo(x + dx, y + dy),
    lineTo: (x, y) => sink.lineTo(x + dx, y + dy),
    quadraticCurveTo: (cx, cy, x, y) => sink.quadraticCurveTo(cx + dx, cy + dy, x + dx, y + dy),
    bezierCurveTo: (ax, ay, bx, by, x, y) =>
      sink.bezierCurveTo(ax + dx, ay + dy, bx + dx, by + dy, x + dx, y + dy),
    closePath: () => sink.closePath(),
  };
}
