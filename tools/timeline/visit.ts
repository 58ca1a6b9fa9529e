import { launchChromium } from '../../test-support/engines.js';

/** What Chromium tells of one visit to a page, milliseconds. */
export interface Visit {
  paint: number;
  /** When the page was there, and the last stylesheet. */
  page: number;
  styles: number;
  /** When each font was there, by its file. */
  fonts: Map<string, number>;
}

export const median = (values: readonly number[]) => [...values].sort((a, b) => a - b)[values.length >> 1];

/** With nothing in its cache. @param proxy the port of what paces it */
export async function visit(url: string, proxy: number): Promise<Visit> {
  const browser = await launchChromium(
    `--proxy-server=http://127.0.0.1:${proxy}`,
    '--proxy-bypass-list=<-loopback>',
  );
  try {
    const tab = await browser.newPage();
    await tab.setViewport({ width: 390, height: 800 });
    // Fonts that a stylesheet of another server asks for aren't in the page's own entries.
    const ends = new Map<string, number>();
    tab.on('requestfinished', (request) => {
      if (/\.woff2([?#]|$)/.test(request.url())) ends.set(request.url(), Date.now());
    });
    await tab.goto(url, { waitUntil: 'networkidle0', timeout: 60_000 });
    await tab.evaluate('document.fonts.ready.then(() => new Promise((done) => setTimeout(done, 300)))');
    const { fonts, origin, ...times } = (await tab.evaluate(`({
      origin: performance.timeOrigin,
      paint: performance.getEntriesByName('first-contentful-paint')[0]?.startTime,
      page: performance.getEntriesByType('navigation')[0].responseEnd,
      styles: Math.max(...performance.getEntriesByType('resource').filter(({ initiatorType }) => initiatorType === 'link' || initiatorType === 'css').filter(({ name }) => name.endsWith('.css')).map(({ responseEnd }) => responseEnd)),
      fonts: performance.getEntriesByType('resource').filter(({ name }) => /\\.woff2([?#]|$)/.test(name)).map(({ name, responseEnd }) => [name, responseEnd]),
    })`)) as Omit<Visit, 'fonts'> & { fonts: [string, number][]; origin: number };
    const own = new Map([...ends].map(([name, end]) => [name, end - origin]));
    for (const [name, end] of fonts) own.set(name, end);
    return {
      ...times,
      fonts: new Map([...own].map(([name, end]) => [/faces\/[^/]*$/.exec(name)?.[0] ?? name, end])),
    };
  } finally {
    await browser.close();
  }
}
