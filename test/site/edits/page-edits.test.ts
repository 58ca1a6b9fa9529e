import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { wiredPage, type PageWiring } from '#src/site/edits/page-edits.js';

const host = 'https://faces.example';
const wiring: PageWiring = {
  markup:
    '<link rel="preload" href="type/a.woff2" as="font" crossorigin>\n<link rel="stylesheet" href="type/kit.css">\n',
  verdict: (_, url) => (url.startsWith(host) ? 'goes' : 'stays'),
  mayDeclare: () => false,
  rules: {
    importVerdict: (url) => (url.startsWith(host) ? 'goes' : 'stays'),
    isFaceReplaced: ({ family }) => family === 'Quay',
  },
};
const block = `<!-- dense-glyph: the kit, put here by wire -->
<link rel="preload" href="type/a.woff2" as="font" crossorigin>
<link rel="stylesheet" href="type/kit.css">
<!-- dense-glyph: end -->
`;
const hosted = `<link rel="stylesheet" href="${host}/css/quay.css">`;

describe('a kit in a page', () => {
  test('with its loader, once, and only between its own comments', () => {
    const script = '<script data-base="type/">(()=>{if(1<2)"<!--"})();</script>';
    const own = { ...wiring, markup: `${script}\n${wiring.markup}` };
    const page = `<head><title>a</title>\n<link rel=stylesheet href=a.css>\n</head><p>x`;
    const wired = wiredPage(page, own)!;
    expect(wired).toContain(`${script}\n<link rel="preload"`);
    expect(wiredPage(wired, own)).toBe(wired);
    // Somebody else's script is none of it.
    const foreign = wired.replace(script, '<script>other()</script>');
    expect(wiredPage(foreign, own)).toContain('<script>other()</script>');
  });

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
    const second = wiredPage(first!, { ...wiring, markup });
    expect(second).toBe(
      `<head>\n  <!-- dense-glyph: the kit, put here by wire -->\n  <link rel="stylesheet" href="/type/kit.css">\n  <!-- dense-glyph: end -->\n</head>`,
    );
  });

  test.each<[string, string, Partial<PageWiring>, string]>([
    [
      'a stylesheet that has more than faces names its copy, in its place',
      `<link media=print href="${host}/icons.css" integrity="sha384-x" crossorigin rel=stylesheet>`,
      { verdict: () => ({ becomes: 'type/styles/icons.css' }) },
      `${block}<link media=print href="type/styles/icons.css" rel=stylesheet>`,
    ],
    [
      'an import keeps its layer and its condition',
      `<style>@import "${host}/a.css" layer(x) screen;</style>`,
      { rules: { ...wiring.rules, importVerdict: () => ({ becomes: 'type/styles/a.css' }) } },
      `${block}<style>@import url("type/styles/a.css") layer(x) screen;</style>`,
    ],
    [
      'it comes after a stylesheet that stays and may declare one of its families',
      '<head>\n<link rel=stylesheet href=own.css>\n<link rel=stylesheet href=more.css>\n</head>',
      { mayDeclare: (url) => url === 'own.css' },
      `<head>\n<link rel=stylesheet href=own.css>\n${block}<link rel=stylesheet href=more.css>\n</head>`,
    ],
    [
      'a page that has no use for it loses what is replaced, and an earlier kit',
      `<head>\n${block}${hosted}\n<title>a</title></head>`,
      { markup: undefined },
      '<head>\n<title>a</title></head>',
    ],
    [
      'a hint stays where an element that stays names its host',
      `<link rel=preconnect href=${host}><img src="${host}/a.png">`,
      { verdict: (_, __, isAskedOtherwise) => (isAskedOtherwise('faces.example') ? 'stays' : 'goes') },
      `<link rel=preconnect href=${host}>${block}<img src="${host}/a.png">`,
    ],
  ])('%s', (_, page, more, wired) => {
    expect(wiredPage(page, { ...wiring, ...more })).toBe(wired);
  });

  const marker = block.split('\n')[0];
  test.each([
    ['in a script', `<script>"${marker}</p>${block.split('\n')[3]}"</script><p>x`],
    ['in a textarea', `<textarea>${block}</textarea><p>x`],
    ['half deleted', `${marker}\n<p>x</p>`],
    ['around text', `<body>${marker}<p>mine</p><!-- dense-glyph: end -->`],
  ])('its comments count only as comments around links: %s', (_, page) => {
    const wired = wiredPage(page, wiring);
    expect(wired?.replace(block, '')).toBe(page);
  });

  test('a page that would be read otherwise is left alone', () => {
    // Without the link the pieces make a reference.
    expect(wiredPage(`<p>a &am${hosted}p; b`, wiring)).toBeUndefined();
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
        // What would be read otherwise is left alone.
        if (wired === undefined) return;
        const lines = /[ \t]*<!-- dense-glyph: the kit[\s\S]*?<!-- dense-glyph: end -->(\r?\n)?/;
        const without = wired.replace(lines, '');
        expect(without.replace(/[ \t]/g, '')).toBe(html.replace(/[ \t]/g, ''));
        expect(wiredPage(wired, wiring)).toBe(wired);
      }),
      { numRuns: 1000 },
    ));
});
