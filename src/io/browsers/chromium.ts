import type { Browser, BrowserContext, Page } from 'puppeteer-core';
import type { Environment } from './environment.js';
import { closedWithin, withinTime } from './bounded-page.js';
import { launchChromium } from './launch.js';
import type { PageSteps } from './page-steps.js';

/** Milliseconds that a page may take to load, then to come to rest, and what a step waits for. */
const loadTime = 30_000;
const restTime = 5_000;
const stepTime = 5_000;
const quiet = 400;
/** And all of it, whatever its scripts do. */
const pageTime = 120_000;

/** Scripts for a page, and the global variable that the last one leaves its result in. */
export interface PageScripts {
  before: string;
  /** An expression: whether nothing changes in the document for a while. */
  still: string;
  after: string;
  result: string;
}

/** An installed Chromium without a window. */
export class HeadlessBrowser {
  private constructor(
    private readonly browser: Browser,
    private readonly time: number,
  ) {}

  /**
   * @param time milliseconds that a page may take
   * @throws DenseGlyphError `browser-missing`
   */
  static async start(environment: Environment, time = pageTime): Promise<HeadlessBrowser> {
    return new HeadlessBrowser(await launchChromium(environment), time);
  }

  /**
   * Opens a page, lets its scripts run until it is at rest, and runs one more.
   *
   * @param scripts one that runs before those of the page, and one after them; and the global variable that the second leaves its
   *   result in
   * @param steps what happens first; what it leaves in storage ends with it
   * @throws Error for a page that doesn't load, and for a step that finds nothing
   */
  async run(url: string, scripts: PageScripts, steps?: PageSteps): Promise<{ url: string; value: string }> {
    const context = steps && (await this.browser.createBrowserContext());
    const page = await (context ?? this.browser).newPage();
    try {
      return await withinTime(page, this.time, () => read(page, url, scripts, steps));
    } finally {
      await closedWithin(() => closed(page, context));
    }
  }

  /** With all of its processes, also those that scripts keep busy. */
  async end(): Promise<void> {
    await closedWithin(() => this.browser.close());
    this.browser.process()?.kill('SIGKILL');
  }
}

async function read(
  page: Page,
  url: string,
  { before, still, after, result }: PageScripts,
  steps: PageSteps | undefined,
): Promise<{ url: string; value: string }> {
  await page.setViewport({ width: 1280, height: 800 });
  if (steps?.language !== undefined) await setLanguage(page, steps.language);
  await page.evaluateOnNewDocument(before);
  const answer = await page.goto(url, { waitUntil: 'load', timeout: loadTime });
  if (answer && answer.status() >= 400) throw new Error(`the server answers ${answer.status()}`);
  await atRest(page, still);
  if (steps) await take(page, steps, still);
  await page.evaluate(after);
  const value = await page.evaluate(`globalThis[${JSON.stringify(result)}]`);
  return { url: page.url(), value: String(value) };
}

const closed = (page: Page, context: BrowserContext | undefined): Promise<void> =>
  context ? context.close() : page.close();

/** How often a page is waited for that goes on changing. */
const mostRests = 4;

/**
 * Until nothing is fetched and nothing changes: data that comes late changes the page, and a dev server loads it anew. Pages that
 * never come to rest are taken as they are.
 */
async function atRest(page: Page, still: string): Promise<void> {
  for (let i = 0; i < mostRests; i++) {
    await page.waitForNetworkIdle({ idleTime: quiet, timeout: restTime }).catch(() => undefined);
    // A page that is left meanwhile isn't at rest.
    if ((await page.evaluate(still).catch(() => false)) === true) return;
  }
}

/** For `navigator.language`, for `Accept-Language`, and for `Intl`. */
async function setLanguage(page: Page, language: string): Promise<void> {
  const session = await page.createCDPSession();
  const userAgent = await page.browser().userAgent();
  await session.send('Emulation.setUserAgentOverride', { userAgent, acceptLanguage: language });
  await session.send('Emulation.setLocaleOverride', { locale: language });
}

async function take(page: Page, { fill = {}, click = [], hover }: PageSteps, still: string): Promise<void> {
  const step = async (selector: string, act: (found: Found) => Promise<void>) => {
    await found(page, selector, act);
    await atRest(page, still);
  };
  for (const [selector, text] of Object.entries(fill)) await step(selector, (one) => one.fill(text));
  for (const selector of click) await step(selector, (one) => one.click());
  if (hover !== undefined) await step(hover, (one) => one.hover());
}

type Found = ReturnType<Page['locator']>;

async function found(page: Page, selector: string, act: (found: Found) => Promise<void>): Promise<void> {
  try {
    await act(page.locator(selector).setTimeout(stepTime));
  } catch (cause) {
    const isThere = await page.$(selector).catch(() => undefined);
    const reason =
      isThere === undefined
        ? `${selector} is no selector`
        : isThere
          ? `${selector} is there, but out of reach`
          : `nothing on it matches ${selector}`;
    throw new Error(reason, { cause });
  }
}
