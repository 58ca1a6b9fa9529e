import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { readRules } from '#src/site/css/rules.js';
import type { PageSheet } from '#src/site/cascade/style-rules.js';
import type { FontFaceDescriptors } from '#src/site/css/rules.js';
import { readDocument, treesWithin, type SiteElement } from '#src/site/html/document.js';
import { stylesheetsOf } from '#src/site/cascade/page-stylesheets.js';
import { scenariosOf } from '#src/site/cascade/scenarios.js';
import { SiteStyles } from '#src/site/cascade/site-styles.js';
import { pageFaces } from '#src/site/usage/page-faces.js';
import { casesOf } from '../../test-support/thorough.js';

/** Pieces that stylesheets are made of, whole and broken. */
const cssPieces = [
  'p', '.a', '#b', '*', '::before', ':hover', ':not(', ':has(> ', ':nth-child(2n+1 of ', ':is(', '&', '>', '+', '~', ' ',
  '{', '}', '(', ')', '[', ']', '[data-a=', '"', "'", '\\', '/*', '*/', ';', ':', ',', '!important', '<!--', '-->', '\0',
  'font-family', 'font', 'font-weight', 'content', 'display', 'all', '--a', 'var(--a', 'var(--b, var(--a))', 'serif', '"A B"',
  '700', 'bolder', 'none', 'inherit', 'revert-layer', 'italic', '1e9', 'U+0-10FFFF', 'url(', 'url("x.woff2")', 'attr(class)',
  'counter(c, upper-roman)', 'counters(c, ".")', 'open-quote',
  '@media (min-width: 3px)', '@media not all and (', '@layer a, b', '@layer a', '@import url(x.css) layer(', '@supports (display:',
  '@container (width > 1px)', '@scope (.a) to (', '@font-face', '@font-face { font-family: A; src: url(a) }', '@charset "x";',
  '@unheard-of', 'src:', 'unicode-range:', 'counter-reset: c 2147483647', 'quotes: "a" "b"',
]; // prettier-ignore

const htmlPieces = [
  '<p>', '</p>', '<p class=a id=b data-a=v style="font-weight:', '">', '<b>', '</b>', '<ol start=99999>', '<li value=-5>',
  '<template shadowrootmode=open>', '</template>', '<slot name=x>', '<i slot=x>', '<style>', '</style>', '<!--', '-->', '<table>',
  '<td>', '<svg>', '<math>', '<input placeholder=a value=b type=', '<select><option selected>', '<textarea>', '<frameset>',
  '<base href="//x">', '<link rel=stylesheet href=x>', 'Ab', 'ß', '\u{1F600}', '&nbsp;', '&#0;', '<q>', '</q>', '<details>',
]; // prettier-ignore

const joined = (pieces: readonly string[], most: number) =>
  fc.array(fc.constantFrom(...pieces), { maxLength: most }).map((list) => list.join(''));

async function readPage(html: string): Promise<ReturnType<typeof pageFaces>> {
  const root = readDocument(html);
  const sheets = new Map<SiteElement | undefined, readonly PageSheet[]>();
  const fontFaces: FontFaceDescriptors[] = [];
  for (const tree of treesWithin(root)) {
    const found = await stylesheetsOf(tree, 'page.html', {
      linked: () => Promise.resolve(undefined),
      inline: (css, file, line) => readRules(css, file, Math.max(1, line)),
    });
    sheets.set(tree === root ? undefined : tree, found.sheets);
    fontFaces.push(...found.fontFaces);
  }
  return pageFaces({ root, file: 'page.html', sheets, fontFaces, withPlaces: true }, new SiteStyles());
}

const facesOf = async (html: string): Promise<number> => (await readPage(html)).faces.size;

