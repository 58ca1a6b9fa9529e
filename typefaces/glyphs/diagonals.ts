import type { GlyphPen } from '../glyph-pen.js';
import { slab } from './parts.js';

/** The two diagonals of k and K between a stem that ends at x0 and a right edge. */
export function kick(pen: GlyphPen, x0: number, x1: number, top: number, upper: number, lower: number): void {
  const slope = (x1 - x0) / top;
  const upperHalf = (upper * Math.hypot(1, slope * 1.25)) / 2;
  const lowerHalf = (lower * Math.hypot(1, slope * 1.25)) / 2;
  const meetY = top * 0.36;
  pen.diagonal(x0 - upper * 0.32, meetY - upper * 0.1, x1 - upperHalf * 1.12, top, upper);
  const fromX = x0 + (x1 - x0) * 0.3;
  pen.diagonal(fromX, top * 0.56, x1 - lowerHalf + lower * 0.05, 0, lower);
  const { serif } = pen.design;
  if (serif) {
    slab(pen, x1 - upper * 1.35, x1 - upper * 0.35, top, -1, 'both');
    slab(pen, x1 - lower * 1.2, x1 - lower * 0.1, 0, 1, 'both');
  }
}

/** The joined diagonals of v and V. */
export function wedge(pen: GlyphPen, width: number, top: number, thickness: number, x = 0): void {
  const slope = width / 2 / top;
  const half = (thickness * Math.hypot(1, slope)) / 2;
  pen.diagonal(x + half, top, x + width / 2 - half * 0.08, 0, thickness);
  pen.diagonal(x + width - half, top, x + width / 2 + half * 0.08, 0, thickness * 0.94);
  slab(pen, x + half * 0.35, x + half * 1.65, top, -1, 'both');
  slab(pen, x + width - half * 1.65, x + width - half * 0.35, top, -1, 'both');
}

/** Two wedges side by side that share their middle. */
export function doubleWedge(pen: GlyphPen, width: number, top: number, thickness: number): void {
  const slope = width / 4 / top;
  const half = (thickness * Math.hypot(1, slope)) / 2;
  const outer = half;
  const low1 = width * 0.27;
  const low2 = width * 0.73;
  pen.diagonal(outer, top, low1 - half * 0.06, 0, thickness);
  pen.diagonal(width / 2 - half * 0.06, top, low1 + half * 0.06, 0, thickness * 0.92);
  pen.diagonal(width / 2 + half * 0.06, top, low2 - half * 0.06, 0, thickness);
  pen.diagonal(width - outer, top, low2 + half * 0.06, 0, thickness * 0.92);
  slab(pen, outer * 0.4, outer * 1.6, top, -1, 'both');
  slab(pen, width - outer * 1.6, width - outer * 0.4, top, -1, 'both');
}

/** The crossed diagonals of x and X. */
export function saltire(pen: GlyphPen, width: number, top: number, thickness: number): void {
  const half = (thickness * Math.hypot(1, width / top)) / 2;
  pen.diagonal(half * 0.98, top, width - half * 0.98, 0, thickness);
  pen.diagonal(half, 0, width - half, top, thickness * 0.93);
  for (const y of [0, top]) {
    slab(pen, half * 0.45, half * 1.5, y, y === 0 ? 1 : -1, 'both');
    slab(pen, width - half * 1.5, width - half * 0.45, y, y === 0 ? 1 : -1, 'both');
  }
}

/** The bars and the diagonal of z and Z. */
export function zigzag(pen: GlyphPen, width: number, top: number, bar: number, thickness: number): void {
  pen.box(width * 0.02, top - bar, width * 0.985, top).box(0, 0, width, bar);
  const half = (thickness * Math.hypot(width - thickness, top)) / top / 2;
  pen.diagonal(half, 0.5, width * 0.985 - half, top - 0.5, thickness);
}
