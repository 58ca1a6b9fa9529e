import type { Node } from '../geometry/stroke.js';
import type { GlyphPen } from '../glyph-pen.js';

export type Sides = 'both' | 'left' | 'right' | 'none';

export interface Serifs {
  foot?: Sides;
  head?: Sides;
}

/** An upright stem with slab serifs where the style has them. */
export function upright(
  pen: GlyphPen,
  x: number,
  y0: number,
  y1: number,
  thickness: number,
  { foot = 'none', head = 'none' }: Serifs = {},
): void {
  pen.box(x, y0, x + thickness, y1);
  slab(pen, x, x + thickness, y0, 1, foot);
  slab(pen, x, x + thickness, y1, -1, head);
}

/** A level slab serif at the end of a stem that reaches from x0 to x1. @param inward 1: it grows upwards from y */
export function slab(pen: GlyphPen, x0: number, x1: number, y: number, inward: 1 | -1, sides: Sides): void {
  const { serif } = pen.design;
  if (!serif || sides === 'none') return;
  const left = sides === 'right' ? 0 : serif.length;
  const right = sides === 'left' ? 0 : serif.length;
  const other = y + inward * serif.thickness;
  pen.box(x0 - left, Math.min(y, other), x1 + right, Math.max(y, other));
}

/** An upright slab at the end of an arm. @param grow -1: it hangs down from y, 1: it stands on y */
export function armSlab(pen: GlyphPen, x1: number, y: number, grow: 1 | -1, reach: number): void {
  const { serif } = pen.design;
  if (!serif) return;
  const other = y + grow * reach;
  pen.box(x1 - serif.thickness * 0.92, Math.min(y, other), x1, Math.max(y, other));
}

/** The nodes of an arch that springs from a stem at x0 and ends on the base line with its right edge at x1. */
export function archNodes(pen: GlyphPen, x0: number, x1: number, base = 0): Node[] {
  const { stem, bar, xHeight, overshoot } = pen.design;
  return [
    { x: x0 + stem * 0.6, y: xHeight * 0.67, angle: 62, width: stem * 0.46 },
    { x: x0 + stem + (x1 - x0 - stem) * 0.46, y: xHeight + overshoot - bar / 2, angle: 0, width: bar },
    { x: x1 - stem / 2, y: xHeight * 0.6, angle: 270, width: stem },
    { x: x1 - stem / 2, y: base, angle: 270, width: stem },
  ];
}

/** A stroke turned by half a turn around the middle of a box that starts at the origin. */
export function turnedNodes(nodes: readonly Node[], width: number, height: number): Node[] {
  return nodes.map((node) => ({ ...node, x: width - node.x, y: height - node.y, angle: node.angle + 180 }));
}

/** A stroke mirrored from left to right inside a body of this width; it runs the same way. */
export function mirroredNodes(nodes: readonly Node[], width: number): Node[] {
  return nodes.map((node) => ({ ...node, x: width - node.x, angle: 180 - node.angle }));
}

/** A bowl on the right of a stem at x0 = 0, as in b and p: springs from the stem high up and returns low down. */
export function bowlNodes(pen: GlyphPen, width: number): Node[] {
  const { stem, bar, xHeight, overshoot } = pen.design;
  const middle = stem + (width - stem) * 0.46;
  const round = stem * 1.04;
  return [
    { x: stem * 0.55, y: xHeight * 0.7, angle: 60, width: stem * 0.44 },
    { x: middle, y: xHeight + overshoot - bar / 2, angle: 0, width: bar },
    { x: width - round / 2, y: xHeight / 2, angle: 270, width: round },
    { x: middle, y: -overshoot + bar / 2, angle: 180, width: bar },
    { x: stem * 0.55, y: xHeight * 0.3, angle: 120, width: stem * 0.44 },
  ];
}

/** The double curve of s and S inside a box. @param open how far the ends stay away from top and bottom, 0 to 1 */
export function spineNodes(
  width: number,
  y0: number,
  y1: number,
  stem: number,
  bar: number,
  open = 0.205,
): Node[] {
  const height = y1 - y0;
  const middle = y0 + height * 0.505;
  const cross = bar * 0.55 + stem * 0.5;
  return [
    { x: width * 0.925 - bar * 0.1, y: y1 - height * open, angle: 122, width: bar * 0.96 },
    { x: width * 0.5, y: y1 - bar / 2, angle: 180, width: bar },
    { x: width * 0.035 + stem * 0.47, y: y1 - height * 0.268, angle: 270, width: stem * 0.94 },
    { x: width * 0.5, y: middle, angle: 337, width: cross },
    { x: width - stem * 0.48, y: y0 + height * 0.27, angle: 270, width: stem * 0.96 },
    { x: width * 0.475, y: y0 + bar / 2, angle: 180, width: bar },
    { x: width * 0.045 + bar * 0.1, y: y0 + height * open * 0.95, angle: 124, width: bar * 0.96 },
  ];
}

/** The open round of c, e, C and G: from the upper end around the left to the lower end. */
export function openRoundNodes(
  width: number,
  y0: number,
  y1: number,
  stem: number,
  bar: number,
  open: number,
): Node[] {
  const height = y1 - y0;
  return [
    { x: width * 0.955 - bar * 0.12, y: y1 - height * open, angle: 126, width: bar * 0.94 },
    { x: width * 0.53, y: y1 - bar / 2, angle: 180, width: bar },
    { x: stem / 2, y: (y0 + y1) / 2, angle: 270, width: stem },
    { x: width * 0.53, y: y0 + bar / 2, angle: 0, width: bar },
    { x: width * 0.965 - bar * 0.12, y: y0 + height * open, angle: 54, width: bar * 0.94 },
  ];
}
