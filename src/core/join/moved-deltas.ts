// OpenType: GPOS: the delta sets of lookups where stores stand behind each other

import type { Device } from '../layout/device.js';
import type { KeptLayout } from '../layout/kept-layout.js';
import type { Subtable } from '../layout/layout-table.js';
import type { Anchor, Value } from '../layout/value-record.js';

/** @param start what outer indexes start from now */
export function withMovedDeltas(layout: KeptLayout, start: number): KeptLayout {
  if (start === 0) return layout;
  const lookups = layout.lookups.map((lookup) => ({
    ...lookup,
    subtables: lookup.subtables.map((subtable) => moved(subtable, start)),
  }));
  return { ...layout, lookups };
}

function moved(subtable: Subtable, start: number): Subtable {
  const device = (one: Device | undefined): Device | undefined =>
    one?.kind === 'variation' ? { ...one, outerIndex: one.outerIndex + start } : one;
  const value = (one: Value): Value => (one.devices ? { ...one, devices: one.devices.map(device) } : one);
  const anchor = <Point extends Anchor | undefined>(one: Point): Point =>
    one?.devices ? { ...one, devices: [device(one.devices[0]), device(one.devices[1])] } : one;
  const ofAll = <Old>(map: ReadonlyMap<number, Old>, change: (old: Old) => Old) =>
    new Map(Array.from(map, ([glyph, old]) => [glyph, change(old)] as const));
  switch (subtable.kind) {
    case 'glyph pairs':
    case 'class pairs': {
      const values = subtable.values.map(({ first, second }) => ({
        first: value(first),
        second: value(second),
      }));
      return { ...subtable, values };
    }
    case 'single adjustment':
      return { ...subtable, values: ofAll(subtable.values, value) };
    case 'cursive': {
      const glyphs = ofAll(subtable.glyphs, ({ entry, exit }) => ({
        ...(entry && { entry: anchor(entry) }),
        ...(exit && { exit: anchor(exit) }),
      }));
      return { ...subtable, glyphs };
    }
    case 'mark to base':
    case 'mark to mark':
    case 'mark to ligature': {
      const marks = ofAll(subtable.marks, (mark) => ({ ...mark, anchor: anchor(mark.anchor) }));
      if (subtable.kind !== 'mark to ligature')
        return { ...subtable, marks, bases: ofAll(subtable.bases, (row) => row.map(anchor)) };
      const ligatures = ofAll(subtable.ligatures, (rows) => rows.map((row) => row.map(anchor)));
      return { ...subtable, marks, ligatures };
    }
    default:
      return subtable;
  }
}
