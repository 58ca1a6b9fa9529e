// OpenType: hmtx, HVAR and gvar: how wide glyphs are at a place on the axes

import type { Font } from '../sfnt/font.js';
import { hmtx } from '../tables/index.js';
import { phantomWidthDelta } from '../variations/phantom-width.js';
import { readGlyphVariations, type GlyphVariations } from '../variations/glyph-variations.js';
import { readMetricVariations, type MetricVariations } from '../variations/metric-variations.js';
import { Deltas, type Place } from '../variations/place.js';

/** Advances in font units. */
export class Advances {
  private readonly known = new Map<number, number>();
  private readonly metrics: { variations: MetricVariations; deltas: Deltas } | undefined;
  private readonly outlines: GlyphVariations | undefined;

  constructor(
    private readonly font: Font,
    private readonly place: Place,
  ) {
    if (!place.some((one) => one !== 0)) return;
    if (font.has('HVAR')) {
      const variations = readMetricVariations(font, 'HVAR');
      this.metrics = { variations, deltas: new Deltas(variations.store, place) };
    } else if (font.has('gvar')) this.outlines = readGlyphVariations(font);
  }

  of(glyph: number): number {
    let advance = this.known.get(glyph);
    if (advance === undefined) {
      advance = hmtx.advanceOf(this.font.table(hmtx), glyph) + this.deltaOf(glyph);
      this.known.set(glyph, advance);
    }
    return advance;
  }

  private deltaOf(glyph: number): number {
    if (this.metrics) {
      const key = this.metrics.variations.deltaSetOf[0]?.(glyph) ?? 0;
      return Math.round(this.metrics.deltas.at(Math.floor(key / 0x10000), key % 0x10000));
    }
    return this.outlines ? Math.round(phantomWidthDelta(this.font, this.outlines, glyph, this.place)) : 0;
  }
}
