// OpenType Layout Common Table Formats: the headers of GSUB and GPOS, Script, Feature and Lookup Lists

import { Reader } from '../bytes/reader.js';
import { readOnce } from '../bytes/read-once.js';
import { DenseGlyphError } from '../../errors.js';
import type { Font } from '../sfnt/font.js';
import { readFeatureVariations, type FeatureVariation } from './common/feature-variations.js';
import { allGlyphs, type GlyphFilter, type Scope } from './common/glyph-map.js';
import { lookupFlag, type LookupHeader } from './common/lookup.js';
import type { LayoutTag } from './common/lookup-kind.js';
import { extensionTypes, kindOfType, type Subtable } from './kinds.js';

export interface Lookup extends LookupHeader {
  subtables: Subtable[];
}

/** Indexes of features. */
export interface LanguageSystem {
  required?: number;
  features: number[];
}

export interface Script {
  tag: string;
  defaultLanguageSystem?: LanguageSystem;
  languageSystems: { tag: string; system: LanguageSystem }[];
}

export interface Feature {
  tag: string;
  /** Feature parameters as stored; they hold no offsets and no glyphs. */
  params?: Uint8Array;
  /** Indexes of lookups. */
  lookups: number[];
}

/** GSUB or GPOS; a lookup is read when it is asked for. */
export interface LayoutTable {
  tag: LayoutTag;
  scripts: Script[];
  features: Feature[];
  lookupCount: number;
  /**
   * Subtables that are damaged are missing, as browsers leave them out.
   *
   * @throws DenseGlyphError `table-damaged` where the lookup itself is
   */
  lookupAt(index: number): Lookup;
  /** What is wrong with subtables that are missing in the lookups read so far. */
  damages: DenseGlyphError[];
  featureVariations: FeatureVariation[];
}

/**
 * @param wanted which glyphs matter to positions; those of others aren't read
 * @returns undefined where the font hasn't the table
 */
export function readLayoutTable(
  font: Font,
  tag: LayoutTag,
  wanted: GlyphFilter = allGlyphs,
): LayoutTable | undefined {
  if (!font.has(tag)) return undefined;
  const reader = new Reader(font.bytesOf(tag), tag).limitReadings();
  const scope: Scope = { wanted, varies: font.has('fvar') };
  const majorVersion = reader.uint16();
  const minorVersion = reader.uint16();
  if (majorVersion !== 1) throw reader.damaged(`version ${majorVersion} is not known`, 0);
  const [scriptList, featureList, lookupList] = reader.uint16Array(3);
  const variations = minorVersion >= 1 ? reader.uint32() : 0;
  const lookupOffsets =
    lookupList === 0 ? new Uint16Array() : reader.seek(lookupList).uint16Array(reader.uint16());
  const damages: DenseGlyphError[] = [];
  const lookups: Lookup[] = [];
  const read = readOnce(reader, (at) => readLookup(reader, at, tag, scope, damages));
  return {
    tag,
    scripts: scriptList === 0 ? [] : readScripts(reader, scriptList),
    features: featureList === 0 ? [] : readFeatures(reader, featureList),
    lookupCount: lookupOffsets.length,
    lookupAt: (index) => (lookups[index] ??= read(lookupList + (lookupOffsets[index] ?? 0))),
    damages,
    featureVariations: variations === 0 ? [] : readFeatureVariations(reader, variations),
  };
}

function readScripts(reader: Reader, start: number): Script[] {
  return records(reader, start).map(({ tag, offset }): Script => {
    const defaultOffset = reader.seek(start + offset).uint16();
    const systems = records(reader, start + offset + 2);
    const systemAt = (at: number) => readLanguageSystem(reader, start + offset + at);
    return {
      tag,
      ...(defaultOffset === 0 ? {} : { defaultLanguageSystem: systemAt(defaultOffset) }),
      languageSystems: systems.map((system) => ({ tag: system.tag, system: systemAt(system.offset) })),
    };
  });
}

function records(reader: Reader, at: number): { tag: string; offset: number }[] {
  const count = reader.seek(at).uint16();
  return Array.from({ length: count }, () => ({ tag: reader.tag(), offset: reader.uint16() }));
}

const noFeature = 0xffff;

function readLanguageSystem(reader: Reader, start: number): LanguageSystem {
  const required = reader.seek(start + 2).uint16();
  const features = Array.from(reader.uint16Array(reader.uint16()));
  return required === noFeature ? { features } : { required, features };
}

function readFeatures(reader: Reader, start: number): Feature[] {
  return records(reader, start).map(({ tag, offset }) => ({
    tag,
    ...readFeature(reader, start + offset, tag),
  }));
}

/** A Feature table, in the list or in place of one of its features. */
export function readFeature(reader: Reader, start: number, tag?: string): Omit<Feature, 'tag'> {
  const paramsOffset = reader.seek(start).uint16();
  const lookups = Array.from(reader.uint16Array(reader.uint16()));
  const params = paramsOffset === 0 || !tag ? undefined : readParams(reader, start + paramsOffset, tag);
  return params ? { params, lookups } : { lookups };
}

function readParams(reader: Reader, start: number, tag: string): Uint8Array | undefined {
  if (tag === 'size') return reader.seek(start).take(10);
  if (/^ss\d\d$/.test(tag)) return reader.seek(start).take(4);
  if (!/^cv\d\d$/.test(tag)) return undefined;
  const charCount = reader.seek(start + 12).uint16();
  return reader.seek(start).take(14 + charCount * 3);
}

/** With more, nothing of a table is to be trusted, and a small one could take long to read. */
const damagesAllowed = 32;

function readLookup(
  reader: Reader,
  start: number,
  tag: LayoutTag,
  scope: Scope,
  damages: DenseGlyphError[],
): Lookup {
  const extension = extensionTypes[tag];
  const stored = reader.seek(start).uint16();
  const flag = reader.uint16();
  const offsets = reader.uint16Array(reader.uint16());
  const markFilteringSet = flag & lookupFlag.useMarkFilteringSet ? reader.uint16() : undefined;
  let type = stored;
  const read = (offset: number): Subtable => {
    let [own, at] = [stored, start + offset];
    if (stored === extension) {
      const format = reader.seek(at).uint16();
      own = reader.uint16();
      if (format !== 1 || own === extension) throw reader.damaged('an extension leads nowhere', at);
      at += reader.uint32();
    }
    const kind = kindOfType(tag, own);
    if (!kind) throw reader.damaged(`lookup type ${own} is not known`, start);
    const subtable = kind.read(reader, at, own, scope);
    type = own;
    return subtable;
  };
  const subtables: Subtable[] = [];
  // A subtable that is listed twice says nothing the second time.
  for (const offset of new Set(offsets)) {
    try {
      subtables.push(read(offset));
    } catch (cause) {
      const isDamage = cause instanceof DenseGlyphError && cause.code === 'table-damaged';
      if (!isDamage || reader.isExhausted || damages.push(cause) > damagesAllowed) throw cause;
    }
  }
  return { type, flag, subtables, ...(markFilteringSet === undefined ? {} : { markFilteringSet }) };
}
