// CSS Fonts 4, section 6.7

import { variantFeatures } from '../font-features.js';
import { tokensOf } from '../tokens.js';
import { asWritten, longhand } from './property.js';

export const fontVariantNumeric = longhand({
  name: 'font-variant-numeric',
  key: 'variantNumeric',
  initial: 'normal',
  isInherited: true,
  read: asWritten(),
  features: (value) => variantFeatures(tokensOf(value)),
});
