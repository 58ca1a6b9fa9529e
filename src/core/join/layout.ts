// OpenType: GSUB and GPOS of partial files as one

import { keptLayout, type KeptLayout } from '../layout/kept-layout.js';
import type { LayoutTag } from '../layout/common/lookup-kind.js';
import type { Subtable } from '../layout/kinds.js';
import {
  readLayoutTable,
  type Feature,
  type LanguageSystem,
  type Lookup,
  type Script,
} from '../layout/layout-table.js';
import type { FeatureVariation } from '../layout/common/feature-variations.js';
import { lookupsOf, withOtherLookups } from '../layout/common/context/index.js';
import type { Numbering } from './numbering.js';
import { Hindrance, type PartialFont } from './partial-font.js';
import { effectsAmong, withoutEffectsAmong } from './shared-effects.js';

/** Everything stays that a part has, with glyphs by their new numbers. */
export function layoutsOf(
  parts: readonly PartialFont[],
  { maps }: Numbering,
  tag: LayoutTag,
): (KeptLayout | undefined)[] {
  return parts.map(({ font }, part) => {
    const table = readLayoutTable(font, tag);
    const [damage] = table?.damages ?? [];
    if (damage) throw new Hindrance(`${tag} is damaged in one of them`);
    return table && keptLayout(table, maps[part], () => true, true);
  });
}

/**
 * Lookups stand behind each other, part by part; the features of each script and language apply those of all parts.
 *
 * @param layouts one a part, as `layoutsOf` gives them
 * @throws Hindrance where parts do different things with glyphs that they share
 */
export function joinedLayout(
  layouts: readonly (KeptLayout | undefined)[],
  numbering: Numbering,
  contentOf: (glyph: number) => number,
): KeptLayout {
  const own = layouts.map(
    (layout, part) => layout && withoutShared(layout, part, layouts, numbering, contentOf),
  );
  const starts: number[] = [];
  const lookups: Lookup[] = [];
  const lookupNumbers = new Map<number, number>();
  own.forEach((layout, part) => {
    starts.push(lookups.length);
    layout?.lookupNumbers.forEach((index, old) =>
      lookupNumbers.set(old + part * perPart, lookups.length + index),
    );
    const withNumbers = (subtable: Subtable) =>
      subtable.kind === 'context' ? withOtherLookups(subtable, (old) => old + part * perPart) : subtable;
    for (const lookup of layout?.lookups ?? [])
      lookups.push({ ...lookup, subtables: lookup.subtables.map(withNumbers) });
  });
  if (lookups.length >= 0xffff) throw new Hindrance('together they have too many lookups');
  const features = new JoinedFeatures(own, starts);
  const scripts = scriptsOf(own).map((script) => joinedScript(script, own, features));
  const { tag } = own.find((layout) => layout !== undefined)!;
  return { tag, ...features.sorted(scripts), lookups, lookupNumbers };
}

/** All pairs of them are compared. */
const mostShared = 3000;

/** Old numbers of lookups, which contexts name, are told apart by part. */
const perPart = 0x10000;

/** What an earlier part does with glyphs that both have isn't done once more. */
function withoutShared(
  layout: KeptLayout,
  part: number,
  layouts: readonly (KeptLayout | undefined)[],
  numbering: Numbering,
  contentOf: (glyph: number) => number,
): KeptLayout {
  let { lookups } = layout;
  for (let earlier = 0; earlier < part; earlier++) {
    const among = numbering.sharedWith(part, earlier);
    if (among.size === 0) continue;
    if (among.size > mostShared) throw new Hindrance('they have too many characters in common');
    const before = layouts[earlier];
    const effects = effectsAmong(layout, among, contentOf);
    const others = before ? effectsAmong(before, among, contentOf) : new Map<string, string>();
    for (const tag of new Set([...effects.keys(), ...others.keys()]))
      if (effects.get(tag) !== others.get(tag))
        throw new Hindrance(`${tag} does other things with characters that several of them have`);
    lookups = lookups.map((lookup) => ({
      ...lookup,
      subtables: lookup.subtables.flatMap((subtable) => withoutEffectsAmong(subtable, among) ?? []),
    }));
  }
  const nested = new Set(
    layout.lookups.flatMap(({ subtables }) =>
      subtables.flatMap((subtable) => (subtable.kind === 'context' ? lookupsOf(subtable) : [])),
    ),
  );
  // A context may call for what a feature doesn't do by itself.
  layout.lookupNumbers.forEach((index, old) => {
    if (!nested.has(old)) return;
    const before = layout.lookups[index];
    const after = lookups[index].subtables;
    const isChanged =
      after.length < before.subtables.length || after.some((subtable, i) => subtable !== before.subtables[i]);
    if (isChanged && isDirect(layout, index))
      throw new Hindrance('contexts use what features do with characters that several of them have');
    lookups[index] = before;
  });
  return { ...layout, lookups };
}

const isDirect = ({ features, featureVariations }: KeptLayout, lookup: number): boolean =>
  features.some(({ lookups }) => lookups.includes(lookup)) ||
  featureVariations.some(({ substitutions }) =>
    substitutions.some(({ lookups }) => lookups.includes(lookup)),
  );

/** Tags of scripts, each with those of its languages, ascending. */
function scriptsOf(layouts: readonly (KeptLayout | undefined)[]): { tag: string; languages: string[] }[] {
  const found = new Map<string, Set<string>>();
  for (const { tag, languageSystems } of layouts.flatMap((layout) => layout?.scripts ?? [])) {
    const languages = found.get(tag) ?? new Set();
    for (const system of languageSystems) languages.add(system.tag);
    found.set(tag, languages);
  }
  return [...found]
    .sort(([a], [b]) => (a < b ? -1 : 1))
    .map(([tag, languages]) => ({ tag, languages: [...languages].sort() }));
}

