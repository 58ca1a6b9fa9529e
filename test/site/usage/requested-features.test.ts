import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  addCustomProperties,
  readStylesheet,
  requestedFeatures,
  type CustomProperties,
} from '#src/site/index.js';

function requestedBy(css: string): string[] {
  const { declarations } = readStylesheet(css);
  const properties: CustomProperties = new Map();
  addCustomProperties(declarations, properties);
  return [...requestedFeatures(declarations, properties)];
}

test.each<[css: string, ...tags: string[]]>([
  ['a { font-feature-settings: "smcp", "ss01" 2, "c2sc" on }', 'smcp', 'ss01', 'c2sc'],
  ['a { font-feature-settings: "liga" 0, "kern" off, \'onum\' 1 }', 'onum'],
  ['a { font-feature-settings: normal; font-feature-settings: "toolong", "abc" }'],
  ['a { font-variant: all-small-caps oldstyle-nums }', 'smcp', 'c2sc', 'onum'],
  ['a { FONT-VARIANT-NUMERIC: Tabular-Nums diagonal-fractions }', 'tnum', 'frac', 'numr', 'dnom'],
  ['a { font-variant-position: super; font-variant-east-asian: jis78 ruby }', 'sups', 'jp78', 'ruby'],
  ['a { font: small-caps 700 1em/1.2 "Ferrywake Sans" }', 'smcp'],
  ['a { font: 1em "smcp"; color: unicase }'],
  ['@media print { @supports (color: red) { a { b & { font-variant-caps: unicase } } } }', 'unic'],
  ['@font-face { font-family: a; font-feature-settings: "zero" }', 'zero'],
  [
    '@font-feature-values A { @styleset { nice: 1 12 } @swash { big: 1 } @character-variant { x: 3 2 } }',
    'ss01',
    'ss12',
    'swsh',
    'cswh',
    'cv03',
    'cv02',
  ],
  [
    'a { font-weight: 700; b { x { font-variant-caps: unicase } } c { font-variant: ordinal } }',
    'unic',
    'ordn',
  ],
  ['.tabular { --numbers: tabular-nums; font-variant-numeric: var(--numbers) }', 'tnum'],
  ['.caps { --settings: "smcp" 1, "dlig" 0; font-feature-settings: var(--settings) }', 'smcp'],
  ['.caps { --settings: "smcp" }'],
  ['a { text-combine-upright: all }', 'hwid', 'twid', 'qwid'],
  ['@constructor { a { font-variant: constructor } }'],
  ['a { font-variant-ligatures: discretionary-ligatures', 'dlig'],
  ['} ) not CSS at all {{{ "smcp"'],
])('%s', (css, ...tags) => {
  expect(requestedBy(css)).toEqual(tags);
});

test('whatever is read, it comes to tags and to an end', () => {
  const pieces = '{ } ( "smcp" \' \\ /* @media @import a : ; --x <!-- \n \0'.split(' ');
  fc.assert(
    fc.property(fc.array(fc.constantFrom(...pieces), { maxLength: 40 }), (some) => {
      for (const tag of requestedBy(some.join(''))) expect(tag).toMatch(/^.{4}$/);
    }),
    { numRuns: 1000 },
  );
});

test('a style attribute', () => {
  expect(requestedBy('color: red; font-variant-caps: petite-caps')).toEqual(['pcap']);
});

test('stylesheets that are imported', () => {
  const css =
    '@import "a.css"; @import url(b.css) screen; @import url("c.css") layer("x") supports(content: "y"); a { background: url(d.png) }';
  expect(readStylesheet(css).imports).toEqual(['a.css', 'b.css', 'c.css']);
});
