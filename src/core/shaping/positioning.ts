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
  const positions = new Positions(deltas, attached);
  return (work, subtable, at) => positions.apply(work, subtable, at);
}

type MarkSubtable = Extract<Subtable, { marks: unknown }>;

class Positions {
  constructor(
    private readonly deltas: Deltas | undefined,
    private readonly attached: Attachments,
  ) {}

  apply(work: Work, subtable: Subtable, at: number): number {
    const one = work.run[at];
    switch (subtable.kind) {
      case 'single adjustment': {
        const value = subtable.values.get(one.glyph);
        if (!value) return -1;
        this.move(one, value);
        return at + 1;
      }
      case 'glyph pairs':
      case 'class pairs': {
        const second = behind(work, at);
        const pair = second < 0 ? undefined : pairOf(subtable, one.glyph, work.run[second].glyph);
        if (!pair) return -1;
        this.move(one, pair.first);
        this.move(work.run[second], pair.second);
        return subtable.consumesSecond ? second + 1 : second;
      }
      case 'cursive':
        return this.join(work, subtable, at);
      case 'mark to mark':
        return this.markOnMark(work, subtable, at);
      case 'mark to base':
      case 'mark to ligature':
        return this.markOnBase(work, subtable, at);
      default:
        return -1;
    }
  }

  private varied(device: Device | undefined): number {
    return this.deltas && device?.kind === 'variation'
      ? this.deltas.at(device.outerIndex, device.innerIndex)
      : 0;
  }

  private move(one: ShapingGlyph, { values, devices }: Value): void {
    one.x += values[0] + this.varied(devices?.[0]);
    one.y += values[1] + this.varied(devices?.[1]);
    one.advance += values[2] + this.varied(devices?.[2]);
  }

  private pointOf({ x, y, devices }: Anchor): [x: number, y: number] {
    return [x + this.varied(devices?.[0]), y + this.varied(devices?.[1])];
  }

  private join(work: Work, { glyphs }: Extract<Subtable, { kind: 'cursive' }>, at: number): number {
    const { run } = work;
    const entry = glyphs.get(run[at].glyph)?.entry;
    const previous = entry ? before(work, at) : -1;
    const exit = previous < 0 ? undefined : glyphs.get(run[previous].glyph)?.exit;
    if (!entry || !exit) return -1;
    const [[exitX, exitY], [entryX, entryY]] = [this.pointOf(exit), this.pointOf(entry)];
    run[previous].advance = exitX + run[previous].x;
    const shift = entryX + run[at].x;
    run[at].advance -= shift;
    run[at].x -= shift;
    run[at].y = run[previous].y + exitY - entryY;
    return at + 1;
  }

  private markOnMark(
    work: Work,
    { marks, bases }: Extract<MarkSubtable, { bases: unknown }>,
    at: number,
  ): number {
    const { run, classes } = work;
    const mark = marks.get(run[at].glyph);
    const to = mark?.anchor ? before(work, at) : -1;
    if (!mark?.anchor || to < 0) return -1;
    if (classes.of(run[to]) !== glyphClass.mark || !isSamePart(run[at], run[to])) return -1;
    return this.attach(run, at, to, bases.get(run[to].glyph)?.[mark.markClass], mark.anchor);
  }

  private markOnBase({ run, classes }: Work, subtable: MarkSubtable, at: number): number {
    const mark = subtable.marks.get(run[at].glyph);
    let to = at - 1;
    while (to >= 0 && (classes.of(run[to]) === glyphClass.mark || run[to].ignorable !== 'no')) to--;
    if (!mark?.anchor || to < 0) return -1;
    if (subtable.kind !== 'mark to ligature')
      return this.attach(run, at, to, subtable.bases.get(run[to].glyph)?.[mark.markClass], mark.anchor);
    const parts = subtable.ligatures.get(run[to].glyph) ?? [];
    const isOwn = run[at].ligature !== 0 && run[at].ligature === run[to].ligature && run[at].component > 0;
    const part = Math.min(isOwn ? run[at].component : parts.length, parts.length) - 1;
    return this.attach(run, at, to, parts[part]?.[mark.markClass], mark.anchor);
  }

  /** Puts a mark where two anchors meet. */
  private attach(
    run: readonly ShapingGlyph[],
    at: number,
    to: number,
    base: Anchor | undefined,
    mark: Anchor,
  ): number {
    if (!base) return -1;
    const [[x, y], [markX, markY]] = [this.pointOf(base), this.pointOf(mark)];
    run[at].x = x - markX;
    run[at].y = y - markY;
    this.attached.set(run[at], run[to]);
    return at + 1;
  }
}

/** Of marks of one ligature: whether they stand on the same part of it. */
const isSamePart = (a: ShapingGlyph, b: ShapingGlyph): boolean =>
  a.ligature === b.ligature && (a.ligature === 0 || a.component === b.component);
