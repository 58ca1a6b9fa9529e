// CSS Fonts 4, section 2.4

import { styleIn, type TextStyle } from '../font-values.js';
import { longhand } from './property.js';

export const fontStyle = longhand({
  name: 'font-style',
  key: 'style',
  initial: 'normal' as TextStyle,
  isInherited: true,
  read: styleIn,
  choosesFace: true,
});
