import { at, mapContour, polygon, type Contour, type Point } from './geometry/contour.js';
import { closedStroke, openStroke, type Node } from './geometry/stroke.js';
import type { Design } from './design.js';

/** White beside a glyph: beside a stem, beside a round side, or so many font units. */
export type Bearing = 'stem' | 'round' | 'slant' | number;

export type AnchorName = 'top' | 'bottom' | 'ogonek' | 'right';

/** A glyph as drawn in one style; contours may overlap. */
export interface Drawing {
  advance: number;
  contours: Contour[];
  anchors: Partial<Record<AnchorName, Point>>;
}

/** Draws a glyph with a pen. */
export type GlyphSource = (pen: GlyphPen) => Drawing;

/**
 * Draws one glyph in one style. The left edge of the letter's body is at x = 0; `fit` adds the white on both sides
 * and the slant at the end.
 */
export class GlyphPen {
  private contours: Contour[] = [];
  private readonly anchors: Partial<Record<AnchorName, Point>> = {};

  constructor(readonly design: Design) {}

  /**
   * The width of a letter's body: its stems, and the white between them in proportion.
   *
   * @param regular its width in the regular sans
   * @param stems how many uprights the width crosses
   */
  bodyWidth(regular: number, stems = 2): number {
    const { fixedAdvance, width, stem } = this.design;
    if (fixedAdvance) return Math.min(Math.max(440 + (regular - 400) * 0.22, 300), fixedAdvance - 60);
    return (regular - stems * 82) * width + stems * stem;
  }

  /** An upright rectangle. */
  box(x0: number, y0: number, x1: number, y1: number): this {
    this.contours.push(polygon([at(x0, y0), at(x1, y0), at(x1, y1), at(x0, y1)]));
    return this;
  }

  shape(points: readonly (readonly [number, number])[]): this {
    const contour = polygon(points.map(([x, y]) => at(x, y)));
    this.contours.push(contour);
    return this;
  }

  stroke(nodes: readonly Node[], fullness = this.design.fullness): this {
    this.contours.push(openStroke(nodes, fullness));
    return this;
  }

  /** A closed ring; its outer edge touches the box. */
  ring(x0: number, y0: number, x1: number, y1: number, side: number, level: number): this {
    const [cx, cy] = [(x0 + x1) / 2, (y0 + y1) / 2];
    const nodes: Node[] = [
      { x: x1 - side / 2, y: cy, angle: 90, width: side },
      { x: cx, y: y1 - level / 2, angle: 180, width: level },
      { x: x0 + side / 2, y: cy, angle: 270, width: side },
      { x: cx, y: y0 + level / 2, angle: 0, width: level },
    ];
    this.contours.push(...closedStroke(nodes, this.design.fullness));
    return this;
  }

  /** A filled ellipse, for dots. */
  dot(cx: number, cy: number, width: number, height = width): this {
    const nodes: Node[] = [
      { x: cx + width / 4, y: cy, angle: 90, width: width / 2 },
      { x: cx, y: cy + height / 4, angle: 180, width: height / 2 },
      { x: cx - width / 4, y: cy, angle: 270, width: width / 2 },
      { x: cx, y: cy - height / 4, angle: 0, width: height / 2 },
    ];
    this.contours.push(closedStroke(nodes, 0.56)[0]);
    return this;
  }

  /** A slanting stroke between two level cuts, given by the middles of the cuts. */
  diagonal(x0: number, y0: number, x1: number, y1: number, thickness: number): this {
    const half = (thickness * Math.hypot(x1 - x0, y1 - y0)) / Math.abs(y1 - y0) / 2;
    const points: [number, number][] = [
      [x0 - half, y0],
      [x0 + half, y0],
      [x1 + half, y1],
      [x1 - half, y1],
    ];
    return this.shape(y1 > y0 ? points : points.reverse());
  }

  /** What was drawn so far, before it is fitted. */
  get drawn(): readonly Contour[] {
    return this.contours;
  }

  /** Draws with another pen's strokes: moved, mirrored or turned. */
  add(contours: readonly Contour[], map: (point: Point) => Point = (point) => point): this {
    this.contours.push(...contours.map((contour) => mapContour(contour, map)));
    return this;
  }

  anchor(name: AnchorName, x: number, y: number): this {
    this.anchors[name] = at(x, y);
    return this;
  }

  /** The usual places for marks over and under a body of this width. */
  marks(width: number, top: number): this {
    return this.anchor('top', width / 2, top).anchor('bottom', width / 2, 0);
  }

  /**
   * Ends the glyph.
   *
   * @param width of the body
   */
  fit(left: Bearing, width: number, right: Bearing): Drawing {
    const { fixedAdvance } = this.design;
    let shift = this.bearing(left);
    let advance = shift + width + this.bearing(right);
    if (fixedAdvance) {
      shift += (fixedAdvance - advance) / 2;
      advance = fixedAdvance;
    }
    return this.placed(shift, Math.round(advance));
  }

  /** Ends a mark: it has no advance and stays around x = 0. */
  fitMark(): Drawing {
    return this.placed(0, 0);
  }

  private placed(shift: number, advance: number): Drawing {
    const { slant, xHeight } = this.design;
    const lean = Math.tan((slant * Math.PI) / 180);
    // Leaning turns around the middle of the small letters, so that the text keeps its place.
    const place = ({ x, y }: Point) => at(x + shift + (y - xHeight / 2) * lean, y);
    return {
      advance,
      contours: this.contours.map((contour) => mapContour(contour, place)),
      anchors: Object.fromEntries(Object.entries(this.anchors).map(([name, point]) => [name, place(point)])),
    };
  }

  private bearing(kind: Bearing): number {
    const { besideStem, besideRound } = this.design;
    if (typeof kind === 'number') return kind;
    if (kind === 'stem') return besideStem;
    if (kind === 'round') return besideRound;
    return this.design.serif ? besideRound * 0.7 : besideRound * 0.3;
  }
}
