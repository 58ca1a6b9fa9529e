// OpenType: GPOS, Glyph Positioning Table, and GDEF, Glyph Definition Table

import { Writer } from '#src/core/bytes/writer.js';
import type { AnchorName } from '../glyph-pen.js';
import type { GlyphSet } from '../glyph-set.js';
import {
  classDefinition,
  coverage,
  layoutTable,
  withParts,
  type Feature,
  type GlyphIds,
  type Lookup,
} from './layout-common.js';

/** Letters whose right sides are alike; the first one names the class. */
const rightSides = [
  'A Lambda',
  'D O Q Theta uni03A9',
  'F',
  'K X kappa',
  'L',
  'P rho',
  'R',
  'T Gamma',
  'V W',
  'Y',
  'b e o p c',
  'f longs',
  'k x',
  'r',
  'v w y gamma nu',
  'quoteright quotedblright',
  'period comma',
  'hyphen endash',
];
/** The same for left sides. */
const leftSides = [
  'A Lambda uni0394',
  'C G O Q Theta',
  'J',
  'T',
  'V W',
  'Y',
  'a',
  'c d e g o q alpha sigma',
  'v w y gamma nu',
  's',
  'period comma',
  'quoteright quotedblright quoteleft quotedblleft',
  'hyphen endash',
  'x',
];

/** Font units at the regular weight, by the classes' first letters. */
const pairs: Record<string, Record<string, number>> = {
  A: { C: -14, T: -62, V: -54, Y: -70, v: -28, quoteright: -66, hyphen: -8 },
  D: { A: -18, T: -22, V: -16, Y: -30, period: -34, x: -8 },
  F: { A: -58, J: -60, a: -22, c: -14, period: -84 },
  K: { C: -26, c: -18, v: -24, hyphen: -32 },
  L: { C: -16, T: -74, V: -62, Y: -78, v: -32, quoteright: -86, hyphen: -16 },
  P: { A: -60, J: -56, a: -16, c: -12, period: -92, hyphen: -18 },
  R: { T: -14, V: -14, Y: -24 },
  T: { A: -62, C: -18, J: -56, a: -66, c: -70, s: -64, v: -44, x: -44, period: -76, hyphen: -60 },
  V: { A: -54, C: -14, J: -40, a: -36, c: -36, s: -30, v: -12, period: -70, hyphen: -30 },
  Y: { A: -70, C: -28, J: -54, a: -58, c: -62, s: -54, v: -30, x: -28, period: -84, hyphen: -56 },
  b: { v: -8, x: -12, quoteright: -22, period: -8, T: -68, V: -36, Y: -62 },
  f: { a: -8, c: -12, period: -42, quoteright: 24 },
  k: { c: -16, a: -6, hyphen: -18, T: -40 },
  r: { a: -14, c: -12, period: -58, hyphen: -22, v: 8, T: -40 },
  v: { a: -12, c: -10, period: -50, hyphen: -8, T: -44, V: -12, Y: -30, A: -28 },
  quoteright: { A: -66, a: -28, c: -38, s: -30 },
  period: { quoteright: -50, T: -70, V: -66, Y: -80, v: -44 },
  hyphen: { T: -60, V: -30, Y: -56, A: -8, v: -8, x: -18 },
};

/** Composed letters belong where their base letter belongs. */
function classesOf(lines: readonly string[], set: GlyphSet, glyphIds: GlyphIds): Map<number, number> {
  const classes = new Map<number, number>();
  lines.forEach((line, i) => {
    for (const name of line.split(' ')) {
      if (glyphIds.has(name)) classes.set(glyphIds.get(name)!, i + 1);
    }
  });
  for (const [name, shape] of set.glyphs) {
    if (shape.kind !== 'composed' || name.includes('.') || shape.composition.parts.length < 2) continue;
    const base = classes.get(glyphIds.get(shape.composition.parts[0].glyph)!);
    const letterFirst = shape.composition.parts[0].dx === 0;
    if (base && letterFirst && shape.composition.parts[1].glyph.startsWith('uni03')) {
      classes.set(glyphIds.get(name)!, base);
    }
  }
  return classes;
}

