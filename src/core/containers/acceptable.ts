// What Chromium and Firefox refuse a whole font for, and what can be mended without a loss

import { Reader } from '../bytes/reader.js';
import { readIndex } from '../outlines/cff-data.js';
import { Font } from '../sfnt/font.js';
import type { FontFormat } from './formats.js';

const carryingCff: readonly FontFormat[] = ['woff2', 'woff', 'otf'];
const refusal = 'Chromium and Firefox refuse a font with';

/** Tables without a byte, but for those of outlines, which may have none. They say nothing, so nothing is lost with them. */
export function emptyTables(font: Font): string[] {
  return font.tags.filter((tag) => tag !== 'glyf' && font.bytesOf(tag).length === 0);
}

/** Adobe Technical Note 5176, section 7: printable characters but for those with a meaning in PostScript. */
const isAllowed = (byte: number) =>
  byte > 0x20 && byte < 0x7f && !'()[]{}<>/%'.includes(String.fromCharCode(byte));

/** Where in the CFF table characters stand that its name can't have; mostly spaces. */
export function badNameCharacters(font: Font): number[] {
  if (!font.has('CFF ')) return [];
  const reader = new Reader(font.bytesOf('CFF '), 'CFF ');
  const index = readIndex(reader, reader.seek(2).uint8());
  if (index.count === 0) return [];
  const name = index.at(0);
  const start = name.byteOffset - reader.bytes.byteOffset;
  return Array.from(name, (byte, i) => (isAllowed(byte) ? -1 : start + i)).filter((at) => at >= 0);
}

/**
 * A font that browsers accept, where its tables are sound but for an empty one or the name inside CFF. Nobody sees
 * either of them.
 *
 * @param format what it will be written as
 * @returns also what had to go, in words
 */
export function acceptableFont(font: Font, format: FontFormat): { font: Font; dropped: string[] } {
  const empty = emptyTables(font);
  const bad = carryingCff.includes(format) ? badNameCharacters(font) : [];
  if (empty.length === 0 && bad.length === 0) return { font, dropped: [] };
  const dropped = empty.map((tag) => `${tag.trim()} (${refusal} an empty table)`);
  if (bad.length > 0) dropped.push(`spaces and the like in the name inside CFF (${refusal} those)`);
  const mended = new Font({
    flavour: font.flavour,
    tags: font.tags.filter((tag) => !empty.includes(tag)),
    bytesOf: (tag) => {
      if (!font.has(tag) || empty.includes(tag)) return undefined;
      const bytes = font.bytesOf(tag);
      return tag === 'CFF ' && bad.length > 0 ? withHyphens(bytes, bad) : bytes;
    },
  });
  return { font: mended, dropped };
}

function withHyphens(bytes: Uint8Array, at: readonly number[]): Uint8Array {
  const copy = new Uint8Array(bytes);
  for (const position of at) copy[position] = '-'.charCodeAt(0);
  return copy;
}
