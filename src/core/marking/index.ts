/**
 * Copies of fonts whose letters bear a coloured mark, so that it can be seen which font drew a text: `markedFont`.
 */
import { Writer } from '../bytes/writer.js';
import { DenseGlyphError } from '../../errors.js';
import { toTrueType } from '../outlines/index.js';
import { fontOf, type Font } from '../sfnt/font.js';
import { head, loca, maxp, post } from '../tables/index.js';
import { markGlyph, type MarkShape } from './mark-glyph.js';
import { withOneMore } from './glyph-variations.js';

export type { MarkShape } from './mark-glyph.js';

/** How letters are marked. */
export interface Mark {
  shape: MarkShape;
  /** Red, green and blue, 0 to 255. */
  color: readonly [red: number, green: number, blue: number];
}

/** Tables whose fonts draw their letters otherwise already. */
const colored = ['COLR', 'CBDT', 'sbix', 'SVG '];
/** Measures of each glyph on certain sizes; browsers don't need them. */
const perGlyph = ['hdmx', 'LTSH', 'VDMX', 'DSIG'];
/** Number of the colour of the text in COLR. */
const textColor = 0xffff;

/**
 * A font whose letters are drawn with a mark below them, in a colour: layers of COLR (OpenType 1.9, version 0), which take neither
 * room nor characters. CFF outlines become TrueType outlines.
 *
 * @throws DenseGlyphError `conversion-impossible` for fonts that have colours, or whose outlines vary as CFF2; `table-damaged`,
 *   `table-missing`
 */
export function markedFont(font: Font, { shape, color }: Mark): Font {
  if (colored.some((tag) => font.has(tag)))
    throw new DenseGlyphError('conversion-impossible', 'the font has colours of its own');
  const source = font.has('glyf') ? font : toTrueType(font).font;
  const { numGlyphs, limits } = source.table(maxp);
  const header = source.table(head);
  const glyph = markGlyph(shape, header.unitsPerEm);
  const tables = source.tables();
  for (const tag of perGlyph) tables.delete(tag);
  const outlines = source.bytesOf('glyf');
  const { offsets } = source.table(loca);
  const start = outlines.length + (outlines.length % 2);
  const all = new Uint8Array(start + glyph.bytes.length);
  all.set(outlines);
  all.set(glyph.bytes, start);
  tables.set('glyf', all);
  const places = new Writer((numGlyphs + 2) * 4);
  for (let i = 0; i < numGlyphs; i++) places.uint32(offsets[i]);
  tables.set('loca', places.uint32(start).uint32(all.length).bytes());
  tables.set('head', head.serialise({ ...header, indexToLocFormat: 1 }));
  const most = limits && {
    ...limits,
    maxPoints: Math.max(limits.maxPoints, 4),
    maxContours: Math.max(limits.maxContours, 1),
  };
  tables.set(
    'maxp',
    maxp.serialise({ ...source.table(maxp), numGlyphs: numGlyphs + 1, ...(most ? { limits: most } : {}) }),
  );
  // Glyphs beyond the widths have the last one.
  tables.set('hmtx', withOneMoreBearing(source.bytesOf('hmtx'), glyph.left));
  if (source.has('vmtx')) tables.set('vmtx', withOneMoreBearing(source.bytesOf('vmtx'), 0));
  if (source.has('post')) tables.set('post', post.serialise({ ...source.table(post), version: 0x00030000 }));
  if (source.has('gvar')) tables.set('gvar', withOneMore(source.bytesOf('gvar')));
  const drawn: number[] = [];
  for (let i = 0; i < numGlyphs; i++) if (offsets[i + 1] > offsets[i]) drawn.push(i);
  tables.set('COLR', layers(drawn, numGlyphs));
  tables.set('CPAL', palette(color));
  return fontOf('truetype', tables);
}

function withOneMoreBearing(metrics: Uint8Array, bearing: number): Uint8Array {
  return new Writer(metrics.length + 2).write(metrics).int16(bearing).bytes();
}

/** COLR: each glyph is drawn as itself, and with the mark. */
function layers(glyphs: readonly number[], mark: number): Uint8Array {
  const baseAt = 14;
  const layersAt = baseAt + glyphs.length * 6;
  const writer = new Writer(layersAt + glyphs.length * 8)
    .uint16(0)
    .uint16(glyphs.length)
    .uint32(baseAt)
    .uint32(layersAt)
    .uint16(glyphs.length * 2);
  glyphs.forEach((glyph, i) =>
    writer
      .uint16(glyph)
      .uint16(i * 2)
      .uint16(2),
  );
  for (const glyph of glyphs) writer.uint16(mark).uint16(0).uint16(glyph).uint16(textColor);
  return writer.bytes();
}

/** CPAL, version 0: one palette of one colour. */
function palette([red, green, blue]: Mark['color']): Uint8Array {
  const writer = new Writer(18).uint16(0).uint16(1).uint16(1).uint16(1).uint32(14).uint16(0);
  return writer.uint8(blue).uint8(green).uint8(red).uint8(255).bytes();
}
