// CSS Fonts 4, section 2.3

import { stretchIn } from '../font-values.js';
import { longhand } from './property.js';

export const fontStretch = longhand({
  name: 'font-stretch',
  aliases: ['font-width'],
  /** Percent. */
  key: 'stretch',
  initial: 100,
  isInherited: true,
  read: stretchIn,
  choosesFace: true,
});
