// OpenType: the glyphs of partial files in one order

import { cmap, maxp } from '../tables/index.js';
import type { Font } from '../sfnt/font.js';
import type { Mapping } from '../subset/glyphs.js';
import { GlyphMap } from '../layout/common/glyph-map.js';
import { Hindrance, type PartialFont } from './partial-font.js';

export interface Origin {
  part: number;
  glyphId: number;
}

/**
 * Each part keeps glyphs of its own, so that its lookups act on its letters as they did. Only characters that several parts
 * are asked for have one glyph in all of them, as a mark has to meet the letters of any part.
 */
export interface Numbering {
  /** One a part. */
  maps: GlyphMap[];
  /** Where each glyph is taken from. */
  origins: Origin[];
  /** Each character with its glyph, ascending. */
  mappings: Mapping[];
  /** Glyphs, by their new numbers, that a part has together with each of those before it. */
  sharedWith(part: number, earlier: number): ReadonlySet<number>;
}

const most = 0xffff;
const none = 0xffff;

/**
 * @param parts in the order of their rules: of two that have a character, the last one draws it (CSS Fonts 4, section 4.5)
 * @param sameGlyph whether two glyphs draw the same
 * @throws Hindrance where files have different glyphs for a character, or too many
 */
export function numberGlyphs(
  parts: readonly PartialFont[],
  sameGlyph: (a: Origin, b: Origin) => boolean,
): Numbering {
  const newIds = parts.map(({ font }) => new Uint16Array(font.table(maxp).numGlyphs).fill(none));
  const origins: Origin[] = [{ part: 0, glyphId: 0 }];
  for (const list of newIds) list[0] = 0;
  const users: number[][] = [];
  const mappings = shareCharacters(parts, newIds, origins, users, sameGlyph);
  newIds.forEach((list, part) => {
    for (let glyphId = 1; glyphId < list.length; glyphId++) {
      if (list[glyphId] !== none) continue;
      if (origins.length === most) throw new Hindrance('together they have more glyphs than a font can hold');
      list[glyphId] = origins.push({ part, glyphId }) - 1;
    }
  });
  return {
    maps: newIds.map((list) => sparseMap(list)),
    origins,
    mappings: mappings.map(([character, { part, glyphId }]) => [character, newIds[part][glyphId]]),
    sharedWith(part, earlier) {
      const shared = new Set<number>();
      users.forEach((list, glyph) => {
        if (list.includes(part) && list.includes(earlier)) shared.add(glyph);
      });
      return shared;
    },
  };
}

/** With holes where glyphs are those of other parts. */
function sparseMap(newIds: Uint16Array): GlyphMap {
  const oldIds: number[] = [];
  newIds.forEach((newId, oldId) => {
    if (oldId === 0 || newId !== 0) oldIds[newId] = oldId;
  });
  return new GlyphMap(oldIds, newIds.length);
}

/**
 * Numbers the glyphs of characters that several parts are asked for.
 *
 * @param users gets the parts that have each of these glyphs
 * @returns each character with the glyph that draws it
 */
function shareCharacters(
  parts: readonly PartialFont[],
  newIds: readonly Uint16Array[],
  origins: Origin[],
  users: number[][],
  sameGlyph: (a: Origin, b: Origin) => boolean,
): [character: number, origin: Origin][] {
  const owners = new Map<number, number[]>();
  parts.forEach(({ characters }, part) => {
    characters.forEach((character) => {
      const known = owners.get(character);
      if (known) known.push(part);
      else owners.set(character, [part]);
    });
  });
  const sorted = [...owners].sort(([a], [b]) => a - b);
  return sorted.map(([character, list]) => {
    const glyphs = list.map((part) => ({ part, glyphId: glyphOf(parts[part].font, character) }));
    if (glyphs.length > 1) share(glyphs, character, newIds, origins, users, sameGlyph);
    return [character, glyphs[glyphs.length - 1]];
  });
}

const glyphOf = (font: Font, character: number) => cmap.glyphIdOf(font.table(cmap), character);

function share(
  glyphs: readonly Origin[],
  character: number,
  newIds: readonly Uint16Array[],
  origins: Origin[],
  users: number[][],
  sameGlyph: (a: Origin, b: Origin) => boolean,
): void {
  const name = `U+${character.toString(16).toUpperCase().padStart(4, '0')}`;
  const [first, ...others] = glyphs;
  if (!others.every((other) => sameGlyph(first, other))) throw new Hindrance(`they draw ${name} differently`);
  const known = new Set(
    glyphs.map(({ part, glyphId }) => newIds[part][glyphId]).filter((newId) => newId !== none),
  );
  const [newId = origins.push(first) - 1] = known;
  const collides = glyphs.some(
    ({ part, glyphId }) => newIds[part][glyphId] === none && users[newId]?.includes(part),
  );
  if (known.size > 1 || collides)
    throw new Hindrance(`they give ${name} and other characters one glyph, or not`);
  users[newId] ??= [];
  for (const { part, glyphId } of glyphs) {
    newIds[part][glyphId] = newId;
    if (!users[newId].includes(part)) users[newId].push(part);
  }
}
