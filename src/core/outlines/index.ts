/**
 * The outlines of a font's glyphs, whichever table holds them. `outlinesOf` draws them; `toTrueType` turns CFF
 * outlines into TrueType outlines.
 */
import type { Font } from '../sfnt/font.js';
import * as glyf from '../tables/glyf.js';
import * as maxp from '../tables/maxp.js';
import * as post from '../tables/post.js';
import { cffGlyphName, drawCff, hasCff, readCff } from './cff.js';
import { drawGlyf } from './glyf-outline.js';
import { Outline, type OutlineSink } from './outline.js';

export { coordinatesOf, Outline, segment, svgPathData, type OutlineSink } from './outline.js';
export { defaultTolerance, toTrueType, type TrueTypeConversion } from './truetype.js';

export interface GlyphOutlines {
  kind: 'TrueType' | 'CFF' | 'CFF2' | 'none';
  glyphCount: number;
  /**
   * Draws a glyph in font units; of a variable font the default instance.
   *
   * @throws DenseGlyphError `table-damaged`
   */
  draw(glyphId: number, sink: OutlineSink): void;
  outlineOf(glyphId: number): Outline;
  /** The PostScript name of a glyph, or undefined if the font gives none. */
  nameOf(glyphId: number): string | undefined;
}

/** @throws DenseGlyphError `table-missing` without maxp, `table-damaged` */
export function outlinesOf(font: Font): GlyphOutlines {
  const { kind, draw, nameOf } = sourceOf(font);
  return {
    kind,
    glyphCount: font.table(maxp).numGlyphs,
    draw,
    outlineOf(glyphId) {
      const outline = new Outline();
      draw(glyphId, outline);
      return outline;
    },
    nameOf,
  };
}

function sourceOf(font: Font): Pick<GlyphOutlines, 'kind' | 'draw' | 'nameOf'> {
  const named = font.optional(post);
  const nameOf = (glyphId: number) => named && post.glyphNameOf(named, glyphId);
  if (font.has(glyf.tag)) {
    const table = font.table(glyf);
    return { kind: 'TrueType', draw: (glyphId, sink) => drawGlyf(table, glyphId, sink), nameOf };
  }
  if (!hasCff(font)) return { kind: 'none', draw: () => undefined, nameOf };
  const cff = readCff(font);
  return {
    kind: cff.tag === 'CFF2' ? 'CFF2' : 'CFF',
    draw: (glyphId, sink) => void drawCff(cff, glyphId, sink),
    nameOf: (glyphId) => cffGlyphName(cff, glyphId) ?? nameOf(glyphId),
  };
}
