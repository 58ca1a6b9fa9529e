// CSS Fonts 4, section 6.12

import { settingFeatures } from '../font-features.js';
import { tokensOf } from '../tokens.js';
import { asWritten, longhand } from './property.js';

export const fontFeatureSettings = longhand({
  name: 'font-feature-settings',
  key: 'featureSettings',
  initial: 'normal',
  isInherited: true,
  read: asWritten(),
  features: (value) => settingFeatures(tokensOf(value)),
});
