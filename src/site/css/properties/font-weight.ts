// CSS Fonts 4, section 2.2

import { weightIn } from '../font-values.js';
import { longhand } from './property.js';

export const fontWeight = longhand({
  name: 'font-weight',
  key: 'weight',
  initial: 400,
  isInherited: true,
  read: weightIn,
  choosesFace: true,
});
