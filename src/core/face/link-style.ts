// OpenType: name, IDs 1, 2, 4, 16, 17, 21 and 22; OS/2, usWeightClass and fsSelection; head, macStyle

import type { Slope } from './style.js';
import * as head from '../tables/head.js';
import * as name from '../tables/name.js';
import * as os2 from '../tables/os2.js';
import { fontOf, type Font } from '../sfnt/font.js';

/** What the rule that serves a font says of it. */
export interface StyleLink {
  family: string;
  weight: number;
  style: Slope;
}

/** From this weight on a family of four styles calls it bold. */
const boldFrom = 600;

/**
 * A font whose names and style bits agree with the rule that serves it, for browsers that read them: families of four
 * styles (regular, italic, bold, bold italic), the full name starting with the family's.
 *
 * @returns the font, and what was changed, in words
 */
export function linkStyle(
  font: Font,
  { family, weight, style }: StyleLink,
): { font: Font; changes: string[] } {
  const changes: string[] = [];
  const tables = font.tables();
  const bold = weight >= boldFrom;
  const italic = style !== 'normal';
  // A family has one regular and one bold; other weights become families of their own.
  const linked = weight === 400 || weight === 700 ? family : `${family} ${weight}`;
  const subfamily = [bold ? 'Bold' : '', italic ? 'Italic' : ''].filter(Boolean).join(' ') || 'Regular';
  const fullName = subfamily === 'Regular' ? linked : `${linked} ${subfamily}`;

  const names = font.optional(name);
  if (names) {
    const { nameID } = name;
    const wanted = [
      [nameID.family, linked],
      [nameID.subfamily, subfamily],
      [nameID.fullName, fullName],
    ] as const;
    for (const [id, value] of wanted) {
      const before = name.nameOf(names, id);
      if (before !== value) changes.push(`name ${id}: "${before ?? ''}" became "${value}"`);
    }
    tables.set(name.tag, name.serialise(renamed(names, wanted)));
  }
  const metrics = font.optional(os2);
  if (metrics) {
    const fsSelection = selectionOf(metrics.fsSelection, bold, italic);
    if (metrics.usWeightClass !== weight)
      changes.push(`OS/2: weight ${metrics.usWeightClass} became ${weight}`);
    if (metrics.fsSelection !== fsSelection) changes.push(`OS/2: style bits became ${subfamily}`);
    tables.set(os2.tag, os2.serialise({ ...metrics, usWeightClass: weight, fsSelection }));
  }
  const header = font.table(head);
  const macStyle =
    (header.macStyle & ~(head.macStyle.bold | head.macStyle.italic)) |
    (bold ? head.macStyle.bold : 0) |
    (italic ? head.macStyle.italic : 0);
  if (header.macStyle !== macStyle) changes.push(`head: style bits became ${subfamily}`);
  tables.set(head.tag, head.serialise({ ...header, macStyle }));
  return { font: changes.length > 0 ? fontOf(font.flavour, tables) : font, changes };
}

/** Windows and Macintosh records in English for each wanted name; names of larger families go. */
function renamed(table: name.Name, wanted: readonly (readonly [number, string])[]): name.Name {
  const { nameID } = name;
  const replaced = new Set<number>([
    ...wanted.map(([id]) => id),
    nameID.typographicFamily,
    nameID.typographicSubfamily,
    nameID.wwsFamily,
    nameID.wwsSubfamily,
  ]);
  const kept = table.nameRecord.filter((record) => !replaced.has(record.nameID));
  const added = wanted.map(([id, value]): name.NameRecord => {
    const bytes = new Uint8Array(value.length * 2);
    for (let i = 0; i < value.length; i++) {
      bytes[i * 2] = value.charCodeAt(i) >> 8;
      bytes[i * 2 + 1] = value.charCodeAt(i) & 0xff;
    }
    return { platformID: 3, encodingID: 1, languageID: 0x409, nameID: id, bytes };
  });
  const order = (a: name.NameRecord, b: name.NameRecord) =>
    a.platformID - b.platformID ||
    a.encodingID - b.encodingID ||
    a.languageID - b.languageID ||
    a.nameID - b.nameID;
  return { ...table, nameRecord: [...kept, ...added].sort(order) };
}

function selectionOf(fsSelection: number, bold: boolean, italic: boolean): number {
  const { bold: boldBit, italic: italicBit, regular } = os2.fsSelection;
  const other = fsSelection & ~(boldBit | italicBit | regular);
  return other | (bold ? boldBit : 0) | (italic ? italicBit : 0) | (!bold && !italic ? regular : 0);
}
