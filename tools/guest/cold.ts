// First visits of new browsers to the sample's page, whose faces come late: whether what stands in for them is drawn at once. Every
// second browser runs at a quarter of the speed, every third finds no cache of the system's fonts.
//   npm run cold -- [--visits <n>] [--page <page>]
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import puppeteer from 'puppeteer-core';
import { cliProcess } from '../../test-support/cli.js';
import { browserPath } from '../../test-support/engines.js';
import { LoggingServer } from '../../test-support/server.js';
import { Arguments } from '../homecoming/arguments.js';

const args = new Arguments();
const [visits = '500'] = args.valuesOf('--visits');
const [page = 'index.html'] = args.valuesOf('--page');
const folder = mkdtempSync(join(tmpdir(), 'dense-glyph-cold-'));
const { code, err } = await cliProcess(['demo', '--out', 'kit', '--quiet'], folder);
if (code !== 0) throw new Error(err);

/** Width of the heading's text in each frame from the first drawing on; the faces may come after the last one. */
const watching = `<script>
  window.frames = [];
  const range = document.createRange();
  const look = () => {
    const heading = document.querySelector('h1');
    if (heading && performance.getEntriesByName('first-paint').length > 0) {
      range.selectNodeContents(heading);
      frames.push(Math.max(...[...range.getClientRects()].map(({ width }) => width)).toFixed(1));
    }
    if (frames.length < 20) requestAnimationFrame(look);
    else fetch('/release');
  };
  requestAnimationFrame(look);
</script>`;
const site = join(folder, 'kit/site/');
const html = readFileSync(join(site, page), 'utf8').replace(/<meta charset[^>]*>/i, `$&${watching}`);

/** What the heading's widths were, frame by frame, without repetition; as one text. */
async function visit(i: number): Promise<{ drawn: string; late: string }> {
  const own = mkdtempSync(join(tmpdir(), 'dense-glyph-cold-visit-'));
  const server = await LoggingServer.start({ '/': site }, { [`/${page}`]: html }, { paths: /\.woff2$/ });
  const browser = await puppeteer.launch({
    executablePath: browserPath('chromium')!,
    args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking'],
    userDataDir: join(own, 'profile'),
    env: { ...process.env, ...(i % 3 === 0 ? { XDG_CACHE_HOME: join(own, 'cache') } : {}) },
  });
  try {
    const [tab] = await browser.pages();
    await tab.setViewport({ width: 1280, height: 800 });
    const session = await tab.createCDPSession();
    await session.send('Emulation.setCPUThrottlingRate', { rate: i % 2 === 0 ? 4 : 1 });
    await tab.goto(`${server.origin}/${page}`, { waitUntil: 'load', timeout: 120_000 });
    await tab.waitForFunction('frames.length >= 20', { timeout: 120_000 });
    const frames = (await tab.evaluate('frames')) as string[];
    await tab.evaluate(
      'document.fonts.ready.then(() => new Promise((done) => requestAnimationFrame(() => requestAnimationFrame(done))))',
    );
    const late = (await tab.evaluate(
      "(() => { const range = document.createRange(); range.selectNodeContents(document.querySelector('h1')); return Math.max(...[...range.getClientRects()].map(({ width }) => width)).toFixed(1); })()",
    )) as string;
    return { drawn: frames.filter((one, at) => one !== frames[at - 1]).join(' → '), late };
  } finally {
    await browser.close();
    await server.close();
    rmSync(own, { recursive: true, force: true, maxRetries: 5 });
  }
}

const seen = new Map<string, number>();
for (let i = 0; i < Number(visits); i++) {
  const { drawn, late } = await visit(i);
  const key = `${drawn} px, then ${late} px in its face`;
  seen.set(key, (seen.get(key) ?? 0) + 1);
}
for (const [key, count] of [...seen].sort(([, a], [, b]) => b - a))
  console.log(`${count} visits: heading ${key}`);
rmSync(folder, { recursive: true, force: true });
