import { expect, test } from '@jest/globals';
import { attributeValues, readPage } from '#src/site/index.js';

const html =
  '<html lang=el><link rel="preload stylesheet" href="a.css"><link rel=icon href=b.png><title>T</title>' +
  '<template><style>q{}</style>One</template><script>no</script>' +
  '<p lang="tr" style="color: red" data-tip="drawn">Two<svg><style>r{}</style></svg> <b title="Three">four</b>' +
  '<input type=Password placeholder="Five"><q>six</q><input type=date><ol type=I><li>seven</ol>';

test('a page: its text in order, its styles, and what draws more', () => {
  expect(readPage(html)).toEqual({
    text: ['T', 'One', 'Two', ' ', 'Three', 'four', 'Five', 'six', 'seven'],
    stylesheets: ['q{}', 'r{}'],
    declarations: ['color: red'],
    links: ['a.css'],
    languages: new Set(['el', 'tr']),
    counterStyles: new Set(['upper-roman']),
    features: new Set(['tnum', 'ss03']),
    quotes: true,
    passwords: true,
  });
});

test.each<[html: string, ...counterStyles: string[]]>([
  ['<ol><li>a</ol>', 'decimal'],
  ['<ol type=a><li type=1>a</ol>', 'lower-alpha', 'decimal'],
  ['<ul><li>a</ul>'],
  ['<ol type=constructor>'],
])('lists count: %s', (page, ...expected) => {
  expect([...readPage(page).counterStyles]).toEqual(expected);
});

test.each<[base: string, ...links: string[]]>([
  ['', 'a.css', '/b.css', 'https://elsewhere.example/c.css'],
  ['<base href="/app/?x">', '/app/a.css', '/b.css', 'https://elsewhere.example/c.css'],
  [
    '<base href="../index.html"><base href="/later/">',
    '../a.css',
    '/b.css',
    'https://elsewhere.example/c.css',
  ],
])('links start where the page says: %s', (base, ...links) => {
  const page = ['a.css', '/b.css', 'https://elsewhere.example/c.css'].map(
    (href) => `<link rel=stylesheet href="${href}">`,
  );
  expect(readPage(base + page.join('')).links).toEqual(links);
});

test('attributes that styles draw', () => {
  expect(attributeValues(html, new Set(['data-tip', 'href']))).toEqual(['a.css', 'b.png', 'drawn']);
});

test('a page with more elements beside each other than a call takes arguments', () => {
  expect(readPage('<br>'.repeat(200_000) + 'end').text).toEqual(['end']);
});
