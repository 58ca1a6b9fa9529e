import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { readRules } from '#src/site/css/rules.js';
import type { PageSheet } from '#src/site/cascade/style-rules.js';
import type { FontFaceDescriptors } from '#src/site/css/rules.js';
import { readDocument, treesWithin, type SiteElement } from '#src/site/html/document.js';
import { stylesheetsOf } from '#src/site/html/stylesheets.js';
import { SiteStyles } from '#src/site/cascade/site-styles.js';
import { pageFaces } from '#src/site/usage/page-faces.js';

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

async function facesOf(html: string): Promise<number> {
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
  return pageFaces({ root, file: 'page.html', sheets, fontFaces, withPlaces: true }, new SiteStyles()).faces
    .size;
}

describe('pages and stylesheets of any kind come to an end without an error', () => {
  test('stylesheets', () =>
    fc.assert(
      fc.asyncProperty(joined(cssPieces, 40), async (css) => {
        const html = `<!doctype html><style>${css}</style><p class=a id=b data-a=v>x<b>y</b></p>`;
        expect(await facesOf(html)).toBeGreaterThan(0);
      }),
      { numRuns: 1500 },
    ));

  test('pages', () =>
    fc.assert(
      fc.asyncProperty(joined(htmlPieces, 40), joined(cssPieces, 12), async (html, css) => {
        expect(await facesOf(`<style>${css}</style>${html}`)).toBeGreaterThanOrEqual(0);
      }),
      { numRuns: 1500 },
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
      { numRuns: 1000 },
    ));
});
