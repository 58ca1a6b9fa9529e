// CSS Fonts 4, section 6.8

import { variantFeatures } from '../font-features.js';
import { tokensOf } from '../tokens.js';
import { asWritten, longhand } from './property.js';

export const fontVariantAlternates = longhand({
  name: 'font-variant-alternates',
  key: 'variantAlternates',
  initial: 'normal',
  isInherited: true,
  read: asWritten(),
  features: (value) => variantFeatures(tokensOf(value)),
});
