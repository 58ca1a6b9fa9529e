// OpenType Layout Common Table Formats: Class Definition Table

import { Block, type BlockStore } from '../../bytes/blocks.js';
import type { Reader } from '../../bytes/reader.js';
import { allGlyphs, type GlyphFilter, type GlyphMap } from './glyph-map.js';
import { ascending } from './coverage.js';

/** The class of each glyph that isn't of class 0. */
export type ClassDefinition = ReadonlyMap<number, number>;

/** @param wanted which glyphs matter; all if left out */
export function readClassDefinition(
  reader: Reader,
  offset: number,
  wanted: GlyphFilter = allGlyphs,
): ClassDefinition {
  const classes = new Map<number, number>();
  if (offset === 0) return classes;
  const format = reader.seek(offset).uint16();
  if (format === 1) {
    const first = reader.uint16();
    reader.uint16Array(reader.uint16()).forEach((value, i) => {
      if (value !== 0 && wanted.has(first + i)) classes.set(first + i, value);
    });
    return classes;
  }
  if (format !== 2) throw reader.damaged(`format ${format} of class definitions is not known`, offset);
  const ranges = reader.uint16Array(reader.uint16() * 3);
  for (let i = 0; i < ranges.length; i += 3) {
    const [first, last, value] = [ranges[i], ranges[i + 1], ranges[i + 2]];
    if (value === 0) continue;
    reader.charge(Math.max(0, last - first) * 2);
    for (let glyph = first; glyph <= last; glyph++) if (wanted.has(glyph)) classes.set(glyph, value);
  }
  return classes;
}

/** The shorter of both formats; undefined where there is nothing but class 0. */
export function writeClassDefinition(classes: ClassDefinition, store: BlockStore): Block | undefined {
  const glyphs = classified(classes);
  if (glyphs.length === 0) return undefined;
  const ranges = classRanges(glyphs, classes);
  const [first] = glyphs;
  const span = spanOf(glyphs);
  if (arraySize(span) > rangesSize(ranges.length)) {
    const block = new Block(rangesSize(ranges.length)).uint16(2).uint16(ranges.length);
    for (const range of ranges) block.uint16Array(range);
    return store.keep(block);
  }
  const block = new Block(arraySize(span)).uint16(1).uint16(first).uint16(span);
  for (let i = 0; i < span; i++) block.uint16(classes.get(first + i) ?? 0);
  return store.keep(block);
}

/** As `writeClassDefinition`, for places where there has to be one. */
export function writeNeededClassDefinition(classes: ClassDefinition, store: BlockStore): Block {
  return writeClassDefinition(classes, store) ?? store.keep(new Block().uint16(2).uint16(0));
}

/** Bytes that `writeNeededClassDefinition` will write. */
export function classDefinitionSize(classes: ClassDefinition): number {
  const glyphs = classified(classes);
  if (glyphs.length === 0) return rangesSize(0);
  return Math.min(arraySize(spanOf(glyphs)), rangesSize(classRanges(glyphs, classes).length));
}

const arraySize = (span: number) => 6 + span * 2;
const rangesSize = (count: number) => 4 + count * 6;
const spanOf = (glyphs: readonly number[]) => glyphs[glyphs.length - 1] - glyphs[0] + 1;

/** Glyphs that aren't of class 0, ascending. */
const classified = (classes: ClassDefinition) =>
  [...classes.keys()].filter((glyph) => classes.get(glyph) !== 0).sort(ascending);

function classRanges(glyphs: readonly number[], classes: ClassDefinition): [number, number, number][] {
  const ranges: [number, number, number][] = [];
  for (let i = 0; i < glyphs.length; i++) {
    const first = glyphs[i];
    const value = classes.get(first)!;
    const goesOn = (next: number) => next === glyphs[i] + 1 && classes.get(next) === value;
    while (i + 1 < glyphs.length && goesOn(glyphs[i + 1])) i++;
    ranges.push([first, glyphs[i], value]);
  }
  return ranges;
}

/** The classes of the glyphs that stay, under their new numbers. */
export function keptClasses(classes: ClassDefinition, map: GlyphMap): Map<number, number> {
  const kept = new Map<number, number>();
  classes.forEach((value, glyph) => {
    const newId = map.newId(glyph);
    if (newId !== undefined) kept.set(newId, value);
  });
  return kept;
}
