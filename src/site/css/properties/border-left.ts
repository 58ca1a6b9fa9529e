// CSS Backgrounds 3, section 4.4

import { borderLeftWidth } from './border-left-width.js';
import { borderShorthand } from '../sides.js';

export const borderLeft = borderShorthand('border-left', ['border-inline-start'], borderLeftWidth);
