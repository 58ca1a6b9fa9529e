// CSS Fonts 4, section 7.1

import { asWritten, longhand } from './property.js';

export const fontOpticalSizing = longhand({
  name: 'font-optical-sizing',
  key: 'opticalSizing',
  initial: 'auto',
  isInherited: true,
  read: asWritten(/^(?:auto|none)$/i),
});