/** LookupType 2, format 2: pairs of classes. */
function kerning(set: GlyphSet, glyphIds: GlyphIds): Lookup {
  const firsts = classesOf(rightSides, set, glyphIds);
  const seconds = classesOf(leftSides, set, glyphIds);
  const class1Count = rightSides.length + 1;
  const class2Count = leftSides.length + 1;
  const leading = (lines: readonly string[]) => ['', ...lines.map((line) => line.split(' ')[0])];
  const records = new Writer(1024);
  for (const first of leading(rightSides)) {
    for (const second of leading(leftSides)) records.int16(pairs[first]?.[second] ?? 0);
  }
  const parts = [coverage([...firsts.keys()]), classDefinition(firsts), classDefinition(seconds)];
  const start = 16 + class1Count * class2Count * 2;
  const writer = new Writer(2048).uint16(2).uint16(start).uint16(0x0004).uint16(0);
  writer.uint16(start + parts[0].length).uint16(start + parts[0].length + parts[1].length);
  writer.uint16(class1Count).uint16(class2Count).write(records.bytes());
  for (const part of parts) writer.write(part);
  return { type: 2, flag: 0x0008, subtables: [writer.bytes().slice()] };
}

const anchorTable = ({ x, y }: { x: number; y: number }) =>
  new Writer(6).uint16(1).int16(Math.round(x)).int16(Math.round(y)).bytes().slice();

/** LookupType 4: marks on base glyphs, for one kind of anchor. */
function markToBase(set: GlyphSet, glyphIds: GlyphIds, name: AnchorName): Lookup {
  const found: { glyphId: number; mark: boolean; anchor: { x: number; y: number } }[] = [];
  for (const [glyph, shape] of set.glyphs) {
    const { advance, anchors } = shape.kind === 'drawn' ? shape.drawing : shape.composition;
    const anchor = anchors[name];
    if (anchor && !glyph.startsWith('caron'))
      found.push({ glyphId: glyphIds.get(glyph)!, mark: advance === 0, anchor });
  }
  found.sort((a, b) => a.glyphId - b.glyphId);
  const marks = found.filter(({ mark }) => mark);
  const bases = found.filter(({ mark }) => !mark);
  const markArray = new Writer(256).uint16(marks.length);
  marks.forEach((_, i) => markArray.uint16(0).uint16(2 + marks.length * 4 + i * 6));
  for (const { anchor } of marks) markArray.write(anchorTable(anchor));
  const baseArray = withParts(
    (writer) => writer.uint16(bases.length),
    bases.map(({ anchor }) => anchorTable(anchor)),
  );
  const parts = [
    coverage(marks.map((m) => m.glyphId)),
    coverage(bases.map((b) => b.glyphId)),
    markArray.bytes(),
    baseArray,
  ];
  const writer = new Writer(2048).uint16(1);
  let at = 12;
  const offsets = parts.map((part) => (at += part.length) - part.length);
  writer.uint16(offsets[0]).uint16(offsets[1]).uint16(1).uint16(offsets[2]).uint16(offsets[3]);
  for (const part of parts) writer.write(part);
  return { type: 4, flag: 0, subtables: [writer.bytes().slice()] };
}

/** @param kern whether the family kerns */
export function gpos(set: GlyphSet, glyphIds: GlyphIds, kern: boolean): Uint8Array {
  const lookups: Lookup[] = [];
  const features: Feature[] = [];
  if (kern) features.push({ tag: 'kern', lookups: [lookups.push(kerning(set, glyphIds)) - 1] });
  const marks = (['top', 'bottom', 'ogonek'] as const).map(
    (name) => lookups.push(markToBase(set, glyphIds, name)) - 1,
  );
  features.push({ tag: 'mark', lookups: marks });
  return layoutTable(['DFLT', 'grek', 'latn'], features, lookups);
}

/** Version 1.0: which glyphs are bases, ligatures and marks. */
export function gdef(set: GlyphSet, glyphIds: GlyphIds): Uint8Array {
  const classes = new Map<number, number>();
  for (const [name, shape] of set.glyphs) {
    const { advance } = shape.kind === 'drawn' ? shape.drawing : shape.composition;
    classes.set(glyphIds.get(name)!, advance === 0 ? 3 : name.includes('_') ? 2 : 1);
  }
  return new Writer(64)
    .uint16(1)
    .uint16(0)
    .uint16(12)
    .uint16(0)
    .uint16(0)
    .uint16(0)
    .write(classDefinition(classes))
    .bytes()
    .slice();
}
