// CSS Fonts 4, section 2.9

import { fontIn, weightIn } from '../font-values.js';
import { normalVariants } from '../font-variants.js';
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
    const { weight, ...others } = found;
    return {
      ...normalVariants,
      featureSettings: fontFeatureSettings.initial,
      variationSettings: fontVariationSettings.initial,
      ...others,
      weight: weight ? weightIn(weight, inheritedOf(fontWeight)) : fontWeight.initial,
    };
  },
};
