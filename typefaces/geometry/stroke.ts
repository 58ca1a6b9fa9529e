import { at, type Contour, type Point, type Segment } from './contour.js';

/** A place that a stroke passes through. */
export interface Node {
  x: number;
  y: number;
  /** Direction of travel in degrees, counter-clockwise from the right. */
  angle: number;
  /** Thickness across the direction of travel, in font units. */
  width: number;
  /** How full the curve towards the next node is: 0.55 is a circle, more is squarer. */
  fullness?: number;
}

const radians = (degrees: number) => (degrees * Math.PI) / 180;

/** Sine and cosine of the right angles are exact, so that straight stems stay straight. */
function direction(angle: number): Point {
  const turn = ((angle % 360) + 360) % 360;
  if (turn === 0) return at(1, 0);
  if (turn === 90) return at(0, 1);
  if (turn === 180) return at(-1, 0);
  if (turn === 270) return at(0, -1);
  return at(Math.cos(radians(turn)), Math.sin(radians(turn)));
}

/** The point beside a node: on the left for a positive side, on the right for a negative one. */
function beside(node: Node, side: 1 | -1): Point {
  const { x, y } = direction(node.angle);
  return at(node.x - (side * y * node.width) / 2, node.y + (side * x * node.width) / 2);
}

/** A segment between two points whose tangents are given. */
export function connect(from: Point, angle: number, to: Point, toAngle: number, fullness: number): Segment {
  const d0 = direction(angle);
  const d1 = direction(toAngle);
  const chord = at(to.x - from.x, to.y - from.y);
  const cross = d0.x * d1.y - d0.y * d1.x;
  const straight = Math.abs(d0.x * chord.y - d0.y * chord.x) < 1e-6 * Math.hypot(chord.x, chord.y);
  if (Math.abs(cross) < 1e-6) {
    if (straight) return { kind: 'line', to };
    const reach = Math.hypot(chord.x, chord.y) * 0.4;
    return {
      kind: 'curve',
      c1: at(from.x + d0.x * reach, from.y + d0.y * reach),
      c2: at(to.x - d1.x * reach, to.y - d1.y * reach),
      to,
    };
  }
  const limit = Math.hypot(chord.x, chord.y);
  const clamp = (distance: number) => Math.min(Math.max(distance, limit * 0.05), limit * 1.2);
  const reach0 = clamp((chord.x * d1.y - chord.y * d1.x) / cross) * fullness;
  const reach1 = clamp((chord.x * d0.y - chord.y * d0.x) / -cross) * fullness;
  return {
    kind: 'curve',
    c1: at(from.x + d0.x * reach0, from.y + d0.y * reach0),
    c2: at(to.x - d1.x * reach1, to.y - d1.y * reach1),
    to,
  };
}

/** An open stroke with straight ends across the direction of travel; counter-clockwise. */
export function openStroke(nodes: readonly Node[], fullness: number): Contour {
  const segments: Segment[] = [];
  const start = beside(nodes[0], -1);
  for (let i = 1; i < nodes.length; i++) {
    segments.push(side(nodes[i - 1], nodes[i], -1, nodes[i - 1].fullness ?? fullness));
  }
  const last = nodes[nodes.length - 1];
  segments.push({ kind: 'line', to: beside(last, 1) });
  for (let i = nodes.length - 1; i > 0; i--) {
    const back = { ...nodes[i], angle: nodes[i].angle + 180 };
    const next = { ...nodes[i - 1], angle: nodes[i - 1].angle + 180 };
    segments.push(side(back, next, -1, nodes[i - 1].fullness ?? fullness));
  }
  segments.push({ kind: 'line', to: start });
  return { start, segments };
}

/** A closed stroke: two contours, the outer one counter-clockwise. Nodes are given counter-clockwise. */
export function closedStroke(nodes: readonly Node[], fullness: number): Contour[] {
  const ring = (order: readonly Node[]): Contour => ({
    start: beside(order[0], -1),
    segments: order.map((node, i) =>
      side(node, order[(i + 1) % order.length], -1, node.fullness ?? fullness),
    ),
  });
  const back = [...nodes].reverse().map((node) => ({ ...node, angle: node.angle + 180 }));
  return [ring(nodes), ring(back)];
}

function side(from: Node, to: Node, which: 1 | -1, fullness: number): Segment {
  return connect(beside(from, which), from.angle, beside(to, which), to.angle, fullness);
}
