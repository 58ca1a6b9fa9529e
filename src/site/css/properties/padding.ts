// CSS Box 4, section 4: to the left and to the right, which is what lines ask for

import { inlineSidesIn, measureIn, sidesIn } from '../measures.js';
import { longhand, type Shorthand } from './property.js';

export const paddingLeft = longhand({
  name: 'padding-left',
  aliases: ['padding-inline-start'],
  key: 'paddingLeft',
  initial: 0,
  isInherited: false,
  read: measureIn,
});

export const paddingRight = longhand({
  name: 'padding-right',
  aliases: ['padding-inline-end'],
  key: 'paddingRight',
  initial: 0,
  isInherited: false,
  read: measureIn,
});

export const padding: Shorthand = {
  name: 'padding',
  longhands: [paddingLeft, paddingRight],
  read: (tokens, _inheritedOf, context) => {
    const sides = sidesIn(tokens, context);
    return sides && { paddingLeft: sides.left, paddingRight: sides.right };
  },
};

export const paddingInline: Shorthand = {
  ...padding,
  name: 'padding-inline',
  read: (tokens, _inheritedOf, context) => {
    const sides = inlineSidesIn(tokens, context);
    return sides && { paddingLeft: sides.left, paddingRight: sides.right };
  },
};
