import { describe, expect, test } from '@jest/globals';
import { PageMatches } from '#src/site/cascade/matches.js';
import { PageStyles } from '#src/site/cascade/page-styles.js';
import { scenariosOf } from '#src/site/cascade/scenarios.js';
import { SiteStyles } from '#src/site/cascade/site-styles.js';
import { featuresByProperty } from '#src/site/css/properties/index.js';
import { readRules } from '#src/site/css/rules.js';
import { elementsWithin, readDocument } from '#src/site/html/document.js';
import { stylesheetsOf } from '#src/site/cascade/page-stylesheets.js';
import { drawnText, type DrawnPiece } from '#src/site/usage/drawn-text.js';

/** Pieces of text of a page in their order, as on a usual screen without states. */
async function piecesOf(html: string): Promise<DrawnPiece[]> {
  const root = readDocument(html);
  const site = new SiteStyles();
  const { sheets, counterStyles } = await stylesheetsOf(root, 'page.html', {
    linked: () => Promise.resolve(undefined),
    inline: (css, file, line) => readRules(css, file, Math.max(1, line)),
  });
  const matches = new PageMatches(new Map([[undefined, site.for(sheets).atRest]]));
  for (const element of elementsWithin(root)) matches.of(element);
  const [usual] = scenariosOf(site.conditions.all, matches.conditions, false);
  const styles = new PageStyles(matches, usual.holding, 'page.html', site.cache);
  const pieces: DrawnPiece[] = [];
  drawnText(
    root,
    [{ styles, isDrawn: true }],
    () => false,
    { text: (piece) => pieces.push(piece), box: () => undefined },
    counterStyles,
  );
  return pieces;
}

const shownIn = async (html: string): Promise<string[]> =>
  (await piecesOf(html)).filter(({ isShown }) => isShown).map(({ text }) => text.trim());

const hiddenIn = async (html: string): Promise<string[]> =>
  (await piecesOf(html)).filter(({ isShown }) => !isShown).map(({ text }) => text.trim());

describe('counters have the values that they reach (CSS Lists 3, section 4)', () => {
  test.each<[string, string, string, string[]]>([
    ['lists number their items', '', '<ol><li>a<li>b</ol>', ['1.', 'a', '2.', 'b']],
    [
      'from a start, and by a value',
      '',
      '<ol start=9><li>a<li>b<li value=3>c</ol>',
      ['9.', 'a', '10.', 'b', '3.', 'c'],
    ],
    ['letters after z', '', '<ol type=a start=26><li>x<li>y</ol>', ['z.', 'x', 'aa.', 'y']],
    [
      'Roman numbers',
      'ol { list-style: upper-roman }',
      '<ol start=39><li>x<li>y</ol>',
      ['XXXIX.', 'x', 'XL.', 'y'],
    ],
    [
      'zeros in front',
      'ol { list-style: decimal-leading-zero }',
      '<ol start=9><li>x<li>y</ol>',
      ['09.', 'x', '10.', 'y'],
    ],
    ['strings', 'li { list-style-type: "→ " }', '<ul><li>x</ul>', ['→', 'x']],
    ['shapes draw nothing', '', '<ul><li>x<li>y</ul>', ['x', 'y']],
    [
      'a list in a list starts anew',
      '',
      '<ol><li>a<ol><li>b</ol><li>c</ol>',
      ['1.', 'a', '1.', 'b', '2.', 'c'],
    ],
    [
      'an item that is not shown does not count',
      'b + li { display: none }',
      '<ol><li>a<b></b><li>x</ol>',
      ['1.', 'a', '2.', 'x'],
    ],
    [
      'counters of chapters and sections, which siblings reset',
      'body { counter-reset: c } h2 { counter-increment: c; counter-reset: s } h3 { counter-increment: s } h2::before { content: counter(c) } h3::before { content: counter(c) "." counter(s) }',
      '<h2>A</h2><h3>x</h3><h3>y</h3><h2>B</h2><h3>z</h3>',
      ['1', 'A', '1.1', 'x', '1.2', 'y', '2', 'B', '2.1', 'z'],
    ],
    [
      'all of those around, joined',
      'ol { counter-reset: n; list-style: none } li { counter-increment: n } li::before { content: counters(n, ".", upper-alpha) }',
      '<ol><li>a<ol><li>b<li>c</ol><li>d</ol>',
      ['A', 'a', 'A.A', 'b', 'A.B', 'c', 'B', 'd'],
    ],
    [
      'set, and counted by steps',
      'p { counter-increment: n 5 } .s { counter-set: n 40 } p::after { content: counter(n) }',
      '<p>a<p class=s>b<p>c',
      ['a', '5', 'b', '40', 'c', '45'],
    ],
    ['a counter that nobody opened', 'p::after { content: counter(none) }', '<p>a', ['a', '0']],
  ])('%s', async (_, css, html, expected) => {
    expect(await shownIn(`<!doctype html><style>${css}</style><body>${html}`)).toEqual(expected);
  });
});

