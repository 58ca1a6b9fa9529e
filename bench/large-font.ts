import { readFileSync } from 'node:fs';
import { Writer } from '#src/core/bytes/writer.js';
import { openFont } from '#src/core/containers/index.js';
import { fontOf } from '#src/core/sfnt/font.js';
import { writeSfnt } from '#src/core/sfnt/write.js';
import { glyf, head, hhea, hmtx, loca, maxp } from '#src/core/tables/index.js';

/** A font of so many glyphs: those of another one over and over, each time with other coordinates. */
export function largeFont(path: string, numGlyphs: number): Uint8Array {
  const { font } = openFont(readFileSync(path));
  const table = font.table(glyf);
  const drawn = Array.from({ length: table.offsets.length - 1 }, (_, i) => glyf.glyphOf(table, i)).filter(
    (glyph): glyph is glyf.SimpleGlyph => glyph?.kind === 'simple',
  );
  let seed = 1;
  const random = () => (seed = (seed * 48271) % 0x7fffffff);
  const data = new Writer(numGlyphs * 300);
  const offsets = new Uint32Array(numGlyphs + 1);
  const bearings = new Int16Array(numGlyphs);
  for (let i = 0; i < numGlyphs; i++) {
    const glyph = drawn[i % drawn.length];
    const moved = (values: Int16Array) => values.map((value) => value + (random() % 9));
    const [xs, ys] = [moved(glyph.xCoordinates), moved(glyph.yCoordinates)];
    const bounds = {
      xMin: Math.min(...xs),
      yMin: Math.min(...ys),
      xMax: Math.max(...xs),
      yMax: Math.max(...ys),
    };
    data.write(glyf.serialiseGlyph({ ...glyph, ...bounds, xCoordinates: xs, yCoordinates: ys })).align(4);
    offsets[i + 1] = data.length;
    bearings[i] = bounds.xMin;
  }
  const tables = font.tables();
  for (const tag of ['GSUB', 'GPOS', 'GDEF', 'post']) tables.delete(tag);
  tables
    .set('glyf', data.bytes())
    .set('loca', loca.serialise({ indexToLocFormat: 1, offsets }))
    .set('head', head.serialise({ ...font.table(head), indexToLocFormat: 1 }))
    .set('maxp', maxp.serialise({ ...font.table(maxp), numGlyphs }))
    .set('hhea', hhea.serialise({ ...font.table(hhea), numberOfHMetrics: 1 }))
    .set('hmtx', hmtx.serialise({ advanceWidth: Uint16Array.of(600), leftSideBearing: bearings }));
  return writeSfnt(fontOf('truetype', tables));
}
