// OpenType Layout Common Table Formats: Script List Table and Feature List Table

import { Reader } from '../../bytes/reader.js';
import type { Font } from '../../sfnt/font.js';
import * as name from '../../tables/name.js';

/** A feature that GSUB or GPOS lists. */
export interface ListedFeature {
  tag: string;
  tables: ('GSUB' | 'GPOS')[];
  /** The name that the font gives a stylistic set or a character variant. */
  label?: string;
}

export interface LayoutLists {
  features: ListedFeature[];
  /** OpenType script tags, sorted. */
  scripts: string[];
  /** OpenType language system tags, sorted, without the default. */
  languageSystems: string[];
}

const layoutTables = ['GSUB', 'GPOS'] as const;

/**
 * The features and scripts that a font's layout tables list. Lookups aren't read.
 *
 * @throws DenseGlyphError `table-damaged`
 */
export function layoutListsOf(font: Font): LayoutLists {
  const features = new Map<string, ListedFeature>();
  const scripts = new Set<string>();
  const languageSystems = new Set<string>();
  for (const table of layoutTables) {
    if (!font.has(table)) continue;
    const reader = new Reader(font.bytesOf(table), table);
    const majorVersion = reader.uint16();
    if (majorVersion !== 1) throw reader.damaged(`version ${majorVersion} is not known`, 0);
    const scriptList = reader.skip(2).uint16();
    const featureList = reader.uint16();
    if (scriptList > 0) readScripts(reader, scriptList, scripts, languageSystems);
    if (featureList > 0) readFeatures(reader, featureList, font, table, features);
  }
  return {
    features: [...features.values()].sort((a, b) => (a.tag < b.tag ? -1 : 1)),
    scripts: [...scripts].sort(),
    languageSystems: [...languageSystems].sort(),
  };
}

/** Language systems of all scripts together; fonts for every script there is have some hundred. */
const maximumLanguageSystems = 0x4000;

function readScripts(
  reader: Reader,
  start: number,
  scripts: Set<string>,
  languageSystems: Set<string>,
): void {
  const count = reader.seek(start).uint16();
  let total = 0;
  for (let i = 0; i < count; i++) {
    reader.seek(start + 2 + i * 6);
    scripts.add(reader.tag().trim());
    const script = start + reader.uint16();
    const langSysCount = reader.seek(script + 2).uint16();
    total += langSysCount;
    if (total > maximumLanguageSystems)
      throw reader.damaged(`the scripts list ${total} language systems`, script);
    for (let k = 0; k < langSysCount; k++) {
      languageSystems.add(
        reader
          .seek(script + 4 + k * 6)
          .tag()
          .trim(),
      );
    }
  }
}

function readFeatures(
  reader: Reader,
  start: number,
  font: Font,
  table: 'GSUB' | 'GPOS',
  features: Map<string, ListedFeature>,
): void {
  const count = reader.seek(start).uint16();
  for (let i = 0; i < count; i++) {
    const tag = reader.seek(start + 2 + i * 6).tag();
    const offset = start + reader.uint16();
    const known = features.get(tag);
    if (known?.tables.includes(table)) continue;
    if (known) {
      known.tables.push(table);
      continue;
    }
    const label = readLabel(reader, offset, tag, font);
    features.set(tag, { tag, tables: [table], ...(label ? { label } : {}) });
  }
}

/** The name ID stands at the same place in the parameters of ss01 to ss20 and of cv01 to cv99. */
function readLabel(reader: Reader, feature: number, tag: string, font: Font): string | undefined {
  if (!/^(ss|cv)\d\d$/.test(tag)) return undefined;
  const params = reader.seek(feature).uint16();
  if (params === 0) return undefined;
  const nameId = reader.seek(feature + params + 2).uint16();
  const names = font.optional(name);
  return names && name.nameOf(names, nameId);
}
