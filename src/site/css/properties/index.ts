/**
 * The properties that decide which face draws which characters: one file each, listed here. What rules keep, what the cascade
 * computes and what faces are asked by follow from the list.
 */
import { content } from './content.js';
import { contentVisibility } from './content-visibility.js';
import { counterIncrement } from './counter-increment.js';
import { counterReset } from './counter-reset.js';
import { counterSet } from './counter-set.js';
import { alignItems } from './align-items.js';
import { border } from './border.js';
import { borderInlineWidth } from './border-inline-width.js';
import { borderLeft } from './border-left.js';
import { borderLeftWidth } from './border-left-width.js';
import { borderRight } from './border-right.js';
import { borderRightWidth } from './border-right-width.js';
import { borderWidth } from './border-width.js';
import { boxSizing } from './box-sizing.js';
import { boxKind, display } from './display.js';
import { flexDirection } from './flex-direction.js';
import { flexFlow } from './flex-flow.js';
import { float } from './float.js';
import { gridTemplateColumns } from './grid-template-columns.js';
import { margin } from './margin.js';
import { marginInline } from './margin-inline.js';
import { marginLeft } from './margin-left.js';
import { marginRight } from './margin-right.js';
import { padding } from './padding.js';
import { paddingInline } from './padding-inline.js';
import { paddingLeft } from './padding-left.js';
import { paddingRight } from './padding-right.js';
import { position } from './position.js';
import { font, fontOfLines } from './font.js';
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
import { fontOpticalSizing } from './font-optical-sizing.js';
import { fontPalette } from './font-palette.js';
import { fontSize } from './font-size.js';
import { letterSpacing } from './letter-spacing.js';
import { lineHeight } from './line-height.js';
import { maxWidth } from './max-width.js';
import { textAlign } from './text-align.js';
import { whiteSpace } from './white-space.js';
import { width } from './width.js';
import { wordSpacing } from './word-spacing.js';
import { writingMode } from './writing-mode.js';
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

/** What is asked of them where lines are: how large, how far apart, how wide. */
export const lineLonghands = [
  alignItems,
  borderLeftWidth,
  borderRightWidth,
  boxKind,
  boxSizing,
  flexDirection,
  float,
  fontOpticalSizing,
  fontPalette,
  fontSize,
  gridTemplateColumns,
  letterSpacing,
  lineHeight,
  marginLeft,
  marginRight,
  maxWidth,
  paddingLeft,
  paddingRight,
  position,
  textAlign,
  whiteSpace,
  width,
  wordSpacing,
  writingMode,
] as const;

const lineShorthands: readonly Shorthand[] = [
  border,
  borderInlineWidth,
  borderLeft,
  borderRight,
  borderWidth,
  flexFlow,
  fontOfLines,
  margin,
  marginInline,
  padding,
  paddingInline,
];

export type LineValues = ValuesOf<typeof lineLonghands>;

export type AnyLonghand = Longhand<string, keyof (PropertyValues & LineValues), unknown>;

/** The properties that a cascade computes. */
export interface PropertySet {
  longhands: readonly AnyLonghand[];
  /** By name and alias; a property may say several things. */
  longhandsNamed: ReadonlyMap<string, readonly AnyLonghand[]>;
  shorthandNamed: ReadonlyMap<string, Shorthand>;
  /** Those that don’t inherit, as they are at the start of an element. */
  ownValues: Partial<PropertyValues & LineValues>;
}

function setOf(list: readonly AnyLonghand[], shorter: readonly Shorthand[]): PropertySet {
  const longhandsNamed = new Map<string, AnyLonghand[]>();
  for (const one of list)
    for (const name of [one.name, ...(one.aliases ?? [])])
      longhandsNamed.set(name, [...(longhandsNamed.get(name) ?? []), one]);
  return {
    longhands: list,
    longhandsNamed,
    shorthandNamed: new Map(
      shorter.flatMap((one) => [one.name, ...(one.aliases ?? [])].map((name) => [name, one] as const)),
    ),
    ownValues: Object.fromEntries(
      list.flatMap(({ key, initial, isInherited }) => (isInherited ? [] : [[key, initial]])),
    ),
  };
}

/** What decides which face draws which characters. */
export const ofFaces: PropertySet = setOf(longhands, shorthands);
/** And how long and how high lines are. */
export const ofLines: PropertySet = setOf(
  [...longhands, ...lineLonghands],
  [...shorthands.filter((one) => one !== font), ...lineShorthands],
);

const valuesOf = (list: readonly AnyLonghand[]) =>
  Object.fromEntries(list.map(({ key, initial }) => [key, initial]));

export const initialValues = valuesOf(longhands) as PropertyValues;
export const initialLines = valuesOf(lineLonghands) as LineValues;

/** Names of the properties by which faces are chosen. */
export const choosingFaces: readonly string[] = ofFaces.longhands.flatMap(({ name, choosesFace }) =>
  choosesFace ? [name] : [],
);

const turningOn = longhands.filter(
  (one): one is (typeof longhands)[number] & AnyLonghand => 'features' in one,
);

/** Features that a style turns on, by the property that does. */
export const featuresByProperty = (values: PropertyValues): [property: string, tags: string[]][] =>
  turningOn.flatMap((one): [string, string[]][] => {
    const value = values[one.key];
    return value === one.initial || !one.features ? [] : [[one.name, one.features(value)]];
  });

/** Whether rules keep a property: those of the set, custom ones, and `all`. */
export const isKept = (
  property: string,
  { longhandsNamed, shorthandNamed }: PropertySet = ofFaces,
): boolean =>
  property.startsWith('--') ||
  property === 'all' ||
  longhandsNamed.has(property) ||
  shorthandNamed.has(property);
