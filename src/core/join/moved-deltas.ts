// OpenType: GPOS: the delta sets of lookups where stores stand behind each other

import type { Device } from '../layout/common/device.js';
import type { KeptLayout } from '../layout/kept-layout.js';
import { positioningKindOf } from '../layout/kinds.js';

/** @param start what outer indexes start from now */
export function withMovedDeltas(layout: KeptLayout, start: number): KeptLayout {
  if (start === 0) return layout;
  const moved = (device: Device | undefined): Device | undefined =>
    device?.kind === 'variation' ? { ...device, outerIndex: device.outerIndex + start } : device;
  const lookups = layout.lookups.map((lookup) => ({
    ...lookup,
    subtables: lookup.subtables.map(
      (subtable) => positioningKindOf(subtable)?.withDevices(subtable, moved) ?? subtable,
    ),
  }));
  return { ...layout, lookups };
}
