// CSS Fonts 4, section 6.10

import { variantFeatures } from '../font-features.js';
import { tokensOf } from '../tokens.js';
import { asWritten, longhand } from './property.js';

export const fontVariantEastAsian = longhand({
  name: 'font-variant-east-asian',
  key: 'variantEastAsian',
  initial: 'normal',
  isInherited: true,
  read: asWritten(),
  features: (value) => variantFeatures(tokensOf(value)),
});
