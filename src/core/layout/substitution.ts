// OpenType: GSUB, Glyph Substitution Table, lookup types 1 to 4 and 8

import { Block, type BlockStore } from '../bytes/blocks.js';
import { readOnce } from '../bytes/read-once.js';
import type { Reader } from '../bytes/reader.js';
import { ascending, readCoverage, writeCoverage, type Coverage } from './coverage.js';
import type { GlyphMap } from './glyph-map.js';

/** LookupType 1: one glyph for one. */
export interface SingleSubstitution {
  kind: 'single';
  glyphs: Map<number, number>;
}

/** LookupTypes 2 and 3: several glyphs for one, or a choice of glyphs. */
export interface SequenceSubstitution {
  kind: 'multiple' | 'alternate';
  glyphs: Map<number, readonly number[]>;
}

/** LookupType 4: one glyph for several; by the first of them, the preferred ligature first. */
export interface LigatureSubstitution {
  kind: 'ligature';
  ligatures: Map<number, readonly Ligature[]>;
}

export interface Ligature {
  glyph: number;
  /** The second glyph and those after it. */
  components: readonly number[];
}

/** LookupType 8: one glyph for one between others, from the end of the text to its start. */
export interface ReverseSubstitution {
  kind: 'reverse';
  backtrack: Coverage[];
  lookahead: Coverage[];
  glyphs: Map<number, number>;
}

export type Substitution =
  SingleSubstitution | SequenceSubstitution | LigatureSubstitution | ReverseSubstitution;

const kinds: ReadonlySet<string> = new Set<Substitution['kind']>([
  'single',
  'multiple',
  'alternate',
  'ligature',
  'reverse',
]);

export const isSubstitution = (subtable: { kind: string }): subtable is Substitution =>
  kinds.has(subtable.kind);

/** @param type 1 to 4 or 8 */
export function readSubstitution(reader: Reader, start: number, type: number): Substitution {
  switch (type) {
    case 1:
      return readSingle(reader, start);
    case 2:
    case 3:
      return { kind: type === 2 ? 'multiple' : 'alternate', glyphs: readSequences(reader, start) };
    case 4:
      return readLigatures(reader, start);
    default:
      return readReverse(reader, start);
  }
}

function readSingle(reader: Reader, start: number): SingleSubstitution {
  const format = reader.seek(start).uint16();
  if (format !== 1 && format !== 2) throw unknownFormat(reader, start, format);
  const coverage = readCoverage(reader, start + reader.uint16());
  reader.seek(start + 4);
  if (format === 1) {
    const delta = reader.int16();
    return { kind: 'single', glyphs: new Map(coverage.map((glyph) => [glyph, (glyph + delta) & 0xffff])) };
  }
  const substitutes = reader.uint16Array(reader.uint16());
  return { kind: 'single', glyphs: covered(coverage, (_, i) => substitutes[i]) };
}

const unknownFormat = (reader: Reader, start: number, format: number) =>
  reader.damaged(`format ${format} of this lookup type is not known`, start);

/** What belongs to each glyph of a coverage; glyphs that nothing belongs to are left out. */
function covered<Value>(
  coverage: Coverage,
  valueOf: (glyph: number, i: number) => Value | undefined,
): Map<number, Value> {
  const found = new Map<number, Value>();
  coverage.forEach((glyph, i) => {
    const value = valueOf(glyph, i);
    if (value !== undefined && !found.has(glyph)) found.set(glyph, value);
  });
  return found;
}

function readSequences(reader: Reader, start: number): Map<number, readonly number[]> {
  const format = reader.seek(start).uint16();
  if (format !== 1) throw unknownFormat(reader, start, format);
  const coverage = readCoverage(reader, start + reader.uint16());
  const offsets = reader.seek(start + 4).uint16Array(reader.uint16());
  const sequenceAt = readOnce(reader, (at) => Array.from(reader.seek(at).uint16Array(reader.uint16())));
  return covered(coverage, (_, i) => (i < offsets.length ? sequenceAt(start + offsets[i]) : undefined));
}

function readLigatures(reader: Reader, start: number): LigatureSubstitution {
  const format = reader.seek(start).uint16();
  if (format !== 1) throw unknownFormat(reader, start, format);
  const coverage = readCoverage(reader, start + reader.uint16());
  const sets = reader.seek(start + 4).uint16Array(reader.uint16());
  const ligatureAt = readOnce(reader, (at): Ligature => {
    const glyph = reader.seek(at).uint16();
    return { glyph, components: Array.from(reader.uint16Array(Math.max(0, reader.uint16() - 1))) };
  });
  const setAt = readOnce(reader, (set) => {
    const offsets = reader.seek(set).uint16Array(reader.uint16());
    return Array.from(offsets, (offset) => ligatureAt(set + offset));
  });
  const ligatures = covered(coverage, (_, i) => (i < sets.length ? setAt(start + sets[i]) : undefined));
  return { kind: 'ligature', ligatures };
}

function readReverse(reader: Reader, start: number): ReverseSubstitution {
  const format = reader.seek(start).uint16();
  if (format !== 1) throw unknownFormat(reader, start, format);
  const coverageOffset = reader.uint16();
  const backtrackOffsets = reader.uint16Array(reader.uint16());
  const lookaheadOffsets = reader.uint16Array(reader.uint16());
  const substitutes = reader.uint16Array(reader.uint16());
  const coverages = (offsets: Uint16Array) =>
    Array.from(offsets, (offset) => readCoverage(reader, start + offset));
  return {
    kind: 'reverse',
    backtrack: coverages(backtrackOffsets),
    lookahead: coverages(lookaheadOffsets),
    glyphs: covered(readCoverage(reader, start + coverageOffset), (_, i) => substitutes[i]),
  };
}

