import { existsSync } from 'node:fs';
import { userInfo } from 'node:os';
import { delimiter, join } from 'node:path';
import type { Browser, Page } from 'puppeteer-core';
import { DenseGlyphError } from '../../errors.js';

/** What Chromium is called, where it is on PATH. */
const names = ['chromium', 'chromium-browser', 'google-chrome', 'google-chrome-stable', 'microsoft-edge'];
const elsewhere = [
  '/Applications/Google Chrome.app/Contents/MacOS/Google Chrome',
  '/Applications/Chromium.app/Contents/MacOS/Chromium',
  'C:\\Program Files\\Google\\Chrome\\Application\\chrome.exe',
  'C:\\Program Files (x86)\\Microsoft\\Edge\\Application\\msedge.exe',
];

/** Variables by name; `PATH` and `DENSE_GLYPH_CHROMIUM` say where Chromium is. */
export type Environment = Readonly<Record<string, string | undefined>>;

function findChromium(environment: Environment): string | undefined {
  const named = environment.DENSE_GLYPH_CHROMIUM;
  if (named) return named;
  const onPath = (environment.PATH ?? '')
    .split(delimiter)
    .flatMap((folder) => names.map((name) => join(folder, name)));
  return [...onPath, ...elsewhere].find((path) => existsSync(path));
}

/** Milliseconds that a page may take to load, and then to come to rest. */
const loadTime = 30_000;
const restTime = 5_000;
const quiet = 400;

/** An installed Chromium without a window. */
export class HeadlessBrowser {
  private constructor(private readonly browser: Browser) {}

  /** @throws DenseGlyphError `browser-missing` */
  static async start(environment: Environment): Promise<HeadlessBrowser> {
    const { default: puppeteer } = await import('puppeteer-core').catch((cause: unknown) => {
      const advice = 'npm install --save-dev puppeteer-core';
      throw new DenseGlyphError('browser-missing', 'puppeteer-core is not installed', {}, advice, cause);
    });
    const executablePath = findChromium(environment);
    if (executablePath === undefined)
      throw new DenseGlyphError('browser-missing', 'no Chromium was found on PATH');
    // As root, in a container, there is no sandbox to be had.
    const isRoot = userInfo().uid === 0;
    const args = ['--disable-gpu', '--disable-background-networking', ...(isRoot ? ['--no-sandbox'] : [])];
    const browser = await puppeteer
      .launch({ executablePath, headless: true, args })
      .catch((cause: unknown) => {
        const reason = `${executablePath} does not start`;
        throw new DenseGlyphError('browser-missing', reason, {}, undefined, cause);
      });
    return new HeadlessBrowser(browser);
  }

  /**
   * Opens a page, lets its scripts run until it is at rest, and runs one more.
   *
   * @param result the global variable that the script leaves its result in
   * @throws Error for a page that doesn't load
   */
  async run(url: string, script: string, result: string): Promise<{ url: string; value: string }> {
    const page = await this.browser.newPage();
    try {
      await page.setViewport({ width: 1280, height: 800 });
      const answer = await page.goto(url, { waitUntil: 'load', timeout: loadTime });
      if (answer && answer.status() >= 400) throw new Error(`the server answers ${answer.status()}`);
      await atRest(page);
      await page.evaluate(script);
      const value = await page.evaluate(`globalThis[${JSON.stringify(result)}]`);
      return { url: page.url(), value: String(value) };
    } finally {
      await page.close();
    }
  }

  /**
   * A tab of its own, without anything in its cache, whose requests go through a proxy.
   *
   * @param proxy as in `http://127.0.0.1:3128`; also for this machine's own addresses
   */
  async tab(proxy: string): Promise<{ page: Page; close: () => Promise<void> }> {
    const context = await this.browser.createBrowserContext({
      proxyServer: proxy,
      proxyBypassList: ['<-loopback>'],
    });
    return { page: await context.newPage(), close: () => context.close() };
  }

  async end(): Promise<void> {
    await this.browser.close();
  }
}

/** Pages that never come to rest are taken as they are. */
const atRest = (page: Page): Promise<void> =>
  page.waitForNetworkIdle({ idleTime: quiet, timeout: restTime }).catch(() => undefined);
