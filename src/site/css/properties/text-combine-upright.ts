// CSS Writing Modes 4, section 9.1

import { asWritten, longhand } from './property.js';

/** What Chromium and WebKit set digits with that stand side by side in a vertical line (section 9.1.3). */
const narrowForms = ['hwid', 'twid', 'qwid'];

export const textCombineUpright = longhand({
  name: 'text-combine-upright',
  key: 'combineUpright',
  initial: 'none',
  isInherited: true,
  read: asWritten(/^(none|all|digits.*)$/is),
  features: (value) => (/^none$/i.test(value) ? [] : narrowForms),
});
