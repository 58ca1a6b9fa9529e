// CSS Fonts 4, section 2.8.5

import { componentsOf, textOf } from '../tokens.js';
import { fontSynthesisSmallCaps } from './font-synthesis-small-caps.js';
import { fontSynthesisStyle } from './font-synthesis-style.js';
import { fontSynthesisWeight } from './font-synthesis-weight.js';
import type { Shorthand } from './property.js';

export const fontSynthesis: Shorthand = {
  name: 'font-synthesis',
  longhands: [fontSynthesisWeight, fontSynthesisStyle, fontSynthesisSmallCaps],
  read: (tokens) => {
    const words = componentsOf(tokens).map((part) => textOf(part).toLowerCase());
    const isKnown = words.every((word) => /^(weight|style|small-caps|position)$/.test(word));
    if (words.length === 0 || !(isKnown || (words.length === 1 && words[0] === 'none'))) return undefined;
    return {
      synthesisWeight: words.includes('weight'),
      synthesisStyle: words.includes('style'),
      synthesisSmallCaps: words.includes('small-caps'),
    };
  },
};
