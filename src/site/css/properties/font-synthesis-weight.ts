// CSS Fonts 4, section 2.8.1

import { synthesisIn } from '../font-values.js';
import { longhand } from './property.js';

export const fontSynthesisWeight = longhand({
  name: 'font-synthesis-weight',
  key: 'synthesisWeight',
  /** Whether browsers may make one up where no face has it. */
  initial: true,
  isInherited: true,
  read: synthesisIn,
});
