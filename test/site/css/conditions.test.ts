import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { usualScreen } from '#src/site/cascade/scenarios.js';
import { breakpointsOf, holds, type Environment } from '#src/site/css/conditions.js';
import { availableEngines, startEngine, type Engine } from '../../../test-support/engines.js';

/** What each comes to at 1280 × 800; browsers judge those without preferences. */
const media = [
  'all', 'screen', 'print', 'not print', 'only screen', 'screen, print', 'not all', 'print, (width >= 800px)', '',
  '(min-width: 1280px)', '(min-width: 1281px)', '(max-width: 1280px)', '(max-width: 79.9em)', '(min-width: 80em)', '(width: 1280px)',
  '(width > 1280px)', '(width >= 1280px)', '(400px < width <= 1280px)', '(1280px > width)', 'not (width > 1px)',
  '(min-width: 10px) and (max-width: 20px)', '(min-width: 10px) and (max-height: 800px)', '(min-width: 9999px) or (min-height: 1px)',
  'not ((min-width: 9999px) or (min-height: 1px))', '(orientation: landscape)', '(orientation: portrait)', '(min-aspect-ratio: 16/10)',
  '(aspect-ratio > 2/1)', '(prefers-color-scheme: light)', '(prefers-color-scheme: dark)', '(hover)', '(hover: none)', '(pointer: fine)',
  '(color)', '(min-resolution: 1dppx)', '(min-width)', '(unheard-of)', '(unheard-of: 3)', 'not (unheard-of: 3)', '(unheard-of: 3), screen', 'screen and, (color)', '(width: 12)', 'screen and',
  '(prefers-reduced-motion: no-preference)', '(scripting: enabled)', 'unheard', 'not unheard',
]; // prettier-ignore

/** What no browser knows is taken as known, as stylesheets ask for what is newer than this. */
const supports = [
  '(display: grid)', 'not (display: grid)', '(display: grid) and (color: red)', '(--a: b)',
  '(display: grid) or (display: nonsense)', 'selector(:has(a))', 'font-format(woff2)', 'font-tech(variations)',
  '((display: grid))', '(font-variation-settings: "wght" 1)',
]; // prettier-ignore

const engines = availableEngines().filter((name) => name === 'chromium');

describe.each(engines)('conditions as in %s', (name) => {
  let engine: Engine;
  beforeAll(async () => {
    engine = await startEngine(name);
    await engine.open('data:text/html,<!doctype html><meta name=viewport content="width=device-width">');
  });
  afterAll(() => engine.close());

  test('media queries', async () => {
    // Without a window there is no pointer to ask for.
    const asked = media.filter((text) => !/hover|pointer/.test(text));
    const said = await engine.run<boolean[]>(
      'return argument.map((text) => matchMedia(text).matches)',
      asked,
    );
    const own = asked.map((text) => holds([{ kind: 'media', text }], usualScreen));
    expect(asked.map((text, i) => [text, own[i]])).toEqual(asked.map((text, i) => [text, said[i]]));
  });

  test('what is supported', async () => {
    const said = await engine.run<boolean[]>('return argument.map((text) => CSS.supports(text))', supports);
    const own = supports.map((text) => holds([{ kind: 'supports', text }], usualScreen));
    expect(supports.map((text, i) => [text, own[i]])).toEqual(supports.map((text, i) => [text, said[i]]));
  });
});

test.each<[string, Partial<Environment>, boolean]>([
  ['(prefers-color-scheme: dark)', { scheme: 'dark' }, true],
  ['(prefers-color-scheme: dark)', {}, false],
  ['print', { type: 'print' }, true],
  ['screen', { type: 'print' }, false],
  ['(hover: none)', { preferences: new Map([['hover', 'none']]) }, true],
  ['(hover)', { preferences: new Map([['hover', 'none']]) }, false],
  ['(prefers-reduced-motion)', { preferences: new Map([['prefers-reduced-motion', 'reduce']]) }, true],
  ['(prefers-contrast: more)', { preferences: new Map([['prefers-contrast', 'more']]) }, true],
  ['(min-width: 40em)', { width: 639 }, false],
  ['(min-width: 40em)', { width: 640 }, true],
])('%s under %j is %s', (text, environment, expected) => {
  expect(holds([{ kind: 'media', text }], { ...usualScreen, ...environment })).toBe(expected);
});

test.each([
  [['(min-width: 40em) and (max-width: 900px)'], [640, 900]],
  [['(400px <= width < 50rem)'], [400, 800]],
  [['(min-height: 10px)', 'print'], []],
])('breakpoints of %j are %j', (texts, expected) => {
  expect([...breakpointsOf(texts, 'width')].sort((a, b) => a - b)).toEqual(expected);
});
