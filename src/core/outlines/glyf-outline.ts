// OpenType: glyf, "Simple Glyph Description" and "Composite Glyph Description"

import { Reader } from '../bytes/reader.js';
import { componentFlag, type Component } from '../tables/glyf-components.js';
import * as glyf from '../tables/glyf.js';
import type { OutlineSink } from './outline.js';

/** Real fonts nest two or three deep. */
const maximumDepth = 16;
/** A composite that comes to more points than this is an attack: no glyph of a real font has a tenth of it. */
const maximumPoints = 1 << 17;
/** Empty glyphs cost no points, so components are counted too. */
const maximumVisits = 1 << 13;

/** The points of a glyph with its components put in place; contours end where `ends` says. */
interface Points {
  x: number[];
  y: number[];
  onCurve: number[];
  /** The last point of each contour. */
  ends: number[];
  /** Glyphs and components looked at so far. */
  visits: number;
}

/**
 * Draws a glyph of a glyf table, components included.
 *
 * @throws DenseGlyphError `table-damaged`, also for components that contain themselves
 */
export function drawGlyf(table: glyf.Glyf, glyphId: number, sink: OutlineSink): void {
  const points: Points = { x: [], y: [], onCurve: [], ends: [], visits: 0 };
  gather(table, glyphId, points, 0);
  drawPoints(points, sink);
}

function gather(table: glyf.Glyf, glyphId: number, into: Points, depth: number): void {
  const damaged = (reason: string) => new Reader(table.data, glyf.tag).damaged(`glyph ${glyphId}: ${reason}`);
  if (glyphId >= table.offsets.length - 1) throw damaged(`there is no such glyph to put into a composite`);
  if (++into.visits > maximumVisits) throw damaged(`it comes to over ${maximumVisits} components`);
  if (depth > maximumDepth) throw damaged(`components nest more than ${maximumDepth} deep`);
  const glyph = glyf.glyphOf(table, glyphId);
  if (!glyph) return;
  if (glyph.kind === 'simple') {
    const start = into.x.length;
    if (start + glyph.onCurve.length > maximumPoints)
      throw damaged(`it comes to over ${maximumPoints} points`);
    for (let i = 0; i < glyph.onCurve.length; i++) {
      into.x.push(glyph.xCoordinates[i]);
      into.y.push(glyph.yCoordinates[i]);
      into.onCurve.push(glyph.onCurve[i]);
    }
    for (const end of glyph.endPtsOfContours) into.ends.push(start + end);
    return;
  }
  for (const component of glyf.parseComponents(glyph.components)) {
    const start = into.x.length;
    gather(table, component.glyphIndex, into, depth + 1);
    place(component, into, start, damaged);
  }
}

/** Transforms and moves the points of a component, which start at `start`. */
function place(
  { flags, argument1, argument2, transform }: Component,
  points: Points,
  start: number,
  damaged: (reason: string) => Error,
): void {
  const [a, b, c, d] = matrixOf(transform);
  const { x, y } = points;
  for (let i = start; i < x.length; i++) {
    const oldX = x[i];
    x[i] = a * oldX + c * y[i];
    y[i] = b * oldX + d * y[i];
  }
  let dx = argument1;
  let dy = argument2;
  if (!(flags & componentFlag.argsAreXYValues)) {
    const child = start + argument2;
    if (argument1 >= start || child >= x.length) throw damaged('a component is attached to a missing point');
    dx = x[argument1] - x[child];
    dy = y[argument1] - y[child];
  } else if (
    flags & componentFlag.scaledComponentOffset &&
    !(flags & componentFlag.unscaledComponentOffset)
  ) {
    dx *= Math.hypot(a, b);
    dy *= Math.hypot(c, d);
  }
  if (dx === 0 && dy === 0) return;
  for (let i = start; i < x.length; i++) {
    x[i] += dx;
    y[i] += dy;
  }
}

/** xscale, scale01, scale10 and yscale as numbers. */
function matrixOf(transform: Int16Array): [number, number, number, number] {
  const [first, second, third, fourth] = Array.from(transform, (value) => value / 16384);
  if (transform.length === 0) return [1, 0, 0, 1];
  if (transform.length === 1) return [first, 0, 0, first];
  if (transform.length === 2) return [first, 0, 0, second];
  return [first, second, third, fourth];
}

function drawPoints({ x, y, onCurve, ends }: Points, sink: OutlineSink): void {
  let first = 0;
  for (const last of ends) {
    if (last >= first) drawContour(x, y, onCurve, first, last, sink);
    first = last + 1;
  }
}

/** Between two points off the curve lies one on it, halfway. */
function drawContour(
  x: readonly number[],
  y: readonly number[],
  onCurve: readonly number[],
  first: number,
  last: number,
  sink: OutlineSink,
): void {
  const count = last - first + 1;
  const start = onCurve.indexOf(1, first);
  const hasStart = start >= 0 && start <= last;
  const from = hasStart ? start : first;
  const startX = hasStart ? x[from] : (x[last] + x[first]) / 2;
  const startY = hasStart ? y[from] : (y[last] + y[first]) / 2;
  sink.moveTo(startX, startY);
  let control = -1;
  for (let step = hasStart ? 1 : 0; step < count; step++) {
    const i = first + ((from - first + step) % count);
    if (onCurve[i]) {
      if (control < 0) sink.lineTo(x[i], y[i]);
      else sink.quadraticCurveTo(x[control], y[control], x[i], y[i]);
      control = -1;
    } else {
      if (control >= 0) {
        sink.quadraticCurveTo(x[control], y[control], (x[control] + x[i]) / 2, (y[control] + y[i]) / 2);
      }
      control = i;
    }
  }
  if (control >= 0) sink.quadraticCurveTo(x[control], y[control], startX, startY);
  sink.closePath();
}
