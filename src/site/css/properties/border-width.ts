// CSS Backgrounds 3, section 4.3

import { borderLeftWidth } from './border-left-width.js';
import { borderRightWidth } from './border-right-width.js';
import { borderWidthIn, sidesShorthand } from '../sides.js';

export const borderWidth = sidesShorthand('border-width', borderLeftWidth, borderRightWidth, borderWidthIn);
