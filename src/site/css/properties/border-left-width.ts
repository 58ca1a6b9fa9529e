// CSS Backgrounds 3, section 4.3

import { borderWidthIn, sideLonghand } from '../sides.js';

export const borderLeftWidth = sideLonghand(
  'border-left-width',
  'border-inline-start-width',
  'borderLeftWidth',
  borderWidthIn,
);
