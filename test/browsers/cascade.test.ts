import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import type { LineStyle } from '#src/site/cascade/computed.js';
import { testedEngines, startEngine, type Engine } from '../../test-support/engines.js';
import { LoggingServer } from '../../test-support/server.js';
import { stylesById } from '../../test-support/styled-pages.js';

/** Pages for rules of the cascade; the browser says what their elements come to. */
const pages: [name: string, css: string, html: string, needs?: string][] = [
  [
    'types, classes and ids by specificity',
    'p { font-weight: 300 } .a { font-weight: 500 } #b { font-style: italic } p#b { font-weight: 800 } .a.a { font-family: One }',
    '<p id=x1>x<p id=x2 class=a>x<p id=b class=a>x',
  ],
  [
    'importance, inline styles and order',
    'p { font-weight: 300 !important; font-style: italic } p { font-weight: 900 } .a { font-family: A } .b { font-family: B }',
    '<p id=x1 style="font-weight:500">x<p id=x2 style="font-weight:500 !important; font-style: normal">x<p id=x3 class="b a">x',
  ],
  [
    'layers, named before and after, and what stands in none',
    '@layer two, one; @layer one { p { font-weight: 300; font-style: italic !important } } @layer two { p { font-weight: 800; font-style: normal !important } #x2 { font-family: Two } } @layer one.in { p { font-family: In } } @layer one { p { font-family: Own } } p.c { font-weight: 100 }',
    '<p id=x1>x<p id=x2>x<p id=x3 class=c>x',
  ],
  [
    'nesting, with & and without',
    '.a { font-weight: 300; & b { font-style: italic } > i { font-weight: 700 } .c & { font-family: C } &.d { font-weight: 600 } @media (min-width: 1px) { font-family: M } }',
    '<div class=c><p id=x1 class=a>x<b id=x2>x</b><i id=x3>x</i></p></div><p class="a d" id=x4>x',
  ],
  [
    'logical pseudo-classes',
    ':is(p, .z) b { font-weight: 500 } :where(#x1) { font-family: W } p { font-family: P } p:not(.a, .b) { font-style: italic } p:has(> i) { font-weight: 800 } p:has(+ p.b) { font-family: H } :is(::before, p.b) { font-weight: 200 }',
    '<p id=x1>x<b id=x2>x</b></p><p id=x3 class=a>x<i id=x4>x</i></p><p id=x5 class=b>x',
  ],
  [
    'structure',
    'li:nth-child(2n+1) { font-weight: 300 } li:nth-last-child(1) { font-style: italic } li:nth-child(1 of .k) { font-family: K } li:first-of-type { font-family: F } p:only-child { font-weight: 900 } p:empty { font-family: E } i:nth-of-type(2) { font-weight: 700 } li:nth-child(-n+2) { text-transform: uppercase }',
    '<ul><li id=x1>x<li id=x2 class=k>x<li id=x3>x<li id=x4 class=k>x</ul><div><p id=x5>x</p></div><p id=x6></p><i id=x7>x</i><b>x</b><i id=x8>x</i>',
  ],
  [
    'attributes',
    '[data-a] { font-weight: 300 } [data-a=v] { font-weight: 500 } [data-a=V i] { font-style: italic } [data-b~=two] { font-family: B } [lang|=en] { font-weight: 800 } [data-c^=a][data-c$=z] { font-family: C } [data-c*=m] { font-style: italic } [type=TEXT] { font-weight: 900 }',
    '<p id=x1 data-a=w>x<p id=x2 data-a=v>x<p id=x3 data-b="one two">x<p id=x4 lang=en-GB>x<p id=x5 data-c=amz>x<input id=x6 type=text>',
  ],
  [
    'languages and directions',
    ':lang(el) { font-family: Greek } :lang(zh-Hant) { font-family: Han } :lang(ja) { font-family: Kana } :dir(rtl) { font-weight: 700 }',
    '<p id=x1 lang=el>x<b id=x2>x</b><p id=x3 lang=zh-Hant-TW>x<p id=x4 dir=rtl>x<i id=x5>x</i><p id=x6 lang=ja>x',
  ],
  [
    'custom properties: fallbacks, cycles, invalid at computed time',
    ':root { --w: 700; --f: "Var Face", serif; --a: var(--b); --b: var(--a) } p { font-weight: var(--w); font-family: var(--f) } .c { font-weight: 300; font-weight: var(--none) } .d { font-weight: var(--none, var(--w)) } .e { font-weight: var(--a, 200) } .f { --w: 100 } .g { --f: 3px; font-family: var(--f) }',
    '<p id=x1>x<p id=x2 class=c>x<p id=x3 class=d>x<p id=x4 class=e>x<p id=x5 class=f>x<p id=x6 class=g>x',
  ],
  [
    'keywords of all properties',
    'div { font-weight: 700; font-style: italic; font-family: D } .i { font-weight: initial; font-family: inherit } .u { font-style: unset } b { font-weight: revert } h1 { font-weight: 200 } .r { font-weight: revert } .al { all: unset } @layer l { .rl { font-weight: 300 } } .rl { font-weight: revert-layer }',
    '<div><p id=x1 class=i>x<p id=x2 class=u>x<b id=x3>x</b></div><h1 id=x4>x</h1><h1 id=x5 class=r>x</h1><h1 id=x6 class=al>x</h1><p id=x7 class=rl>x',
  ],
  [
    'the shorthand and its resets',
    'div { font: italic small-caps 700 condensed 20px/1.5 "A B", serif } p { font: 12px Q } .b { font-weight: 900; font: 1em/2 Z, sans-serif } .c { font: bold italic large Palatino } .d { font: 700 } .e { font: 12px / 1.2 R } .g { font-weight: bold; font: inherit }',
    '<div id=x1>x<p id=x2>x</p><p id=x3 class=b>x</p><p id=x4 class=c>x</p><i id=x5 class=d>x</i><p id=x6 class=e>x</p><p id=x7 class=g>x</p></div>',
  ],
  [
    'bolder and lighter, and weights that are none',
    '.l { font-weight: 300 } b { font-weight: bolder } s { font-weight: lighter } .x { font-weight: 1200 } .y { font-weight: 400; font-weight: "bold" } .z { font-weight: 950 }',
    '<p class=l><b id=x1>x<b id=x2>x<b id=x3>x</b></b></b><p id=x4 class=x>x<p id=x5 class=y>x<p class=z><s id=x6>x</s><b id=x7>x</b>',
  ],
  [
    'selectors that aren’t known drop their rule, but not in :is()',
    'p, p::nonsense { font-weight: 900 } p:unheard-of { font-weight: 800 } p:is(:unheard-of, .a) { font-style: italic } p! { font-weight: 100 } p:not(:unheard) { font-family: N }',
    '<p id=x1>x<p id=x2 class=a>x',
  ],
  [
    'conditions',
    '@media (min-width: 10px) and (max-width: 99999px) { p { font-weight: 300 } } @media print { p { font-weight: 900 } } @media (width >= 10px) { .a { font-style: italic } } @media not screen { .a { font-family: S } } @media screen and (400px <= width <= 99999px) { .b { font-family: R } } @supports (display: grid) { .c { font-weight: 700 } } @supports not (display: grid) { .c { font-weight: 100 } } @supports (display: grid) and (not (display: nonsense-x)) { .d { font-weight: 800 } } @media (unheard-of: 3) { p { font-weight: 100 } } @media only screen { .e { font-weight: 500 } }',
    '<p id=x1>x<p id=x2 class=a>x<p id=x3 class=b>x<p id=x4 class=c>x<p id=x6 class=e>x',
  ],
  [
    'what browsers set by themselves',
    '',
    '<h1 id=x1>x</h1><p><b id=x2>x</b><em id=x3>x</em><code id=x4>x</code><table><tr><th id=x5>x<td id=x6>x</table><address id=x7>x</address><dfn id=x8>x</dfn><pre id=x9>x</pre><cite id=x11>x</cite><strong id=x12>x</strong>',
  ],
  [
    'combinators',
    'h2 + p { font-weight: 300 } h2 ~ p { font-style: italic } div > p { font-family: C } div p { font-weight: 800 } article p + p b { font-family: X }',
    '<h2>x</h2><p id=x1>x</p><p id=x2>x</p><div><p id=x3>x</p><section><p id=x4>x</p></section></div><article><p>x</p><p><b id=x5>x</b></p></article>',
  ],
  [
    'shadow trees: what is inside, the host, and what is put into slots',
    '#x1 { font-family: Outer } p { text-transform: uppercase } .l { font-weight: 300 } #x6 { font-weight: 500 }',
    '<div id=x1 class=k><template shadowrootmode=open><style>p { font-weight: 700 } :host { font-style: italic; font-family: Inner !important } :host(.k) { font-weight: 800 } :host(.n) p { font-weight: 100 } ::slotted(b) { font-family: Slot; font-weight: 900 } slot { font-style: normal } :host p i { font-weight: 600 }</style><p id=x2>x<i id=x3>x</i><slot></slot></p><slot name=n>x<u>x</u></slot></template><b id=x5 class=l>x</b><b id=x6>x</b><em id=x7 slot=n>x</em></div><p id=x8>x',
  ],
  [
    'scopes: roots, limits, and which is nearer',
    '@scope (.a) to (.c) { p { font-weight: 700 } :scope { font-style: italic } .a { font-family: Self } } @scope (.b) { p { font-weight: 300 } } @scope (.a) { p { font-weight: 600 } } @scope (.d) to (> .e) { i { font-family: Lim } }',
    '<div class=a id=x1><p id=x2>x<div class=b><p id=x3>x</div><div class=c id=x4><p id=x5>x</div></div><div class=b><div class=a id=x6><p id=x7>x</div></div><div class=d><i id=x8>x</i><div class=e><i id=x9>x</i></div></div>',
    'CSSScopeRule',
  ],
  [
    'sizes: words, parts of the parent, sums and screens',
    'html { font-size: 62.5% } body { font-size: 1.6rem } .a { font-size: calc(1em + 2px) } .b { font-size: clamp(1rem, 3vw, 40px) } .c { font-size: smaller } .d { font-size: x-large } .e { font: 150%/2 A } .f { font: italic 3rem/1.5em B } .g { font-size: max(10px, 1.5em, 2vh) } .h { font-size: calc((1rem - 2px) * 2 / 4 + 1pc) } .i { font-size: -3px } .j { font-size: 12q } .k { --s: 3px; font-size: calc(var(--s) * 5) }',
    '<p id=x1>x<b id=x2 class=a>x<i id=x3 class=a>x</i></b><p id=x4 class=b>x<p id=x5 class=c>x<small id=x6>x</small><p id=x7 class=d>x<p id=x8 class=e>x<p id=x9 class=f>x<p id=x10 class=g>x<p id=x11 class=h>x<p id=x12 class=i>x<p id=x13 class=j>x<p id=x14 class=k>x<h1 id=x15>x</h1><h6 id=x16>x</h6>',
  ],
  [
    'monospace alone is smaller, unless a size is stated',
    '.a { font-family: monospace, monospace } .b { font-size: 20px } .c { font-size: 2em } .d { font-family: serif } .e { font-size: 1rem } .f { font: 1em monospace } .g { font-size: medium }',
    '<code id=x1>x</code><code id=x2 class=a>x</code><p class=b><code id=x3>x</code></p><code id=x4 class=c>x<b id=x5 class=d>x</b></code><code id=x6 class=e>x</code><p id=x7 class=f>x</p><kbd id=x8 class=g>x</kbd><p class=c><samp id=x9>x</samp></p><pre id=x10>x</pre>',
  ],
  [
    'lines and spaces',
    'body { line-height: 1.5 } .a { font-size: 20px } .b { line-height: 120%; font-size: 10px } .c { line-height: normal } .d { line-height: 2em; letter-spacing: .1em; font-size: 30px } .e { letter-spacing: -1px; word-spacing: 5px } .f { letter-spacing: normal; word-spacing: .5rem } .g { line-height: -1 }',
    '<p id=x1>x<p id=x2 class=a>x<p id=x3 class=b>x<i id=x4 class=a>x</i><p id=x5 class=d>x<b id=x6 class=b>x</b><p id=x7 class=e>x<u id=x8 class=f>x</u><p id=x9 class=g>x',
  ],
  [
    'generated content',
    'p::before { content: "a" attr(data-b); font-weight: 700 } .n:before { content: none } i::before { content: "\\201C"; font-family: Mark }',
    '<p id=x1 data-b=v>x<p id=x2 class=n>x<i id=x3>x</i>',
  ],
];

