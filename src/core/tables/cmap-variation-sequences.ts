// OpenType: cmap, Format 14: Unicode Variation Sequences

import type { Reader } from '../bytes/reader.js';
import { Writer } from '../bytes/writer.js';

export interface VariationSelector {
  varSelector: number;
  /** Characters whose usual glyph is the right one: pairs of startUnicodeValue and additionalCount. */
  defaultUVS?: Uint32Array;
  /** Characters with a glyph of their own: pairs of unicodeValue and glyphID. */
  nonDefaultUVS?: Uint32Array;
}

const headerSize = 10;
const selectorSize = 11;

export function parse(reader: Reader): VariationSelector[] {
  reader.seek(6);
  const count = reader.uint32();
  if (count * selectorSize > reader.remaining) throw reader.damaged(`format 14 counts ${count} selectors`);
  const varSelectors: VariationSelector[] = [];
  let pairs = 0;
  for (let i = 0; i < count; i++) {
    reader.seek(headerSize + i * selectorSize);
    const selector: VariationSelector = { varSelector: reader.uint24() };
    const defaultUVSOffset = reader.uint32();
    const nonDefaultUVSOffset = reader.uint32();
    if (defaultUVSOffset) selector.defaultUVS = parsePairs(reader.seek(defaultUVSOffset), 1);
    if (nonDefaultUVSOffset) selector.nonDefaultUVS = parsePairs(reader.seek(nonDefaultUVSOffset), 2);
    pairs += (selector.defaultUVS?.length ?? 0) + (selector.nonDefaultUVS?.length ?? 0);
    // Each pair takes four bytes at least; more of them than that lie on top of each other.
    if (pairs * 2 > reader.length) throw reader.damaged('the lists of sequences overlap');
    varSelectors.push(selector);
  }
  return varSelectors;
}

function parsePairs(reader: Reader, secondSize: 1 | 2): Uint32Array {
  const count = reader.uint32();
  if (count * (3 + secondSize) > reader.remaining)
    throw reader.damaged(`format 14 counts ${count} sequences`);
  const pairs = new Uint32Array(count * 2);
  for (let i = 0; i < pairs.length; i += 2) {
    pairs[i] = reader.uint24();
    pairs[i + 1] = secondSize === 1 ? reader.uint8() : reader.uint16();
  }
  return pairs;
}

export function serialise(varSelectors: readonly VariationSelector[]): Uint8Array {
  const writer = new Writer(256).uint16(14).uint32(0).uint32(varSelectors.length);
  writer.write(new Uint8Array(varSelectors.length * selectorSize));
  varSelectors.forEach(({ varSelector, defaultUVS, nonDefaultUVS }, i) => {
    const at = headerSize + i * selectorSize;
    writer.patchUint16(at, varSelector >>> 8);
    writer.bytes()[at + 2] = varSelector & 0xff;
    if (defaultUVS) {
      writer.patchUint32(at + 3, writer.length);
      writePairs(writer, defaultUVS, 1);
    }
    if (nonDefaultUVS) {
      writer.patchUint32(at + 7, writer.length);
      writePairs(writer, nonDefaultUVS, 2);
    }
  });
  return writer.patchUint32(2, writer.length).bytes();
}

function writePairs(writer: Writer, pairs: Uint32Array, secondSize: 1 | 2): void {
  writer.uint32(pairs.length / 2);
  for (let i = 0; i < pairs.length; i += 2) {
    writer.uint24(pairs[i]);
    if (secondSize === 1) writer.uint8(pairs[i + 1]);
    else writer.uint16(pairs[i + 1]);
  }
}
