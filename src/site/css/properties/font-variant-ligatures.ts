// CSS Fonts 4, section 6.4

import { variantFeatures } from '../font-features.js';
import { tokensOf } from '../tokens.js';
import { asWritten, longhand } from './property.js';

export const fontVariantLigatures = longhand({
  name: 'font-variant-ligatures',
  key: 'variantLigatures',
  initial: 'normal',
  isInherited: true,
  read: asWritten(),
  features: (value) => variantFeatures(tokensOf(value)),
});
