// CSS Box 4, section 3

import { sideLonghand } from '../sides.js';

export const marginLeft = sideLonghand('margin-left', 'margin-inline-start', 'marginLeft');
