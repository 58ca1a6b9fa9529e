// CSS Box 4, section 4

import { sideLonghand } from '../sides.js';

export const paddingLeft = sideLonghand('padding-left', 'padding-inline-start', 'paddingLeft');
