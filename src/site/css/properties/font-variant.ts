// CSS Fonts 4, section 6.11

import { variantsIn } from '../font-variants.js';
import { fontVariantAlternates } from './font-variant-alternates.js';
import { fontVariantCaps } from './font-variant-caps.js';
import { fontVariantEastAsian } from './font-variant-east-asian.js';
import { fontVariantLigatures } from './font-variant-ligatures.js';
import { fontVariantNumeric } from './font-variant-numeric.js';
import { fontVariantPosition } from './font-variant-position.js';
import type { Shorthand } from './property.js';

export const fontVariant: Shorthand = {
  name: 'font-variant',
  longhands: [
    fontVariantCaps,
    fontVariantLigatures,
    fontVariantAlternates,
    fontVariantNumeric,
    fontVariantEastAsian,
    fontVariantPosition,
  ],
  read: (tokens) => variantsIn(tokens) && { ...variantsIn(tokens) },
};
