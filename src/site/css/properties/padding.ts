// CSS Box 4, section 4

import { paddingLeft } from './padding-left.js';
import { paddingRight } from './padding-right.js';
import { sidesShorthand } from '../sides.js';

export const padding = sidesShorthand('padding', paddingLeft, paddingRight);
