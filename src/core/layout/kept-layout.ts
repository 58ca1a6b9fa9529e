// OpenType: GSUB and GPOS for the glyphs and features that stay

import { deltaSetKey } from './common/device.js';
import type { FeatureVariation } from './common/feature-variations.js';
import type { GlyphMap } from './common/glyph-map.js';
import type { LayoutTag } from './common/lookup-kind.js';
import { lookupsWithin } from './closure.js';
import { noValue } from './gpos/value-record.js';
import { kindOf, positioningKindOf, type Subtable } from './kinds.js';
import type { Feature, LanguageSystem, LayoutTable, Lookup, Script } from './layout-table.js';

/** A layout table that is ready to be written. Contexts still name lookups by their old numbers. */
export interface KeptLayout {
  tag: LayoutTag;
  scripts: Script[];
  features: Feature[];
  lookups: Lookup[];
  /** The new number of each lookup that stays. */
  lookupNumbers: ReadonlyMap<number, number>;
  featureVariations: FeatureVariation[];
}

/** The lookups that wanted features apply, by themselves or in place of others along the axes. */
export function lookupsOfFeatures(table: LayoutTable, isWanted: (tag: string) => boolean): number[] {
  const found = new Set<number>();
  table.features.forEach(({ tag, lookups }, feature) => {
    if (!isWanted(tag)) return;
    for (const lookup of lookups) found.add(lookup);
    for (const { substitutions } of table.featureVariations) {
      for (const other of substitutions) {
        if (other.feature === feature) for (const lookup of other.lookups) found.add(lookup);
      }
    }
  });
  return [...found].sort((a, b) => a - b);
}

/** Where a script has none of these, browsers make small capitals, or raised and lowered text, of other characters. */
const presenceTells: ReadonlySet<string> = new Set(['smcp', 'c2sc', 'pcap', 'c2pc', 'subs', 'sups']);

/** Whether a feature of what is left still does something. */
export function hasLookups({ features, featureVariations }: KeptLayout, feature: number): boolean {
  return (
    features[feature].lookups.length > 0 ||
    featureVariations.some(({ substitutions }) => substitutions.some((other) => other.feature === feature))
  );
}

/**
 * @param map the glyphs that stay
 * @param isWanted which features stay, by tag
 * @param scriptsMatter whether the scripts stay where no feature does
 * @param mentioned a glyph, by its number in the font, that features go on mentioning where they did, by a lookup that
 *   replaces it by itself, or doesn't move it; not `kern`
 * @returns undefined where nothing is left of the table
 */
export function keptLayout(
  table: LayoutTable,
  map: GlyphMap,
  isWanted: (tag: string) => boolean,
  scriptsMatter: boolean,
  mentioned?: number,
): KeptLayout | undefined {
  const lookups = keptLookups(table, map, isWanted);
  const lookupNumbers = new Map([...lookups.keys()].map((old, i) => [old, i]));
  const idle = lookups.size;
  const newId = mentioned === undefined ? undefined : map.newId(mentioned);
  const unmentioning =
    mentioned === undefined || newId === undefined
      ? new Set<number>()
      : lookupsWithoutMention(table, lookups, isWanted, mentioned, newId);
  if (newId !== undefined && unmentioning.size > 0) {
    lookups.set(table.lookupCount, idleLookup(table.tag, newId));
  }
  const renumber = (old: readonly number[]) => {
    const numbers = old.flatMap((lookup) => lookupNumbers.get(lookup) ?? []);
    return old.some((lookup) => unmentioning.has(lookup)) ? [...numbers, idle] : numbers;
  };
  const variations = table.featureVariations.map(({ conditions, substitutions }) => ({
    conditions,
    substitutions: substitutions
      .filter(({ feature }) => isWanted(table.features[feature]?.tag ?? ''))
      .map(({ feature, lookups: old }) => ({ feature, lookups: renumber(old) })),
  }));
  const varied = new Set(
    variations.flatMap(({ substitutions }) =>
      substitutions.filter((other) => other.lookups.length > 0).map(({ feature }) => feature),
    ),
  );
  const features: Feature[] = [];
  const featureNumbers = new Map<number, number>();
  const alike = new Map<string, number>();
  table.features.forEach((feature, i) => {
    const numbers = renumber(feature.lookups);
    const isEmpty = numbers.length === 0 && !varied.has(i);
    if (!isWanted(feature.tag) || (isEmpty && !presenceTells.has(feature.tag))) return;
    const key = varied.has(i) ? `${i}` : `${feature.tag} ${numbers.join()} ${feature.params?.join() ?? ''}`;
    const same = alike.get(key);
    featureNumbers.set(i, same ?? features.push({ ...feature, lookups: numbers }) - 1);
    if (same === undefined) alike.set(key, features.length - 1);
  });
  if (features.length === 0 && !scriptsMatter) return undefined;
  return {
    tag: table.tag,
    scripts: table.scripts.map((script) => keptScript(script, featureNumbers)),
    features,
    lookups: [...lookups.values()],
    lookupNumbers,
    featureVariations: variations.map(({ conditions, substitutions }) => ({
      conditions,
      substitutions: substitutions.flatMap(({ feature, lookups: kept }) => {
        const number = featureNumbers.get(feature);
        return number === undefined ? [] : [{ feature: number, lookups: kept }];
      }),
    })),
  };
}

