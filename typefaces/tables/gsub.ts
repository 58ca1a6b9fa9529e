// OpenType: GSUB, Glyph Substitution Table

import { Writer } from '#src/core/bytes/writer.js';
import {
  coverage,
  layoutTable,
  withParts,
  type Feature,
  type GlyphIds,
  type Lookup,
} from './layout-common.js';

/** LookupType 1, format 2: one glyph for another. */
function single(pairs: readonly (readonly [number, number])[]): Lookup {
  const sorted = [...pairs].sort(([a], [b]) => a - b);
  const writer = new Writer(64)
    .uint16(2)
    .uint16(6 + sorted.length * 2)
    .uint16(sorted.length);
  writer.uint16Array(sorted.map(([, to]) => to)).write(coverage(sorted.map(([from]) => from)));
  return { type: 1, flag: 0, subtables: [writer.bytes().slice()] };
}

/** LookupType 4: several glyphs become one; longer ones are tried first. */
function ligatures(list: readonly { parts: number[]; ligature: number }[]): Lookup {
  const firsts = [...new Set(list.map(({ parts }) => parts[0]))].sort((a, b) => a - b);
  const sets = firsts.map((first) => {
    const own = list
      .filter(({ parts }) => parts[0] === first)
      .sort((a, b) => b.parts.length - a.parts.length);
    return withParts(
      (writer) => writer.uint16(own.length),
      own.map(({ parts, ligature }) =>
        new Writer(16).uint16(ligature).uint16(parts.length).uint16Array(parts.slice(1)).bytes().slice(),
      ),
    );
  });
  const writer = new Writer(64).uint16(1).uint16(0).uint16(firsts.length);
  const at = writer.length;
  writer.write(new Uint8Array(sets.length * 2));
  sets.forEach((set, i) => writer.patchUint16(at + i * 2, writer.length).write(set));
  writer.patchUint16(2, writer.length).write(coverage(firsts));
  return { type: 4, flag: 0, subtables: [writer.bytes().slice()] };
}

/** LookupType 6, format 3: another lookup applies to one glyph between others. */
function between(before: number[], input: number[], after: number[], lookupIndex: number): Lookup {
  const writer = new Writer(64).uint16(3);
  const offsets: number[] = [];
  for (const _ of [before, input, after]) {
    writer.uint16(1);
    offsets.push(writer.length);
    writer.uint16(0);
  }
  writer.uint16(1).uint16(0).uint16(lookupIndex);
  [before, input, after].forEach((glyphIds, i) => {
    writer.patchUint16(offsets[i], writer.length).write(coverage(glyphIds));
  });
  return { type: 6, flag: 0, subtables: [writer.bytes().slice()] };
}

/** The substitutions that a family's glyphs allow; undefined if there are none. */
export function gsub(glyphIds: GlyphIds): Uint8Array {
  const id = (name: string) => glyphIds.get(name)!;
  const lookups: Lookup[] = [];
  const features: Feature[] = [];
  const suffixed = (suffix: string) =>
    [...glyphIds.keys()]
      .filter((name) => name.endsWith(suffix) && name !== 'colon.case')
      .map((name) => [id(name.slice(0, -suffix.length)), id(name)] as const);

  // A colon between figures stands at their height: 08:40.
  const figureIds = [...glyphIds.keys()]
    .filter((name) => /^(zero|one|two|three|four|five|six|seven|eight|nine)(\.tnum)?$/.test(name))
    .map(id);
  const raised = lookups.push(single([[id('colon'), id('colon.case')]])) - 1;

  for (const suffix of ['.tnum', '.smcp']) {
    const pairs = suffixed(suffix);
    if (pairs.length === 0) continue;
    const feature: Feature = { tag: suffix.slice(1), lookups: [lookups.push(single(pairs)) - 1] };
    // Only Latin has small capitals, but some Greek letters share their glyphs with Latin ones.
    if (suffix === '.smcp') feature.scripts = ['DFLT', 'latn'];
    features.push(feature);
  }
  features.push({
    tag: 'calt',
    lookups: [lookups.push(between(figureIds, [id('colon')], figureIds, raised)) - 1],
  });
  const joined = [...glyphIds.keys()].filter((name) => name.includes('_'));
  if (joined.length > 0) {
    const list = joined.map((name) => ({ parts: name.split('_').map(id), ligature: id(name) }));
    features.push({ tag: 'liga', lookups: [lookups.push(ligatures(list)) - 1] });
  }
  return layoutTable(['DFLT', 'grek', 'latn'], features, lookups);
}
