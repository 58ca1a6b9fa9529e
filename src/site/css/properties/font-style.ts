// CSS Fonts 4, section 2.4

import { styleIn } from '../font-values.js';
import { longhand } from './property.js';

export const fontStyle = longhand({
  name: 'font-style',
  key: 'style',
  initial: 'normal',
  isInherited: true,
  read: styleIn,
  choosesFace: true,
});
