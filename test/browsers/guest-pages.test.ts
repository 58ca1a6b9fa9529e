import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { cpSync, mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { cli } from '../../test-support/cli.js';
import { startEngine, testedEngines, type Engine } from '../../test-support/engines.js';
import { config, sans, slab } from '../../test-support/project.js';
import { sampleFonts } from '../../test-support/paths.js';
import { LoggingServer } from '../../test-support/server.js';

interface GuestPage {
  name: string;
  head?: string;
  body: string;
  /** What the page's script finds out once it has loaded: the body of an async function. */
  ask?: string;
}

const face = '400 20px "Ferrywake Sans"';
const own = '"Ferrywake Sans", monospace';
const line = 'The last boat leaves Skerrow at 19:40.';
const widthIn = (font: string) =>
  `(() => { const context = document.createElement('canvas').getContext('2d'); context.font = ${font}; return context.measureText('${line}').width; })()`;
const script = (text: string) => `<script>${text}</script>`;

/** What pages do that have to be as they are with plain rules. */
const pages: readonly GuestPage[] = [
  {
    name: 'a canvas drawn once the face is loaded',
    body: '<canvas width=600 height=60></canvas>',
    ask: `await document.fonts.load('${face}'); const context = document.querySelector('canvas').getContext('2d');
      context.font = '400 30px ${own}'; context.fillText('${line}', 5, 40); return context.measureText('${line}').width;`,
  },
  {
    name: 'a canvas by the computed font of an element',
    body: `<p>${line}</p><canvas width=600 height=60></canvas>`,
    ask: `await document.fonts.ready; const { fontWeight, fontSize, fontFamily } = getComputedStyle(document.querySelector('p'));
      return ${widthIn("[fontWeight, fontSize, fontFamily].join(' ')")};`,
  },
  {
    name: 'a canvas of a worker, which has no faces of the page',
    body: '<p>Pier</p>',
    ask: `const text = "const c = new OffscreenCanvas(9, 9).getContext('2d'); c.font = '20px ${own.replaceAll('"', '\\"')}'; postMessage([c.measureText('${line}').width, self.fonts ? self.fonts.size : -1])";
      const worker = new Worker(URL.createObjectURL(new Blob([text])));
      return await new Promise((done) => { worker.onmessage = ({ data }) => done(data); worker.onerror = () => done('none'); });`,
  },
  {
    name: 'widths that are compared until they change',
    body: `<span id=a style='font: 40px monospace'>${line}</span><br><span id=b style='font: 40px ${own}'>${line}</span>`,
    ask: `const width = (id) => document.getElementById(id).offsetWidth;
      for (let i = 0; i < 200 && width('a') === width('b'); i++) await new Promise((done) => setTimeout(done, 20));
      return [width('a'), width('b')];`,
  },
  {
    name: 'check() that is polled',
    body: `<p>${line}</p>`,
    ask: `for (let i = 0; i < 200; i++) { if (document.fonts.check('${face}')) return true; await new Promise((done) => setTimeout(done, 20)); } return false;`,
  },
  {
    name: 'load() of a weight, of text, of a family that nobody declares',
    body: `<p>${line}</p>`,
    ask: `return Promise.all(['${face}', '700 20px "Ferrywake Sans"', 'italic 1em "Ferrywake Sans"', '20px Nobody'].map((font) =>
      document.fonts.load(font, 'Pier').then((faces) => faces.map(({ family, weight, style, status }) => [family.replaceAll('"', ''), weight, style, status].join(' ')), ({ name }) => name)));`,
  },
  {
    name: 'faces by name in document.fonts',
    body: `<p>${line} <b>${line}</b></p>`,
    ask: `await document.fonts.ready; return [...document.fonts].filter(({ family }) => !family.includes('stand-in')).map(({ family, weight, style, status, unicodeRange }) => [family.replaceAll('"', ''), weight, style, status, unicodeRange].join(' ')).sort();`,
  },
  {
    name: 'a face of the page by script, under the same name',
    body: `<p>${line}</p>`,
    ask: `const mono = await new FontFace('Ferrywake Sans', 'local("DejaVu Sans Mono")', { weight: '400' }).load().catch(() => undefined); if (mono) document.fonts.add(mono);
      await document.fonts.ready; return document.querySelector('p').getBoundingClientRect().height;`,
  },
  {
    name: 'a frame of the same site',
    body: '<p>Pier</p><iframe src="a-table.html" width=700 height=300></iframe>',
  },
  {
    name: 'a frame that is text, with no stylesheet',
    body: `<p>Pier</p><iframe width=700 height=80 srcdoc='<p style="font: 20px Ferrywake Sans, serif">${line}</p>'></iframe>`,
  },
  {
    name: 'a declared shadow tree',
    body: `<div><template shadowrootmode=open><style>p { font: 700 20px ${own} }</style><p>${line}</p><slot></slot></template><i>Slot</i></div>`,
    ask: `await document.fonts.ready; return document.querySelector('div').shadowRoot?.querySelector('p').getBoundingClientRect().height;`,
  },
  {
    name: 'a shadow tree by script, with an adopted stylesheet',
    body: `<div></div>${script(
      `const root = document.querySelector('div').attachShadow({ mode: 'open' }); const sheet = new CSSStyleSheet(); sheet.replaceSync('p { font: 20px ${own} }'); root.adoptedStyleSheets = [sheet]; root.innerHTML = '<p>${line}</p>';`,
    )}`,
  },
  {
    name: 'an element of its own, as wide as its text',
    body: `<x-tag>${line}</x-tag>${script(
      `customElements.define('x-tag', class extends HTMLElement { async connectedCallback() { await document.fonts.load('${face}'); this.style.cssText = 'display: block; background: #cde; width: ' + ${widthIn(`'${face}'`)} + 'px'; } });`,
    )}`,
  },
  {
    name: 'a policy with a nonce',
    head: `<meta http-equiv=Content-Security-Policy content="default-src 'self'; style-src 'self' 'nonce-ferry'; script-src 'unsafe-inline' 'unsafe-eval'"><style nonce=ferry>p { font-weight: 700 }</style>`,
    body: `<p>${line}</p>`,
  },
  {
    name: 'a banner before the page',
    head: `<style>html::before { content: "Gale warning for Quernsay"; display: block; background: #fd8; font: 700 20px ${own} }</style>`,
    body: `<p>${line}</p>`,
  },
  {
    name: 'a counter after the page',
    head: `<style>p { counter-increment: lines } html::after { content: counter(lines) " lines"; display: block; font: 20px ${own} }</style>`,
    body: `<p>${line}</p><p>${line}</p>`,
  },
  {
    name: 'a title that is shown',
    head: `<style>head, title { display: block } title { font: 700 30px ${own} }</style>`,
    body: `<p>${line}</p>`,
  },
  {
    name: 'style elements that are shown',
    head: `<style style="display: block; white-space: pre; font: 14px ${own.replaceAll('"', "'")}">p { color: #024 }</style><style>head { display: block }</style>`,
    body: `<p>${line}</p>`,
  },
  {
    name: 'a head of one letter',
    head: '<style>head { font-size: 40px; width: 10ch } body { font-size: 1rem }</style>',
    body: `<p>${line}</p>`,
  },
  {
    name: 'print',
    head: `<style media=print>p { font: 700 12pt ${own} }</style><style>@media print { p { color: #000 } }</style>`,
    body: `<p>${line}</p><div>${line}</div>`,
    ask: `const sheet = document.querySelector('style[media=print]'); sheet.media = 'all'; document.body.offsetWidth; await document.fonts.ready; return document.querySelector('p').getBoundingClientRect().height;`,
  },
  {
    name: 'text of SVG',
    body: `<svg width=600 height=80><text x=5 y=30 font-family='${own}' font-size=20>${line}</text><text x=5 y=60 style='font: 700 20px ${own}'>${line}</text></svg>`,
  },
  {
    name: 'HTML in SVG as a picture',
    body: '<canvas width=600 height=60></canvas>',
    ask: `const image = new Image(); image.src = 'data:image/svg+xml,' + encodeURIComponent('<svg xmlns="http://www.w3.org/2000/svg" width="600" height="60"><text y="40" style=\\'font: 30px ${own}\\'>${line}</text></svg>'); await image.decode(); return [image.width, image.height];`,
  },
  {
    name: 'a-table',
    head: '<style>td { padding: 4px; border: 1px solid } th { text-align: left }</style>',
    body: `<table><tr><th>Pier<th>Boat<th>Fare<tr><td>Skerrow<td>19:40<td>£4.50<tr><td>Quernsay, the long way round<td>20:15<td>£12.00</table>`,
  },
  {
    name: 'columns that are justified',
    head: '<style>div { columns: 3; text-align: justify; hyphens: manual; width: 900px }</style>',
    body: `<div>${`${line} `.repeat(12)}</div>`,
  },
  {
    name: 'first letters, first lines, markers, placeholders',
    head: `<style>p::first-letter { font: 700 60px "Lampbuoy Slab", serif; float: left } p::first-line { font-weight: 700 } li::marker { content: "14 "; font-weight: 700 } input { font: inherit; width: 20em } input::placeholder { font-style: italic }</style>`,
    body: `<p>${`${line} `.repeat(6)}</p><ul><li>Pier<li>Boat</ul><input placeholder="${line}">`,
  },
  {
    name: 'controls',
    head: '<style>input, button, select, textarea { font: inherit }</style>',
    body: `<button>Book a crossing</button><select><option>Skerrow to Quernsay</select><input value="${line}"><textarea rows=2 cols=30>${line}</textarea><input type=date>`,
  },
  {
    name: 'a text area that grows',
    body: `<textarea style='font: 20px ${own}; width: 300px; height: auto; overflow: hidden' rows=1>${line} ${line}</textarea>`,
    ask: `await document.fonts.load('${face}'); const area = document.querySelector('textarea'); area.style.height = area.scrollHeight + 'px'; return area.scrollHeight;`,
  },
  {
    name: 'a heading that shrinks until it fits',
    body: `<h1 style="white-space: nowrap; width: 500px; overflow: hidden">${line}</h1>`,
    ask: `await document.fonts.load('700 40px "Lampbuoy Slab"'); const heading = document.querySelector('h1'); let size = 80;
      for (; size > 8; size--) { heading.style.fontSize = size + 'px'; if (heading.scrollWidth <= 500) break; } return size;`,
  },
  {
    name: 'a stack in a property, and the first family that is read of it',
    head: `<style>:root { --text: ${own} } p { font-family: var(--text) }</style>`,
    body: `<p>${line}</p>`,
    ask: `return [getComputedStyle(document.querySelector('p')).fontFamily.split(',')[0], getComputedStyle(document.body).fontFamily.split(',')[0]];`,
  },
  {
    name: 'lengths of the font',
    body: ['ch', 'ex', 'cap', 'ic', 'lh', 'rem', 'em']
      .map((unit) => `<div style="width: 20${unit}; background: #cde">${unit}</div>`)
      .join(''),
  },
  {
    name: 'a dialogue, and what is opened',
    body: `<dialog open style="position: static">${line}</dialog><details open><summary>Piers</summary><p>${line}</details>`,
  },
  {
    name: 'languages and directions',
    head: '<style>p:lang(pl) { font-weight: 700 } [dir=rtl] { text-align: start }</style>',
    body: `<p lang=pl>Zażółć gęślą jaźń</p><p lang=el>Το τελευταίο πλοίο</p><p dir=rtl>שלום ${line}</p><p>中文 ${line} 😀</p>`,
  },
  {
    name: 'how many stylesheets and children of the head there are, and what stands first',
    body: `<p>${line}</p>`,
    ask: `return [document.styleSheets.length, document.head.children.length, document.head.firstElementChild.outerHTML, document.body.firstElementChild.tagName, document.documentElement.attributes.length];`,
  },
  {
    name: 'rules that scripts read',
    head: `<style id=own>p { font: 400 20px ${own}; color: #024 } @media (min-width: 1px) { b { font-family: "Lampbuoy Slab", serif } }</style>`,
    body: `<p>${line} <b>${line}</b></p>`,
    ask: `const { cssRules } = document.getElementById('own').sheet; return [cssRules.length, cssRules[0].style.fontSize, cssRules[0].style.color, cssRules[0].style.fontFamily.split(',')[0], cssRules[1].cssRules.length];`,
  },
];

const fileOf = ({ name }: GuestPage) =>
  `${name
    .toLowerCase()
    .replace(/[^a-z]+/g, '-')
    .slice(0, 60)}.html`;
const htmlOf = ({
  name,
  head = '',
  body,
}: GuestPage) => `<!doctype html><html lang=en><head><meta charset=utf-8>
<title>${name}</title><link rel=stylesheet href=site.css>${head}</head><body>${body}</body></html>`;
const css = `body { font: 400 20px/1.5 ${own}; margin: 20px } h1 { font: 700 40px "Lampbuoy Slab", Georgia, serif }
p, li { max-width: 40ch } .italic { font-style: italic }`;

let folder: string;
let server: LoggingServer;
beforeAll(async () => {
  folder = mkdtempSync(join(tmpdir(), 'dense-glyph-guests-'));
  for (const state of ['plain', 'kit']) {
    const project = join(folder, state);
    mkdirSync(join(project, 'site'), { recursive: true });
    cpSync(sampleFonts, join(project, 'fonts'), { recursive: true });
    const families = [{ ...sans, stack: ['monospace'] }, slab];
    const loading = state === 'plain' ? { loading: { 'stand-ins': 'none' } } : {};
    writeFileSync(
      join(project, 'dense-glyph.config.json'),
      JSON.stringify({ ...config, families, site: { root: 'site' }, ...loading }),
    );
    writeFileSync(join(project, 'site/site.css'), css);
    for (const page of pages) writeFileSync(join(project, 'site', fileOf(page)), htmlOf(page));
    for (const command of ['build', 'wire']) {
      const { code, err } = await cli([command, '--quiet'], project);
      expect([code, err]).toEqual([0, '']);
    }
  }
  server = await LoggingServer.start({
    '/plain/': join(folder, 'plain/site/'),
    '/kit/': join(folder, 'kit/site/'),
  });
});
afterAll(async () => {
  await server.close();
  rmSync(folder, { recursive: true, force: true });
});

/** What a page looks like and what its scripts were told, once all has arrived. */
const looking = (ask: string) => `
  const pause = (time) => new Promise((done) => setTimeout(done, time));
  const told = await (async () => { ${ask} })();
  await document.fonts.ready;
  await pause(150);
  await document.fonts.ready;
  const boxes = [...document.querySelectorAll('body, body *, title, style')].filter((one) => one.localName !== 'script').map((one) => {
    const { x, y, width, height } = one.getBoundingClientRect();
    return [one.localName, x, y, width, height].join(' ');
  });
  return { told: told ?? null, boxes, isThere: document.fonts.check('20px "Ferrywake Sans"') };`;

describe.each(testedEngines())('%s', (engineName) => {
  let engine: Engine;
  beforeAll(async () => {
    engine = await startEngine(engineName, { unhinted: true });
  });
  afterAll(() => engine.close());

  test.each(pages.map((page) => [page.name, page] as const))('%s', async (_, page) => {
    const looks = async (state: string) => {
      await engine.open(`${server.origin}/${state}/${fileOf(page)}`);
      const found = await engine.run<{ told: unknown; isThere: boolean }>(looking(page.ask ?? ''));
      // The driver of WebKitGTK may never answer with a picture: boxes have to do.
      const picture = engineName === 'webkit' ? undefined : await engine.screenshot();
      return { found, picture };
    };
    const [plain, kit] = [await looks('plain'), await looks('kit')];
    expect(kit.found).toEqual(plain.found);
    if (/Ferrywake/.test(htmlOf(page))) expect(kit.found.isThere).toBe(true);
    expect(kit.picture === plain.picture).toBe(true);
  });
});
