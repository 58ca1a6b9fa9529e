import { describe, expect, test } from '@jest/globals';
import { compileSelectors } from '#src/site/css/selectors/index.js';

const compiled = (text: string) => compileSelectors(text, undefined);

describe('selectors', () => {
  /** Selectors 4, section 17, and its examples. */
  test.each<[string, readonly [number, number, number]]>([
    ['*', [0, 0, 0]],
    ['li', [0, 0, 1]],
    ['ul li', [0, 0, 2]],
    ['ul ol + li', [0, 0, 3]],
    ['h1 + *[rel=up]', [0, 1, 1]],
    ['ul ol li.red', [0, 1, 3]],
    ['li.red.level', [0, 2, 1]],
    ['#x34y', [1, 0, 0]],
    ['#s12:not(foo)', [1, 0, 1]],
    ['.foo :is(.bar, #baz)', [1, 1, 0]],
    [':where(#a) p', [0, 0, 1]],
    [':has(#a, p) b', [1, 0, 1]],
    [':nth-child(even of .a, #b)', [1, 1, 0]],
    ['p::before', [0, 0, 2]],
    ['p:before', [0, 0, 2]],
    ['::slotted(.a)', [0, 1, 1]],
    [':host(.a)', [0, 2, 0]],
  ])('%s counts %j', (text, specificity) => {
    expect(compiled(text)![0].specificity).toEqual(specificity);
  });

  test.each(['p:unheard', 'p::unheard', ':not(p:unheard)', ':has(:unheard)', ':is(p, ::before) :unheard'])(
    '%s fails, as in a browser',
    (text) => {
      expect(compiled(text)).toBeUndefined();
    },
  );

  /** What an index of rules goes by. */
  test.each([
    ['.a .b p', { type: 'p' }, '.b'],
    ['#x .b > p.c', { type: 'p', className: 'c' }, '#x'],
    ['section p', { type: 'p' }, 'section'],
    ['.a + p', { type: 'p' }, undefined],
    ['.a + .b p', { type: 'p' }, '.b'],
    [':is(.a, .b) p', { type: 'p' }, undefined],
    ['::slotted(p)', {}, undefined],
  ])('%s is looked up by %j within %s', (text, key, around) => {
    const [selector] = compiled(text)!;
    expect([selector.key, selector.around]).toEqual([key, around]);
  });

  test.each([
    ['p:hover', true, false],
    ['p:first-child', false, true],
    ['p:not(:hover + b)', true, true],
    ['p:is(.a, :empty)', false, true],
    ['.a > p', false, false],
  ])('%s: depends on a state %s, looks around %s', (text, hasState, looksAround) => {
    const [{ traits }] = compiled(text)!;
    expect([traits.hasState, traits.looksAround]).toEqual([hasState, looksAround]);
  });
});
