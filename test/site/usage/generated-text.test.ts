import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  addCustomProperties,
  generatedTextOf,
  readStylesheet,
  transformedText,
  type CustomProperties,
  type TextTransform,
} from '#src/site/index.js';

function generatedBy(css: string) {
  const { declarations } = readStylesheet(css);
  const properties: CustomProperties = new Map();
  addCustomProperties(declarations, properties);
  return generatedTextOf(declarations, properties);
}

test.each<[css: string, drawn: Record<string, string>]>([
  ['a::before { content: "→ " url(a.png) "\\201C" }', { content: '→ “' }],
  ['a::after { content: attr(data-tip) counter(a) }', { 'list-style: decimal': '0123456789. ' }],
  [
    'li::marker { content: counters(a, "–", upper-roman) }',
    { content: '–', 'list-style: decimal': '0123456789. ', 'list-style: upper-roman': 'CDILMVX. ' },
  ],
  ['ul { list-style: "✓ " inside; list-style-type: square }', { 'list-style': '✓ ' }],
  ['ol { list-style: lower-greek }', { 'list-style: lower-greek': 'αβγδεζηθικλμνξοπρστυφχψω. ' }],
  ['q { quotes: "«" "»" "‹" "›" }', { quotes: '«»‹›' }],
  [
    'p { text-overflow: "…"; -webkit-hyphenate-character: "‧" }',
    { 'text-overflow': '…', 'hyphenate-character': '‧' },
  ],
  ['em { -webkit-text-emphasis: filled sesame red }', { 'text-emphasis': '●﹅﹅﹆' }],
  [
    '@counter-style x { symbols: ▸ "●"; suffix: "» "; system: extends thai }',
    { '@counter-style': '▸●» ', 'list-style: thai': '๐๑๒๓๔๕๖๗๘๙. ', 'list-style: decimal': '0123456789. ' },
  ],
  [':root { --font: "Ferrywake Sans" } a { --separator: "/"; content: var(--separator) }', { content: '/' }],
  [
    'a { content: var(--a, "1") } b { --a: "2" var(--b) } c { --a: "3"; --b: var(--a) "4" }',
    { content: '2431' },
  ],
  [
    'a { content: url("a.png") image-set("b.png" 1x, url("c.png") 2x) / "alternative" }',
    { content: 'alternative' },
  ],
  ['a { font-family: "Ferrywake Sans"; font-feature-settings: "smcp"; background: url("a.png") }', {}],
  ['a[data-x="y"] { color: red }', {}],
  ['@constructor { a { list-style: constructor } }', {}],
])('styles draw: %s', (css, drawn) => {
  expect(Object.fromEntries(generatedBy(css).drawn)).toEqual(drawn);
});

test.each<[css: string, ...transforms: string[]]>([
  ['a { TEXT-TRANSFORM: Uppercase }', 'uppercase by text-transform: uppercase'],
  [
    'a { text-transform: capitalize full-width }',
    'capitalize by text-transform: capitalize',
    'full-width by text-transform: full-width',
  ],
  ['a { font-variant-caps: titling-caps; text-transform: none }'],
  ['.b { --case: lowercase; text-transform: var(--case) }', 'lowercase by text-transform: lowercase'],
])('text is changed: %s', (css, ...transforms) => {
  expect(Array.from(generatedBy(css).transforms, ([name, by]) => `${name} by ${by}`)).toEqual(transforms);
});

test.each([
  ['a { font: small-caps 1em a }', 'small-caps'],
  ['a { font-variant: all-small-caps } b { font-variant-caps: small-caps }', 'all-small-caps'],
  ['a { font-variant-caps: titling-caps }', undefined],
])('small capitals: %s', (css, word) => {
  expect(generatedBy(css).smallCapitals).toBe(word);
});

test('attributes and quotation marks', () => {
  const { attributes, quotes } = generatedBy('a::before { content: open-quote attr(DATA-Tip string, "x") }');
  expect([[...attributes], quotes]).toEqual([['data-tip'], true]);
});

test('whatever is read, it comes to an end', () => {
  const pieces = '{ } ( attr( "smcp" \' \\ /* @media @counter-style content quotes : ; --x <!-- \n \0'.split(
    ' ',
  );
  fc.assert(
    fc.property(fc.array(fc.constantFrom(...pieces), { maxLength: 40 }), (some) => {
      expect(generatedBy(some.join('')).attributes.size).toBeLessThan(40);
    }),
    { numRuns: 500 },
  );
});

/** What is in the result and not in the text, in order. */
const added = (text: string, transform: TextTransform, languages: string[]) =>
  [...new Set(transformedText(text, transform, languages))]
    .filter((c) => !text.includes(c))
    .sort()
    .join('')
    .trim();

test.each<[text: string, transform: TextTransform, language: string, expected: string]>([
  ['menu ß ŉ', 'uppercase', '', 'EMNSUʼ'],
  ['izmir', 'uppercase', 'en', 'IMRZ'],
  ['izmir', 'uppercase', 'tr-TR', 'IMRZİ'],
  ['πρώτη ή', 'uppercase', 'el', 'ΉΏΗΠΡΤΩ'],
  ['ΟΔΟΣ', 'lowercase', '', 'δοςσ'],
  ['I', 'lowercase', 'az', 'iı'],
  ['one two‑three 4th don’t', 'capitalize', '', 'DOT'],
  ['ǆ ﬁ ß', 'capitalize', '', 'FISisǅ'],
  ['ijs', 'capitalize', 'nl', 'IJ'],
  ['a ¥ ｶ', 'full-width', '', 'カａ￥'],
  ['ッァｧ', 'full-size-kana', '', 'アツｱ'],
  ['menu', 'uppercase', 'not_a tag', 'EMNU'],
])('%s, %s, %s', (text, transform, language, expected) => {
  expect(added(text, transform, [language])).toBe(expected);
});
