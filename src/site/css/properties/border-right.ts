// CSS Backgrounds 3, section 4.4

import { borderRightWidth } from './border-right-width.js';
import { borderShorthand } from '../sides.js';

export const borderRight = borderShorthand('border-right', ['border-inline-end'], borderRightWidth);
