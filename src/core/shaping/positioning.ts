// OpenType: GPOS, Glyph Positioning Table: what each type of lookup does to a run

import type { Device } from '../layout/device.js';
import type { Subtable } from '../layout/layout-table.js';
import type { Anchor, Value } from '../layout/value-record.js';
import type { Deltas } from '../variations/place.js';
import { glyphClass, type ShapingGlyph } from './glyph-run.js';
import { before, behind, pairOf, type ApplySubtable, type Work } from './lookup-work.js';

/** Which glyphs stand on which. */
export type Attachments = Map<ShapingGlyph, ShapingGlyph>;

/** @param deltas of the variation store, for a font on its axes */
export function positioner(deltas: Deltas | undefined, attached: Attachments): ApplySubtable {
  const varied = (device: Device | undefined): number =>
    deltas && device?.kind === 'variation' ? deltas.at(device.outerIndex, device.innerIndex) : 0;

  const move = (one: ShapingGlyph, { values, devices }: Value): void => {
    one.x += values[0] + varied(devices?.[0]);
    one.y += values[1] + varied(devices?.[1]);
    one.advance += values[2] + varied(devices?.[2]);
  };
  const pointOf = ({ x, y, devices }: Anchor): [number, number] => [
    x + varied(devices?.[0]),
    y + varied(devices?.[1]),
  ];

  /** Puts a mark where two anchors meet. */
  const attach = (
    run: readonly ShapingGlyph[],
    at: number,
    to: number,
    base: Anchor,
    mark: Anchor,
  ): number => {
    const [[x, y], [markX, markY]] = [pointOf(base), pointOf(mark)];
    run[at].x = x - markX;
    run[at].y = y - markY;
    attached.set(run[at], run[to]);
    return at + 1;
  };

  const marked = (work: Work, subtable: Subtable, at: number): number => {
    if (
      subtable.kind !== 'mark to base' &&
      subtable.kind !== 'mark to mark' &&
      subtable.kind !== 'mark to ligature'
    )
      return -1;
    const { run, classes } = work;
    const mark = subtable.marks.get(run[at].glyph);
    if (!mark?.anchor) return -1;
    if (subtable.kind === 'mark to mark') {
      const to = before(work, at);
      if (to < 0 || classes.of(run[to]) !== glyphClass.mark || !isSamePart(run[at], run[to])) return -1;
      const anchor = subtable.bases.get(run[to].glyph)?.[mark.markClass];
      return anchor ? attach(run, at, to, anchor, mark.anchor) : -1;
    }
    let to = at - 1;
    while (to >= 0 && (classes.of(run[to]) === glyphClass.mark || run[to].ignorable !== 'no')) to--;
    if (to < 0) return -1;
    if (subtable.kind === 'mark to base') {
      const anchor = subtable.bases.get(run[to].glyph)?.[mark.markClass];
      return anchor ? attach(run, at, to, anchor, mark.anchor) : -1;
    }
    const parts = subtable.kind === 'mark to ligature' ? subtable.ligatures.get(run[to].glyph) : undefined;
    if (!parts || parts.length === 0) return -1;
    const isOwn = run[at].ligature !== 0 && run[at].ligature === run[to].ligature && run[at].component > 0;
    const part = Math.min(isOwn ? run[at].component : parts.length, parts.length) - 1;
    const anchor = parts[part][mark.markClass];
    return anchor ? attach(run, at, to, anchor, mark.anchor) : -1;
  };

  return (work, subtable, at) => {
    const { run } = work;
    const one = run[at];
    switch (subtable.kind) {
      case 'single adjustment': {
        const value = subtable.values.get(one.glyph);
        if (!value) return -1;
        move(one, value);
        return at + 1;
      }
      case 'glyph pairs':
      case 'class pairs': {
        const second = behind(work, at);
        const pair = second < 0 ? undefined : pairOf(subtable, one.glyph, run[second].glyph);
        if (!pair) return -1;
        move(one, pair.first);
        move(run[second], pair.second);
        return subtable.consumesSecond ? second + 1 : second;
      }
      case 'cursive': {
        const entry = subtable.glyphs.get(one.glyph)?.entry;
        const previous = entry ? before(work, at) : -1;
        const exit = previous < 0 ? undefined : subtable.glyphs.get(run[previous].glyph)?.exit;
        if (!entry || !exit) return -1;
        const [[exitX, exitY], [entryX, entryY]] = [pointOf(exit), pointOf(entry)];
        run[previous].advance = exitX + run[previous].x;
        const shift = entryX + one.x;
        one.advance -= shift;
        one.x -= shift;
        one.y = run[previous].y + exitY - entryY;
        return at + 1;
      }
      default:
        return marked(work, subtable, at);
    }
  };
}

/** Of marks of one ligature: whether they stand on the same part of it. */
const isSamePart = (a: ShapingGlyph, b: ShapingGlyph): boolean =>
  a.ligature === b.ligature && (a.ligature === 0 || a.component === b.component);