describe('generated content', () => {
  test.each<[string, string, string, string[]]>([
    [
      'strings, attributes and what stands in for them',
      'p::before { content: "a\\2014" attr(data-b) attr(data-c, "none") }',
      '<p data-b=x>y',
      ['a—xnone', 'y'],
    ],
    ['nothing behind a slash', 'p::before { content: "→" / "to" }', '<p>x', ['→', 'x']],
    ['marks by depth', 'q { quotes: "«" "»" "‹" "›" }', '<q>a<q>b</q></q>', ['«', 'a', '‹', 'b', '›', '»']],
    [
      'no marks, which count',
      'b::before { content: no-open-quote } q { quotes: "«" "»" "‹" "›" }',
      '<b>x</b><q>a</q>',
      ['x', '‹', 'a', '›'],
    ],
    [
      'in the order of before, text and after',
      'p::before { content: "1" } p::after { content: "3" }',
      '<p>2',
      ['1', '2', '3'],
    ],
    ['none', 'p::before { content: none } p::after { content: "" }', '<p>x', ['x']],
    ['of a marker', 'li::marker { content: "#" counter(list-item) } ', '<ul><li>x</ul>', ['#1', 'x']],
  ])('%s', async (_, css, html, expected) => {
    expect(await shownIn(`<!doctype html><style>${css}</style><body>${html}`)).toEqual(expected);
  });
});

describe('elements', () => {
  test.each<[string, string, string[]]>([
    [
      'fields draw values, placeholders and words of their own',
      '<input value=a placeholder=b><input type=submit><input type=submit value=Go><input type=password value=abc>',
      ['b', 'a', 'Submit', 'Go', '•••'],
    ],
    [
      'fields without text',
      '<input type=checkbox value=a><input type=hidden value=b><input type=range value=3>',
      [],
    ],
    ['a closed list draws the option that is chosen', '<select><option>a<option selected>b</select>', ['b']],
    [
      'the first one, if none is; its label before its text',
      '<select><option label=A>a<option>b</select>',
      ['A'],
    ],
    ['a list of several lines draws all', '<select size=2><option>a<option>b</select>', ['a', 'b']],
    [
      'what scripts, styles, titles and templates hold is no text',
      '<title>t</title><script>s</script><template>u</template><noscript>n</noscript><iframe>f</iframe>x',
      ['x'],
    ],
    ['text in drawings is', '<svg><title>t</title><text>a</text></svg>', ['a']],
    [
      'what is hidden is not shown',
      '<p hidden>a<p style="visibility: hidden">b<p style="display: none">c<details><summary>s</summary>d</details><p>e',
      ['s', 'e'],
    ],
    [
      'what is visible in what is not',
      '<p style="visibility: hidden">a<b style="visibility: visible">b</b>',
      ['b'],
    ],
    [
      'an open one is shown',
      '<details open><summary>s</summary>d</details><dialog open>e</dialog><dialog>f</dialog>',
      ['s', 'd', 'e'],
    ],
    ['ruby', '<ruby>漢<rp>(</rp><rt>かん</rt></ruby>', ['漢', 'かん']],
  ])('%s', async (_, html, expected) => {
    expect(await shownIn(`<!doctype html><body>${html}`)).toEqual(expected);
  });

  test('what is hidden may be shown later', async () => {
    expect(await hiddenIn('<p hidden>a<details>b</details><p>c')).toEqual(['a', 'b']);
  });
});

describe('changes of text', () => {
  test.each<[string, string, string, string]>([
    ['capitals', 'uppercase', 'de', 'straße → STRASSE'],
    ['capitals of Greek lose their accents', 'uppercase', 'el', 'νησί → ΝΗΣΙ'],
    ['capitals of Turkish', 'uppercase', 'tr', 'iyi → İYİ'],
    ['small letters', 'lowercase', 'en', 'ÀB → àb'],
    ['first letters', 'capitalize', 'en', 'two words → Two Words'],
    ['wide forms', 'full-width', 'ja', 'A1 → Ａ１'],
    ['several at once', 'uppercase full-width', 'en', 'a → Ａ'],
    ['none', 'none', 'en', 'a → a'],
  ])('%s', async (_, transform, language, change) => {
    const [before, after] = change.split(' → ');
    const html = `<!doctype html><p lang=${language} style="text-transform: ${transform}">${before}`;
    expect(await shownIn(html)).toEqual([after]);
  });

  test('small capitals are capitals too, in case the font has none', async () => {
    const pieces = await piecesOf('<!doctype html><p style="font-variant-caps: small-caps">Ab');
    expect(pieces.map(({ text, isShown }) => [text, isShown])).toEqual([
      ['Ab', true],
      ['AB', false],
    ]);
  });

  test('the first letter, with what stands before it, and the first line have styles of their own', async () => {
    const pieces = await piecesOf(
      '<!doctype html><style>p::first-letter { font-weight: 900 } p::first-line { font-weight: 600 }</style><p>“Ahoy there',
    );
    expect(pieces.map(({ text, style, pseudo }) => [text, style.weight, pseudo])).toEqual([
      ['“Ahoy there', 400, undefined],
      ['“A', 900, 'first-letter'],
      ['“Ahoy there', 600, 'first-line'],
    ]);
  });

  test('where text is cut off an ellipsis may be drawn', async () => {
    expect(await hiddenIn('<!doctype html><p style="text-overflow: ellipsis">x')).toEqual(['…']);
  });
});

