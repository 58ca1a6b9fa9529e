import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { cli } from '../../test-support/cli.js';
import { availableEngines, startEngine, type Engine } from '../../test-support/engines.js';
import { readSample } from '../../test-support/paths.js';
import { LoggingServer } from '../../test-support/server.js';

/** CFF, as WebKitGTK fits TrueType outlines without instructions by other letters of the font. */
const source = 'LampbuoySlab-Bold.otf';

/** Each draws something that isn't in the text of the page. */
const cases: [name: string, css: string, html: string][] = [
  ['capitals', 'b { text-transform: uppercase }', '<b>harbour straße</b>'],
  ['Turkish capitals', 'b { text-transform: uppercase }', '<b lang=tr>izmir</b>'],
  ['Greek capitals', 'b { text-transform: uppercase }', '<b lang=el>ώρα πρώτη μάιος ή</b>'],
  ['Greek capitals without a language', 'b { text-transform: uppercase }', '<b>ώρα ή</b>'],
  ['small letters', 'b { text-transform: lowercase }', '<b>HARBOUR</b>'],
  ['first letters', 'b { text-transform: capitalize }', '<b>the last ferry’s bell</b>'],
  ['small capitals that the font lacks', 'b { font-variant-caps: small-caps }', '<b>late</b>'],
  ['strings', 'b::before { content: "→ W21" }', '<b>late</b>'],
  ['strings through a property', 'b { --mark: "→"; } b::after { content: var(--mark) }', '<b>late</b>'],
  ['attributes', 'b::after { content: attr(data-tip) }', '<b data-tip="QUAY">late</b>'],
  ['counters', 'b::before { counter-set: a 1847; content: counter(a, upper-roman) }', '<b>of</b>'],
  [
    'numbers of lists',
    'b { display: block; width: max-content }',
    '<b><ol style="list-style-position: inside"><li>of</ol></b>',
  ],
  ['quotation marks', '', '<b lang=pl><q>of <q>a</q></q></b>'],
];

/** Rounded to a tenth of a pixel. */
const widthOfPage = `
  await document.fonts.load('40px one', 'a');
  await document.fonts.ready;
  document.body.offsetWidth;
  return Math.round(document.querySelector('b').getBoundingClientRect().width * 10) / 10;
`;

let folder: string;
let server: LoggingServer;
beforeAll(async () => {
  folder = mkdtempSync(join(tmpdir(), 'dense-glyph-pages-'));
  writeFileSync(join(folder, source), readSample(source));
  for (const [i, [, css, html]] of cases.entries()) {
    // The missing letters would be much wider than those of the font.
    const page = (font: string) =>
      `<!doctype html><meta charset=utf-8><style>@font-face { font-family: one; src: url(${font}) }
       body { font: 40px one, wide, monospace } b { font-weight: 400; display: inline-block } ${css}</style>${html}`;
    writeFileSync(join(folder, `${i}-whole.html`), page(source));
    writeFileSync(join(folder, `${i}-kept.html`), page(`kept-${i}/LampbuoySlab-Bold.woff2`));
    writeFileSync(join(folder, `${i}-letters.html`), page(`letters-${i}/LampbuoySlab-Bold.woff2`));
    const call = ['subset', source, '--quiet'];
    const letters = html.replace(/<[^>]*>/g, '');
    for (const args of [
      [...call, '--chars-from', `${i}-whole.html`, '--out', `kept-${i}`],
      [...call, '--chars', letters, '--out', `letters-${i}`],
    ]) {
      expect([args, await cli(args, folder)]).toEqual([args, { code: 0, out: '', err: '' }]);
    }
  }
  server = await LoggingServer.start({ '/': `${folder}/` }, {});
});

afterAll(async () => {
  await server.close();
  rmSync(folder, { recursive: true, force: true });
});

describe.each(availableEngines())('%s', (engineName) => {
  let engine: Engine;
  beforeAll(async () => {
    engine = await startEngine(engineName);
  });
  afterAll(() => engine.close());

  test.each(cases.map(([name], i) => [name, i] as const))(
    '%s are drawn in the font that was cut down to the page',
    async (_, i) => {
      const widths: number[] = [];
      for (const page of ['whole', 'kept', 'letters']) {
        await engine.open(`${server.origin}/${i}-${page}.html`);
        widths.push(await engine.run<number>(widthOfPage));
      }
      const [whole, kept, letters] = widths;
      expect(kept).toBe(whole);
      expect(letters).not.toBe(whole); // it would show
    },
  );
});
