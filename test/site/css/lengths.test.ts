import { expect, test } from '@jest/globals';
import { lengthIn } from '#src/site/css/lengths.js';
import { tokensOf } from '#src/site/css/tokens.js';

const context = { fontSize: 20, rootSize: 10, viewport: { width: 1000, height: 500 } };

test.each<[string, Partial<Record<'px' | 'ch' | 'percent', number>> | undefined]>([
  ['12px', { px: 12 }],
  ['0', { px: 0 }],
  ['1.5em', { px: 30 }],
  ['-.5rem', { px: -5 }],
  ['2ex', { px: 20 }],
  ['10vw', { px: 100 }],
  ['10dvh', { px: 50 }],
  ['1vmin', { px: 5 }],
  ['1VMAX', { px: 10 }],
  ['12pt', { px: 16 }],
  ['1in', { px: 96 }],
  ['60ch', { ch: 60 }],
  ['50%', { percent: 50 }],
  ['calc(100% - 2 * 1rem)', { percent: 100, px: -20 }],
  ['calc((1px + 2px) * 3 / 2)', { px: 4.5 }],
  ['calc(2*3px + 1ch)', { px: 6, ch: 1 }],
  ['min(10px, 1em)', { px: 10 }],
  ['clamp(1rem, 5vw, 30px)', { px: 30 }],
  ['max(1px, calc(1px + 1em))', { px: 21 }],
  // Only a layout knows which is less.
  ['min(100%, 10px)', undefined],
  ['calc(1px * 1px)', undefined],
  ['calc(1px / 0px)', undefined],
  ['calc(1px +)', undefined],
  ['12', undefined],
  ['auto', undefined],
  ['1px 2px', undefined],
  ['3unheard', undefined],
  ['calc(', undefined],
])('%s', (text, expected) => {
  expect(lengthIn(tokensOf(text), context)).toEqual(expected && { px: 0, ch: 0, percent: 0, ...expected });
});
