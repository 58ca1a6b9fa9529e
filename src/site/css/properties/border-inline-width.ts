// CSS Logical 1, section 4

import { borderLeftWidth } from './border-left-width.js';
import { borderRightWidth } from './border-right-width.js';
import { borderWidthIn, inlineShorthand } from '../sides.js';

export const borderInlineWidth = inlineShorthand(
  'border-inline-width',
  borderLeftWidth,
  borderRightWidth,
  borderWidthIn,
);
