/** Which glyphs matter; of others nothing needs to be read. */
export interface GlyphFilter {
  has(glyphId: number): boolean;
}

export const allGlyphs: GlyphFilter = { has: () => true };

/** What of a layout table matters; the rest isn't read. */
export interface Scope {
  wanted: GlyphFilter;
  /** Whether the font has axes; without them what changes along axes means nothing. */
  varies: boolean;
}

/** Which glyphs stay, and the number that each gets. */
export class GlyphMap {
  private readonly newIds: Uint16Array;

  /**
   * @param oldIds the glyphs that stay, by their new numbers
   * @param numGlyphs how many glyphs the font has
   */
  constructor(
    readonly oldIds: readonly number[],
    numGlyphs: number,
  ) {
    this.newIds = new Uint16Array(numGlyphs).fill(none);
    oldIds.forEach((oldId, newId) => (this.newIds[oldId] = newId));
  }

  get size(): number {
    return this.oldIds.length;
  }

  has(oldId: number): boolean {
    return (this.newIds[oldId] ?? none) !== none;
  }

  /** The new number, or undefined for a glyph that goes. */
  newId(oldId: number): number | undefined {
    const newId = this.newIds[oldId] ?? none;
    return newId === none ? undefined : newId;
  }

  /** New numbers of those that stay, in the order given. */
  those(oldIds: Iterable<number>): number[] {
    const kept: number[] = [];
    for (const oldId of oldIds) {
      const newId = this.newIds[oldId] ?? none;
      if (newId !== none) kept.push(newId);
    }
    return kept;
  }

  /** New numbers of a sequence, or undefined if one of its glyphs goes. */
  all(oldIds: readonly number[]): number[] | undefined {
    const kept = this.those(oldIds);
    return kept.length === oldIds.length ? kept : undefined;
  }
}

/** 0xffff numbers no glyph: fonts hold 65,535 at most. */
const none = 0xffff;

/** What belongs to glyphs that stay, by their new numbers. @param kept gives what stays of it; undefined where nothing does */
export function keptKeys<Value, Kept>(
  values: ReadonlyMap<number, Value>,
  map: GlyphMap,
  kept: (value: Value) => Kept | undefined,
): Map<number, Kept> {
  const left = new Map<number, Kept>();
  values.forEach((value, glyph) => {
    const newId = map.newId(glyph);
    if (newId === undefined) return;
    const own = kept(value);
    if (own !== undefined) left.set(newId, own);
  });
  return left;
}

/** The same keys, with other values. */
export const withValues = <Key, Value>(
  map: ReadonlyMap<Key, Value>,
  change: (value: Value) => Value,
): Map<Key, Value> => new Map(Array.from(map, ([key, value]) => [key, change(value)] as const));
