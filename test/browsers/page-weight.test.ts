import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { cpSync, mkdirSync, mkdtempSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { cli } from '../../test-support/cli.js';
import { testedEngines, launchChromium, startEngine } from '../../test-support/engines.js';
import { config, manifestIn, project } from '../../test-support/project.js';
import { LoggingServer } from '../../test-support/server.js';

const style = `body { font: 400 16px "Ferrywake Sans" } i { font-style: italic } b { font-weight: 700 }
  h1 { font: 700 20px "Lampbuoy Slab" } .mono { font-family: Other }`;

/** Pages that fetch other faces under other conditions, and faces that only measure lines. */
const pages: Record<string, string> = {
  'scheme.html': `<style>@media (prefers-color-scheme: dark) { p { font-style: italic } h1 { font: inherit } }</style>
    <h1>Pier</h1><p>Boats`,
  'width.html': `<style>@media (max-width: 500px) { .wide { display: none } } @media not all and (max-width: 500px) { .narrow { display: none } }</style>
    <h1 class=wide>Pier</h1><p class=narrow><i>Boats <b>sail</b></i></p>`,
  'strut.html': `<h1><span class=mono>x</span></h1>`,
  'empty.html': `<p>Boats<b></b></p>`,
  'field.html': `<p class=mono><input style="font: 700 16px Ferrywake Sans">`,
  'image.html': `<div class=mono><p style="font: italic 16px Ferrywake Sans"><img alt="" width=8 height=8 src="data:,"></p></div>`,
  'all.html': `<h1>Pier</h1><p>Boats <i>sail</i> <b>at six</b>`,
};

let folder: string;
/** The same site with faces by themselves: a stand-in may measure lines in the place of a face that would only do that. */
let alone: string;
let server: LoggingServer;
let told: Map<string, number>;
/** What each page is planned to preload. */
let planned: Map<string, string[]>;

beforeAll(async () => {
  folder = mkdtempSync(join(tmpdir(), 'dense-glyph-weight-'));
  alone = mkdtempSync(join(tmpdir(), 'dense-glyph-weight-alone-'));
  await project({ ...config, site: { root: 'site' }, rest: 'drop' }, async (made) => {
    mkdirSync(join(made, 'site'));
    const head = `<!doctype html><html lang=en><meta charset=utf-8><link rel=stylesheet href=type/kit.css><style>${style}</style>`;
    for (const [name, body] of Object.entries(pages)) writeFileSync(join(made, 'site', name), head + body);
    expect((await cli(['build', '--quiet'], made)).code).toBe(0);
    const manifest = manifestIn(made);
    told = new Map(manifest.pages.map(({ page, bytes }) => [page, bytes]));
    planned = new Map(manifest.plan!.pages.map(({ page, preloads }) => [page, preloads]));
    rmSync(folder, { recursive: true });
    for (const copy of [folder, alone]) cpSync(join(made, 'site'), copy, { recursive: true });
  });
  const css = join(alone, 'type/kit.css');
  writeFileSync(css, readFileSync(css, 'utf8').replace(/@font-face \{[^}]*local\([^}]*\}\n/g, ''));
  // Under a path for each page, as browsers keep faces.
  const paths = (root: string, files: string) =>
    Object.keys(pages).map((page) => [`/${root}/${page}/`, files] as const);
  server = await LoggingServer.start(Object.fromEntries([...paths('kit', folder), ...paths('alone', alone)]));
});
afterAll(async () => {
  await server.close();
  for (const one of [folder, alone]) rmSync(one, { recursive: true, force: true });
});

/** The faces that were fetched below an address, as the site has them; a page that was left may still ask for some of its own. */
const fetched = (below: string): string[] =>
  server
    .take()
    .filter(({ path }) => path.startsWith(below) && path.endsWith('.woff2'))
    .map(({ path }) => path.slice(below.length));

const bytesOf = (files: readonly string[]) =>
  files.reduce((sum, file) => sum + statSync(join(folder, file)).size, 0);

/** By page, what an engine fetches at most of faces by themselves. */
const most = new Map<string, number>();

/** What was fetched last of faces by themselves. */
let last: string[] = [];

async function look(page: string, open: (url: string) => Promise<unknown>): Promise<void> {
  for (const state of ['alone', 'kit']) {
    server.take();
    const address = `/${state}/${page}/`;
    await open(`${server.origin}${address}${page}`);
    const files = fetched(address);
    const bytes = bytesOf(files);
    expect([state, page, bytes, bytes <= told.get(page)!]).toEqual([state, page, bytes, true]);
    if (state === 'alone') most.set(page, Math.max(most.get(page) ?? 0, bytes));
    if (state === 'alone') last = files;
  }
}

const engines = testedEngines();

test.each(engines)('%s fetches no more than a page is said to fetch', async (name) => {
  const engine = await startEngine(name);
  try {
    for (const page of Object.keys(pages)) {
      await look(page, async (url) => {
        await engine.open(url);
        await engine.run('await document.fonts.ready');
      });
    }
  } finally {
    await engine.close();
  }
});

const allEngines = engines.length === 3 ? test : test.skip;
allEngines('and some engine, colour scheme and width fetches as much', async () => {
  const browser = await launchChromium();
  try {
    for (const [width, value] of [390, 1280].flatMap(
      (one) =>
        [
          [one, 'light'],
          [one, 'dark'],
        ] as const,
    )) {
      const tab = await browser.newPage();
      await tab.setViewport({ width, height: 800 });
      await tab.emulateMediaFeatures([{ name: 'prefers-color-scheme', value }]);
      await tab.setCacheEnabled(false);
      for (const page of Object.keys(pages)) {
        await look(page, async (url) => {
          await tab.goto(url, { waitUntil: 'load' });
          await tab.evaluate('document.fonts.ready.then(() => undefined)');
        });
        const needed = value === 'light' ? (planned.get(page) ?? []) : [];
        for (const file of needed)
          expect([page, width, last]).toEqual([page, width, expect.arrayContaining([`type/${file}`])]);
      }
      await tab.close();
    }
  } finally {
    await browser.close();
  }
  expect(Object.fromEntries(most)).toEqual(Object.fromEntries(told));
});
