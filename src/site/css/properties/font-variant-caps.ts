// CSS Fonts 4, section 6.6

import { variantFeatures } from '../font-features.js';
import { tokensOf } from '../tokens.js';
import { asWritten, longhand } from './property.js';

export const fontVariantCaps = longhand({
  name: 'font-variant-caps',
  key: 'caps',
  initial: 'normal',
  isInherited: true,
  read: asWritten(/^[a-z-]+$/i),
  features: (value) => variantFeatures(tokensOf(value)),
});
