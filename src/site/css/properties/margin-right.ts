// CSS Box 4, section 3

import { sideLonghand } from '../sides.js';

export const marginRight = sideLonghand('margin-right', 'margin-inline-end', 'marginRight');
