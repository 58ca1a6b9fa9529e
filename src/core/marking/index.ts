/**
 * Copies of fonts whose letters bear a coloured mark, so that it can be seen which font drew a text: `markedFont`.
 */
import { Writer } from '../bytes/writer.js';
import { DenseGlyphError } from '../../errors.js';
import { outlinesOf } from '../outlines/index.js';
import { fontOf, type Font } from '../sfnt/font.js';
import { head, loca, maxp, post } from '../tables/index.js';
import { cffWithOneMore } from '../subset/cff.js';
import { cffMark, glyfMark, leftOf, markPoints, type MarkShape } from './mark-glyph.js';
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
 * room nor characters. Outlines, hints and metrics stay as they are.
 *
 * @throws DenseGlyphError `conversion-impossible` for fonts that have colours, or whose outlines are CFF2; `table-damaged`,
 *   `table-missing`
 */
export function markedFont(font: Font, { shape, color }: Mark): Font {
  const refused = colored.some((tag) => font.has(tag)) ? 'the font has colours of its own' : undefined;
  const reason = refused ?? (font.has('CFF2') ? 'its outlines are CFF2' : undefined);
  if (reason !== undefined) throw new DenseGlyphError('conversion-impossible', reason);
  const limits = font.table(maxp);
  const { numGlyphs } = limits;
  const points = markPoints(shape, font.table(head).unitsPerEm);
  const tables = font.tables();
  for (const tag of perGlyph) tables.delete(tag);
  for (const [tag, bytes] of font.has('glyf')
    ? withGlyf(font, glyfMark(points))
    : withCff(font, cffMark(points)))
    tables.set(tag, bytes);
  tables.set('maxp', maxp.serialise(withMarkCounted(limits)));
  // Glyphs beyond the widths have the last one.
  tables.set('hmtx', withOneMoreBearing(font.bytesOf('hmtx'), leftOf(points)));
  if (font.has('vmtx')) tables.set('vmtx', withOneMoreBearing(font.bytesOf('vmtx'), 0));
  if (font.has('post')) tables.set('post', post.serialise({ ...font.table(post), version: 0x00030000 }));
  const outlines = outlinesOf(font);
  const isDrawn = (glyph: number) => outlines.outlineOf(glyph).segments.length > 0;
  const drawn = Array.from({ length: numGlyphs }, (_, glyph) => glyph).filter(isDrawn);
  tables.set('COLR', layers(drawn, numGlyphs));
  tables.set('CPAL', palette(color));
  return fontOf(font.flavour, tables);
}

function withGlyf(font: Font, mark: Uint8Array): [tag: string, bytes: Uint8Array][] {
  const outlines = font.bytesOf('glyf');
  const { offsets } = font.table(loca);
  const start = outlines.length + (outlines.length % 2);
  const all = new Uint8Array(start + mark.length);
  all.set(outlines);
  all.set(mark, start);
  const places = new Writer((offsets.length + 1) * 4);
  for (const offset of offsets.subarray(0, -1)) places.uint32(offset);
  places.uint32(start).uint32(all.length);
  return [
    ['glyf', all],
    ['loca', places.bytes()],
    ['head', head.serialise({ ...font.table(head), indexToLocFormat: 1 })],
    ...(font.has('gvar') ? [['gvar', withOneMore(font.bytesOf('gvar'))] as [string, Uint8Array]] : []),
  ];
}

const withCff = (font: Font, mark: Uint8Array): [tag: string, bytes: Uint8Array][] => [
  ['CFF ', cffWithOneMore(font, mark)],
];

const withMarkCounted = ({ version, numGlyphs, limits }: maxp.Maxp): maxp.Maxp => ({
  version,
  numGlyphs: numGlyphs + 1,
  ...(limits && {
    limits: {
      ...limits,
      maxPoints: Math.max(limits.maxPoints, 4),
      maxContours: Math.max(limits.maxContours, 1),
    },
  }),
});

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
