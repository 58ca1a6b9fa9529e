// OpenType: GPOS, LookupType 2; GSUB, LookupType 4: what two parts of a font can't do with each other's glyphs

import type { Font } from '../sfnt/font.js';
import type { GlyphFilter } from './common/glyph-map.js';
import { lookupsOfFeatures } from './kept-layout.js';
import type { LayoutTag } from './common/lookup-kind.js';
import { isPairAdjustment, type PairAdjustment } from './gpos/pair-adjustment.js';
import type { Subtable } from './kinds.js';
import { readLayoutTable } from './layout-table.js';

/** What takes glyphs of both parts. */
export interface SetApart {
  /** Pairs of characters that the font kerns. */
  kernedPairs: number;
  /** Ligatures that browsers form without being asked. */
  ligatures: number;
}

const isKerning = (tag: string) => tag === 'kern';
const isCommonLigature = (tag: string) => tag === 'liga' || tag === 'clig' || tag === 'rlig';

/**
 * Glyphs of a part, as cmap has them, each with the scripts of its characters: once for each of them. `Common` goes with
 * every script.
 */
export type GlyphsOfPart = ReadonlyMap<number, readonly string[]>;

/**
 * Counts what is lost where a font is divided, as browsers shape text of each part by itself. Letters of different
 * scripts they shape by themselves anyway.
 *
 * @throws DenseGlyphError `table-damaged`
 */
export function setApart(font: Font, one: GlyphsOfPart, other: GlyphsOfPart): SetApart {
  const wanted = { has: (glyph: number) => one.has(glyph) || other.has(glyph) };
  const pairs = new PairCounter(one, other);
  for (const subtables of lookupsOf(font, 'GPOS', isKerning, wanted)) pairs.addLookup(subtables);
  let ligatures = 0;
  for (const subtable of lookupsOf(font, 'GSUB', isCommonLigature, wanted).flat()) {
    if (subtable.kind !== 'ligature') continue;
    for (const [first, list] of subtable.ligatures) {
      for (const { components } of list) {
        const glyphs = [first, ...components];
        if (!glyphs.every(wanted.has)) continue;
        if (glyphs.some((glyph) => one.has(glyph)) && glyphs.some((glyph) => other.has(glyph))) ligatures++;
      }
    }
  }
  return { kernedPairs: pairs.count, ligatures };
}

function lookupsOf(
  font: Font,
  tag: LayoutTag,
  isWanted: (tag: string) => boolean,
  wanted: GlyphFilter,
): Subtable[][] {
  const table = readLayoutTable(font, tag, wanted);
  return table ? lookupsOfFeatures(table, isWanted).map((index) => table.lookupAt(index).subtables) : [];
}

/** Counts pairs across the parts, each once. */
class PairCounter {
  private readonly moved = new Set<number>();
  private readonly both: ReadonlySet<number>;

  constructor(
    private readonly one: GlyphsOfPart,
    private readonly other: GlyphsOfPart,
  ) {
    this.both = new Set([...one.keys(), ...other.keys()]);
  }

  get count(): number {
    let count = 0;
    for (const key of this.moved) count += this.pairsOf(key >>> 16, key & 0xffff);
    return count;
  }

  /** The first subtable that knows a pair decides. */
  addLookup(subtables: readonly Subtable[]): void {
    const decided = new Set<number>();
    const ended = new Set<number>();
    for (const subtable of subtables) {
      if (!isPairAdjustment(subtable)) continue;
      this.addSubtable(subtable, (first, second, number) => {
        const key = first * 0x10000 + second;
        if (ended.has(first) || decided.has(key)) return;
        if (subtable.kind === 'glyph pairs') decided.add(key);
        if (number !== 0) this.moved.add(key);
      });
      if (subtable.kind === 'class pairs') for (const glyph of subtable.coverage) ended.add(glyph);
    }
  }

  private addSubtable(
    subtable: PairAdjustment,
    add: (first: number, second: number, number: number) => void,
  ): void {
    if (subtable.kind === 'glyph pairs') {
      const { firsts, starts, ends, seconds, numbers } = subtable.pairs;
      firsts.forEach((first, i) => {
        const others = this.acrossFrom(first);
        for (let at = starts[i]; at < ends[i]; at++)
          if (others.has(seconds[at])) add(first, seconds[at], numbers[at]);
      });
      return;
    }
    for (const first of subtable.coverage) {
      const row = subtable.matrix[subtable.firstClasses.get(first) ?? 0];
      for (const second of this.acrossFrom(first).keys())
        add(first, second, row[subtable.secondClasses.get(second) ?? 0] ?? 0);
    }
  }

  /** Of characters with these glyphs, those that one script has. */
  private pairsOf(first: number, second: number): number {
    const { one, other } = this;
    return togetherIn(one.get(first), other.get(second)) + togetherIn(other.get(first), one.get(second));
  }

  private acrossFrom(glyph: number): GlyphFilter & { keys(): Iterable<number> } {
    if (!this.one.has(glyph)) return this.one;
    return this.other.has(glyph) ? this.both : this.other;
  }
}

/** How many pairs one script has. */
const togetherIn = (firsts: readonly string[] = [], seconds: readonly string[] = []): number =>
  firsts.reduce(
    (sum, a) => sum + seconds.filter((b) => a === b || a === 'Common' || b === 'Common').length,
    0,
  );
