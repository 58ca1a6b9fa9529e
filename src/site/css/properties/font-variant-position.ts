// CSS Fonts 4, section 6.5

import { variantFeatures } from '../font-features.js';
import { tokensOf } from '../tokens.js';
import { asWritten, longhand } from './property.js';

export const fontVariantPosition = longhand({
  name: 'font-variant-position',
  key: 'variantPosition',
  initial: 'normal',
  isInherited: true,
  read: asWritten(),
  features: (value) => variantFeatures(tokensOf(value)),
});