/** What is left of a subtable where some glyphs go; undefined where nothing is. */
export function keptSubstitution(subtable: Substitution, map: GlyphMap): Substitution | undefined {
  switch (subtable.kind) {
    case 'single': {
      const glyphs = keptSingles(subtable.glyphs, map);
      return glyphs.size > 0 ? { ...subtable, glyphs } : undefined;
    }
    case 'multiple':
    case 'alternate': {
      const glyphs = new Map<number, number[]>();
      for (const [from, to] of subtable.glyphs) {
        const first = map.newId(from);
        // A multiple substitution needs all of its glyphs; of alternates those that stay keep their turn.
        const kept = subtable.kind === 'multiple' ? map.all(to) : map.those(to);
        if (first !== undefined && kept && (kept.length > 0 || to.length === 0)) glyphs.set(first, kept);
      }
      return glyphs.size > 0 ? { ...subtable, glyphs } : undefined;
    }
    case 'ligature': {
      const ligatures = new Map<number, Ligature[]>();
      for (const [from, set] of subtable.ligatures) {
        const first = map.newId(from);
        if (first === undefined) continue;
        const kept = set.flatMap(({ glyph, components }) => {
          const [newId, rest] = [map.newId(glyph), map.all(components)];
          return newId !== undefined && rest ? [{ glyph: newId, components: rest }] : [];
        });
        if (kept.length > 0) ligatures.set(first, kept);
      }
      return ligatures.size > 0 ? { ...subtable, ligatures } : undefined;
    }
    case 'reverse': {
      const kept = (coverages: Coverage[]) =>
        coverages.map((coverage) => map.those(coverage).sort(ascending));
      const [backtrack, lookahead] = [kept(subtable.backtrack), kept(subtable.lookahead)];
      const glyphs = keptSingles(subtable.glyphs, map);
      const matches =
        [...backtrack, ...lookahead].every((coverage) => coverage.length > 0) && glyphs.size > 0;
      return matches ? { ...subtable, backtrack, lookahead, glyphs } : undefined;
    }
  }
}

function keptSingles(glyphs: ReadonlyMap<number, number>, map: GlyphMap): Map<number, number> {
  const kept = new Map<number, number>();
  for (const [from, to] of glyphs) {
    const [newFrom, newTo] = [map.newId(from), map.newId(to)];
    if (newFrom !== undefined && newTo !== undefined) kept.set(newFrom, newTo);
  }
  return kept;
}

export function writeSubstitution(subtable: Substitution, store: BlockStore): Block {
  switch (subtable.kind) {
    case 'single':
      return store.keep(writeSingle(subtable, store));
    case 'multiple':
    case 'alternate': {
      const glyphs = [...subtable.glyphs.keys()].sort(ascending);
      const block = new Block().uint16(1).offset16(writeCoverage(glyphs, store)).uint16(glyphs.length);
      for (const glyph of glyphs) {
        const sequence = subtable.glyphs.get(glyph)!;
        block.offset16(store.keep(new Block().uint16(sequence.length).uint16Array(sequence)));
      }
      return store.keep(block);
    }
    case 'ligature':
      return store.keep(writeLigatures(subtable, store));
    case 'reverse': {
      const glyphs = [...subtable.glyphs.keys()].sort(ascending);
      const block = new Block().uint16(1).offset16(writeCoverage(glyphs, store));
      for (const coverages of [subtable.backtrack, subtable.lookahead]) {
        block.uint16(coverages.length);
        for (const coverage of coverages) block.offset16(writeCoverage(coverage, store));
      }
      block.uint16(glyphs.length);
      return store.keep(block.uint16Array(glyphs.map((glyph) => subtable.glyphs.get(glyph)!)));
    }
  }
}

function writeSingle({ glyphs: substitutes }: SingleSubstitution, store: BlockStore): Block {
  const glyphs = [...substitutes.keys()].sort(ascending);
  const coverage = writeCoverage(glyphs, store);
  const delta = (substitutes.get(glyphs[0])! - glyphs[0]) & 0xffff;
  if (glyphs.every((glyph) => ((substitutes.get(glyph)! - glyph) & 0xffff) === delta)) {
    return new Block().uint16(1).offset16(coverage).uint16(delta);
  }
  const block = new Block().uint16(2).offset16(coverage).uint16(glyphs.length);
  return block.uint16Array(glyphs.map((glyph) => substitutes.get(glyph)!));
}

function writeLigatures({ ligatures }: LigatureSubstitution, store: BlockStore): Block {
  const glyphs = [...ligatures.keys()].sort(ascending);
  const block = new Block().uint16(1).offset16(writeCoverage(glyphs, store)).uint16(glyphs.length);
  for (const first of glyphs) {
    const set = ligatures.get(first)!;
    const setBlock = new Block().uint16(set.length);
    for (const { glyph, components } of set) {
      const ligature = new Block()
        .uint16(glyph)
        .uint16(components.length + 1)
        .uint16Array(components);
      setBlock.offset16(store.keep(ligature));
    }
    block.offset16(store.keep(setBlock));
  }
  return block;
}
