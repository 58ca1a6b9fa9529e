// OpenType: GPOS: how values and anchors move glyphs

import type { Device } from '../common/device.js';
import type { ShapingGlyph } from '../common/glyph-run.js';
import type { Work } from '../common/work.js';
import type { Anchor, Value } from './value-record.js';

/** What a device adds at the font's place on its axes, in font units. */
const varied = ({ deltas }: Work, device: Device | undefined): number =>
  deltas && device?.kind === 'variation' ? deltas.at(device.outerIndex, device.innerIndex) : 0;

/** Moves a glyph and its advance. */
export function move(work: Work, one: ShapingGlyph, { values, devices }: Value): void {
  one.x += values[0] + varied(work, devices?.[0]);
  one.y += values[1] + varied(work, devices?.[1]);
  one.advance += values[2] + varied(work, devices?.[2]);
}

/** Where an anchor is, in font units. */
export const pointOf = (work: Work, { x, y, devices }: Anchor): readonly [x: number, y: number] => [
  x + varied(work, devices?.[0]),
  y + varied(work, devices?.[1]),
];
