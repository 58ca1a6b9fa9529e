// OpenType: fvar, Font Variations Table

import type { Reader } from '../bytes/reader.js';
import { Writer } from '../bytes/writer.js';

export const tag = 'fvar';

export interface VariationAxis {
  axisTag: string;
  minValue: number;
  defaultValue: number;
  maxValue: number;
  flags: number;
  axisNameID: number;
}

export interface NamedInstance {
  subfamilyNameID: number;
  flags: number;
  /** One value an axis. */
  coordinates: number[];
  postScriptNameID?: number;
}

export interface Fvar {
  axes: VariationAxis[];
  instances: NamedInstance[];
}

const axisSize = 20;
const headerSize = 16;

export function parse(reader: Reader): Fvar {
  const majorVersion = reader.uint16();
  if (majorVersion !== 1) throw reader.damaged(`version ${majorVersion} is not known`, 0);
  reader.skip(2);
  const axesArrayOffset = reader.uint16();
  reader.skip(2);
  const axisCount = reader.uint16();
  const storedAxisSize = reader.uint16();
  const instanceCount = reader.uint16();
  const instanceSize = reader.uint16();
  if (storedAxisSize < axisSize) throw reader.damaged(`an axis of ${storedAxisSize} bytes is too short`, 10);
  if (instanceCount > 0 && instanceSize < 4 + axisCount * 4) {
    throw reader.damaged(`an instance of ${instanceSize} bytes is too short for ${axisCount} axes`, 14);
  }
  const axes: VariationAxis[] = [];
  for (let i = 0; i < axisCount; i++) {
    reader.seek(axesArrayOffset + i * storedAxisSize);
    axes.push({
      axisTag: reader.tag(),
      minValue: reader.fixed(),
      defaultValue: reader.fixed(),
      maxValue: reader.fixed(),
      flags: reader.uint16(),
      axisNameID: reader.uint16(),
    });
  }
  const instances: NamedInstance[] = [];
  for (let i = 0; i < instanceCount; i++) {
    reader.seek(axesArrayOffset + axisCount * storedAxisSize + i * instanceSize);
    const instance: NamedInstance = {
      subfamilyNameID: reader.uint16(),
      flags: reader.uint16(),
      coordinates: axes.map(() => reader.fixed()),
    };
    if (instanceSize >= 6 + axisCount * 4) instance.postScriptNameID = reader.uint16();
    instances.push(instance);
  }
  return { axes, instances };
}

export function serialise(table: Fvar): Uint8Array {
  const named = table.instances.some((instance) => instance.postScriptNameID !== undefined);
  const instanceSize = 4 + table.axes.length * 4 + (named ? 2 : 0);
  const writer = new Writer(
    headerSize + axisSize * table.axes.length + instanceSize * table.instances.length,
  );
  writer.uint16(1).uint16(0).uint16(headerSize).uint16(2);
  writer.uint16(table.axes.length).uint16(axisSize);
  writer.uint16(table.instances.length).uint16(instanceSize);
  for (const axis of table.axes) {
    writer.tag(axis.axisTag).fixed(axis.minValue).fixed(axis.defaultValue).fixed(axis.maxValue);
    writer.uint16(axis.flags).uint16(axis.axisNameID);
  }
  for (const instance of table.instances) {
    writer.uint16(instance.subfamilyNameID).uint16(instance.flags);
    for (const value of instance.coordinates) writer.fixed(value);
    if (named) writer.uint16(instance.postScriptNameID ?? 0xffff);
  }
  return writer.bytes();
}
