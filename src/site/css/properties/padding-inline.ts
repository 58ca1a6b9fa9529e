// CSS Logical 1, section 4

import { paddingLeft } from './padding-left.js';
import { paddingRight } from './padding-right.js';
import { inlineShorthand } from '../sides.js';

export const paddingInline = inlineShorthand('padding-inline', paddingLeft, paddingRight);
