import { expect, test } from '@jest/globals';
import { PageScanner, siteOf } from '#src/site/index.js';

const filesOf = (files: Record<string, string>) =>
  new Map(Object.entries(files).map(([path, text]) => [path, new TextEncoder().encode(text)]));

async function scanned(html: string, options: ConstructorParameters<typeof PageScanner>[1]) {
  const site = siteOf(filesOf({ 'index.html': html }));
  const [page] = await new PageScanner(site, options).scanned(site.pages[0]);
  return page;
}

/** Each block as `element size text|text`, a run of its own style each. */
async function blocksOf(html: string, width = 1280): Promise<string[]> {
  const { blocks } = await scanned(html, { widths: [width] });
  return blocks!.get(width)!.map(({ element, fontSize, runs, hasBoxes }) => {
    const text = runs.map((run) => run.text).join('|');
    return `${element} ${fontSize} ${text}${hasBoxes ? ' +' : ''}`;
  });
}

test.each<[string, string, string[]]>([
  ['white space collapses across elements', '<p> a \n <b> b</b> <i>c</i>\n</p>', ['p 16 a |b|\u0020|c']],
  ['what is set alike is one run', '<p>a <span>b</span> c', ['p 16 a b c']],
  ['breaks are kept, spaces before them are not', '<p>a <br> b<br>c', ['p 16 a\nb\nc']],
  ['blocks end lines', '<div>a<p>b</p>c</div>', ['div 16 a', 'p 16 b', 'div 16 c']],
  ['boxes stand in lines', '<p>a <img src=x> b <button>c</button> d', ['button 13 c', 'p 16 a b d +']],
  [
    'preformatted text',
    '<style>pre { font: 20px A; white-space: pre-line }</style><pre>a   b\n c </pre>',
    ['pre 20 a b\nc'],
  ],
  [
    'items of flex containers have lines of their own',
    '<style>nav { display: flex }</style><nav><a>a</a> <a>b</a></nav>',
    ['a 16 a', 'a 16 b'],
  ],
  ['cells', '<table><tr><td>a<td>b</table>', ['td 16 a', 'td 16 b']],
  [
    'what is generated and transformed',
    '<style>p { text-transform: uppercase } p::before { content: "→ " }</style><p>a',
    ['p 16 → A'],
  ],
  ['what is hidden is not set', '<p hidden>a</p><p>b<span style="display:none">c</span>', ['p 16 b']],
  [
    'the width of the screen decides',
    '<style>p { font-size: 2vw } @media (max-width: 800px) { p { font-size: 1em } }</style><p>a',
    ['p 25.6 a'],
  ],
])('%s', async (_, html, expected) => {
  expect((await blocksOf(html)).sort()).toEqual(expected.sort());
});

test('another width has blocks of its own', async () => {
  const html = '<style>p { font-size: 30px } @media (max-width: 800px) { p { font-size: 5vw } }</style><p>a';
  expect(await blocksOf(html, 400)).toEqual(['p 20 a']);
});

test('faces are the same whether lines are asked for or not', async () => {
  const html =
    '<style>p { font: bold 2em/1.5 A; display: table } b { all: unset }</style><p>a<b>b</b><table><td><code>c</code></table>';
  const [plain, withLines] = [await scanned(html, {}), await scanned(html, { widths: [390, 1280] })];
  expect(plain.blocks).toBeUndefined();
  expect([...withLines.faces].map(([key, { drawn }]) => [key, [...drawn]])).toEqual(
    [...plain.faces].map(([key, { drawn }]) => [key, [...drawn]]),
  );
  expect(withLines.lines.map(({ asked }) => asked)).toEqual(plain.lines.map(({ asked }) => asked));
});
