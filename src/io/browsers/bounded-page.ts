import type { Page } from 'puppeteer-core';

/** Milliseconds that a page that is given up may take to close; the rest is up to the browser's own end. */
const closingTime = 5_000;

/**
 * Works with a page for so long at most, whatever its scripts do. Questions that it asks its reader are answered, as nobody is there.
 *
 * @param time milliseconds
 * @throws Error once it is over
 */
export async function withinTime<Result>(
  page: Page,
  time: number,
  work: () => Promise<Result>,
): Promise<Result> {
  page.on('dialog', (dialog) => {
    // To leave is what is asked of it.
    void (dialog.type() === 'beforeunload' ? dialog.accept() : dialog.dismiss()).catch(() => undefined);
  });
  const session = await page.createCDPSession();
  let timer: NodeJS.Timeout | undefined;
  const over = new Promise<never>((_, fail) => {
    timer = setTimeout(() => {
      // Heard also while a script runs.
      void session.send('Runtime.terminateExecution').catch(() => undefined);
      fail(new Error(`its scripts had not ended after ${Math.round(time / 1000)} s`));
    }, time);
  });
  const working = work();
  // What it comes to later is of no use to anybody.
  working.catch(() => undefined);
  try {
    return await Promise.race([working, over]);
  } finally {
    clearTimeout(timer);
  }
}

/** Closes a page or what it is in; one that doesn't close is left to the browser's end. */
export const closedWithin = (close: () => Promise<void>): Promise<void> =>
  Promise.race([
    close().catch(() => undefined),
    new Promise<void>((done) => setTimeout(done, closingTime).unref()),
  ]);
