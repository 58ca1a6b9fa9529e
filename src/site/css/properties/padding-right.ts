// CSS Box 4, section 4

import { sideLonghand } from '../sides.js';

export const paddingRight = sideLonghand('padding-right', 'padding-inline-end', 'paddingRight');
