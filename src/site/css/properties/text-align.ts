// CSS Text 3, section 6.1

import { asWritten, longhand } from './property.js';

export const textAlign = longhand({
  name: 'text-align',
  key: 'textAlign',
  initial: 'start',
  isInherited: true,
  read: asWritten(/^(?:start|end|left|right|center|justify|match-parent|justify-all)$/i),
});
