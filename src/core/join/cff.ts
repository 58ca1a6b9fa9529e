// Adobe Technical Note 5176: CFF of partial files as one

import { bytesKey } from '../bytes/key.js';
import { Reader } from '../bytes/reader.js';
import { GlyphMap } from '../layout/common/glyph-map.js';
import { dictBytes, operator, readRawDict } from '../outlines/cff-data.js';
import { readCff, type Cff } from '../outlines/cff.js';
import { cffBytes, keptTopDict, type WrittenPrivate } from '../outlines/write-cff.js';
import { flatCharstrings } from '../subset/charstrings.js';
import { maxp } from '../tables/index.js';
import type { Numbering } from './numbering.js';
import { Hindrance, type PartialFont } from './partial-font.js';

/** FDSelect has a byte for the number of a font DICT. */
const mostPrivates = 256;
const fontBBox = 5;

/** Outlines of all parts, with subroutines put in their place, as each part numbers them in its own way. */
export class CffOutlines {
  private readonly tables: Cff[];
  private readonly charstrings: Uint8Array[][];
  private readonly privates: WrittenPrivate[] = [];
  /** By part and font DICT: the place among the Private DICTs of all. */
  private readonly places: number[][];

  /** @throws Hindrance where they are of different kinds, DenseGlyphError `table-damaged` */
  constructor(parts: readonly PartialFont[]) {
    this.tables = parts.map(({ font }) => readCff(font));
    const [first] = this.tables.map((cff) => topKey(cff));
    if (this.tables.some((cff) => topKey(cff) !== first))
      throw new Hindrance('their outlines are of different kinds');
    this.charstrings = this.tables.map((cff, part) => {
      const { numGlyphs } = parts[part].font.table(maxp);
      const all = Array.from({ length: numGlyphs }, (_, glyphId) => glyphId);
      return flatCharstrings(cff, new GlyphMap(all, numGlyphs), true);
    });
    const known = new Map<string, number>();
    this.places = this.tables.map((cff) =>
      Array.from({ length: cff.fontDictCount }, (_, i) => {
        const one = privateAt(cff, i);
        const key = `${bytesKey(dictBytes(one.dict))}|${bytesKey(one.fontDict ?? new Uint8Array())}`;
        if (!known.has(key)) known.set(key, this.privates.push(one) - 1);
        return known.get(key)!;
      }),
    );
    if (this.privates.length > mostPrivates) throw new Hindrance('together they have too many font DICTs');
  }

  /** Equal texts, equal outlines. */
  keyOf(part: number, glyphId: number): string {
    const charstring = this.charstrings[part][glyphId];
    return charstring ? `${this.placeOf(part, glyphId)};${bytesKey(charstring)}` : '';
  }

  private placeOf(part: number, glyphId: number): number {
    return this.places[part][this.tables[part].fontDictOf(glyphId)] ?? 0;
  }

  joined({ origins }: Numbering): Uint8Array {
    const [{ stored }] = this.tables;
    return cffBytes({
      name: stored!.name,
      topDict: stored!.topDict,
      isCid: this.tables.some((cff) => cff.stored!.fontDicts !== undefined),
      privates: this.privates,
      privateOf: origins.map(({ part, glyphId }) => this.placeOf(part, glyphId)),
      charstrings: origins.map(({ part, glyphId }) => this.charstrings[part][glyphId]),
      global: [],
    });
  }
}

/** What counts for all glyphs; the box around them is another in each cut. */
const topKey = ({ stored }: Cff): string =>
  bytesKey(dictBytes(keptTopDict(stored!.topDict, false, 0).filter(([key]) => key !== fontBBox)));

/** Of the font DICT, which names strings too, only the matrix counts. */
function privateAt(cff: Cff, fontDict: number): WrittenPrivate {
  const stored = cff.stored!.fontDicts?.at(fontDict);
  const matrix = stored
    ? [...readRawDict(new Reader(stored, cff.tag))].filter(([key]) => key === operator.fontMatrix)
    : [];
  const entries = [...readRawDict(new Reader(cff.privateAt(fontDict).bytes, cff.tag))];
  return {
    fontDict: matrix.length > 0 ? dictBytes(matrix) : undefined,
    dict: entries.filter(([key]) => key !== operator.subrs),
    subrs: [],
  };
}
