// OpenType: Common Table Formats: scripts, features, lookups, coverage, classes

import { Writer } from '#src/core/bytes/writer.js';

export type GlyphIds = ReadonlyMap<string, number>;

/** A table whose parts are written after it, each behind a 16-bit offset. */
export function withParts(head: (writer: Writer) => void, parts: readonly Uint8Array[]): Uint8Array {
  const writer = new Writer(256);
  head(writer);
  const at = writer.length;
  writer.write(new Uint8Array(parts.length * 2));
  parts.forEach((part, i) => {
    writer.patchUint16(at + i * 2, writer.length);
    writer.write(part);
  });
  return writer.bytes().slice();
}

/** Coverage, format 1. */
export function coverage(glyphIds: readonly number[]): Uint8Array {
  const sorted = [...glyphIds].sort((a, b) => a - b);
  return new Writer(64).uint16(1).uint16(sorted.length).uint16Array(sorted).bytes().slice();
}

/** Class definition, format 2. */
export function classDefinition(classes: ReadonlyMap<number, number>): Uint8Array {
  const sorted = [...classes].filter(([, value]) => value !== 0).sort(([a], [b]) => a - b);
  const ranges: [first: number, last: number, value: number][] = [];
  for (const [glyphId, value] of sorted) {
    const last = ranges[ranges.length - 1];
    if (last && last[1] === glyphId - 1 && last[2] === value) last[1] = glyphId;
    else ranges.push([glyphId, glyphId, value]);
  }
  const writer = new Writer(64).uint16(2).uint16(ranges.length);
  for (const range of ranges) writer.uint16Array(range);
  return writer.bytes().slice();
}

export interface Lookup {
  type: number;
  flag: number;
  subtables: Uint8Array[];
}

export interface Feature {
  tag: string;
  lookups: number[];
  /** Only for these scripts; for all if left out. */
  scripts?: string[];
}

/** GSUB or GPOS, version 1.0; scripts with the same features share one table. */
export function layoutTable(
  scripts: readonly string[],
  features: readonly Feature[],
  lookups: readonly Lookup[],
) {
  const sorted = [...features].sort((a, b) => (a.tag < b.tag ? -1 : 1));
  const scriptTable = (tag: string): Uint8Array => {
    const indexes = sorted.flatMap(({ scripts: only }, i) => ((only?.includes(tag) ?? true) ? [i] : []));
    const languageSystem = new Writer(32)
      .uint16(0)
      .uint16(0xffff)
      .uint16(indexes.length)
      .uint16Array(indexes);
    return new Writer(32).uint16(4).uint16(0).write(languageSystem.bytes()).bytes();
  };
  const scriptList = new Writer(128).uint16(scripts.length);
  const stored = new Map<string, number>();
  const tables = new Writer(128);
  for (const tag of scripts) {
    const script = scriptTable(tag);
    const key = script.join();
    if (!stored.has(key)) {
      stored.set(key, 2 + scripts.length * 6 + tables.length);
      tables.write(script);
    }
    scriptList.tag(tag).uint16(stored.get(key)!);
  }
  scriptList.write(tables.bytes());

  const featureList = new Writer(128).uint16(sorted.length);
  let at = 2 + sorted.length * 6;
  for (const { tag, lookups: list } of sorted) {
    featureList.tag(tag).uint16(at);
    at += 4 + list.length * 2;
  }
  for (const { lookups: list } of sorted) featureList.uint16(0).uint16(list.length).uint16Array(list);

  const lookupList = withParts(
    (writer) => writer.uint16(lookups.length),
    lookups.map(({ type, flag, subtables }) =>
      withParts((writer) => writer.uint16(type).uint16(flag).uint16(subtables.length), subtables),
    ),
  );
  return withParts(
    (writer) => writer.uint16(1).uint16(0),
    [scriptList.bytes(), featureList.bytes(), lookupList],
  );
}
