// CSS Writing Modes 4, section 3.1

import { asWritten, longhand } from './property.js';

export const writingMode = longhand({
  name: 'writing-mode',
  key: 'writingMode',
  initial: 'horizontal-tb',
  isInherited: true,
  read: asWritten(/^(?:horizontal-tb|(?:vertical|sideways)-(?:rl|lr))$/i),
});
