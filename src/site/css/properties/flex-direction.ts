// CSS Flexbox 1, section 5.1

import { asWritten, longhand } from './property.js';

export const flexDirection = longhand({
  name: 'flex-direction',
  key: 'flexDirection',
  initial: 'row',
  isInherited: false,
  read: asWritten(/^(?:row|column)(?:-reverse)?$/),
});
