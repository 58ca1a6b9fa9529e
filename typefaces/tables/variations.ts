// OpenType: gvar, HVAR and STAT, for one axis with a master at each end and one between

import { Writer } from '#src/core/bytes/writer.js';

/** Deltas of one glyph towards one end of the axis, in font units, one a point. */
export interface PointDeltas {
  x: number[];
  y: number[];
}

/** The packed form of a list of deltas. */
function packDeltas(writer: Writer, deltas: readonly number[]): void {
  const kindOf = (delta: number) => (delta === 0 ? 'zero' : delta >= -128 && delta <= 127 ? 'byte' : 'word');
  for (let i = 0; i < deltas.length;) {
    const kind = kindOf(deltas[i]);
    let run = 1;
    while (i + run < deltas.length && run < 64 && kindOf(deltas[i + run]) === kind) run++;
    writer.uint8((kind === 'zero' ? 0x80 : kind === 'word' ? 0x40 : 0) | (run - 1));
    for (let k = i; k < i + run && kind !== 'zero'; k++) {
      if (kind === 'byte') writer.uint8(deltas[k] & 0xff);
      else writer.int16(deltas[k]);
    }
    i += run;
  }
}

/** @param glyphs for each glyph the deltas towards the lower and the upper end; the four phantom points come last */
export function gvar(glyphs: readonly (readonly [PointDeltas, PointDeltas])[]): Uint8Array {
  const records = glyphs.map((ends) => {
    if (ends.every(({ x, y }) => [...x, ...y].every((delta) => delta === 0))) return new Uint8Array(0);
    const data = new Writer(256);
    const sizes = ends.map(({ x, y }) => {
      const start = data.length;
      packDeltas(data, x);
      packDeltas(data, y);
      return data.length - start;
    });
    // Both tuples use all points, so the shared point numbers are the single byte 0.
    const header = new Writer(64).uint16(0x8000 | sizes.length).uint16(4 + sizes.length * 4);
    sizes.forEach((size, tuple) => header.uint16(size).uint16(tuple));
    return header.uint8(0).write(data.bytes()).align(2).bytes().slice();
  });
  const sharedTuples = new Writer(4).f2dot14(-1).f2dot14(1).bytes();
  const arrayOffset = 20 + (glyphs.length + 1) * 4;
  const writer = new Writer(4096).uint16(1).uint16(0).uint16(1).uint16(2).uint32(arrayOffset);
  writer
    .uint16(glyphs.length)
    .uint16(1)
    .uint32(arrayOffset + sharedTuples.length);
  let at = 0;
  writer.uint32(0);
  for (const record of records) writer.uint32((at += record.length));
  writer.write(sharedTuples);
  for (const record of records) writer.write(record);
  return writer.bytes().slice();
}

/** @param advances for each glyph the deltas of its advance towards the lower and the upper end */
export function hvar(advances: readonly (readonly [number, number])[]): Uint8Array {
  const store = new Writer(256).uint16(1).uint32(12).uint16(1).uint32(0);
  const regions = new Writer(32).uint16(1).uint16(2);
  regions.f2dot14(-1).f2dot14(-1).f2dot14(0).f2dot14(0).f2dot14(1).f2dot14(1);
  store.write(regions.bytes()).patchUint32(8, store.length);
  store.uint16(advances.length).uint16(2).uint16(2).uint16(0).uint16(1);
  for (const [low, high] of advances) store.int16(low).int16(high);
  return new Writer(512)
    .uint16(1)
    .uint16(0)
    .uint32(20)
    .uint32(0)
    .uint32(0)
    .uint32(0)
    .write(store.bytes())
    .bytes()
    .slice();
}

/** @param values weight, name ID, and the weight that bolding leads to where there is one */
export function stat(
  values: readonly { weight: number; nameID: number; linked?: number }[],
  axisNames: { weight: number; italic: number },
  italic: { value: number; nameID: number },
): Uint8Array {
  const tables = values.map(({ weight, nameID, linked }) => {
    const elidable = weight === 400 ? 2 : 0;
    const writer = new Writer(16)
      .uint16(linked ? 3 : 1)
      .uint16(0)
      .uint16(elidable)
      .uint16(nameID)
      .fixed(weight);
    return (linked ? writer.fixed(linked) : writer).bytes().slice();
  });
  const upright = italic.value === 0;
  const slope = new Writer(16)
    .uint16(upright ? 3 : 1)
    .uint16(1)
    .uint16(upright ? 2 : 0)
    .uint16(italic.nameID);
  slope.fixed(italic.value);
  tables.push((upright ? slope.fixed(1) : slope).bytes().slice());

  const writer = new Writer(256)
    .uint16(1)
    .uint16(2)
    .uint16(8)
    .uint16(2)
    .uint32(20)
    .uint16(tables.length)
    .uint32(36);
  writer.uint16(2); // elidedFallbackNameID: the subfamily
  writer.tag('wght').uint16(axisNames.weight).uint16(0).tag('ital').uint16(axisNames.italic).uint16(1);
  let at = tables.length * 2;
  for (const table of tables) {
    writer.uint16(at);
    at += table.length;
  }
  for (const table of tables) writer.write(table);
  return writer.bytes().slice();
}
