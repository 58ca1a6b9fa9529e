import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { cpSync, mkdirSync, mkdtempSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import puppeteer from 'puppeteer-core';
import { cli } from '../../test-support/cli.js';
import { availableEngines, browserPath, startEngine } from '../../test-support/engines.js';
import { config, manifestIn, project } from '../../test-support/project.js';
import { LoggingServer } from '../../test-support/server.js';

const style = `body { font: 400 16px "Ferrywake Sans" } i { font-style: italic } b { font-weight: 700 }
  h1 { font: 700 20px "Lampbuoy Slab" } .mono { font-family: Other }`;

/** Pages that fetch other faces under other conditions, and faces that only measure lines. */
const pages: Record<string, string> = {
  'scheme.html': `<style>@media (prefers-color-scheme: dark) { p { font-style: italic } h1 { font: inherit } }</style>
    <h1>Pier</h1><p>Boats`,
  'width.html': `<style>@media (max-width: 500px) { .wide { display: none } } @media (min-width: 501px) { .narrow { display: none } }</style>
    <h1 class=wide>Pier</h1><p class=narrow><i>Boats <b>sail</b></i></p>`,
  'strut.html': `<h1><span class=mono>x</span></h1>`,
  'empty.html': `<p>Boats<b></b></p>`,
  'field.html': `<p class=mono><input style="font: 700 16px Ferrywake Sans">`,
  'image.html': `<div class=mono><p style="font: italic 16px Ferrywake Sans"><img alt="" width=8 height=8 src="data:,"></p></div>`,
  'all.html': `<h1>Pier</h1><p>Boats <i>sail</i> <b>at six</b>`,
};

let folder: string;
let server: LoggingServer;
let told: Map<string, number>;

beforeAll(async () => {
  folder = mkdtempSync(join(tmpdir(), 'dense-glyph-weight-'));
  await project({ ...config, site: { root: 'site' }, rest: 'drop' }, async (made) => {
    mkdirSync(join(made, 'site'));
    const head = `<!doctype html><html lang=en><meta charset=utf-8><link rel=stylesheet href=type/kit.css><style>${style}</style>`;
    for (const [name, body] of Object.entries(pages)) writeFileSync(join(made, 'site', name), head + body);
    expect((await cli(['build', '--quiet'], made)).code).toBe(0);
    told = new Map(manifestIn(made).pages.map(({ page, bytes }) => [page, bytes]));
    rmSync(folder, { recursive: true });
    cpSync(join(made, 'site'), folder, { recursive: true });
  });
  // Under a path for each page, as browsers keep faces.
  server = await LoggingServer.start(
    Object.fromEntries(Object.keys(pages).map((page) => [`/${page}/`, folder])),
  );
}, 240_000);
afterAll(async () => {
  await server.close();
  rmSync(folder, { recursive: true, force: true });
});

const fetched = () =>
  server
    .take()
    .filter(({ path }) => path.endsWith('.woff2'))
    .reduce((sum, { path }) => sum + statSync(join(folder, path.replace(/^\/[^/]*/, ''))).size, 0);

/** By page, what each engine fetches at most. */
const most = new Map<string, number>();

async function look(page: string, open: (url: string) => Promise<unknown>): Promise<void> {
  server.take();
  await open(`${server.origin}/${page}/${page}`);
  const bytes = fetched();
  expect([page, bytes, bytes <= told.get(page)!]).toEqual([page, bytes, true]);
  most.set(page, Math.max(most.get(page) ?? 0, bytes));
}

const engines = availableEngines();

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
  const browser = await puppeteer.launch({
    executablePath: browserPath('chromium')!,
    args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking'],
  });
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
      }
      await tab.close();
    }
  } finally {
    await browser.close();
  }
  // Where a face would only measure lines, a stand-in may do that by itself; it is said to be fetched all the same.
  const exact = [...told].filter(([page, bytes]) => most.get(page) === bytes);
  expect(exact.length).toBeGreaterThanOrEqual(told.size - 1);
});
