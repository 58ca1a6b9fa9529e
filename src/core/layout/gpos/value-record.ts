// OpenType: GPOS, Value Record and Anchor Tables

import { Block, type BlockStore } from '../../bytes/blocks.js';
import type { Reader } from '../../bytes/reader.js';
import {
  deviceKey,
  isWritten,
  readDevice,
  writeDevice,
  type DeltaSetMap,
  type Device,
} from '../common/device.js';
import type { ChangeDevice, WriteContext } from '../common/lookup-kind.js';

/** Bits of a value format; those of devices are four bits higher. */
export const valueBit = { xPlacement: 1, yPlacement: 2, xAdvance: 4, yAdvance: 8 } as const;
export const deviceBits = 0xf0;
export const deviceBit = { xAdvance: 0x40 } as const;

/** Moves a glyph or its advance, in font units. The order is that of the bits. */
export interface Value {
  values: readonly [xPlacement: number, yPlacement: number, xAdvance: number, yAdvance: number];
  devices?: readonly (Device | undefined)[] | undefined;
}

export const noValue: Value = { values: [0, 0, 0, 0], devices: undefined };

/** Bytes of a value record. */
export function valueSize(format: number): number {
  let size = 0;
  for (let bits = format & 0xff; bits; bits &= bits - 1) size += 2;
  return size;
}

/**
 * Reads the record at the reader's position.
 *
 * @param start where offsets count from
 * @param varies whether the font has axes
 * @returns `noValue` where nothing moves
 */
export function readValue(reader: Reader, format: number, start: number, varies: boolean): Value {
  if (format === 0) return noValue;
  const values: [number, number, number, number] = [0, 0, 0, 0];
  let moves = false;
  for (let i = 0; i < 4; i++) {
    if (format & (1 << i) && (values[i] = reader.int16()) !== 0) moves = true;
  }
  let devices: (Device | undefined)[] | undefined;
  if (format & deviceBits) {
    const { position } = reader;
    for (let i = 0, at = position; i < 4; i++) {
      if (!(format & (16 << i))) continue;
      const offset = reader.seek(at).uint16();
      at += 2;
      const device = offset === 0 ? undefined : readDevice(reader, start + offset, varies);
      if (device) (devices ??= [undefined, undefined, undefined, undefined])[i] = device;
    }
    reader.seek(position).skip(valueSize(format & deviceBits));
  }
  return moves || devices ? { values, devices } : noValue;
}

/** Whether a value never moves anything. */
export const isNoValue = ({ values, devices }: Value): boolean =>
  values.every((value) => value === 0) && !devices?.some(Boolean);

/** The bits that a value needs. @param deltaSets those that are kept */
export function valueFormatOf({ values, devices }: Value, deltaSets?: DeltaSetMap): number {
  let format = 0;
  for (let i = 0; i < 4; i++) {
    if (values[i] !== 0) format |= 1 << i;
    if (isWritten(devices?.[i], deltaSets)) format |= 16 << i;
  }
  return format;
}

/** What of a value tells it from others: equal texts, equal effect. */
export const valueKey = ({ values, devices }: Value): string =>
  devices ? `${values.join()};${devices.map(deviceKey).join(';')}` : values.join();

export function writeValue(
  block: Block,
  { values, devices }: Value,
  format: number,
  store: BlockStore,
  deltaSets?: DeltaSetMap,
): void {
  for (let i = 0; i < 4; i++) if (format & (1 << i)) block.int16(values[i]);
  for (let i = 0; i < 4; i++) {
    if (format & (16 << i)) block.offset16(writeDevice(devices?.[i], store, deltaSets));
  }
}

/** A point that glyphs are joined at, in font units. */
export interface Anchor {
  x: number;
  y: number;
  /** Format 2: the point of the outline that hinting moves it with. */
  anchorPoint?: number | undefined;
  devices?: readonly [Device | undefined, Device | undefined] | undefined;
}

/** @param varies whether the font has axes */
function readAnchor(reader: Reader, offset: number, varies: boolean): Anchor {
  const format = reader.seek(offset).uint16();
  if (format < 1 || format > 3) throw reader.damaged(`format ${format} of anchors is not known`, offset);
  const x = reader.int16();
  const y = reader.int16();
  const anchorPoint = format === 2 ? reader.uint16() : undefined;
  const devices = format === 3 ? readDevices(reader, offset, varies) : undefined;
  return { x, y, anchorPoint, devices };
}

/** The anchor at an offset from `start`; undefined where the offset is 0. */
export const readAnchorAt = (
  reader: Reader,
  start: number,
  offset: number,
  varies: boolean,
): Anchor | undefined => (offset === 0 ? undefined : readAnchor(reader, start + offset, varies));

function readDevices(reader: Reader, start: number, varies: boolean): Anchor['devices'] {
  const [xOffset, yOffset] = [reader.uint16(), reader.uint16()];
  const x = xOffset === 0 ? undefined : readDevice(reader, start + xOffset, varies);
  const y = yOffset === 0 ? undefined : readDevice(reader, start + yOffset, varies);
  return x || y ? [x, y] : undefined;
}

export function writeAnchor(
  anchor: Anchor | undefined,
  { store, deltaSets, hinted }: WriteContext,
): Block | undefined {
  if (!anchor) return undefined;
  const { x, y, anchorPoint, devices } = anchor;
  const xDevice = devices && writeDevice(devices[0], store, deltaSets);
  const yDevice = devices && writeDevice(devices[1], store, deltaSets);
  if (xDevice || yDevice) {
    return store.keep(new Block(10).uint16(3).int16(x).int16(y).offset16(xDevice).offset16(yDevice));
  }
  // Instructions alone move the points of outlines.
  if (anchorPoint !== undefined && hinted) {
    return store.keep(new Block(8).uint16(2).int16(x).int16(y).uint16(anchorPoint));
  }
  return store.keep(new Block(6).uint16(1).int16(x).int16(y));
}

/** Devices of values and anchors, for those who look for delta sets. */
export function eachVariation(
  devices: readonly (Device | undefined)[] | undefined,
  visit: (outerIndex: number, innerIndex: number) => void,
): void {
  for (const device of devices ?? []) {
    if (device?.kind === 'variation') visit(device.outerIndex, device.innerIndex);
  }
}

/** A value with other devices. */
export const valueWithDevices = (value: Value, change: ChangeDevice): Value =>
  value.devices ? { ...value, devices: value.devices.map(change) } : value;

/** An anchor with other devices. */
export const anchorWithDevices = <Point extends Anchor | undefined>(
  anchor: Point,
  change: ChangeDevice,
): Point =>
  anchor?.devices ? { ...anchor, devices: [change(anchor.devices[0]), change(anchor.devices[1])] } : anchor;
