// CSS Text Decoration 4, section 3.3

import { textOf } from '../tokens.js';
import type { Shorthand } from './property.js';
import { textEmphasisStyle } from './text-emphasis-style.js';

export const textEmphasis: Shorthand = {
  name: 'text-emphasis',
  longhands: [textEmphasisStyle],
  // A colour in it says nothing of the mark.
  read: (tokens) => ({ emphasis: textOf(tokens) }),
};
