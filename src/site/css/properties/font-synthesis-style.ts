// CSS Fonts 4, section 2.8.2

import { synthesisIn } from '../font-values.js';
import { longhand } from './property.js';

export const fontSynthesisStyle = longhand({
  name: 'font-synthesis-style',
  key: 'synthesisStyle',
  /** Whether browsers may make one up where no face has it. */
  initial: true,
  isInherited: true,
  read: synthesisIn,
});
