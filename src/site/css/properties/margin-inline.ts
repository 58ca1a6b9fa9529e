// CSS Logical 1, section 4

import { marginLeft } from './margin-left.js';
import { marginRight } from './margin-right.js';
import { inlineShorthand } from '../sides.js';

export const marginInline = inlineShorthand('margin-inline', marginLeft, marginRight);
