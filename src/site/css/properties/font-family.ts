// CSS Fonts 4, section 2.1

import { familiesIn } from '../font-values.js';
import { withoutStandIns } from '../stand-in-family.js';
import { longhand } from './property.js';

export const fontFamily = longhand({
  name: 'font-family',
  key: 'families',
  // What browsers take where nobody says anything.
  initial: ['Times New Roman'],
  isInherited: true,
  read: (tokens): readonly string[] | undefined => {
    const families = familiesIn(tokens);
    return families && withoutStandIns(families);
  },
  choosesFace: true,
});
