import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { compileSelectors, outlinesOf } from '#src/site/css/selectors/index.js';

describe('outlines of selectors', () => {
  test.each([
    'a:link',
    'p::before',
    'p:before',
    'a[href]',
    ':is(a, b)',
    '&.a',
    'svg|a',
    '.\\31 a',
    '.é',
    '> a',
    'a >',
    'a > > b',
    '.5a',
    '#1',
    'a, ',
    '',
    'a:hover(b)',
  ])('are none of %s, which has to be compiled', (text) => {
    expect(outlinesOf(text)).toBeUndefined();
  });

  const name = fc.constantFrom('a', 'H1', '-b', '--c', 'd_1', 'e-2f');
  const simple = fc.tuple(
    fc.constantFrom('.', '#', '.', ':'),
    name,
    fc.constantFrom('hover', 'focus', 'visited'),
  );
  const compound = fc
    .tuple(fc.option(fc.oneof(name, fc.constant('*')), { nil: '' }), fc.array(simple, { maxLength: 3 }))
    .map(
      ([type, parts]) =>
        type + parts.map(([sign, word, state]) => (sign === ':' ? `:${state}` : sign + word)).join(''),
    )
    .filter((text) => text !== '');
  const selector = fc
    .tuple(
      compound,
      fc.array(fc.tuple(fc.constantFrom(' ', '  ', ' > ', '>', '+', ' ~ ', '\n'), compound), {
        maxLength: 3,
      }),
    )
    .map(([first, others]) => first + others.flat().join(''));

  test('say what the compiled ones ask for', () => {
    fc.assert(
      fc.property(fc.array(selector, { minLength: 1, maxLength: 3 }), (selectors) => {
        const outlines = outlinesOf(selectors.join(', '));
        const compiled = compileSelectors(selectors.join(', '), undefined)!;
        expect(outlines?.map(({ text }) => text)).toEqual(selectors.map((one) => one.trim()));
        expect(
          outlines!.map(({ key, around, ids, hasState }) => ({
            key,
            around,
            ids: [...new Set(ids)],
            hasState,
          })),
        ).toEqual(
          compiled.map(({ key, around, traits }) => ({
            key,
            around,
            ids: [...traits.ids],
            hasState: traits.hasState,
          })),
        );
      }),
    );
  });
});