interface Said {
  family: string;
  weight: number;
  style: string;
  transform: string;
  size: number;
  lineHeight: number | 'normal';
  letterSpacing: number;
  wordSpacing: number;
  before: { weight: number; family: string } | undefined;
}

const askBrowser = `
  const pixels = (text) => Math.round((parseFloat(text) || 0) * 100) / 100;
  const first = (text) => text.split(',')[0].trim().replace(/^["']|["']$/g, '');
  const found = {};
  const trees = [document];
  for (const tree of trees)
    for (const { shadowRoot } of tree.querySelectorAll('*')) if (shadowRoot) trees.push(shadowRoot);
  for (const element of trees.flatMap((tree) => [...tree.querySelectorAll('[id]')])) {
    const style = getComputedStyle(element);
    const before = getComputedStyle(element, '::before');
    const isThere = before.content !== 'none' && before.content !== 'normal' && before.content !== '';
    found[element.id] = {
      family: first(style.fontFamily), weight: Number(style.fontWeight), style: style.fontStyle.split(' ')[0],
      transform: style.textTransform, size: pixels(style.fontSize),
      lineHeight: style.lineHeight === 'normal' ? 'normal' : pixels(style.lineHeight),
      letterSpacing: pixels(style.letterSpacing), wordSpacing: pixels(style.wordSpacing),
      before: isThere ? { weight: Number(before.fontWeight), family: first(before.fontFamily) } : undefined,
    };
  }
  return found;
`;

