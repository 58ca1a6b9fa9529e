import type { Browser, Page } from 'puppeteer-core';
import type { Environment } from './environment.js';
import { launchChromium } from './launch.js';

/** Milliseconds that a page may take to load, and then to come to rest. */
const loadTime = 30_000;
const restTime = 5_000;
const quiet = 400;

/** An installed Chromium without a window. */
export class HeadlessBrowser {
  private constructor(private readonly browser: Browser) {}

  /** @throws DenseGlyphError `browser-missing` */
  static async start(environment: Environment): Promise<HeadlessBrowser> {
    return new HeadlessBrowser(await launchChromium(environment));
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

  async end(): Promise<void> {
    await this.browser.close();
  }
}

/** Pages that never come to rest are taken as they are. */
const atRest = (page: Page): Promise<void> =>
  page.waitForNetworkIdle({ idleTime: quiet, timeout: restTime }).catch(() => undefined);
