import { markClass, type Gdef } from './gdef.js';
import { lookupFlag } from './lookup.js';
import type { Coverage } from './coverage.js';

/** A glyph while it is shaped. */
export interface ShapingGlyph {
  glyph: number;
  /** The character that it stands for, of several the first. */
  codePoint: number;
  /** Where that stands in the text, UTF-16. */
  at: number;
  /** What isn't drawn, by its own or as long as nothing is put in its place. */
  ignorable: 'no' | 'zwj' | 'zwnj' | 'other';
  /** Of a ligature and of marks between its parts: which ligature, and of how many parts or on which. */
  ligature: number;
  component: number;
  /** The feature for the form that it has between its neighbours, as in `medi`. */
  form?: string | undefined;
  /** In font units, once positioned. */
  advance: number;
  x: number;
  y: number;
}

/** The classes of GDEF; where there are none, marks are told by their characters. */
export const glyphClass = { base: 1, ligature: 2, mark: markClass } as const;

const isMark = /\p{Mn}/u;

/** What lookups pass over. */
export class GlyphClasses {
  private readonly sets: ReadonlySet<number>[];
  private readonly fromText = new Map<number, number>();

  constructor(private readonly gdef: Gdef | undefined) {
    this.sets = (gdef?.markGlyphSets ?? []).map((set: Coverage) => new Set(set));
  }

  of({ glyph, codePoint }: ShapingGlyph): number {
    const classes = this.gdef?.glyphClasses;
    if (classes) return classes.get(glyph) ?? 0;
    let found = this.fromText.get(codePoint);
    if (found === undefined) {
      found = isMark.test(String.fromCodePoint(codePoint)) ? glyphClass.mark : glyphClass.base;
      this.fromText.set(codePoint, found);
    }
    return found;
  }

  /** Whether a lookup with these flags passes over a glyph. */
  ignores(one: ShapingGlyph, flag: number, markFilteringSet: number | undefined): boolean {
    if ((flag & ignoring) === 0) return false;
    switch (this.of(one)) {
      case glyphClass.base:
        return (flag & lookupFlag.ignoreBaseGlyphs) !== 0;
      case glyphClass.ligature:
        return (flag & lookupFlag.ignoreLigatures) !== 0;
      case glyphClass.mark: {
        if (flag & lookupFlag.ignoreMarks) return true;
        if (flag & lookupFlag.useMarkFilteringSet)
          return !(this.sets[markFilteringSet ?? -1]?.has(one.glyph) ?? false);
        const wanted = (flag & lookupFlag.markAttachmentTypeMask) >> 8;
        return wanted !== 0 && this.gdef?.markAttachmentClasses.get(one.glyph) !== wanted;
      }
      default:
        return false;
    }
  }
}

const ignoring =
  lookupFlag.ignoreBaseGlyphs |
  lookupFlag.ignoreLigatures |
  lookupFlag.ignoreMarks |
  lookupFlag.useMarkFilteringSet |
  lookupFlag.markAttachmentTypeMask;
