import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { wiredPage, type PageWiring } from '#src/site/edits/page-edits.js';

const host = 'https://faces.example';
const wiring: PageWiring = {
  markup:
    '<link rel="preload" href="type/a.woff2" as="font" crossorigin>\n<link rel="stylesheet" href="type/kit.css">\n',
  isReplaced: (_, url) => url.startsWith(host),
  rules: {
    isImportReplaced: (url) => url.startsWith(host),
    isFamilyReplaced: (family) => family === 'Quay',
  },
};
const block = `<!-- dense-glyph: the kit, put here by wire -->
<link rel="preload" href="type/a.woff2" as="font" crossorigin>
<link rel="stylesheet" href="type/kit.css">
<!-- dense-glyph: end -->
`;
const hosted = `<link rel="stylesheet" href="${host}/css/quay.css">`;

describe('a kit in a page', () => {
  test.each<[string, string, string]>([
    [
      'stands where the hosted stylesheet stood',
      `<title>a</title>\n<style>b{}</style>\n${hosted}\n<p>x`,
      `<title>a</title>\n<style>b{}</style>\n${block}<p>x`,
    ],
    [
      'stands before the first stylesheet',
      '<title>a</title>\n<link rel=stylesheet href=a.css>\n',
      `<title>a</title>\n${block}<link rel=stylesheet href=a.css>\n`,
    ],
    ['keeps the place in a line', `<head>${hosted}</head>`, `<head>${block}</head>`],
    [
      'takes hints, preloads and other hosted stylesheets out with their lines',
      `<head>\n  <link rel=preconnect href=${host} crossorigin>\n  ${hosted}\n  <link rel=dns-prefetch href=//other.example>\n  <link rel=preload as=font href=${host}/q.woff2>\n  ${hosted}\n</head>`,
      `<head>\n${block.replace(/^(?=.)/gm, '  ')}  <link rel=dns-prefetch href=//other.example>\n</head>`,
    ],
    [
      'takes out what stands there for browsers without scripts',
      `<head>\n${hosted}\n<noscript>${hosted}</noscript>\n</head>`,
      `<head>\n${block}<noscript></noscript>\n</head>`,
    ],
    [
      'takes imports and rules out of style elements',
      `<style>\n@import url(${host}/a.css);\n@font-face { font-family: "Quay"; src: url(a.woff2) }\n@font-face { font-family: Other; src: url(b) }\n@media print { @font-face { font-family: Quay; src: url(c) } }\nb { c: d }</style>`,
      `${block}<style>\n@font-face { font-family: Other; src: url(b) }\n@media print {  }\nb { c: d }</style>`,
    ],
    [
      'ends lines as the page does',
      '<title>a</title>\r\n<link rel=stylesheet href=a.css>\r\n',
      `<title>a</title>\r\n${block.replaceAll('\n', '\r\n')}<link rel=stylesheet href=a.css>\r\n`,
    ],
    [
      'is not seen in comments and scripts',
      `<!-- ${hosted} --><script>"${hosted.replace('<', '\\x3c')}"</script>`,
      `<!-- ${hosted} --><script>"${hosted.replace('<', '\\x3c')}"</script>${block}`,
    ],
  ])('%s', (_, page, wired) => {
    expect(wiredPage(page, wiring)).toBe(wired);
    expect(wiredPage(wired, wiring)).toBe(wired);
  });

  test('that changed takes the place of the one before', () => {
    const first = wiredPage(`<head>\n  ${hosted}\n</head>`, wiring);
    const markup = '<link rel="stylesheet" href="/type/kit.css">\n';
    const second = wiredPage(first, { ...wiring, markup });
    expect(second).toBe(
      `<head>\n  <!-- dense-glyph: the kit, put here by wire -->\n  <link rel="stylesheet" href="/type/kit.css">\n  <!-- dense-glyph: end -->\n</head>`,
    );
  });

  const piece = fc.constantFrom(
    '<!doctype html>', '<html lang=en>', '<head>', '</head>', '<body class="a">', '<title>Pier & quay</title>',
    '<meta charset="latin1">', '<link rel=stylesheet href=a.css>', '<link rel="icon" href="x">', '<style>b{color:red}</style>',
    '<style>@font-face{font-family:X;src:url(x)}</style>', '<script>if (a < b) "</p>"</script>', '<p>\u00e9\u00ff', '</p>', '<table><tr><td>',
    '<!-- a -->', '<!-- a', '-->', '<', '>', '"', ' ', '\t', '\n', '\r\n', '<svg><style>a{}</style></svg>', '<template><link rel=stylesheet></template>', '<noscript>', '&amp', '\u00ef\u00bb\u00bf',
  ); // prettier-ignore
  const page = fc.array(piece, { maxLength: 24 }).map((list) => list.join(''));

  test('changes nothing but what it puts in, and a second time nothing', () =>
    fc.assert(
      fc.property(page, (html) => {
        const wired = wiredPage(html, wiring);
        const lines = /[ \t]*<!-- dense-glyph: the kit[\s\S]*?<!-- dense-glyph: end -->(\r?\n)?/;
        const without = wired.replace(lines, '');
        expect(without.replace(/[ \t]/g, '')).toBe(html.replace(/[ \t]/g, ''));
        expect(wiredPage(wired, wiring)).toBe(wired);
      }),
      { numRuns: 1000 },
    ));
});
