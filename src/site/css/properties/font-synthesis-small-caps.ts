// CSS Fonts 4, section 2.8.3

import { synthesisIn } from '../font-values.js';
import { longhand } from './property.js';

export const fontSynthesisSmallCaps = longhand({
  name: 'font-synthesis-small-caps',
  key: 'synthesisSmallCaps',
  /** Whether browsers may make one up where no face has it. */
  initial: true,
  isInherited: true,
  read: synthesisIn,
});
