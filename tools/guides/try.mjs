// Tries the guides in docs/guides for real: each in a folder of its own, with the tool that it is for, looked at in Chromium.
// Not part of the tests, as it installs those tools. Usage: npm run guides [name…]
import { spawnSync } from 'node:child_process';
import { cpSync, mkdirSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import puppeteer from 'puppeteer-core';
import { findBrowser } from '../browsers.mjs';
import { guides } from './guides.mjs';

const root = join(dirname(fileURLToPath(import.meta.url)), '../..');
const program = join(root, 'dist/bin/dense-glyph.js');
const named = process.argv.slice(2);
let failed = 0;

/** Runs a command in a folder; what it says is shown where it fails. */
function runIn(folder) {
  return (command, ...args) => {
    const isOurs = command === 'dense-glyph';
    const [file, list] = isOurs ? [process.execPath, [program, ...args]] : [command, args];
    const { status, stdout, stderr, error } = spawnSync(file, list, { cwd: folder, encoding: 'utf8' });
    if (status !== 0) throw new Error(`${command} ${args.join(' ')}: ${error ?? stderr + stdout}`);
    return stdout;
  };
}

/** What a page has asked for, which of it failed, and which faces draw it. @param act what happens on it then */
async function lookAt(browser, url, group, act) {
  const context = await browser.createBrowserContext();
  const page = await context.newPage();
  const failures = [];
  const fonts = [];
  page.on('response', (response) => {
    if (response.status() >= 400 && !response.url().endsWith('/favicon.ico')) failures.push(response.url());
    // A dev server gives modules about files by their names, and says that a file is as it was.
    const isFile = response.status() === 200 && !/[?&](?:import|url)\b/.test(response.url());
    if (isFile && /\.woff2(\?|$)/.test(response.url()))
      fonts.push({ url: response.url(), status: response.status(), headers: response.headers() });
  });
  page.on('requestfailed', (request) => failures.push(request.url()));
  await page.goto(url, { waitUntil: 'networkidle2' });
  if (act) await act(page);
  const loaded = await page.evaluate(() =>
    document.fonts.ready.then(() =>
      [...document.fonts]
        .filter((face) => face.status === 'loaded')
        .map((face) => face.family.replace(/["']/g, '')),
    ),
  );
  // What the root says, and what the application was told.
  const states =
    group === undefined
      ? []
      : await page.evaluate(
          (name) => [
            document.documentElement.getAttribute(`data-type-${name}`),
            ...[...document.querySelectorAll('[data-type]')]
              .map((element) => element.dataset.type)
              .filter((state) => state !== 'none'),
          ],
          group,
        );
  await context.close();
  return { failures, fonts, loaded, states };
}

const browser = await puppeteer.launch({
  executablePath: findBrowser('chromium'),
  args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking'],
});
try {
  for (const [name, attempt] of Object.entries(guides)) {
    if (named.length > 0 && !named.includes(name)) continue;
    const folder = mkdtempSync(join(tmpdir(), 'dense-glyph-guide-'));
    cpSync(join(root, 'sample/fonts'), join(folder, 'fonts'), { recursive: true });
    const put = (file, text) => {
      mkdirSync(dirname(join(folder, file)), { recursive: true });
      writeFileSync(join(folder, file), text);
    };
    const read = (file) => readFileSync(join(folder, file), 'utf8');
    try {
      const begun = Date.now();
      const looks = await attempt({ folder, put, read, run: runIn(folder) });
      for (const { url, end, version, group, act, never, most, isDev, expects = 'Ferrywake Sans' } of [
        looks,
      ].flat()) {
        // A dev server looks for what it has to make ready in the first visit, and loads the page anew.
        if (isDev) await lookAt(browser, url);
        const { failures, fonts, loaded, states } = await lookAt(browser, url, group, act);
        await end();
        const files = fonts.map(
          (font) => `${new URL(font.url).pathname} ${font.status} ${font.headers['content-length'] ?? ''}`,
        );
        if (failures.length > 0) throw new Error(`${version}: not fetched: ${failures.join(', ')}`);
        if (!loaded.includes(expects))
          throw new Error(`${version}: drawn with ${loaded.join(', ') || 'no face'}`);
        if (states.some((state) => state !== 'ready')) throw new Error(`the group is ${states.join(', ')}`);
        const asked = new Set(fonts.map((font) => font.url));
        if (asked.size !== fonts.length) throw new Error(`${version}: fetched twice: ${files.join(', ')}`);
        const old = fonts.find((font) => never?.test(font.url));
        if (old) throw new Error(`${version}: ${old.url} is a face of before`);
        if (most !== undefined && fonts.length > most)
          throw new Error(`${version}: ${fonts.length} files: ${files.join(', ')}`);
        const seconds = ((Date.now() - begun) / 1000).toFixed(0);
        console.log(
          `works  ${name.padEnd(16)} ${version}: ${loaded.length} faces, ${fonts.length} files, after ${seconds} s`,
        );
        for (const key of ['content-type', 'cache-control', 'access-control-allow-origin'])
          if (fonts[0]?.headers[key]) console.log(`       ${key}: ${fonts[0].headers[key]}`);
      }
    } catch (error) {
      failed++;
      console.log(`FAILS  ${name}: ${error.message}`);
    } finally {
      rmSync(folder, { recursive: true, force: true });
    }
  }
} finally {
  await browser.close();
}
process.exit(failed === 0 ? 0 : 1);
