import type { Reader } from '../../bytes/reader.js';

/** Reads the format of a subtable. @throws DenseGlyphError `table-damaged` where it is none of those given */
export function readFormat(reader: Reader, start: number, ...known: number[]): number {
  const format = reader.seek(start).uint16();
  if (!known.includes(format))
    throw reader.damaged(`format ${format} of this lookup type is not known`, start);
  return format;
}