test('fields that visitors type into are told with their language', async () => {
  const pieces = await piecesOf(
    '<html lang=el><input><textarea lang=pl></textarea><p contenteditable lang=cy>x<input readonly><input type=checkbox><p contenteditable=false>',
  );
  expect(pieces.flatMap(({ typedIn }) => typedIn ?? [])).toEqual(['el', 'pl', 'cy']);
});

test('white space that collapses is no text; a no-break space by itself is', async () => {
  const pieces = await piecesOf('<b>a</b> <b>b</b>&nbsp;<b>c</b>\n<b>d</b>');
  expect(pieces.map(({ text }) => text)).toEqual(['a', 'b', '\u00a0', 'c', 'd']);
});

describe('marks beside text, and in its place', () => {
  test.each<[string, string, string, string[]]>([
    [
      'a style of counting',
      '@counter-style boats { system: cyclic; symbols: "⛴" "⚓"; suffix: " » " } li { list-style: boats }',
      '<ul><li>a</ul>',
      ['⛴⚓1 »', 'a'],
    ],
    [
      'one that extends another',
      '@counter-style c { system: extends lower-roman; prefix: "§" } li { list-style-type: c }',
      '<ol><li>a</ol>',
      ['§i1.', 'a'],
    ],
    [
      'one in a circle',
      '@counter-style c { system: extends c; fallback: c; symbols: x } li { list-style-type: c }',
      '<ol><li>a</ol>',
      [expect.stringContaining('x') as never, 'a'],
    ],
    ['symbols()', 'li { list-style-type: symbols(cyclic "*" "†") }', '<ul><li>a</ul>', ['cyclic*†', 'a']],
    ['emphasis', 'em { text-emphasis: "✦ star" }', '<em>a</em>', ['a', '✦']],
    [
      'emphasis by name, inherited',
      'p { text-emphasis-style: open triangle }',
      '<p><b>a</b>',
      ['a', '○﹆▲△'],
    ],
    ['text that is hidden', 'i { -webkit-text-security: square }', '<i>a</i>', ['■']],
  ])('%s', async (_, css, body, expected) => {
    expect(await shownIn(`<style>${css}</style>${body}`)).toEqual(expected);
  });

  test('what words end with where they break may be drawn', async () => {
    expect(await hiddenIn('<style>p { hyphenate-character: "‽" }</style><p>a')).toEqual(['‽']);
  });
});

test.each<[string, boolean, boolean]>([
  ['', true, true],
  ['font-synthesis-weight: none', false, true],
  ['font-synthesis-style: none', true, false],
  ['font-synthesis: style', false, true],
  ['font-synthesis: weight small-caps', true, false],
  ['font-synthesis: none', false, false],
  ['font-synthesis: none; font-synthesis-weight: auto', true, false],
  ['font-synthesis: bold', true, true],
  ['font-synthesis: none; font: 700 italic 1em A', false, false],
])('with “%s” browsers may fake bold: %s, slant: %s (CSS Fonts 4, section 2.8)', async (css, bold, slant) => {
  const [{ style }] = await piecesOf(`<style>p { ${css} }</style><p>a`);
  expect([style.synthesisWeight, style.synthesisStyle]).toEqual([bold, slant]);
});

test.each<[string, string[]]>([
  ['font-variant: small-caps tabular-nums', ['smcp', 'tnum']],
  ['font: italic small-caps 1em A', ['smcp']],
  ['font-variant-caps: all-small-caps; font-variant: normal', []],
  ['font-feature-settings: "ss01" 2, "liga" off, "zero" 0, "toolong"', ['ss01']],
  ['font-variant-numeric: diagonal-fractions; font-variant-numeric: inherit', []],
  ['--f: "swsh"; font-feature-settings: var(--f), "salt"', ['swsh', 'salt']],
  ['text-combine-upright: all', ['hwid', 'twid', 'qwid']],
])('%s turns on %j', async (css, tags) => {
  const [{ style }] = await piecesOf(`<style>p { ${css} }</style><p>a`);
  expect(featuresByProperty(style).flatMap(([, list]) => list)).toEqual(tags);
});

test('features with names are those of @font-feature-values', () => {
  const named = `@font-feature-values Quay { @styleset { flat: 3 12 } @swash { big: 1 } }`;
  expect([...readRules(named, 'a.css').namedFeatures]).toEqual(['ss03', 'ss12', 'swsh', 'cswh']);
});

test.each([
  ['text-overflow: "→"', '→'],
  ['text-overflow: ellipsis', '…'],
])('%s may draw %s', async (css, mark) => {
  expect(await hiddenIn(`<style>p { ${css} }</style><p>a`)).toContain(mark);
});

test('counters in content draw the marks of lists as characters', async () => {
  const html = '<style>p::before { content: counter(a, disc) counter(a, square) }</style><p>a';
  expect(await shownIn(html)).toEqual(['•▪', 'a']);
});
