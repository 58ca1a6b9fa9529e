// CSS Fonts 4, section 2.9

import { fontIn, weightIn } from '../font-values.js';
import { normalVariants } from '../font-variants.js';
import { withoutStandIns } from '../stand-in-family.js';
import { fontSize } from './font-size.js';
import { lineHeight } from './line-height.js';
import { fontFamily } from './font-family.js';
import { fontFeatureSettings } from './font-feature-settings.js';
import { fontStretch } from './font-stretch.js';
import { fontStyle } from './font-style.js';
import { fontVariant } from './font-variant.js';
import { fontVariationSettings } from './font-variation-settings.js';
import { fontWeight } from './font-weight.js';
import type { Shorthand } from './property.js';

export const font: Shorthand = {
  name: 'font',
  longhands: [
    fontFamily,
    fontWeight,
    fontStyle,
    fontStretch,
    ...fontVariant.longhands,
    fontFeatureSettings,
    fontVariationSettings,
  ],
  read: (tokens, inheritedOf) => {
    const found = fontIn(tokens);
    if (!found) return undefined;
    const { weight, size: _size, lineHeight: _lineHeight, families, ...others } = found;
    return {
      ...normalVariants,
      featureSettings: fontFeatureSettings.initial,
      variationSettings: fontVariationSettings.initial,
      ...others,
      families: withoutStandIns(families),
      weight: weight ? weightIn(weight, inheritedOf(fontWeight)) : fontWeight.initial,
    };
  },
};

/** The same with what it says of lines. */
export const fontOfLines: Shorthand = {
  name: 'font',
  longhands: [...font.longhands, fontSize, lineHeight],
  read: (tokens, inheritedOf, context) => {
    const [found, others] = [fontIn(tokens), font.read(tokens, inheritedOf)];
    if (!found || !others || !context) return undefined;
    const size =
      found.size === undefined ? fontSize.initial : fontSize.read(found.size, inheritedOf(fontSize), context);
    if (size === undefined) return undefined;
    const height =
      found.lineHeight && lineHeight.read(found.lineHeight, 'normal', { ...context, fontSize: size });
    return { ...others, fontSize: size, lineHeight: height ?? lineHeight.initial };
  },
};
