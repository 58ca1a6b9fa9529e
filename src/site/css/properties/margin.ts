// CSS Box 4, section 3

import { marginLeft } from './margin-left.js';
import { marginRight } from './margin-right.js';
import { sidesShorthand } from '../sides.js';

export const margin = sidesShorthand('margin', marginLeft, marginRight);
