// OpenType: gvar: the peaks that glyphs of partial files share, in one list

import { bytesKey } from '../bytes/key.js';
import {
  maximumSharedTuples,
  readGlyphVariations,
  type GlyphVariations,
} from '../variations/glyph-variations.js';
import { Hindrance, type PartialFont } from './partial-font.js';

export class SharedTuples {
  readonly list: Uint8Array[] = [];
  private readonly known = new Map<string, number>();
  private readonly tables: (GlyphVariations | undefined)[];
  private readonly numbers: number[][];

  constructor(parts: readonly PartialFont[]) {
    this.tables = parts.map(({ font }) => (font.has('gvar') ? readGlyphVariations(font) : undefined));
    this.numbers = parts.map(() => []);
  }

  /** The number, in the list, of a part's tuple. @throws Hindrance, DenseGlyphError `table-damaged` */
  numberOf(part: number, index: number): number {
    return (this.numbers[part][index] ??= this.add(this.tables[part]!.sharedTupleAt(index)));
  }

  private add(tuple: Uint8Array): number {
    const key = bytesKey(tuple);
    let number = this.known.get(key);
    if (number === undefined) {
      if (this.list.length === maximumSharedTuples)
        throw new Hindrance('together they vary in too many ways');
      this.known.set(key, (number = this.list.push(tuple) - 1));
    }
    return number;
  }
}
