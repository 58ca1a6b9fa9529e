// OpenType: name and OS/2 of a font that was made smaller

import { Reader } from '../bytes/reader.js';
import type { LayoutTable } from '../layout/layout-table.js';
import type { Font } from '../sfnt/font.js';
import { fvar, name, os2 } from '../tables/index.js';
import type { Mapping } from './glyphs.js';

/** What browsers, licences and credit need: who made it, under which terms, what it is called. */
const keptNames: ReadonlySet<number> = new Set([
  name.nameID.copyright,
  name.nameID.family,
  name.nameID.subfamily,
  name.nameID.fullName,
  name.nameID.version,
  name.nameID.postScriptName,
  name.nameID.trademark,
  name.nameID.manufacturer,
  name.nameID.designer,
  name.nameID.licence,
  name.nameID.licenceUrl,
  name.nameID.typographicFamily,
  name.nameID.typographicSubfamily,
  25, // the prefix of PostScript names of variable fonts
]);

const windows = 3;
const englishUnitedStates = 0x409;

/** Bytes of a licence that is more than a sentence: a whole text, which every visitor would fetch. */
const longLicence = 1000;

/**
 * The text of a licence that is too long to be served inside each file, where the font names a place for it too. It goes beside
 * the files instead.
 */
export function longLicenceOf(font: Font): string | undefined {
  const names = font.optional(name);
  const text = names && name.nameOf(names, name.nameID.licence);
  const isLong = text !== undefined && text.length * 2 > longLicence;
  return isLong && name.nameOf(names!, name.nameID.licenceUrl) ? text : undefined;
}

/** The names that are needed, in English; in other languages only where English is missing. */
export function keptName(font: Font, layouts: readonly (LayoutTable | undefined)[]): Uint8Array {
  const { nameRecord } = font.table(name);
  const wanted = new Set([...keptNames, ...namesOfVariations(font), ...namesOfFeatures(layouts)]);
  if (longLicenceOf(font) !== undefined) wanted.delete(name.nameID.licence);
  const chosen = new Map<number, name.NameRecord>();
  for (const record of nameRecord) {
    const { nameID } = record;
    if (!wanted.has(nameID) || record.bytes.length === 0) continue;
    const known = chosen.get(nameID);
    if (!known || rank(record) > rank(known)) chosen.set(nameID, record);
  }
  const records = [...chosen.values()].sort(
    (a, b) =>
      a.platformID - b.platformID ||
      a.encodingID - b.encodingID ||
      a.languageID - b.languageID ||
      a.nameID - b.nameID,
  );
  return name.serialise({ version: 0, nameRecord: records });
}

function rank({ platformID, languageID }: name.NameRecord): number {
  if (languageID >= 0x8000) return 0; // a language tag of version 1, which isn't written
  if (platformID !== windows) return 1;
  return languageID === englishUnitedStates ? 3 : 2;
}

function namesOfVariations(font: Font): number[] {
  const ids = (font.optional(fvar)?.axes ?? []).map(({ axisNameID }) => axisNameID);
  return font.has('STAT') ? [...ids, ...namesOfStyles(font)] : ids;
}

/** OpenType: STAT. */
function namesOfStyles(font: Font): number[] {
  const reader = new Reader(font.bytesOf('STAT'), 'STAT');
  const minorVersion = reader.skip(2).uint16();
  const designAxisSize = reader.uint16();
  const designAxisCount = reader.uint16();
  const designAxes = reader.uint32();
  const axisValueCount = reader.uint16();
  const axisValues = reader.uint32();
  const ids = minorVersion >= 1 ? [reader.uint16()] : [];
  for (let i = 0; i < designAxisCount; i++)
    ids.push(reader.seek(designAxes + i * designAxisSize + 4).uint16());
  const offsets = axisValueCount === 0 ? [] : reader.seek(axisValues).uint16Array(axisValueCount);
  // The name stands at the same place in all formats.
  for (const offset of offsets) ids.push(reader.seek(axisValues + offset + 6).uint16());
  return ids;
}

/** Stylistic sets and character variants may have names of their own. */
function namesOfFeatures(layouts: readonly (LayoutTable | undefined)[]): number[] {
  return layouts.flatMap((layout) =>
    (layout?.features ?? []).flatMap(({ tag, params }) => {
      if (!params || tag === 'size') return [];
      const reader = new Reader(params, layout!.tag).seek(2);
      return Array.from(reader.uint16Array(tag.startsWith('ss') ? 1 : 4));
    }),
  );
}

/** OS/2 with the first and the last character that are left. */
export function keptOs2(font: Font, mappings: readonly Mapping[]): Uint8Array {
  const table = font.table(os2);
  const last = mappings[mappings.length - 1]?.[0] ?? 0;
  return os2.serialise({
    ...table,
    usFirstCharIndex: Math.min(mappings[0]?.[0] ?? 0, 0xffff),
    usLastCharIndex: Math.min(last, 0xffff),
  });
}
