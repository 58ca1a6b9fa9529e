// OpenType: name, Naming Table

import type { Font } from '../sfnt/font.js';
import * as name from '../tables/name.js';
import * as os2 from '../tables/os2.js';
import { windowsLanguages } from '../../data/windows-languages.js';

/** What a font calls itself, in English where it has it. */
export interface FontNames {
  family?: string;
  subfamily?: string;
  typographicFamily?: string;
  typographicSubfamily?: string;
  fullName?: string;
  postScriptName?: string;
  version?: string;
  manufacturer?: string;
  designer?: string;
  vendorUrl?: string;
  designerUrl?: string;
  description?: string;
  /** Four letters that OS/2 gives its maker. */
  vendorId?: string;
  /** All names of the Windows platform, in every language. */
  all: { id: number; language: string; value: string }[];
}

const shown = [
  'family',
  'subfamily',
  'typographicFamily',
  'typographicSubfamily',
  'fullName',
  'postScriptName',
  'version',
  'manufacturer',
  'designer',
  'vendorUrl',
  'designerUrl',
  'description',
] as const satisfies (keyof typeof name.nameID & keyof FontNames)[];

/** @throws DenseGlyphError `table-damaged` */
export function namesOf(font: Font): FontNames {
  const table = font.optional(name);
  const names: FontNames = { all: [] };
  const vendorId = font
    .optional(os2)
    ?.achVendID.replace(/[^\x20-\x7e]/g, '')
    .trim();
  if (vendorId) names.vendorId = vendorId;
  if (!table) return names;
  for (const key of shown) {
    const value = name.nameOf(table, name.nameID[key]);
    if (value) names[key] = value;
  }
  for (const record of table.nameRecord) {
    const value = record.platformID === 3 ? name.stringOf(record) : undefined;
    if (value) names.all.push({ id: record.nameID, language: languageOf(table, record.languageID), value });
  }
  return names;
}

function languageOf(table: name.Name, languageID: number): string {
  const tag = languageID >= 0x8000 ? table.langTagRecord?.[languageID - 0x8000] : undefined;
  if (tag) return new TextDecoder('utf-16be').decode(tag);
  return windowsLanguages[languageID] ?? `0x${languageID.toString(16).padStart(4, '0')}`;
}
