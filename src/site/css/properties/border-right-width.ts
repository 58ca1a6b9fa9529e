// CSS Backgrounds 3, section 4.3

import { borderWidthIn, sideLonghand } from '../sides.js';

export const borderRightWidth = sideLonghand(
  'border-right-width',
  'border-inline-end-width',
  'borderRightWidth',
  borderWidthIn,
);
