// CSS Box 4, section 3: to the left and to the right, which is what lines ask for

import { inlineSidesIn, measureIn, sidesIn } from '../measures.js';
import { longhand, type Shorthand } from './property.js';

export const marginLeft = longhand({
  name: 'margin-left',
  aliases: ['margin-inline-start'],
  key: 'marginLeft',
  initial: 0,
  isInherited: false,
  read: measureIn,
});

export const marginRight = longhand({
  name: 'margin-right',
  aliases: ['margin-inline-end'],
  key: 'marginRight',
  initial: 0,
  isInherited: false,
  read: measureIn,
});

export const margin: Shorthand = {
  name: 'margin',
  longhands: [marginLeft, marginRight],
  read: (tokens, _inheritedOf, context) => {
    const sides = sidesIn(tokens, context);
    return sides && { marginLeft: sides.left, marginRight: sides.right };
  },
};

export const marginInline: Shorthand = {
  ...margin,
  name: 'margin-inline',
  read: (tokens, _inheritedOf, context) => {
    const sides = inlineSidesIn(tokens, context);
    return sides && { marginLeft: sides.left, marginRight: sides.right };
  },
};
