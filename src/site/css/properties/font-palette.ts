// CSS Fonts 4, section 9.1

import { asWritten, longhand } from './property.js';

export const fontPalette = longhand({
  name: 'font-palette',
  key: 'palette',
  initial: 'normal',
  isInherited: true,
  read: asWritten(/^(?:normal|light|dark|--[^\s]+|palette-mix\(.*\))$/i),
});