let server: LoggingServer;
const documents = pages.map(
  ([, css, html]) => `<!doctype html><meta charset=utf-8><style>${css}</style><body>${html}`,
);

beforeAll(async () => {
  const files = Object.fromEntries(documents.map((text, i) => [`/${i}`, text]));
  server = await LoggingServer.start({}, files);
});
afterAll(() => server.close());

/** Names that stand for what nobody asked for, which each browser calls otherwise. */
const usual =
  /^(times new roman|serif|sans|arial|system-ui|sans-serif|-webkit-standard|dejavu.*|-apple-system|)$/i;
const named = (family: string) => (usual.test(family) ? 'usual' : family);

/** Engines round by a hundredth, or by a 64th. */
const near = (value: number | string): unknown =>
  typeof value === 'number' ? expect.closeTo(value, 1) : value;

/** Fields are set in 13 px, or in a third more; Firefox takes the size of `monospace` from the system. */
const isUsualSize = ({ size, family }: Said, engine: string): boolean =>
  size === 13.33 || (engine === 'firefox' && family === 'monospace');

function linesOf({ fontSize, lineHeight, letterSpacing, wordSpacing }: LineStyle): (number | string)[] {
  const height =
    typeof lineHeight === 'string' && lineHeight.startsWith('×') ? Number(lineHeight.slice(1)) : 0;
  return [fontSize, height > 0 ? height * fontSize : lineHeight, letterSpacing, wordSpacing];
}

