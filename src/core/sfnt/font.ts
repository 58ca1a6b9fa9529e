import { Reader } from '../bytes/reader.js';
import { DenseGlyphError } from '../../errors.js';

/** The first four bytes of the sfnt file: which outlines it holds. */
export type Flavour = 'truetype' | 'cff';

/** How a table module reads and writes its table; one for each file of `core/tables`. */
export interface TableModule<Table> {
  tag: string;
  /** @param font the font the table is in, for tables whose layout depends on others */
  parse(reader: Reader, font: Font): Table;
  /** The table's bytes, without padding. Changes nothing. */
  serialise(table: Table): Uint8Array;
}

/** Where a font's tables come from. A container inflates or rebuilds a table when it is asked for. */
export interface TableSource {
  flavour: Flavour;
  /** Table tags in the order in which the file stores the tables. */
  tags: readonly string[];
  /** The table's bytes without padding, or undefined if the font doesn't have it. */
  bytesOf(tag: string): Uint8Array | undefined;
}

/** A font of which only the directory has been read; tables are read and parsed when they are asked for. */
export class Font {
  private readonly parsed = new Map<string, unknown>();

  constructor(private readonly source: TableSource) {}

  get flavour(): Flavour {
    return this.source.flavour;
  }

  get tags(): readonly string[] {
    return this.source.tags;
  }

  has(tag: string): boolean {
    return this.source.tags.includes(tag);
  }

  /** @throws DenseGlyphError `table-missing` */
  bytesOf(tag: string): Uint8Array {
    const bytes = this.source.bytesOf(tag);
    if (!bytes) throw new DenseGlyphError('table-missing', `the font has no ${tag.trim()} table`);
    return bytes;
  }

  /**
   * The parsed table; parsed once.
   *
   * @throws DenseGlyphError `table-missing` or `table-damaged`
   */
  table<Table>(module: TableModule<Table>): Table {
    if (!this.parsed.has(module.tag)) {
      this.parsed.set(module.tag, module.parse(new Reader(this.bytesOf(module.tag), module.tag), this));
    }
    return this.parsed.get(module.tag) as Table;
  }

  /** The parsed table, or undefined if the font doesn't have it. */
  optional<Table>(module: TableModule<Table>): Table | undefined {
    return this.has(module.tag) ? this.table(module) : undefined;
  }

  /** All tables as they are, in the order of the file. */
  tables(): Map<string, Uint8Array> {
    return new Map(this.tags.map((tag) => [tag, this.bytesOf(tag)]));
  }
}

/** A font of tables held in memory, for fonts that were rebuilt or put together. */
export function fontOf(flavour: Flavour, tables: ReadonlyMap<string, Uint8Array>): Font {
  return new Font({ flavour, tags: [...tables.keys()], bytesOf: (tag) => tables.get(tag) });
}
