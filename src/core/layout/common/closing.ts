import type { Coverage } from './coverage.js';
import type { SequenceLookup } from './context/types.js';

/** A set of glyphs that grows by what lookups make of it, at a lookup. */
export interface Closing {
  /** Those that there are so far. */
  readonly glyphs: Set<number>;
  /** Whether a glyph is there, and may stand at the place where the lookup is applied. */
  isHere(glyph: number): boolean;
  /** Whether one of them is there. */
  hasOneOf(coverage: Coverage): boolean;
  /** Applies the lookups of a rule that matches. @param places glyphs that may stand at each place of its input */
  applyAt(lookups: readonly SequenceLookup[], places: readonly (readonly number[])[]): void;
}
