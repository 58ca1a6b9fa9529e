// OpenType Layout Common Table Formats: Device and VariationIndex Tables

import { Block, type BlockStore } from '../../bytes/blocks.js';
import { bytesKey } from '../../bytes/key.js';
import { uint16At, type Reader } from '../../bytes/reader.js';

/** Corrects a value at some sizes in pixels, or along the axes of a variable font. */
export type Device =
  { kind: 'sizes'; bytes: Uint8Array } | { kind: 'variation'; outerIndex: number; innerIndex: number };

const variationFormat = 0x8000;

/**
 * @param varies whether the font has axes
 * @returns undefined for formats that aren't known and for changes along axes that aren't there: they have no effect
 */
export function readDevice(reader: Reader, offset: number, varies: boolean): Device | undefined {
  const first = reader.seek(offset).uint16();
  const second = reader.uint16();
  const deltaFormat = reader.uint16();
  if (deltaFormat === variationFormat) {
    return varies ? { kind: 'variation', outerIndex: first, innerIndex: second } : undefined;
  }
  if (deltaFormat < 1 || deltaFormat > 3 || second < first) return undefined;
  const bits = (second - first + 1) * (1 << deltaFormat);
  return { kind: 'sizes', bytes: reader.seek(offset).take(6 + Math.ceil(bits / 16) * 2) };
}

/** The delta set of a VariationIndex table, as `deltaSetKey` has it; undefined where another table or none is. */
export function variationAt(bytes: Uint8Array, at: number): number | undefined {
  if (at + 6 > bytes.length || uint16At(bytes, at + 4) !== variationFormat) return undefined;
  return ((bytes[at] << 8) | bytes[at + 1]) * 0x10000 + ((bytes[at + 2] << 8) | bytes[at + 3]);
}

/** Numbers of delta sets, outer and inner as one: `outer * 65536 + inner`. */
export type DeltaSetMap = ReadonlyMap<number, number>;

export const deltaSetKey = (outerIndex: number, innerIndex: number): number =>
  outerIndex * 0x10000 + innerIndex;

/** Equal texts, equal effect. */
export function deviceKey(device: Device | undefined): string {
  if (!device) return '';
  return device.kind === 'sizes' ? bytesKey(device.bytes) : `${device.outerIndex},${device.innerIndex}`;
}

/** Whether `writeDevice` will write it. */
export const isWritten = (device: Device | undefined, deltaSets?: DeltaSetMap): boolean =>
  device?.kind === 'variation'
    ? (deltaSets?.has(deltaSetKey(device.outerIndex, device.innerIndex)) ?? true)
    : device !== undefined;

/** @param deltaSets where the delta sets are now; without it they are where they were */
export function writeDevice(
  device: Device | undefined,
  store: BlockStore,
  deltaSets?: DeltaSetMap,
): Block | undefined {
  if (!device) return undefined;
  if (device.kind === 'sizes') return store.keep(new Block(device.bytes.length).write(device.bytes));
  const key = deltaSetKey(device.outerIndex, device.innerIndex);
  const kept = deltaSets ? deltaSets.get(key) : key;
  if (kept === undefined) return undefined;
  return store.keep(
    new Block(6)
      .uint16(kept >>> 16)
      .uint16(kept & 0xffff)
      .uint16(variationFormat),
  );
}
