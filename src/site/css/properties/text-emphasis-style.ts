// CSS Text Decoration 4, section 3.1

import { asWritten, longhand } from './property.js';

export const textEmphasisStyle = longhand({
  name: 'text-emphasis-style',
  key: 'emphasis',
  initial: 'none',
  isInherited: true,
  read: asWritten(),
});
