// CSS Fonts 4, section 8.2

import { asWritten, longhand } from './property.js';

export const fontVariationSettings = longhand({
  name: 'font-variation-settings',
  key: 'variationSettings',
  initial: 'normal',
  isInherited: true,
  read: asWritten(),
});