describe.each(testedEngines())('%s', (engineName) => {
  let engine: Engine;
  beforeAll(async () => {
    engine = await startEngine(engineName);
  });
  afterAll(() => engine.close());

  test.each(pages.map(([name], i) => [name, i] as const))('computes the same: %s', async (_, i) => {
    await engine.open(`${server.origin}/${i}`);
    const [, , , needs] = pages[i];
    if (needs !== undefined && !(await engine.run<boolean>(`return ${JSON.stringify(needs)} in window`)))
      return;
    const said = await engine.run<Record<string, Said>>(askBrowser);
    const viewport = await engine.run<{ width: number; height: number }>(
      'return { width: innerWidth, height: innerHeight }',
    );
    const own = await stylesById(documents[i], viewport);
    expect([...own.keys()].sort()).toEqual(Object.keys(said).sort());
    for (const [id, { style, before }] of own) {
      const isThere = before !== undefined && !/^(none|normal)$/.test(before.content);
      expect([
        id,
        named(style.families[0]),
        style.weight,
        style.style,
        style.transform,
        ...(isUsualSize(said[id], engineName) ? [] : linesOf(style)),
        ...(isThere ? [before.weight, named(before.families[0])] : []),
      ]).toEqual([
        id,
        named(said[id].family),
        said[id].weight,
        said[id].style,
        said[id].transform,
        ...(isUsualSize(said[id], engineName)
          ? []
          : [said[id].size, said[id].lineHeight, said[id].letterSpacing, said[id].wordSpacing].map(near)),
        ...(said[id].before ? [said[id].before.weight, named(said[id].before.family)] : []),
      ]);
    }
  });
});
