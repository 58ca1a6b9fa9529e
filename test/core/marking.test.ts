import { describe, expect, test } from '@jest/globals';
import { openFonts, writeFont } from '#src/core/containers/index.js';
import { markedFont } from '#src/core/marking/index.js';
import { outlinesOf, svgPathData } from '#src/core/outlines/index.js';
import { subsetFont } from '#src/core/subset/index.js';
import { cmap, hhea, hmtx, maxp, os2 } from '#src/core/tables/index.js';
import { CodePointSet } from '#src/core/text/code-point-set.js';
import type { Font } from '#src/core/sfnt/font.js';
import { filesIn, readSample, sampleFonts } from '../../test-support/paths.js';

const fonts = [...filesIn(sampleFonts, '.ttf'), ...filesIn(sampleFonts, '.otf')];
const shape = { slanted: true, bold: false };
const marked = (font: Font) => markedFont(font, { shape, color: [1, 2, 3] });

describe.each(fonts)('%s', (path) => {
  const [{ font }] = openFonts(readSample(path));

  test('letters, metrics and characters are what they were; one glyph more is the mark', async () => {
    const { bytes } = await writeFont(marked(font), font.flavour === 'cff' ? 'otf' : 'ttf');
    const [{ font: copy }] = openFonts(bytes);
    const { numGlyphs } = font.table(maxp);
    expect(copy.table(maxp).numGlyphs).toBe(numGlyphs + 1);
    const [was, is] = [outlinesOf(font), outlinesOf(copy)];
    const path = (of: typeof was, glyph: number) => svgPathData(of.outlineOf(glyph));
    for (let glyph = 0; glyph < numGlyphs; glyph++) expect(path(is, glyph)).toBe(path(was, glyph));
    // Leaning, below the line.
    const [left, low, top] = is.outlineOf(numGlyphs).coordinates;
    expect([left > 0, low < 0, top > left]).toEqual([true, true, true]);
    expect(copy.table(hmtx).advanceWidth).toEqual(font.table(hmtx).advanceWidth);
    for (const module of [hhea, os2, cmap])
      expect(copy.bytesOf(module.tag)).toEqual(font.bytesOf(module.tag));
    for (const tag of ['GSUB', 'GPOS', 'fvar', 'HVAR', 'avar', 'fpgm', 'prep'])
      if (font.has(tag)) expect(copy.bytesOf(tag)).toEqual(font.bytesOf(tag));
    // Each letter that is drawn has two layers: itself and the mark.
    const drawn = Array.from({ length: numGlyphs }, (_, i) => i).filter((i) => path(was, i) !== '');
    const colr = new DataView(Uint8Array.from(copy.bytesOf('COLR')).buffer);
    expect([colr.getUint16(2), colr.getUint16(12)]).toEqual([drawn.length, drawn.length * 2]);
    expect(() => marked(copy)).toThrow('colours of its own');
  });

  test('the same of a cut', () => {
    const { font: cut } = subsetFont(font, { characters: new CodePointSet([0x20, 0x41, 0x62]) });
    expect(marked(cut).table(maxp).numGlyphs).toBe(cut.table(maxp).numGlyphs + 1);
  });
});
