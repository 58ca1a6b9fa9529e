// Unicode, 3.11 and 15: which characters of a text a font is asked for, as browsers do

import { cmap } from '../tables/index.js';
import type { Font } from '../sfnt/font.js';
import type { ShapingGlyph } from '../layout/common/glyph-run.js';

const isMark = /\p{M}/u;
const isIgnorable = /\p{Default_Ignorable_Code_Point}/u;
const [zwnj, zwj, softHyphen] = [0x200c, 0x200d, 0xad];

/** What stands in for characters that a font hasn't, without the width of another character. */
const alike: Readonly<Record<number, number>> = { 0xa0: 0x20, 0x2011: 0x2010 };

/** Spaces that a font hasn't are its space, so many parts of an em wide. */
const spaces: Readonly<Record<number, number>> = {
  0x2000: 1 / 2,
  0x2001: 1,
  0x2002: 1 / 2,
  0x2003: 1,
  0x2004: 1 / 3,
  0x2005: 1 / 4,
  0x2006: 1 / 6,
  0x2009: 1 / 5,
  0x200a: 1 / 16,
  0x205f: 4 / 18,
  0x3000: 1,
};

/** A character with its glyph. */
interface Mapped extends ShapingGlyph {
  /** Of a space that the font hasn't, in em. */
  width?: number;
}

/** Maps text to the first glyphs of a font. */
export class CharacterMap {
  private readonly glyphs = new Map<number, number>();

  constructor(private readonly font: Font) {}

  /** 0 where the font hasn't the character. */
  glyphOf(codePoint: number): number {
    let glyph = this.glyphs.get(codePoint);
    if (glyph === undefined)
      this.glyphs.set(codePoint, (glyph = cmap.glyphIdOf(this.font.table(cmap), codePoint)));
    return glyph;
  }

  /**
   * Letters with marks are composed where the font has that, and decomposed where it has but the parts (as browsers do, other than
   * Unicode's forms).
   */
  map(text: string): Mapped[] {
    const mapped: Mapped[] = [];
    for (const { at, characters } of clusters(text))
      for (const codePoint of this.normalised(characters)) this.add(mapped, codePoint, at);
    return mapped;
  }

  private add(mapped: Mapped[], codePoint: number, at: number): void {
    const own = this.glyphOf(codePoint);
    const other = own === 0 ? alike[codePoint] : undefined;
    const width = own === 0 && other === undefined ? spaces[codePoint] : undefined;
    const glyph = own || this.glyphOf(other ?? (width === undefined ? codePoint : 0x20));
    mapped.push({
      glyph,
      codePoint,
      at,
      ignorable: ignorableOf(codePoint),
      ligature: 0,
      component: 0,
      advance: 0,
      x: 0,
      y: 0,
      ...(width === undefined ? {} : { width }),
    });
  }

  private normalised(characters: readonly number[]): number[] {
    const hasMarks = characters.length > 1;
    const parts = characters.flatMap((one) => this.decomposed(one, !hasMarks));
    if (!hasMarks || parts.length < 2) return parts;
    const [first, ...marks] = inOrder(parts);
    const composed = [first];
    let starter = 0;
    for (const mark of marks) {
      // A mark that stands at the same side keeps it from the letter.
      const between = composed.length - 1 > starter ? composed[composed.length - 1] : undefined;
      const isBlocked = between !== undefined && !isReordered(between, mark) && !isReordered(mark, between);
      const one = isBlocked ? undefined : composedOf(composed[starter], mark);
      if (one !== undefined && this.glyphOf(one) !== 0) composed[starter] = one;
      else {
        composed.push(mark);
        if (isStarter(mark)) starter = composed.length - 1;
      }
    }
    return composed;
  }

  /** @param asItIs whether a character that the font has is left alone */
  private decomposed(codePoint: number, asItIs: boolean): number[] {
    const isThere = this.glyphOf(codePoint) !== 0;
    if (asItIs && isThere) return [codePoint];
    const parts = pairOf(codePoint);
    if (!parts) return [codePoint];
    const [first, second] = parts;
    if (second !== undefined && this.glyphOf(second) === 0) return [codePoint];
    const inner = this.decomposed(first, asItIs);
    const isPossible = inner.every((one) => this.glyphOf(one) !== 0);
    if (!isPossible) return [codePoint];
    return second === undefined ? inner : [...inner, second];
  }
}

/** A character with the marks behind it. */
function* clusters(text: string): Generator<{ at: number; characters: number[] }> {
  let cluster: { at: number; characters: number[] } | undefined;
  let at = 0;
  for (const character of text) {
    const codePoint = character.codePointAt(0)!;
    if (cluster && isMark.test(character)) cluster.characters.push(codePoint);
    else {
      if (cluster) yield cluster;
      cluster = { at, characters: [codePoint] };
    }
    at += character.length;
  }
  if (cluster) yield cluster;
}

function ignorableOf(codePoint: number): ShapingGlyph['ignorable'] {
  if (codePoint === zwnj) return 'zwnj';
  if (codePoint === zwj) return 'zwj';
  return codePoint === softHyphen || isIgnorable.test(String.fromCodePoint(codePoint)) ? 'other' : 'no';
}

/** A canonical decomposition by one step (Unicode, 3.7); of one character for another the first alone. */
function pairOf(codePoint: number): [number, number?] | undefined {
  const character = String.fromCodePoint(codePoint);
  const all = [...character.normalize('NFD')];
  if (all.length < 2) return all[0] === character ? undefined : [all[0].codePointAt(0)!];
  const rest = [...all.slice(0, -1).join('').normalize('NFC')];
  return rest.length === 1 ? [rest[0].codePointAt(0)!, all[all.length - 1].codePointAt(0)!] : undefined;
}

function composedOf(first: number, second: number): number | undefined {
  const pair = String.fromCodePoint(first) + String.fromCodePoint(second);
  const [one, ...more] = pair.normalize('NFC');
  return more.length === 0 ? one.codePointAt(0) : undefined;
}

/** Marks in the order of their classes (Unicode, 3.11), not taken apart any further. */
function inOrder(parts: readonly number[]): number[] {
  const sorted = [...parts];
  for (let i = 2; i < sorted.length; i++)
    for (let k = i; k > 1 && isReordered(sorted[k - 1], sorted[k]); k--)
      [sorted[k - 1], sorted[k]] = [sorted[k], sorted[k - 1]];
  return sorted;
}

/** Whether the second of two marks goes before the first. */
function isReordered(first: number, second: number): boolean {
  const [a, b] = [first, second].map((one) => String.fromCodePoint(one));
  return (
    (a + b).normalize('NFD') === (b + a).normalize('NFD') && a !== b && (b + a).normalize('NFD') === b + a
  );
}

const [above, below] = [0x301, 0x323];

/** Whether nothing is reordered around it. */
const isStarter = (mark: number): boolean =>
  [above, below].every((other) => !isReordered(mark, other) && !isReordered(other, mark));