/** By their old numbers, in their order. */
function keptLookups(
  table: LayoutTable,
  map: GlyphMap,
  isWanted: (tag: string) => boolean,
): Map<number, Lookup> {
  const lookups = new Map<number, Lookup>();
  // Lookups may share their subtables.
  const known = new Map<Subtable, Subtable | undefined>();
  const keptOnce = (subtable: Subtable) => {
    if (!known.has(subtable)) known.set(subtable, kindOf(subtable).kept(subtable, map));
    return known.get(subtable);
  };
  const within = lookupsWithin(table, lookupsOfFeatures(table, isWanted));
  for (const index of [...within].sort((a, b) => a - b)) {
    const lookup = table.lookupAt(index);
    const subtables = lookup.subtables.flatMap((subtable) => keptOnce(subtable) ?? []);
    if (subtables.length > 0) lookups.set(index, { ...lookup, subtables: withoutIdleEnd(subtables) });
  }
  // What only decides that other lookups apply goes with them.
  for (let before = -1; before !== lookups.size;) {
    before = lookups.size;
    for (const [index, { subtables }] of lookups) {
      if (!subtables.some((subtable) => hasEffect(subtable, lookups))) lookups.delete(index);
    }
  }
  return lookups;
}

/** Old numbers of the lookups of features that had a glyph and don't have it any more, or are gone. */
function lookupsWithoutMention(
  table: LayoutTable,
  kept: ReadonlyMap<number, Lookup>,
  isWanted: (tag: string) => boolean,
  oldId: number,
  newId: number,
): Set<number> {
  const found = new Set<number>();
  const has = (lookup: Lookup | undefined, glyphId: number) =>
    lookup?.subtables.some((subtable) => kindOf(subtable).mentions(subtable, glyphId)) === true;
  for (const index of lookupsOfFeatures(table, (tag) => isWanted(tag) && tag !== 'kern')) {
    if (index >= table.lookupCount || has(kept.get(index), newId)) continue;
    if (has(table.lookupAt(index), oldId)) found.add(index);
  }
  return found;
}

/** Replaces a glyph by itself, or moves it by nothing. */
function idleLookup(tag: LayoutTag, glyphId: number): Lookup {
  const idle: Subtable =
    tag === 'GSUB'
      ? { kind: 'single', glyphs: new Map([[glyphId, glyphId]]) }
      : { kind: 'single adjustment', values: new Map([[glyphId, noValue]]) };
  return { type: 1, flag: 0, subtables: [idle] };
}

/** A subtable that does nothing but call lookups does nothing without one. */
const hasEffect = (subtable: Subtable, lookups: ReadonlyMap<number, Lookup>) =>
  kindOf(subtable)
    .lookups?.(subtable)
    .some((lookup) => lookups.has(lookup)) ?? true;

/** Pairs that move nothing keep later subtables from being asked; behind the last one there are none. */
function withoutIdleEnd(subtables: Subtable[]): Subtable[] {
  const kept = [...subtables];
  for (let last = kept.pop(); last; last = kept.pop()) {
    const kind = positioningKindOf(last);
    const left = kind?.moving ? kind.moving(last) : last;
    if (left) return [...kept, left];
  }
  return kept;
}

function keptScript(
  { tag, defaultLanguageSystem, languageSystems }: Script,
  numbers: ReadonlyMap<number, number>,
): Script {
  const standard = defaultLanguageSystem && keptSystem(defaultLanguageSystem, numbers);
  const standardKey = JSON.stringify(standard);
  const systems = languageSystems
    .map((record) => ({ tag: record.tag, system: keptSystem(record.system, numbers) }))
    // A language that isn't listed is written as by default.
    .filter(({ system }) => JSON.stringify(system) !== standardKey);
  return { tag, ...(standard ? { defaultLanguageSystem: standard } : {}), languageSystems: systems };
}

function keptSystem(
  { required, features }: LanguageSystem,
  numbers: ReadonlyMap<number, number>,
): LanguageSystem {
  const kept = features.flatMap((feature) => numbers.get(feature) ?? []);
  const keptRequired = required === undefined ? undefined : numbers.get(required);
  const unique = [...new Set(kept)];
  return keptRequired === undefined ? { features: unique } : { required: keptRequired, features: unique };
}

/** Numbers of the delta sets that lookups refer to. */
export function deltaSetsOf({ lookups }: KeptLayout): Set<number> {
  const used = new Set<number>();
  const visit = (outer: number, inner: number) => used.add(deltaSetKey(outer, inner));
  for (const subtable of lookups.flatMap((lookup) => lookup.subtables))
    positioningKindOf(subtable)?.eachVariation(subtable, visit);
  return used;
}
