// CSS Backgrounds 3, section 4.4

import { borderLeftWidth } from './border-left-width.js';
import { borderRightWidth } from './border-right-width.js';
import { borderShorthand } from '../sides.js';

export const border = borderShorthand('border', ['border-inline'], borderLeftWidth, borderRightWidth);