function joinedScript(
  { tag, languages }: { tag: string; languages: string[] },
  layouts: readonly (KeptLayout | undefined)[],
  features: JoinedFeatures,
): Script {
  const systemFor = (language?: string) =>
    features.joined(layouts.map((layout) => layout && systemIn(layout, tag, language)));
  return {
    tag,
    defaultLanguageSystem: systemFor(),
    languageSystems: languages.map((language) => ({ tag: language, system: systemFor(language) })),
  };
}

/** What browsers fall back to for a script that a table doesn't list, in their order. */
const standardScripts = ['DFLT', 'dflt', 'latn'];

function systemIn(
  { scripts }: KeptLayout,
  tag: string,
  language: string | undefined,
): LanguageSystem | undefined {
  const script = [tag, ...standardScripts]
    .map((one) => scripts.find((other) => other.tag === one))
    .find((one) => one !== undefined);
  const own = script?.languageSystems.find((record) => record.tag === language)?.system;
  return own ?? script?.defaultLanguageSystem;
}

/** A feature of a part. */
type PartFeature = readonly [part: number, feature: number];

class JoinedFeatures {
  private readonly all: { feature: Feature; from: readonly PartFeature[] }[] = [];
  private readonly known = new Map<string, number>();

  constructor(
    private readonly layouts: readonly (KeptLayout | undefined)[],
    private readonly starts: readonly number[],
  ) {}

  /** @param systems what applies in each part */
  joined(systems: readonly (LanguageSystem | undefined)[]): LanguageSystem {
    const byTag = new Map<string, PartFeature[]>();
    let required: string | undefined;
    systems.forEach((system, part) => {
      if (!system) return;
      const tagOf = (feature: number) => this.layouts[part]!.features[feature].tag;
      if (system.required !== undefined) {
        const tag = tagOf(system.required);
        if (required !== undefined && required !== tag) throw new Hindrance('they need different features');
        required = tag;
      }
      const own = system.required === undefined ? system.features : [system.required, ...system.features];
      for (const feature of own) {
        const list = byTag.get(tagOf(feature));
        // Of features with one tag the first counts.
        if (list?.some(([other]) => other === part)) continue;
        if (list) list.push([part, feature]);
        else byTag.set(tagOf(feature), [[part, feature]]);
      }
    });
    const numbers = Array.from(byTag, ([tag, from]) => [tag, this.numberOf(tag, from)] as const);
    const features = numbers.filter(([tag]) => tag !== required).map(([, number]) => number);
    const needed = numbers.find(([tag]) => tag === required);
    return needed ? { required: needed[1], features } : { features };
  }

  private numberOf(tag: string, from: readonly PartFeature[]): number {
    const key = `${tag} ${from.join(' ')}`;
    const known = this.known.get(key);
    if (known !== undefined) return known;
    const own = from.map(([part, feature]) => this.layouts[part]!.features[feature]);
    const params = own.find((feature) => feature.params)?.params;
    const lookups = from.flatMap(([part], i) => own[i].lookups.map((lookup) => lookup + this.starts[part]));
    const number = this.all.push({ feature: { tag, ...(params ? { params } : {}), lookups }, from }) - 1;
    this.known.set(key, number);
    return number;
  }

  /** Features in the order of their tags, and all that names them by number. */
  sorted(scripts: readonly Script[]): Pick<KeptLayout, 'scripts' | 'features' | 'featureVariations'> {
    const order = this.all.map((_, i) => i);
    order.sort((a, b) => {
      const [one, other] = [this.all[a].feature.tag, this.all[b].feature.tag];
      return one < other ? -1 : one > other ? 1 : a - b;
    });
    const numberOf = new Map(order.map((old, i) => [old, i]));
    const renumbered = ({ required, features }: LanguageSystem): LanguageSystem => ({
      ...(required === undefined ? {} : { required: numberOf.get(required)! }),
      features: features.map((feature) => numberOf.get(feature)!).sort((a, b) => a - b),
    });
    return {
      scripts: scripts.map(({ tag, defaultLanguageSystem: standard, languageSystems }) => ({
        tag,
        ...(standard ? { defaultLanguageSystem: renumbered(standard) } : {}),
        languageSystems: languageSystems.map((record) => ({
          tag: record.tag,
          system: renumbered(record.system),
        })),
      })),
      features: order.map((i) => this.all[i].feature),
      featureVariations: this.variations(numberOf),
    };
  }

  private variations(numberOf: ReadonlyMap<number, number>): FeatureVariation[] {
    const lists = this.layouts.map((layout) => layout?.featureVariations ?? []);
    const longest = lists.find((list) => list.length > 0);
    if (!longest) return [];
    const conditionsOf = (list: readonly FeatureVariation[]) =>
      JSON.stringify(list.map(({ conditions }) => conditions));
    if (lists.some((list) => list.length > 0 && conditionsOf(list) !== conditionsOf(longest)))
      throw new Hindrance('their features change at different places of the axes');
    return longest.map(({ conditions }, record) => ({
      conditions,
      substitutions: this.all
        .flatMap(({ feature, from }, i) => {
          const others = from.map(([part, own]) =>
            lists[part][record]?.substitutions.find((other) => other.feature === own),
          );
          if (others.every((other) => other === undefined)) return [];
          const lookups = from.flatMap(([part, own], at) =>
            (others[at]?.lookups ?? this.layouts[part]!.features[own].lookups).map(
              (lookup) => lookup + this.starts[part],
            ),
          );
          return feature.lookups.join() === lookups.join() ? [] : [{ feature: numberOf.get(i)!, lookups }];
        })
        .sort((a, b) => a.feature - b.feature),
    }));
  }
}