describe('pages and stylesheets of any kind come to an end without an error', () => {
  test('stylesheets', () =>
    fc.assert(
      fc.asyncProperty(joined(cssPieces, 40), async (css) => {
        const html = `<!doctype html><style>${css}</style><p class=a id=b data-a=v>x<b>y</b></p>`;
        expect(await facesOf(html)).toBeGreaterThan(0);
      }),
      casesOf(200, 1300),
    ));

  test('pages', () =>
    fc.assert(
      fc.asyncProperty(joined(htmlPieces, 40), joined(cssPieces, 12), async (html, css) => {
        expect(await facesOf(`<style>${css}</style>${html}`)).toBeGreaterThanOrEqual(0);
      }),
      casesOf(200, 1300),
    ));

  test('a rule behind a broken one is still read', () =>
    fc.assert(
      fc.property(joined(cssPieces, 20), (css) => {
        // What closes everything that may be open: a comment, strings, brackets and blocks.
        const closed = `${css}*/"\n'\n${')'.repeat(20)}${']'.repeat(20)}${'}'.repeat(20)}`;
        const { rules, fontFaces } = readRules(closed, 'a.css');
        for (const { line, column } of [...rules, ...fontFaces])
          expect(Math.min(line, column)).toBeGreaterThan(0);
      }),
      casesOf(200, 800),
    ));
});

describe('the work of selectors adds up and doesn’t multiply', () => {
  const many = (count: number) => '<p class=a>x</p>'.repeat(count);
  const nested = (inner: string) => `.a {${`${inner} {`.repeat(26)} font-weight: 700 ${'}'.repeat(26)}}`;
  const bold = (selector: string) => `${selector} { font-weight: 700 }`;

  test.each<[string, string, string, number[]]>([
    ['& in &', nested('& &'), many(10), [400]],
    ['& beside &', nested('&, & + &'), many(10), [700]],
    [
      ':nth-child(of :nth-last-child(of))',
      bold('p:nth-child(odd of :nth-last-child(even of .a))'),
      many(1000),
      [400, 700],
    ],
    [':has() in :has()', bold('p:has(~ p:has(~ p:has(~ .z)))'), `${many(2000)}<p class=z>z`, [400, 700]],
    [':has() around all', bold(':has(:has(:has(.z)))'), '<div>'.repeat(300) + many(500), [400]],
    ['siblings that aren’t there', bold('.q ~ p ~ p ~ p ~ p ~ .z'), `${many(2000)}<p class=z>z`, [400]],
    [
      'ancestors that aren’t there',
      bold('.q div div div div .z'),
      `${'<div>'.repeat(300)}<p class=z>z`,
      [400],
    ],
    ['positions of a type', bold('p:last-of-type'), many(20_000), [400, 700]],
  ])('%s', async (_, css, html, weights) => {
    const { faces, isBounded } = await readPage(`<!doctype html><style>${css}</style>${html}`);
    expect(isBounded).toBe(false);
    const asked = new Set(Array.from(faces.values(), (face) => face.asked.weight));
    expect([...asked].sort()).toEqual(weights);
  });

  test('a page with more rules and elements than are compared says so, and has an end', async () => {
    const classes = Array.from({ length: 2000 }, (_, i) => `.c${i}`).join();
    const html = `<style>${bold(`p:nth-child(n):is(${classes})`)}</style>${many(3000)}<b>end</b>`;
    const { faces, isBounded } = await readPage(html);
    expect([isBounded, faces.size > 0]).toEqual([true, true]);
  });
});

test('texts of attributes that come to a gigabyte, and ranges of thousands of characters, are no trouble', async () => {
  const content = `i::before { content: ${'attr(d) '.repeat(1000)} }`;
  const ranges = Array.from({ length: 20_000 }, (_, i) => `U+${(0x4e00 + i * 20).toString(16)}`).join();
  const face = `@font-face { font-family: F; src: url(a.woff2); unicode-range: ${ranges} }`;
  const elements = `<i d="${'y'.repeat(1000)}">x</i>`.repeat(1000);
  const before = process.memoryUsage().rss;
  const { faces } = await readPage(`<style>${content} ${face} body { font-family: F }</style>${elements}`);
  expect(faces.size).toBeGreaterThan(0);
  expect(process.memoryUsage().rss - before).toBeLessThan(400e6);
});

test('screens that differ are looked at up to a number', () => {
  const sets = Array.from({ length: 90 }, (_, i) => [
    { kind: 'media' as const, text: `(min-width: ${400 + i * 10}px)` },
  ]);
  const scenarios = scenariosOf([[], ...sets], new Set(sets.map((_, i) => i + 1)), true);
  expect(scenarios).toHaveLength(48);
});
