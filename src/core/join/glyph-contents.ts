// OpenType: outlines, hmtx and gvar: what tells a glyph from others, whatever its number

import { bytesKey } from '../bytes/key.js';
import { Reader } from '../bytes/reader.js';
import type { Font } from '../sfnt/font.js';
import { eachComponent } from '../tables/glyf-components.js';
import { glyf, hmtx, maxp } from '../tables/index.js';
import { eachSharedTuple, readGlyphVariations } from '../variations/glyph-variations.js';
import type { CffOutlines } from './cff.js';
import { Hindrance, type PartialFont } from './partial-font.js';
import type { Origin } from './numbering.js';
import type { SharedTuples } from './shared-tuples.js';

/** Glyphs of a well-made font are nested a few levels deep. */
const maximumDepth = 16;

/** Gives glyphs that draw the same one number. */
export class GlyphContents {
  private readonly known = new Map<string, number>();
  private readonly numbers: (number | undefined)[][];
  private readonly keyOf: ((glyphId: number) => string)[];

  constructor(
    private readonly parts: readonly PartialFont[],
    tuples: SharedTuples,
    private readonly cff: CffOutlines | undefined,
  ) {
    this.numbers = parts.map(() => []);
    this.keyOf = parts.map(({ font }, part) => ownKey(font, part, tuples));
  }

  readonly same = (a: Origin, b: Origin): boolean => this.of(a) === this.of(b);

  /** @throws Hindrance where glyphs are made of each other */
  of({ part, glyphId }: Origin, depth = 0): number {
    const known = this.numbers[part][glyphId];
    if (known !== undefined) return known;
    if (depth > maximumDepth) throw new Hindrance('a glyph is made of itself');
    const outline = this.cff?.keyOf(part, glyphId) ?? this.glyfKey({ part, glyphId }, depth);
    const key = `${outline}|${this.keyOf[part](glyphId)}`;
    let number = this.known.get(key);
    if (number === undefined) this.known.set(key, (number = this.known.size));
    return (this.numbers[part][glyphId] = number);
  }

  private glyfKey({ part, glyphId }: Origin, depth: number): string {
    const table = this.parts[part].font.table(glyf);
    const record = glyphId < table.offsets.length - 1 ? glyf.recordOf(table, glyphId) : new Uint8Array(0);
    if (record.length < glyf.headerSize || record[0] < 0x80) return bytesKey(withoutPadding(record));
    const { numGlyphs } = this.parts[part].font.table(maxp);
    const plain = record.slice();
    const components: number[] = [];
    const reader = new Reader(record, glyf.tag).seek(glyf.headerSize);
    eachComponent(reader, (component, at) => {
      plain.fill(0, at + 2, at + 4);
      components.push(component < numGlyphs ? this.of({ part, glyphId: component }, depth + 1) : -1);
    });
    return `${components.join()};${bytesKey(plain.subarray(0, reader.position))}`;
  }
}

/** A file may align glyphs with zeros behind them. */
function withoutPadding(record: Uint8Array): Uint8Array {
  let end = record.length;
  for (let padding = 0; padding < 3 && end > glyf.headerSize && record[end - 1] === 0; padding++) end--;
  return record.subarray(0, end);
}

/** Metrics, and how the glyph varies. */
function ownKey(font: Font, part: number, tuples: SharedTuples): (glyphId: number) => string {
  const metrics = font.table(hmtx);
  const gvar = font.has('gvar') ? readGlyphVariations(font) : undefined;
  return (glyphId) => {
    const own = `${hmtx.advanceOf(metrics, glyphId)},${metrics.leftSideBearing[glyphId]}`;
    if (!gvar) return own;
    const record = gvar.recordOf(glyphId);
    eachSharedTuple(record, gvar.axisCount, (index) => tuples.numberOf(part, index));
    return `${own}|${bytesKey(withoutPadding(record))}`;
  };
}
