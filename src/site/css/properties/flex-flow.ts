// CSS Flexbox 1, section 5.3

import { componentsOf, textOf } from '../tokens.js';
import { flexDirection } from './flex-direction.js';
import type { Shorthand } from './property.js';

export const flexFlow: Shorthand = {
  name: 'flex-flow',
  longhands: [flexDirection],
  read: (tokens) => ({
    flexDirection:
      componentsOf(tokens)
        .map(textOf)
        .find((part) => /^(?:row|column)/.test(part)) ?? flexDirection.initial,
  }),
};
