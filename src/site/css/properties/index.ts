/**
 * The properties that decide which face draws which characters: one file each, listed here. What rules keep, what the cascade
 * computes and what faces are asked by follow from the list.
 */
import { content } from './content.js';
import { contentVisibility } from './content-visibility.js';
import { counterIncrement } from './counter-increment.js';
import { counterReset } from './counter-reset.js';
import { counterSet } from './counter-set.js';
import { display } from './display.js';
import { font } from './font.js';
import { fontFamily } from './font-family.js';
import { fontFeatureSettings } from './font-feature-settings.js';
import { fontStretch } from './font-stretch.js';
import { fontStyle } from './font-style.js';
import { fontSynthesis } from './font-synthesis.js';
import { fontSynthesisSmallCaps } from './font-synthesis-small-caps.js';
import { fontSynthesisStyle } from './font-synthesis-style.js';
import { fontSynthesisWeight } from './font-synthesis-weight.js';
import { fontVariant } from './font-variant.js';
import { fontVariantAlternates } from './font-variant-alternates.js';
import { fontVariantCaps } from './font-variant-caps.js';
import { fontVariantEastAsian } from './font-variant-east-asian.js';
import { fontVariantLigatures } from './font-variant-ligatures.js';
import { fontVariantNumeric } from './font-variant-numeric.js';
import { fontVariantPosition } from './font-variant-position.js';
import { fontVariationSettings } from './font-variation-settings.js';
import { fontWeight } from './font-weight.js';
import { hyphenateCharacter } from './hyphenate-character.js';
import { hyphens } from './hyphens.js';
import { listStyle } from './list-style.js';
import { listStyleImage } from './list-style-image.js';
import { listStyleType } from './list-style-type.js';
import { quotes } from './quotes.js';
import { textCombineUpright } from './text-combine-upright.js';
import { textEmphasis } from './text-emphasis.js';
import { textEmphasisStyle } from './text-emphasis-style.js';
import { textOverflow } from './text-overflow.js';
import { textSecurity } from './text-security.js';
import { textTransform } from './text-transform.js';
import { visibility } from './visibility.js';
import type { Longhand, Shorthand, ValuesOf } from './property.js';

export type { Longhand, Shorthand };

export const longhands = [
  content,
  contentVisibility,
  counterIncrement,
  counterReset,
  counterSet,
  display,
  fontFamily,
  fontFeatureSettings,
  fontStretch,
  fontStyle,
  fontSynthesisSmallCaps,
  fontSynthesisStyle,
  fontSynthesisWeight,
  fontVariantAlternates,
  fontVariantCaps,
  fontVariantEastAsian,
  fontVariantLigatures,
  fontVariantNumeric,
  fontVariantPosition,
  fontVariationSettings,
  fontWeight,
  hyphenateCharacter,
  hyphens,
  listStyleImage,
  listStyleType,
  quotes,
  textCombineUpright,
  textEmphasisStyle,
  textOverflow,
  textSecurity,
  textTransform,
  visibility,
] as const;

export const shorthands: readonly Shorthand[] = [font, fontSynthesis, fontVariant, listStyle, textEmphasis];

/** Computed values by their keys. */
export type PropertyValues = ValuesOf<typeof longhands>;

type AnyLonghand = Longhand<string, keyof PropertyValues, unknown>;

const all: readonly AnyLonghand[] = longhands;

/** By name and alias. */
export const longhandNamed: ReadonlyMap<string, AnyLonghand> = new Map(
  all.flatMap((one) => [one.name, ...(one.aliases ?? [])].map((name) => [name, one] as const)),
);
export const shorthandNamed: ReadonlyMap<string, Shorthand> = new Map(
  shorthands.map((one) => [one.name, one]),
);

export const initialValues = Object.fromEntries(
  all.map(({ key, initial }) => [key, initial]),
) as PropertyValues;

/** Those that don’t inherit, as they are at the start of an element. */
export const ownValues = Object.fromEntries(
  all.flatMap(({ key, initial, isInherited }) => (isInherited ? [] : [[key, initial]])),
) as Partial<PropertyValues>;

/** Names of the properties by which faces are chosen. */
export const choosingFaces: readonly string[] = all.flatMap(({ name, choosesFace }) =>
  choosesFace ? [name] : [],
);

const turningOn = all.filter((one) => 'features' in one);

/** Features that a style turns on, by the property that does. */
export const featuresByProperty = (values: PropertyValues): [property: string, tags: string[]][] =>
  turningOn.flatMap((one): [string, string[]][] => {
    const value = values[one.key];
    return value === one.initial || !one.features ? [] : [[one.name, one.features(value)]];
  });

/** Whether rules keep a property: those of the list, custom ones, and `all`. */
export const isKept = (property: string): boolean =>
  property.startsWith('--') ||
  property === 'all' ||
  longhandNamed.has(property) ||
  shorthandNamed.has(property);
